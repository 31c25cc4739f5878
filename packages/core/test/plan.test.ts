import {
  epochOf,
  fuelWorth,
  METRIC,
  plan,
  planSteps,
  runLikelyPit,
  settledC,
  simulate,
  type Plan,
  type Request,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 14, 12);
const quick = (part: Parameters<typeof request>[0] = {}, members = 8): Plan =>
  plan(request(part), { nowMs: NOW, members });

const pitOf = (preset: string, fuel: 'lump' | 'briquette' | 'splits', pitC: number) => ({
  id: preset,
  cooker: { preset, overrides: {} },
  fire: { fuel },
  pace: { pitC, bandC: 8 },
});

describe('a plan', () => {
  const p = quick();

  it('puts its times in order and is ready before serving', () => {
    const times = [
      p.lightAt,
      p.meatOnAt[0]!,
      p.ready[0]!.p10,
      p.ready[0]!.p50,
      p.ready[0]!.p90,
      p.serveAt,
    ];
    expect([...times].sort()).toEqual(times);
    expect(p.problems).toEqual([]);
    expect(p.restAvailableMin[0]).toBeGreaterThanOrEqual(55);
    expect(p.chanceLateFraction).toBeLessThanOrEqual(0.25);
  });

  it('lights a fire that lasts and holds the target when its scenario is run', () => {
    const run = simulate(p.scenarios[0]!);
    expect(Math.abs(settledC(run.pitC, 1) - 121)).toBeLessThan(12);
    const ready = run.meats[0]!.doneAtMin!;
    expect(ready).not.toBeNull();
    expect(run.fuel.outAtMin ?? Infinity).toBeGreaterThan(ready);
    expect(run.pitC[ready]!).toBeGreaterThan(100);
  });

  it('speaks of what it counts', () => {
    expect(p.fires[0]!.pieces % 4).toBe(0);
    expect(p.fires[0]!.massKg).toBeCloseTo(p.fires[0]!.pieces * 0.026, 6);
    expect(p.jobs.map((j) => j.id)).toEqual(
      expect.arrayContaining(['lay', 'light', 'hold', 'meat-on', 'wrap', 'off', 'shut', 'serve']),
    );
    expect([...p.jobs].sort((a, b) => a.atMin - b.atMin)).toEqual(p.jobs);
    expect(p.jobs.find((j) => j.id === 'lay')!.facts).toMatchObject({
      kind: 'lay-fire',
      loadKg: expect.closeTo(p.fires[0]!.massKg, 2),
    });
    expect(p.watch.longestFreeMin).toBeGreaterThan(60);
    expect(METRIC).toEqual({ temperature: 'C', mass: 'kg' });
  });

  it('is the same for the same wish and goes step by step for a worker', () => {
    const anew = plan(request(), { nowMs: NOW, members: 8, knownPolicies: new Map() });
    expect(JSON.stringify(anew)).toBe(JSON.stringify(p));
    const work = planSteps(request(), { nowMs: NOW, members: 2 });
    const shares: number[] = [];
    let step = work.next();
    for (; !step.done; step = work.next()) shares.push(step.value as number);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBeCloseTo(1);
    expect(step.value.members).toBe(2);
  });

  it('takes longer for a heavier piece, in the cold, and bare', () => {
    const minutes = (q: Plan): number =>
      (epochOf(q.ready[0]!.p50, 'UTC') - epochOf(q.meatOnAt[0]!, 'UTC')) / 60000;
    const meat = request().meats[0];
    const heavy = quick({ meats: [{ ...meat, massKg: 3.6, pieces: 1 }] });
    const bare = quick({ meats: [{ ...meat, wrap: { with: 'none' } }] });
    expect(minutes(heavy)).toBeGreaterThan(minutes(p));
    expect(minutes(bare)).toBeGreaterThan(minutes(p));
    expect(bare.jobs.some((j) => j.id === 'wrap')).toBe(false);
  });

  it('crosses midnight and the change of clocks without losing an hour', () => {
    const night = quick({ serveAt: '2027-10-31T07:30' });
    const lit = epochOf(night.lightAt, 'Europe/Ljubljana');
    const serve = epochOf(night.serveAt, 'Europe/Ljubljana');
    const off = night.jobs.find((j) => j.id === 'serve')!.atMin;
    expect((serve - lit) / 60000).toBeCloseTo(off, 0);
    expect(night.lightAt.slice(0, 10)).toBe('2027-10-30');
  });
});

it.each([
  ['kamado-46', 'lump', 120],
  ['offset-heavy', 'splits', 125],
  ['offset-light', 'briquette', 121],
  ['bullet-47', 'briquette', 110],
  ['hopper-fan', 'briquette', 121],
] as const)(
  'a plan for %s on %s holds the pit near %i °C when its scenario is run',
  (preset, fuel, pitC) => {
    const p = quick({ people: 4, pits: [pitOf(preset, fuel, pitC)] });
    expect(p.problems).toEqual([]);
    const run = simulate(p.scenarios[0]!);
    expect(Math.abs(settledC(run.pitC, 1) - pitC)).toBeLessThan(8);
    expect(run.meats[0]!.doneAtMin).not.toBeNull();
    expect(p.vents.length).toBeGreaterThan(0);
    expect(p.fires[0]!.feeding.some((f) => f.what === 'splits')).toBe(fuel === 'splits');
  },
);

it('plans for other pits and tables has several pieces of two cuts ready together and an early treat for itself', () => {
  const meat = request().meats[0];
  // Which of two pieces that take about as long goes on first, few likely cooks do not tell.
  const asked: Partial<Request> = {
    people: 12,
    pits: [pitOf('offset-heavy', 'splits', 125)],
    meats: [
      { ...meat, id: 'a', pieces: 2 },
      { ...meat, id: 'b', cut: 'pork-shoulder', massKg: 3, pieces: 1 },
      {
        ...meat,
        id: 'c',
        cut: 'sausages',
        massKg: 0.15,
        pieces: 6,
        serveAt: '2027-05-15T14:00',
        wrap: { with: 'none' },
        done: { coreC: 74 },
        rest: { where: 'open', minutes: 5 },
      },
    ],
  };
  const p = quick(asked, 60);
  expect(p.problems).toEqual([]);
  const late = p.ready.map((r) => r.p90);
  expect(late[0]! <= '2027-05-15T17:40' && late[1]! <= '2027-05-15T17:40').toBe(true);
  expect(Date.parse(late[2]!)).toBeLessThanOrEqual(Date.parse('2027-05-15T14:00'));
  expect(Date.parse(p.meatOnAt[1]!)).toBeLessThan(Date.parse(p.meatOnAt[0]!));
  expect(p.scenarios[0]!.meats).toHaveLength(3);
  expect(p.jobs.filter((j) => j.do === 'serve')).toHaveLength(2);
  expect(p.grates[0]!.laid).toHaveLength(9);
});

it('plans for other pits and tables plans two pits for one table, each with its own fire and jobs', () => {
  const meat = request().meats[0];
  const p = quick({
    pits: [pitOf('kettle-57', 'briquette', 121), pitOf('kamado-46', 'lump', 135)],
    meats: [
      { ...meat, id: 'a', pit: 'kettle-57', pieces: 2 },
      { ...meat, id: 'b', pit: 'kamado-46', pieces: 2 },
    ],
  });
  expect(p.fires.map((f) => f.pit)).toEqual(['kettle-57', 'kamado-46']);
  expect(p.scenarios).toHaveLength(2);
  expect(new Set(p.jobs.map((j) => j.pit))).toEqual(new Set(['kettle-57', 'kamado-46', undefined]));
  expect(new Set(p.jobs.map((j) => j.id)).size).toBe(p.jobs.length);
  expect(p.lightAt <= p.meatOnAt[0]! && p.lightAt <= p.meatOnAt[1]!).toBe(true);
});

it('lends what it knows of a fire to another pit of the same kind, and not its name', () => {
  const knownPolicies = new Map();
  const planned = (id: string): Plan =>
    plan(request({ pits: [{ ...request().pits[0], id, name: `the ${id}` }] }), {
      nowMs: NOW,
      members: 2,
      knownPolicies,
    });
  planned('one');
  const two = planned('two');
  expect(knownPolicies.size).toBe(1);
  expect(two.fires.map((f) => f.pit)).toEqual(['two']);
  expect(JSON.stringify(two)).not.toMatch(/\bone\b/);
});

it('plans for other pits and tables costs what its prices say, less what is on the shelf, and shares the watch', () => {
  const p = quick({
    fuelOnHand: [{ fuel: 'briquette', massKg: 1 }],
    prices: [{ fuel: 'briquette', bagKg: 2, each: 7 }],
    crew: ['Pell', 'Anka'],
  });
  const bags = Math.ceil((p.fires[0]!.massKg + p.fires[0]!.reserveKg - 1) / 2);
  expect(p.cost).toBe(7 * bags);
  expect(p.shopping.find((s) => s.kind === 'fuel')).toMatchObject({
    fuel: 'briquette',
    shelfKg: 1,
  });
  expect(p.watch.shifts.map((s) => s.name)).toEqual(['Pell', 'Anka']);
  expect(p.watch.shifts.reduce((n, s) => n + s.visits, 0)).toBe(p.watch.visits);
  expect(quick().cost).toBeNull();
  const { massKg, reserveKg } = p.fires[0]!;
  expect(fuelWorth(p)).toBeCloseTo((7 * (massKg + reserveKg)) / 2, 1);
  expect(fuelWorth(quick())).toBeNull();
});

it('plans for other pits and tables puts salting before the fire and refuses a frozen piece for today', () => {
  const meat = request().meats[0];
  const salted = quick({ meats: [{ ...meat, prepare: 'dry-brine' }] });
  const salt = salted.jobs.find((j) => j.do === 'prepare')!;
  const on = salted.jobs.find((j) => j.id === 'meat-on')!;
  expect(on.atMin - salt.atMin).toBe(14 * 60);
  const frozen = quick({ meats: [{ ...meat, frozen: true }] });
  expect(frozen.problems.map((x) => x.field)).toEqual(['meats[0].frozen']);
  expect(frozen.problems[0]!.facts).toMatchObject({ kind: 'still-frozen', needH: 28 });
});

it('plans for other pits and tables keeps its hours on the night the clocks go forward, and on a leap day', () => {
  for (const serveAt of ['2027-03-28T12:00', '2028-02-29T18:30']) {
    const p = plan(request({ serveAt }), {
      nowMs: epochOf(serveAt, 'UTC') - 2 * 86_400_000,
      members: 4,
    });
    const minutes =
      (epochOf(p.serveAt, 'Europe/Ljubljana') - epochOf(p.lightAt, 'Europe/Ljubljana')) / 60000;
    expect(p.jobs.find((j) => j.id === 'serve')!.atMin).toBeCloseTo(minutes, 0);
    expect(p.problems).toEqual([]);
  }
});

it('a plan is the same where its likely pits are run by others', () => {
  const work = planSteps(request(), { nowMs: NOW, members: 12, handOn: true });
  let handedOn = 0;
  let step = work.next();
  while (!step.done) {
    const jobs = step.value;
    if (typeof jobs === 'number') step = work.next();
    else {
      handedOn += jobs.length;
      // As it goes through a message to a worker and back.
      step = work.next(structuredClone(structuredClone(jobs).map(runLikelyPit)));
    }
  }
  expect(handedOn).toBe(8);
  expect(JSON.stringify(step.value)).toBe(
    JSON.stringify(plan(request(), { nowMs: NOW, members: 12 })),
  );
});

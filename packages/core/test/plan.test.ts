import {
  cutOf,
  epochOf,
  METRIC,
  piecesFor,
  piecesThatFit,
  plan,
  planning,
  presetOf,
  settledC,
  simulate,
  type Plan,
} from '../src';
import { ventLadder, ventWords } from '../src/plan/vents';
import { request } from './scenarios';

const NOW = Date.UTC(2027, 4, 14, 12);
const quick = (part: Parameters<typeof request>[0] = {}): Plan =>
  plan(request(part), { nowMs: NOW, members: 8 });

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
    expect(run.fuel.outAtMin === null || run.fuel.outAtMin > ready).toBe(true);
    expect(run.pitC[ready]!).toBeGreaterThan(100);
  });

  it('speaks of what it counts', () => {
    expect(p.fires[0]!.pieces % 4).toBe(0);
    expect(p.fires[0]!.massKg).toBeCloseTo(p.fires[0]!.pieces * 0.026, 6);
    expect(p.jobs.map((j) => j.id)).toEqual(
      expect.arrayContaining(['lay', 'light', 'hold', 'meat-on', 'wrap', 'off', 'shut', 'serve']),
    );
    expect([...p.jobs].sort((a, b) => a.atMin - b.atMin)).toEqual(p.jobs);
    expect(p.jobs.find((j) => j.id === 'lay')!.detail).toContain(String(p.fires[0]!.pieces));
    expect(p.watch.longestFreeMin).toBeGreaterThan(60);
    expect(METRIC).toEqual({ temperature: 'C', mass: 'kg' });
  });

  it('is the same for the same wish and goes step by step for a worker', () => {
    expect(JSON.stringify(quick())).toBe(JSON.stringify(p));
    const work = planning(request(), { nowMs: NOW, members: 2 });
    const shares: number[] = [];
    let step = work.next();
    for (; !step.done; step = work.next()) shares.push(step.value);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBeCloseTo(1);
    expect(step.value.members).toBe(2);
  });

  it('says it in the units asked for', () => {
    const us = quick({ units: { temperature: 'F', mass: 'lb' } });
    expect(us.vents[0]!.inWords).toMatch(/\d{3} F/);
    expect(us.shopping[0]!.amount).toMatch(/lb/);
    expect(us.vents[0]!.settlesC).toBe(p.vents[0]!.settlesC);
  });

  it('takes longer for a heavier piece, in the cold, and bare', () => {
    const minutes = (q: Plan): number =>
      (epochOf(q.ready[0]!.p50, 'UTC') - epochOf(q.meatOnAt[0]!, 'UTC')) / 60000;
    const meat = request().meats[0]!;
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

describe('a wish that cannot be met', () => {
  it('says so for a time that has passed or is too near', () => {
    expect(quick({ serveAt: '2027-05-14T10:00' }).problems[0]).toMatchObject({ field: 'serveAt' });
    const near = quick({ serveAt: '2027-05-14T16:00' });
    expect(near.problems[0]!.message).toMatch(/should have been lit/);
    expect(near.problems[0]!.instead).toMatch(/Serve at \d\d:\d\d/);
  });

  it('says so when it does not fit the grate, and how many it feeds', () => {
    const crowd = quick({ people: 300 });
    expect(crowd.problems[0]).toMatchObject({ field: 'people' });
    expect(crowd.problems[0]!.instead).toMatch(/feed about \d+/);
    expect(crowd.pieces).toBe(piecesThatFit(presetOf('kettle-57'), cutOf('mutton-shoulder'), 2.5));
  });

  it('says so when the fire cannot get there', () => {
    const pit = request().pits[0]!;
    const hot = quick({ pits: [{ ...pit, pace: { pitC: 195, bandC: 8 } }] });
    expect(hot.problems.map((x) => x.field)).toContain('pits[0].pace.pitC');
    expect(hot.problems.find((x) => x.field.startsWith('pits'))!.message).toMatch(/only \d+ C/);
  });

  it('throws for names outside the catalogues', () => {
    const meat = { ...request().meats[0]!, cut: 'shoe' };
    expect(() => quick({ meats: [meat] })).toThrow(RangeError);
  });
});

describe('amounts and vents', () => {
  it('feeds everybody and never nobody', () => {
    const cut = cutOf('mutton-shoulder');
    for (let people = 1; people < 60; people++) {
      const pieces = piecesFor(people, 220, cut, 2.5);
      expect(pieces).toBeGreaterThanOrEqual(1);
      expect(piecesFor(people + 1, 220, cut, 2.5)).toBeGreaterThanOrEqual(pieces);
    }
  });

  it('orders the ladder from tight to wide and names quarters', () => {
    const ladder = ventLadder(presetOf('kettle-57').pit);
    expect(ladder[0]).toEqual({ intakeFraction: 0.25, exhaustFraction: 0.25 });
    expect(ladder.at(-1)).toEqual({ intakeFraction: 1, exhaustFraction: 1 });
    expect([0, 0.25, 0.5, 0.75, 1].map(ventWords)).toEqual([
      'shut',
      'a quarter open',
      'half open',
      'three quarters open',
      'fully open',
    ]);
  });
});

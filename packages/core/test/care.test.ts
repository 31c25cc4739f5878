/** What is done to a piece by hand: spraying, baring, brushing, turning, and their jobs. */
import {
  actionsOfJobs,
  plan,
  remainingScenario,
  simulate,
  withoutRules,
  type Plan,
  type Request,
  type RequestMeat,
} from '@ostrin/core/internals';
import { held, request } from '@ostrin/testing';
import { NOW, pitWith, wish } from './help/wish';

const jobsOf = (meat: Partial<RequestMeat>, part?: Partial<Request>): Plan['jobs'] =>
  plan(wish(meat, part), { nowMs: NOW, members: 4 }).jobs;

describe('what is done to a piece by its rules', () => {
  const cook = (meat: Parameters<typeof held>[1]) =>
    simulate({ ...held(121, meat), untilMin: 900, everyMin: 1 }).meats[0]!;

  it('sprays it only once its bark is firm, so far apart, and not once it is wrapped', () => {
    const m = cook({
      done: { coreC: 90 },
      spray: { everyMin: 40 },
      wrap: { with: 'paper', when: { coreC: 76 } },
    });
    expect(m.sprayedAtMin.length).toBeGreaterThan(0);
    expect(m.bark[m.sprayedAtMin[0]!]).toBeGreaterThanOrEqual(0.49);
    for (let i = 1; i < m.sprayedAtMin.length; i++) {
      expect(m.sprayedAtMin[i]! - m.sprayedAtMin[i - 1]!).toBeGreaterThanOrEqual(40);
    }
    expect(m.sprayedAtMin.at(-1)!).toBeLessThan(m.wrappedAtMin!);
  });

  it('makes it wait: a sprayed piece is later, and one sprayed twice is sprayed no more', () => {
    const done = { coreC: 90 };
    const [never, dry, twice] = [undefined, { everyMin: 40 }, { everyMin: 60, most: 2 }].map(
      (spray) => cook({ done, spray }),
    );
    expect(dry!.doneAtMin!).toBeGreaterThan(never!.doneAtMin!);
    expect(twice!.sprayedAtMin).toHaveLength(2);
    expect(never!.sprayedAtMin).toEqual([]);
  });

  it('wraps and sprays it by its own clock, whenever it goes on', () => {
    const wrap = { with: 'foil', when: { onForMin: 170 } } as const;
    const m = cook({ done: { coreC: 92 }, wrap, spray: { firstMin: 50, everyMin: 45 } });
    const onMin = m.wrappedAtMin! - 170;
    expect(onMin).toBeGreaterThanOrEqual(0);
    expect(m.sprayedAtMin.map((at) => at - onMin)).toEqual([50, 95, 140]);
  });

  it('bares it and brushes it shortly before it is done', () => {
    const wrap = { with: 'foil', when: { coreC: 72 }, bareLastMin: 25 } as const;
    const m = cook({ done: { coreC: 92 }, wrap, sauce: { lastMin: 15 } });
    expect(m.doneAtMin! - m.baredAtMin!).toBeGreaterThan(10);
    expect(m.doneAtMin! - m.baredAtMin!).toBeLessThanOrEqual(25);
    expect(m.saucedAtMin!).toBeGreaterThan(m.baredAtMin!);
    expect(m.saucedAtMin!).toBeLessThanOrEqual(m.doneAtMin!);
    // Bare again, its bark is firmer than one that stays wrapped.
    const wrapped = cook({ done: { coreC: 92 }, wrap: { ...wrap, bareLastMin: undefined } });
    expect(m.bark[m.doneAtMin!]!).toBeGreaterThan(wrapped.bark[wrapped.doneAtMin!]!);
  });
});

it('comes at the hours that were asked for', () => {
  const jobs = jobsOf({
    wrap: { with: 'foil', when: { onForMin: 200 }, bareLastMin: 40 },
    spray: 'dry-spots',
    sprayTimes: { firstMin: 60, everyMin: 30 },
    sauce: true,
    sauceLastMin: 35,
  });
  const at = (id: string): number => jobs.find((j) => j.id === id)!.atMin;
  expect(at('wrap') - at('meat-on')).toBeCloseTo(200, -1);
  expect(at('spray-1') - at('meat-on')).toBeCloseTo(60, -1);
  expect(at('spray-2') - at('spray-1')).toBe(30);
  expect(at('sauce') - at('bare')).toBe(5);
});

describe('the jobs of it', () => {
  it('stand between meat on and off, each logging what is done', () => {
    const jobs = jobsOf({
      spray: 'twice',
      sauce: true,
      wrap: { with: 'foil', when: { coreC: 80 }, bareLastMin: 25 },
    });
    const at = (id: string): number => jobs.find((j) => j.id === id)!.atMin;
    const order = ['meat-on', 'spray-1', 'wrap', 'bare', 'sauce', 'off'].map(at);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(jobs.find((j) => j.id === 'bare')!.logs).toContainEqual(
      expect.objectContaining({ do: 'unwrap' }),
    );
    const sprays = jobs.filter((j) => j.id.startsWith('spray'));
    expect(sprays).toHaveLength(2);
    // What a look costs is told once.
    const costs = sprays.map((j) => (j.facts.kind === 'spray' ? j.facts.costMin : NaN));
    expect(costs[0]).toBeGreaterThan(0);
    expect(costs[0]).toBeLessThan(30);
    expect(costs[1]).toBeNull();
    // A forecast leaves them to the rules of the piece, which go on after it was wrapped by hand.
    const asDone = jobs.map((j) => ({ ...j, inWords: '', detail: '', checklist: undefined }));
    expect(actionsOfJobs(asDone).some((a) => ['spritz', 'sauce', 'unwrap'].includes(a.do))).toBe(
      false,
    );
    const scenario = {
      ...held(121, { wrap: { with: 'foil', when: { coreC: 72 }, bareLastMin: 25 } }),
    };
    const rest = remainingScenario({
      scenario,
      done: [{ atMin: 200, do: 'wrap', meat: scenario.meats[0]!.id, with: 'foil' }],
      ahead: [],
      nowMin: 210,
    });
    expect(rest.meats[0]!.wrap).toEqual({ with: 'foil', bareLastMin: 25 });
  });
});

describe('the jobs at its fire and its grate', () => {
  it('leave a bare piece alone where nobody sprays, and say when its bark is firm', () => {
    const jobs = jobsOf({ wrap: { with: 'none' } });
    expect(jobs.some((j) => ['spritz', 'sauce', 'unwrap'].includes(j.do))).toBe(false);
    const on = jobs.find((j) => j.id === 'meat-on')!.facts;
    expect(on.kind === 'meat-on' && on.barkMin).toBeGreaterThan(60);
  });

  it('put smoke wood on again while the meat lies bare, not on a fire that brings its own', () => {
    const again = (part: Partial<Request>, meat: Partial<RequestMeat> = {}) => {
      const figures = plan(wish(meat, part), { nowMs: NOW, members: 1 });
      const jobs = figures.jobs.filter((j) => j.facts.kind === 'smoke-again');
      // What goes on later is bought with the rest.
      expect(figures.fires[0]!.moreChunks ?? 0).toBe(jobs.length);
      return { jobs, wrap: figures.jobs.find((j) => j.id === 'wrap')?.atMin ?? Infinity };
    };
    const { jobs, wrap } = again({ pits: pitWith('bullet-47', 121) });
    expect(jobs.length).toBeGreaterThan(0);
    for (const j of jobs) expect(j.atMin).toBeLessThan(wrap);
    const splits = [{ ...pitWith('offset-heavy', 121)[0]!, fire: { fuel: 'splits' as const } }];
    expect(again({ pits: splits }).jobs).toEqual([]);
    // Nobody gets up at night for a chunk.
    const early = { pits: pitWith('bullet-47', 121), serveAt: '2027-05-15T09:00' };
    const night = plan(wish({}, early), { nowMs: NOW, members: 1 }).jobs;
    for (const j of night.filter((x) => x.facts.kind === 'smoke-again')) {
      const hour = Number(j.at.slice(11, 13));
      expect(hour >= 6 && hour < 22).toBe(true);
    }
    expect(night.filter((j) => j.facts.kind === 'smoke-again').length).toBeLessThan(jobs.length);
  });

  it('say what the dial in the lid should read, where that is all there is to read', () => {
    const hold = (gauge?: 'lid-dial') =>
      plan(wish({}, { pits: [{ ...pitWith('bullet-47', 121)[0]!, gauge }] }), {
        nowMs: NOW,
        members: 1,
      }).jobs.find((j) => j.id === 'hold')!.facts;
    const [told, plain] = [hold('lid-dial'), hold()];
    if (told.kind !== 'hold' || plain.kind !== 'hold') throw new Error(told.kind);
    expect(plain.gauge).toBeNull();
    expect(Math.abs(told.gauge!.lidOverK)).toBeGreaterThan(1);
    expect(Math.abs(told.gauge!.lidOverK)).toBeLessThan(40);
  });

  it('let uneven pieces change places, the slowest nearer to the fire', () => {
    const usual = request();
    const meats = [2, 3.6].map((massKg, i) => ({
      ...usual.meats[0],
      id: `m${i}`,
      massKg,
      pieces: 1,
    }));
    const kettle = [
      { ...usual.pits[0], fire: { fuel: 'briquette', arrangement: 'side-basket' } },
    ] as const;
    const even = [2, 2].map((massKg, i) => ({
      ...usual.meats[0],
      id: `m${i}`,
      massKg,
      pieces: 1,
    }));
    const swap = (list: RequestMeat[]) =>
      plan({ ...usual, pits: [...kettle], meats: list }, { nowMs: NOW, members: 1 }).jobs.find(
        (j) => j.id === 'swap',
      )?.facts;
    const facts = swap(meats);
    expect(facts).toMatchObject({
      kind: 'swap-pieces',
      slowest: { number: 2 },
      quickest: { number: 1 },
    });
    expect(swap(even)).toBeUndefined();
  });
});

describe('the jobs of turning', () => {
  it('turn the grate as a snake walks round, and swap ends only on a pit whose ends differ', () => {
    expect(jobsOf({}).filter((j) => j.facts.kind === 'turn-grate').length).toBeGreaterThan(0);
    const turnsOf = (preset: string, pieces: number) =>
      jobsOf(
        { pieces },
        { pits: [{ ...pitWith(preset, 121)[0]!, fire: { fuel: 'splits' } }] },
      ).filter((j) => j.do === 'turn');
    const [swap] = turnsOf('offset-light', 2);
    expect(swap).toMatchObject({ id: 'swap', facts: { kind: 'swap-ends' } });
    expect(swap!.facts.kind === 'swap-ends' && swap!.facts.hotterK).toBeGreaterThanOrEqual(8);
    // A lone piece was laid with its thick end to the fire, for that heat.
    expect(turnsOf('offset-light', 1)).toEqual([]);
    expect(turnsOf('kamado-46', 2)).toEqual([]);
  });
});

describe('a second pace', () => {
  const paced = (
    preset: string,
    fuel: 'splits' | 'lump' | 'briquette',
    then: Request['pits'][number]['pace']['then'],
    pitC = 135,
  ) =>
    plan(
      wish(
        { wrap: { with: 'none' } },
        {
          pits: [
            {
              ...pitWith(preset, pitC)[0]!,
              fire: { fuel },
              pace: { pitC, bandC: 8, then },
            },
          ],
        },
      ),
      { nowMs: NOW, members: 4 },
    );
  const settled = (c: (number | null)[], from: number): number => {
    const part = c.slice(from, from + 24).filter((v) => v !== null);
    return part.reduce((a, b) => a + b, 0) / part.length;
  };

  it.each(['kettle-57', 'kamado-46'])('is held from when the bark is firm on (%s)', (preset) => {
    const made = paced(preset, 'lump', { pitC: 115, when: { barkFirm: true } });
    const job = made.jobs.find((j) => j.id === 'second-pace')!;
    expect(job.logs.at(-1)).toEqual({ do: 'set-target', targetC: 115 });
    const at = (min: number): number => Math.round(min / made.expected.everyMin);
    expect(settled(made.expected.pitC, at(job.atMin) - 30)).toBeGreaterThan(127);
    expect(settled(made.expected.pitC, at(job.atMin + 90))).toBeLessThan(123);
    // The plan's scenario goes the same way without anybody's doing, and a tended one by its log alone.
    const scenario = made.scenarios[0]!;
    const alone = simulate({ ...scenario, everyMin: 5 });
    expect(alone.happened.some((a) => a.do === 'set-target')).toBe(true);
    const rest = remainingScenario({
      scenario,
      done: [{ atMin: 200, do: 'set-target', targetC: 115 }],
      ahead: [],
      nowMin: 210,
    });
    expect(rest.control).not.toMatchObject({ then: expect.anything() as unknown });
  });

  it('makes a piece that is finished hot ready sooner', () => {
    const hot = paced('kettle-57', 'briquette', { pitC: 180, when: { coreC: 70 } }, 121);
    const slow = paced('kettle-57', 'briquette', undefined, 121);
    const took = (p: Plan): number =>
      p.jobs.find((j) => j.id === 'off')!.atMin - p.jobs.find((j) => j.id === 'meat-on')!.atMin;
    expect(took(hot)).toBeLessThan(took(slow) - 15);
  });
});

it('a shared watch ends after the shutdown, and each job at the pit has a name', () => {
  const made = plan(wish({}, { crew: ['Anka', 'Bor'] }), { nowMs: NOW, members: 1 });
  const shut = made.jobs.find((j) => j.id === 'shut')!;
  expect(made.watch.shifts.at(-1)!.to >= shut.at).toBe(true);
  expect(shut.by).toBe('Bor');
  expect(made.jobs.find((j) => j.id === 'lay')!.by).toBe('Anka');
  expect(made.jobs.find((j) => j.do === 'serve')!.by).toBeUndefined();
});

it('is left to the log while somebody tends: nothing is sprayed in the past, nor a pace changed by itself', () => {
  const meat = { spray: { everyMin: 40 }, done: { coreC: 90 } } as const;
  const scenario = { ...held(121, meat), untilMin: 600 };
  const rest = remainingScenario({ scenario, done: scenario.actions, ahead: [], nowMin: 300 });
  const [first, ...more] = simulate(rest).meats[0]!.sprayedAtMin;
  expect(first).toBeGreaterThanOrEqual(300);
  expect(more.length).toBeGreaterThan(0);
  const control = {
    mode: 'fan',
    targetC: 121,
    then: { targetC: 100, when: { barkFirm: true } },
  } as const;
  const alone = withoutRules({ ...scenario, control });
  expect(simulate({ ...alone, control: scenario.control }).meats[0]!.sprayedAtMin).toEqual([]);
  expect(alone.control).toEqual({ mode: 'fan', targetC: 121 });
});

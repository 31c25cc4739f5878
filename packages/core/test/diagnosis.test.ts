import fc from 'fast-check';
import {
  planOnePit,
  diagnose,
  type Entry,
  firstMove,
  foldLog,
  fuelUse,
  heldNow,
  type LogLine,
  type PitPlan,
  presetOf,
  PRESETS,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;
const act = (id: string, min: number, action: object, jobId?: string): Entry =>
  ({ id, at: T0 + min * MIN, kind: 'act', action, ...(jobId ? { jobId } : {}) }) as Entry;

const LIT = act('lit', 0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light');
const made = planOnePit(request(), { nowMs: T0, members: 1 });
const at = T0 + 320 * MIN;
const series = (endC: number, perMin: number, count = 640) =>
  Array.from({ length: count }, (_, i) => ({
    at: at - (count - 1 - i) * 30_000,
    pitC: i > count - 40 ? endC - (perMin * (count - 1 - i)) / 2 : 121,
  }));
const vented = foldLog([
  LIT,
  act('v', 20, { do: 'set-vents', intakeFraction: 0.125, exhaustFraction: 0.25 }),
]).lines;
const of = (
  readings: ReturnType<typeof series>,
  lines = vented,
  fuelLeftFraction: number | null = 0.5,
  on = made,
) => diagnose({ plan: on, readings, lines, nowMs: at, litMs: T0, fuelLeftFraction });

it('the diagnosis knows steady from climbing and falling, and says how much', () => {
  expect(of(series(121, 0))).toMatchObject({
    trend: 'steady',
    place: 'in',
    cause: { code: 'on-target' },
  });
  expect(of(series(122, 0.5))).toMatchObject({ trend: 'rising' });
  expect(of(series(125, -0.6)).changeK).toBeCloseTo(-6, 0);
});

it('a pit that stays at the edge of its band is said to, one that goes back or is nearer is not', () => {
  const code = (...asked: Parameters<typeof of>) => of(...asked).cause.code;
  expect(code(series(115, 0))).toBe('low-in-band');
  expect(code(series(127, 0.05))).toBe('high-in-band');
  expect(code(series(127, -0.2))).toBe('on-target');
  expect(code(series(117, 0))).toBe('on-target');
  expect(code(series(110, 0))).toBe('too-little-air');
});

it('the diagnosis names fuel, lid, meat and vents as causes before advising the vents', () => {
  const after = (what: object) => [...vented, ...foldLog([act('z', 312, what)]).lines];
  const code = (...asked: Parameters<typeof of>) => of(...asked).cause.code;
  expect(code(series(118, -0.6), vented, 0.02)).toBe('fuel-nearly-gone');
  expect(code(series(108, -0.6), after({ do: 'lid-open', seconds: 60 }))).toBe('lid-was-open');
  expect(code(series(108, -0.6), after({ do: 'meat-on', meat: 'a' }))).toBe('cold-meat');
  const moved = after({ do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 0.5 });
  expect(code(series(140, 0), moved)).toBe('vents-just-moved');
  expect(code(series(105, -0.6))).toBe('fuel-or-wind');
});

/** The first move for a pit that is high (1) or low (-1) by its band, from where its vents stand. */
const moveFrom = (
  plan: Pick<PitPlan, 'request' | 'guides'>,
  lines: readonly LogLine[],
  sign: 1 | -1,
) => firstMove(heldNow(plan, lines, at), sign * plan.request.pits[0].pace.bandC);

it('the first move is from where the vents stand, to where their owner can tell it', () => {
  const [high, low] = ([1, -1] as const).map((sign) => moveFrom(made, vented, sign));
  if (high?.do !== 'set-vents' || low?.do !== 'set-vents') throw new Error(high?.do);
  expect(high.intake).toBeLessThan(0.125);
  expect(high.intake).toBeGreaterThan(0);
  expect(low.intake).toBeGreaterThan(0.125);
  expect(low.intake).toBeLessThan(0.5);
});

it('the diagnosis goes by a dial that is read now and then, and by nothing where nobody reads', () => {
  const seldom = (list: [number, number][]) =>
    list.map(([ago, pitC]) => ({ at: at - ago * MIN, pitC }));
  const falling = seldom([
    [95, 122],
    [65, 121],
    [35, 112],
    [5, 103],
  ]);
  expect(of(falling)).toMatchObject({ trend: 'falling', place: 'below' });
  expect(of(falling).changeK).toBeCloseTo(-3, 0);
  expect(
    of(
      seldom([
        [65, 121],
        [35, 120],
        [5, 121],
      ]),
    ),
  ).toMatchObject({
    trend: 'steady',
    cause: { code: 'on-target' },
  });
  expect(
    of(
      seldom([
        [200, 121],
        [100, 121],
      ]),
    ).cause.code,
  ).toBe('no-reading');
});

it('the diagnosis says that a fire is out, and never before it had time to catch', () => {
  const cold = series(14, 0).map((r) => ({ ...r, pitC: r.at > at - 60 * MIN ? 14 : 121 }));
  expect(of(cold).cause.code).toBe('fire-out');
  const young = diagnose({
    plan: made,
    readings: [{ at: at - MIN, pitC: 14 }],
    lines: vented,
    nowMs: at,
    litMs: at - 20 * MIN,
    fuelLeftFraction: null,
  });
  expect(young.cause.code).toBe('coming-up');
});

it('the move for a pit that is high never opens a vent, and for one that is low never shuts one', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.02, max: 1, noNaN: true }),
      fc.double({ min: 0.1, max: 1, noNaN: true }),
      fc.constantFrom(...Object.keys(PRESETS)),
      (intakeFraction, exhaustFraction, preset) => {
        const pit = { ...made.request.pits[0], cooker: { preset, overrides: {} } };
        const { fuel } = presetOf(preset).fire;
        const on: typeof made = {
          ...made,
          guides: [],
          request: { ...made.request, pits: [{ ...pit, fire: { fuel } }] },
        };
        const set = foldLog([
          LIT,
          act('v', 20, { do: 'set-vents', intakeFraction, exhaustFraction }),
        ]).lines;
        for (const sign of [1, -1] as const) {
          const move = moveFrom(on, set, sign);
          if (move.do !== 'set-vents') continue;
          expect(sign * (move.intake - intakeFraction)).toBeLessThan(0);
          expect(sign * (move.exhaust - exhaustFraction)).toBeLessThanOrEqual(1e-9);
        }
      },
    ),
    { numRuns: 60 },
  );
});

it('the diagnosis says the same all along the edge of the band', () => {
  const edge = Array.from({ length: 640 }, (_, i) => ({
    at: T0 + i * 30_000,
    pitC: i < 60 ? 40 + 1.5 * i : i < 300 ? 121 : 129 + (i % 2 === 0 ? 0.8 : -0.8),
  }));
  const said = new Set<string>();
  for (let i = 400; i < 640; i++) {
    const nowMs = edge[i]!.at;
    const readings = edge.slice(0, i + 1);
    const all = { plan: made, readings, lines: vented, nowMs, litMs: T0, fuelLeftFraction: 0.5 };
    said.add(diagnose(all).cause.code);
  }
  expect([...said]).toHaveLength(1);
});

it('the diagnosis comes up until the band was reached, and not for ever', () => {
  const coming = (minutes: number, toC: number) => {
    const readings = Array.from({ length: 2 * minutes }, (_, i) => ({
      at: T0 + i * 30_000,
      pitC: Math.min(toC, 20 + 2 * i),
    }));
    const nowMs = T0 + minutes * MIN;
    const lines = foldLog([LIT]).lines;
    const input = { plan: made, readings, lines, nowMs, litMs: T0, fuelLeftFraction: 1 };
    return diagnose(input).trend;
  };
  expect(coming(20, 121)).toBe('coming-up');
  expect(coming(120, 121)).toBe('steady');
  expect(coming(200, 95)).toBe('steady');
});

it('the first move on splits is another split and a damper, under a fan a look for its leaks', () => {
  const on = (preset: string, fuel: 'splits' | 'briquette') => {
    const pit = { ...request().pits[0], cooker: { preset, overrides: {} }, fire: { fuel } };
    return { request: request({ pits: [pit] }), guides: [] };
  };
  const lit = foldLog([LIT]).lines;
  expect(moveFrom(on('offset-heavy', 'splits'), lit, 1)).toEqual({
    do: 'other-splits',
    lighter: true,
    exhaust: 0.5,
  });
  expect(moveFrom(on('hopper-fan', 'briquette'), lit, 1)).toMatchObject({ do: 'look-at-fan' });
});

it('the diagnosis waits with advice until there is a fire and a reading', () => {
  const none = { plan: made, lines: [], nowMs: at, litMs: null, fuelLeftFraction: null };
  expect(diagnose({ ...none, readings: [] })).toMatchObject({
    trend: 'unlit',
    changeK: null,
    cause: { code: 'not-lit' },
  });
});

describe('the fuel of a cook', () => {
  const pit = {
    ...request().pits[0],
    cooker: { preset: 'offset-light', overrides: {} },
    fire: { fuel: 'splits', species: 'oak' } as const,
  };
  const made = planOnePit(request({ pits: [pit] }), { nowMs: T0, members: 1 });
  const split = { do: 'add-fuel', fuel: 'splits', pieces: 1, massKg: 0.5, lit: false };
  const fed = Array.from({ length: 12 }, (_, i) => act(`s${i}`, 25 + 30 * i, split));
  const end: Entry = { id: 'end', at: T0 + 400 * MIN, kind: 'finish' };
  const shut = act('shut', 395, { do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 });

  it('counts wood and charcoal that were burnt, and what is left', () => {
    const use = fuelUse(made, foldLog([LIT, ...fed, end]), T0 + 500 * MIN)!;
    expect(use.woodGivenKg).toBeGreaterThan(0.7 * 12 * 0.5);
    expect(use.woodBurntKg).toBeGreaterThan(0.8 * use.woodGivenKg);
    expect(use.woodBurntKg).toBeLessThanOrEqual(use.woodGivenKg);
    expect(use.charcoalGivenKg).toBeCloseTo(made.fires[0].massKg, 1);
    expect(use.charcoalBurntKg).toBeGreaterThan(0);
    expect(use.saved).toBe(false);
  });

  it('saves what is left where both vents were shut, and burns more when they are not', () => {
    const open = fuelUse(made, foldLog([LIT, ...fed, end]), T0 + 400 * MIN)!;
    const saved = fuelUse(made, foldLog([LIT, ...fed, shut, end]), T0 + 400 * MIN)!;
    expect(saved.saved).toBe(true);
    expect(saved.unburntKg).toBeGreaterThan(0);
    expect(open.saved).toBe(false);
    expect(fuelUse(made, foldLog([]), T0)).toBeNull();
  });
});

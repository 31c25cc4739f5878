/** The rule for the hand: its notches on the owner's own scales, its looks, and what it does to a pit. */
import fc from 'fast-check';
import {
  advance,
  createCook,
  createHandOperator,
  designFire,
  initialPolicy,
  mean,
  MILD_DAY,
  plannedScenario,
  simulate,
  tunePolicy,
  notchAtLook,
  notchCount,
  notchFor,
  plan,
  PRESETS,
  presetOf,
  settable,
  toldVents,
  usualRule,
  VENT_NOTATIONS,
  type HandRule,
  type PitSetup,
} from '@ostrin/core/internals';
import { onePit } from '@ostrin/core';
import { pit, request } from '@ostrin/testing';

const HELD_BY_HAND = Object.keys(PRESETS).filter((id) => !presetOf(id).hasFan);

const setupOf = (preset: string, pitC: number, ventWay?: (typeof VENT_NOTATIONS)[number]) =>
  designFire({
    id: 'p',
    cooker: { preset, overrides: {} },
    fire: { fuel: presetOf(preset).traits.sideFirebox ? 'splits' : 'briquette' },
    pace: { pitC, bandC: 8 },
    ...(ventWay ? { ventWay } : {}),
  });

/** The rule of a setup where a move of its vents is worth so much, K. */
const ruleOf = (setup: PitSetup, kelvinPerEFold?: number): HandRule =>
  usualRule(setup, { ...initialPolicy(setup), ...(kelvinPerEFold ? { kelvinPerEFold } : {}) })!;

describe('the notches of a rule', () => {
  it('differ on the owner’s own scales, open from one to the next, and begin where the pit is held', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...HELD_BY_HAND),
        fc.constantFrom(...VENT_NOTATIONS),
        fc.integer({ min: 100, max: 165 }),
        fc.integer({ min: 12, max: 150 }),
        (preset, way, pitC, kelvinPerEFold) => {
          const setup = setupOf(preset, pitC, way);
          const { notches, start } = ruleOf(setup, kelvinPerEFold);
          if (notches.by === 'splits') {
            expect(notches.splitsKg).toEqual([...new Set(notches.splitsKg)].sort((a, b) => a - b));
            expect(notches.splitsKg[start]).toBeCloseTo(initialPolicy(setup).feed!.kg, 1);
            return;
          }
          const { settings } = notches;
          expect(new Set(settings.map((s) => toldVents(setup, s))).size).toBe(settings.length);
          settings.slice(1).forEach((wider, i) => {
            expect(wider.intake).toBeGreaterThanOrEqual(settings[i]!.intake);
            expect(wider.exhaust).toBeGreaterThanOrEqual(settings[i]!.exhaust);
          });
          expect(settings[start]).toEqual(settable(setup, initialPolicy(setup).hold));
          for (const s of settings) expect(settable(setup, s)).toEqual(s);
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('a look', () => {
  const rules = HELD_BY_HAND.map((id) => ruleOf(setupOf(id, 121)));

  it('never opens what reads high, never closes what reads low, and leaves what comes back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...rules),
        fc.double({ min: 60, max: 200, noNaN: true }),
        fc.double({ min: 60, max: 200, noNaN: true }),
        fc.nat(30),
        (rule, lastC, pitC, at) => {
          const notch = at % notchCount(rule);
          const first = notchAtLook(rule, { notch, lastC: null }, pitC, 121);
          expect(first).toBeGreaterThanOrEqual(0);
          expect(first).toBeLessThan(notchCount(rule));
          // What a pit reads that is held right: a fire on splits is lower just before one.
          const rightC = 121 + (rule.overK - rule.underK) / 2;
          if (pitC > rightC) expect(first).toBeLessThanOrEqual(notch);
          if (pitC < rightC) expect(first).toBeGreaterThanOrEqual(notch);
          if (pitC > 121 - rule.underK && pitC < 121 + rule.overK) expect(first).toBe(notch);
          const back = Math.abs(lastC - rightC) - Math.abs(pitC - rightC);
          if (back >= rule.backK)
            expect(notchAtLook(rule, { notch, lastC }, pitC, 121)).toBe(notch);
        },
      ),
    );
  });

  it('of a hotter pace begins further open, of a cooler one further shut, and never beyond the ends', () => {
    for (const rule of rules) {
      expect(notchFor(rule, 0)).toBe(rule.start);
      expect(notchFor(rule, 3 * rule.notchK)).toBeGreaterThanOrEqual(rule.start);
      expect(notchFor(rule, -3 * rule.notchK)).toBeLessThanOrEqual(rule.start);
      expect(notchFor(rule, 900)).toBe(notchCount(rule) - 1);
      expect(notchFor(rule, -900)).toBe(0);
    }
  });
});

describe('a pit that is left alone', () => {
  it('keeps longer where it is slow, and no longer than what is laid lasts', () => {
    const aloneMin = (preset: string, fuel: 'briquette' | 'lump'): number => {
      const [usual] = request().pits;
      const pits = [{ ...usual, cooker: { preset, overrides: {} }, fire: { fuel } }];
      const made = plan(request({ pits }), { nowMs: Date.UTC(2027, 4, 12), members: 4 });
      const min = made.rules![0]!.aloneMin!;
      expect(min + 210).toBeLessThan(made.fires[0]!.lastsMin);
      return min;
    };
    const [kettle, kamado] = [aloneMin('kettle-57', 'briquette'), aloneMin('kamado-46', 'lump')];
    expect(kettle).toBeGreaterThanOrEqual(60);
    expect(kamado).toBeGreaterThanOrEqual(kettle);
  });
});

describe('a hand that goes by it', () => {
  it('is not misled by a fire on splits that is lowest just before each: it holds it about its target', () => {
    const setup = designFire({
      id: 'p',
      cooker: { preset: 'offset-heavy', overrides: {} },
      fire: { fuel: 'splits', everyMin: 45 },
      pace: { pitC: 121, bandC: 8 },
    });
    const work = tunePolicy(setup, MILD_DAY, { meats: [], onMin: [] });
    let step = work.next();
    while (!step.done) step = work.next();
    const { rule, policy } = step.value;
    expect(rule!.overK + rule!.underK).toBeGreaterThan(0);
    // The middle of its bounds is what the pit reads then, not its target.
    expect((rule!.overK - rule!.underK) / 2).toBeLessThan(-4);
    const scenario = plannedScenario(setup, MILD_DAY, { meats: [], onMin: [] }, 600);
    const operator = createHandOperator(scenario, 121, policy, rule!);
    const { minutes, pitC } = simulate({ ...scenario, everyMin: 1 }, { operator });
    const held = pitC.filter((c, i): c is number => c !== null && minutes[i]! > 120);
    expect(Math.abs(mean(held) - 121)).toBeLessThan(4);
  });

  it('brings a pit back that was set far too wide, by one notch at a look', () => {
    const usual = pit('kettle-57', [], { untilMin: 300 });
    const setup = setupOf('kettle-57', 121);
    const rule = ruleOf(setup);
    const wide = { ...rule, start: Math.min(rule.start + 3, notchCount(rule) - 1) };
    const held = (by: HandRule): { offK: number; moves: number[] } => {
      const operator = createHandOperator(usual, 121, initialPolicy(setup), by);
      const cook = advance(createCook(usual, { operator }), 300);
      const moves = cook.happened.flatMap((a) => (a.do === 'set-vents' ? [a.atMin] : []));
      return { offK: Math.abs(cook.pit!.probeK - 273.15 - 121), moves };
    };
    const never = held({ ...wide, overK: 999, underK: 999 });
    const byRule = held(wide);
    expect(byRule.offK).toBeLessThan(never.offK / 2);
    const gaps = byRule.moves.slice(2).map((m, i) => m - byRule.moves[i + 1]!);
    for (const gap of gaps) expect(gap).toBeGreaterThanOrEqual(rule.everyMin);
  });

  it('stands in the plan of each pit that no fan holds, with its looks until the last piece is off', () => {
    const made = plan(request(), { nowMs: 0, members: 1 });
    const [rule] = made.rules!;
    expect(made.rules).toHaveLength(made.fires.length);
    expect(rule!.looks.toMin).toBeGreaterThan(rule!.looks.fromMin);
    expect(onePit(made, rule!.pit).rules).toEqual([rule]);
    const hold = made.jobs.find((j) => j.facts.kind === 'hold')!;
    const [first] = made.vents;
    expect(hold.facts).toMatchObject({
      intake: first!.intakeFraction,
      exhaust: first!.exhaustFraction,
    });
    if (rule!.notches.by !== 'vents') throw new Error('held by its vents');
    const { settings } = rule!.notches;
    expect(first!.moves).toEqual({
      high: { do: 'set-vents', ...settings[rule!.start - 1] },
      low: { do: 'set-vents', ...settings[rule!.start + 1] },
    });
  });
});

/** Hands beside a fan, and the first move of a vent as it is given. */
import {
  createSimulatedOperator,
  designFire,
  epochOf,
  firstMove,
  type HeapFire,
  initialPolicy,
  plan,
  presetOf,
  PRESETS,
  type Scenario,
  simulate,
  usualFire,
  ventMark,
  type Weather,
} from '@ostrin/core/internals';
import { pit, request } from '@ostrin/testing';

/** A hopper that is filled for an hour or two only, under its fan. */
function shortFill(): Scenario {
  const usual = pit('hopper-fan', [], { control: { mode: 'fan', targetC: 121 }, untilMin: 420 });
  const fire: HeapFire = { ...(usual.fire as HeapFire), fuel: 'briquette', massKg: 1.2 };
  return { ...usual, fire };
}

describe('somebody beside a fan', () => {
  it('fills the hopper before it is empty, and leaves the air to the fan', () => {
    const scenario = shortFill();
    const alone = simulate(scenario);
    const helped = simulate(scenario, { operator: createSimulatedOperator(scenario, 121) });
    expect(alone.fuel.outAtMin).not.toBeNull();
    expect(helped.fuel.outAtMin).toBeNull();
    const did = new Set(helped.happened.map((h) => h.do));
    expect(did.has('add-fuel')).toBe(true);
    expect(did.has('set-vents')).toBe(false);
    expect(did.has('lid-open')).toBe(false);
    const late = helped.pitC.slice(240).filter((c): c is number => c !== null);
    expect(Math.max(...late.map((c) => Math.abs(c - 121)))).toBeLessThan(8);
  });

  it('does nothing to a full hopper', () => {
    const scenario = pit('hopper-fan', [], { control: { mode: 'fan', targetC: 121 } });
    const hand = createSimulatedOperator(scenario, 121);
    expect(
      simulate(scenario, { operator: hand }).happened.filter((h) => h.do === 'add-fuel'),
    ).toEqual([]);
  });
});

describe('somebody beside a basket', () => {
  it.each([2, 6, 9])(
    'tops it up while its coals still carry it: ten hours at 135 °C in a wind of %d m/s, and hardly ever cold',
    (windMps) => {
      const usual = pit('kettle-57', [], { untilMin: 690 });
      const scenario: Scenario = {
        ...usual,
        fire: usualFire(presetOf('kettle-57'), 'side-basket'),
        weather: { ...(usual.weather as Weather), windMps },
      };
      const { pitC, happened } = simulate(scenario, {
        operator: createSimulatedOperator(scenario, 135),
      });
      const settled = pitC.slice(90).filter((c): c is number => c !== null);
      const cold = settled.filter((c) => c < 120).length / settled.length;
      expect(cold).toBeLessThan(0.1);
      const feeds = happened.filter((h) => h.do === 'add-fuel');
      expect(feeds.length).toBeGreaterThan(3);
      expect(feeds.length).toBeLessThan(15);
    },
  );
});

describe('the first move', () => {
  const asked = (preset: string, pitC: number) =>
    designFire({
      id: 'p',
      cooker: { preset, overrides: {} },
      fire: { fuel: presetOf(preset).fire.fuel },
      pace: { pitC, bandC: 8 },
    });

  it.each(Object.keys(PRESETS).filter((id) => !presetOf(id).hasFan))(
    'is another setting than the one that %s is held by, and another up than down',
    (id) => {
      for (const pitC of [107, 121, 150]) {
        const setup = asked(id, pitC);
        const scale = { way: setup.preset.ventNotation };
        // A move that is worth so much that a rung of it would hardly be told.
        for (const kelvinPerEFold of [15, 60, 150]) {
          const policy = { ...initialPolicy(setup), kelvinPerEFold };
          const marks = ({ intake, exhaust }: { intake: number; exhaust: number }): number[] => [
            ventMark(intake, scale, setup.preset.travelMm.intake),
            ventMark(exhaust, scale, setup.preset.travelMm.exhaust),
          ];
          const moves = [8, -8].map((offK) => firstMove({ setup, policy }, offK));
          const told = [policy.hold, ...moves.flatMap((m) => (m.do === 'set-vents' ? [m] : []))];
          const distinct = new Set(told.map((v) => marks(v).join()));
          expect(distinct.size).toBe(told.length);
          for (const m of moves) if (setup.onSplits) expect(m.do).toBe('other-splits');
        }
      }
    },
  );

  it('stands in the plan for both ways that it can be off', () => {
    const made = plan(request(), { nowMs: epochOf('2027-05-13T09:00', 'UTC'), members: 8 });
    const first = made.vents[0]!;
    expect(first.moves).toMatchObject({ high: { do: 'set-vents' }, low: { do: 'set-vents' } });
  });
});

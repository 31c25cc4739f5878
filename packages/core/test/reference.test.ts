import {
  applyAction,
  advance,
  createCook,
  feedActions,
  simulate,
  type Scenario,
} from '@ostrin/core/internals';
import { kettle, pit, vents } from '@ostrin/testing';
import { referencePitC } from './help/reference';

/** Whole minutes that count as within two minutes of an opening or a new split. */
const NEAR_MIN = 2;
const UNTIL = { untilMin: 480 };

const CASES: Record<string, Scenario> = {
  'kettle with a chunk and a lid opening': kettle({
    actions: [vents(0, 1, 1), vents(20, 0.25, 0.5), { atMin: 150, do: 'lid-open', seconds: 90 }],
    ...UNTIL,
  }),
  'water smoker running dry': pit('bullet-47', [vents(0, 1, 1), vents(30, 0.25, 1)], UNTIL),
  'ceramic kamado': pit('kamado-46', [vents(0, 0.4, 0.6), vents(55, 0.113, 0.28)], UNTIL),
  'heavy offset on splits': pit(
    'offset-heavy',
    [vents(0, 1, 1), ...feedActions({ massKg: 1.25, intervalMin: 50 }, 480)],
    UNTIL,
  ),
  'light offset on splits': pit(
    'offset-light',
    [vents(0, 1, 1), ...feedActions({ massKg: 0.5, intervalMin: 30 }, 480)],
    UNTIL,
  ),
  'hopper under its fan': pit('hopper-fan', [], {
    ...UNTIL,
    control: { mode: 'fan', targetC: 121 },
  }),
};

describe('the stepper against a solver of high accuracy', () => {
  it.each(Object.entries(CASES))(
    '%s',
    (_, scenario) => {
      const exact = referencePitC(scenario);
      const ours = simulate(scenario).pitC;
      const events = scenario.actions
        .filter((a) => a.do === 'lid-open' || a.do === 'add-fuel')
        .map((a) => a.atMin + (a.do === 'lid-open' ? a.seconds / 60 : 0));
      let outside = 0;
      let inside = 0;
      ours.forEach((c, i) => {
        const off = Math.abs(c! - exact[i]!);
        if (events.some((e) => i >= e - 2 && i <= e + NEAR_MIN)) inside = Math.max(inside, off);
        else outside = Math.max(outside, off);
      });
      expect(outside).toBeLessThan(1.5);
      expect(inside).toBeLessThan(5);
    },
    60_000,
  );

  it('takes bounded steps', () => {
    const cook = createCook(CASES['heavy offset on splits']!);
    for (let m = 1; m <= 120; m++) {
      advance(cook, m);
      expect(cook.stepS).toBeLessThanOrEqual(60);
      expect(cook.stepS).toBeGreaterThan(0);
    }
    applyAction(cook, { atMin: 120, do: 'rake' });
    expect(cook.stepS).toBeLessThanOrEqual(2);
  });
});

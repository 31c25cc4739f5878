/** When meat can go on: the pit has settled and smokes clean. */
import type { ControlPolicy } from '../../control/controlPolicy';
import type { Scenario } from '../../scenario/scenario';
import type { PitSetup } from '../fire/designFire';
import { plannedScenario, simulatePolicy } from '../fire/policyTrial';

/** Meat goes on when the pit has stood this long after closing down and its smoke is not white, min. */
const SETTLE_MIN = 15;
const EARLIEST_ON_MIN = 30;
const LATEST_ON_MIN = 90;
/** When the meat usually goes on, before it has been looked at closely: half an hour after the vents are closed. */
export const usualMeatOnMin = (setup: PitSetup): number => setup.preset.bringUp.minutes + 25;

/** The first five minutes at which the pit has settled and smokes clean. */
export function cleanSmokeMin(
  setup: PitSetup,
  weather: Scenario['weather'],
  policy: ControlPolicy,
): number {
  const run = simulatePolicy(
    setup,
    plannedScenario(setup, weather, { meats: [], onMin: [] }, LATEST_ON_MIN + 15),
    policy,
  );
  const target = setup.pit.pace.pitC;
  const closed = run.pitC.findIndex(
    (c) => (c ?? 0) >= target - Math.max(policy.closeBelowK, setup.underFan ? 8 : 0),
  );
  const from = Math.max(EARLIEST_ON_MIN, (closed < 0 ? 60 : run.minutes[closed]!) + SETTLE_MIN);
  const clean = run.minutes.find(
    (m, i) => m >= from && run.smoke[i] !== 'white' && run.smoke[i] !== 'dark',
  );
  return Math.min(clean ?? LATEST_ON_MIN, LATEST_ON_MIN);
}

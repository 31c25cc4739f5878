/** The reference cook of a plan: the pit as its owner thinks it is, in the weather that is told. */
import type { ControlPolicy } from '../../control/controlPolicy';
import { runPitBriefly, runUntilDone, type RunResult } from '../../sampling/runUntilDone';
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import type { PitSetup } from '../fire/designFire';
import { operatorFor, plannedScenario, type MeatSchedule } from '../fire/policyTrial';
import type { PitSchedule } from './pitSchedule';
import { latestEndMin, MAX_COOK_MIN } from './schedule';

/** Share of the band inside which the reference cook is left alone. */
const CALM = 0.85;

/** The reference cook: the pit as its owner thinks it is, held by the policy. */
export function runReference(
  setup: PitSetup,
  weather: Scenario['weather'],
  schedule: MeatSchedule,
  policy: ControlPolicy,
  fire = setup.fire,
  until?: PitSchedule,
): RunResult & { scenario: Scenario } {
  const scenario = plannedScenario(setup, weather, schedule, MAX_COOK_MIN, fire);
  // What is told is told calmly: only what leaves the band is worth a move.
  const deadbandK =
    policy.deadbandK === null ? null : Math.max(policy.deadbandK, CALM * setup.pit.pace.bandC);
  const by = until ? { ...policy, deadbandK, untilMin: latestEndMin(until) } : policy;
  return { ...runUntilDone(scenario, { operator: operatorFor(setup, scenario, by) }), scenario };
}

/** How long each piece takes in a pit that is held at its target, min; for a rough answer, whose fire nobody has tuned. */
export function roughTimes(
  setup: PitSetup,
  weather: Scenario['weather'],
  schedule: MeatSchedule,
  policy: ControlPolicy,
): (number | null)[] {
  const { result } = runReferenceFast(setup, weather, schedule, policy);
  return result.meats.map((m, i) => m.doneAtMin && m.doneAtMin - schedule.onMin[i]!);
}

/** The reference cook at a glance, for fires that take long to compute. */
export function runReferenceFast(
  setup: PitSetup,
  weather: Scenario['weather'],
  schedule: MeatSchedule,
  policy: ControlPolicy,
): RunResult & { scenario: Scenario } {
  const scenario = plannedScenario(setup, weather, schedule, MAX_COOK_MIN);
  return {
    ...runPitBriefly(
      scenario,
      operatorFor(setup, scenario, policy),
      schedule.onMin,
      setup.pit.pace.pitC,
    ),
    scenario,
  };
}

/** What one look with a spray costs in the reference cook, min: the same cook without them is done sooner. */
export function lookCostMin(
  plan: PitSchedule,
  weather: Scenario['weather'],
  meats: readonly MeatSpec[],
  fire: PitSetup['fire'],
): number | null {
  const i = meats.findIndex((m) => m.spray);
  if (i < 0) return null;
  const left = meats.map((m) => ({ ...m, spray: undefined }));
  const schedule = { meats: left, onMin: plan.onMin };
  const without = runReference(plan.setup, weather, schedule, plan.policy, fire, plan).result;
  const sprayed = plan.result.meats[i];
  const [done, sooner] = [sprayed?.doneAtMin, without.meats[i]?.doneAtMin];
  const looks = sprayed?.sprayedAtMin.length ?? 0;
  return done != null && sooner != null && looks > 0 ? Math.max(0, (done - sooner) / looks) : null;
}

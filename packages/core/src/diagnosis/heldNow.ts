/** How the pit of a cook under way is held: its plan's policy, or habit, from where the vents stand now. */
import type { ControlPolicy } from '../control/controlPolicy';
import { habitPolicy } from '../control/habitPolicy';
import { policyOf } from '../control/policyDocument';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import { designFire, type PitSetup } from '../plan/fire/designFire';
import { lastVents, type LogLine } from '../log/log';

/** The pit as it is set up, its policy with the vents where they were last logged, and where they stand by the plan. */
export function heldNow(
  plan: Pick<PitPlan, 'request' | 'guides'>,
  lines: readonly LogLine[],
  nowMs: number,
): { setup: PitSetup; policy: ControlPolicy; planned: ControlPolicy['hold'] } {
  const pit = pitOf(plan);
  const setup = designFire(pit);
  const document = plan.guides[0];
  const policy = document
    ? policyOf(document)
    : habitPolicy(setup.preset, setup.fire, pit.pace.pitC, setup.onSplits);
  const action = lastVents(lines.filter((l) => l.at <= nowMs));
  const hold = action
    ? { intake: action.intakeFraction, exhaust: action.exhaustFraction }
    : policy.hold;
  const exhaustPerIntake =
    policy.exhaustPerIntake !== null && hold.intake > 0 ? hold.exhaust / hold.intake : null;
  return {
    setup,
    policy: { ...policy, hold, exhaustPerIntake },
    planned: policy.hold,
  };
}

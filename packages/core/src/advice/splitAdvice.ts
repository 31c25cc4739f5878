/** What a good hand does next at a fire on splits, by the plan's policy, from what was logged and read. */
import type { ControlPolicy } from '../control/controlPolicy';
import type { Observation } from '../control/operator';
import type { OperatorState } from '../control/operatorState';
import { feedSplits, learntSplitKg } from '../control/splitFeeding';
import type { FireEstimator } from '../estimate/fireEstimate';
import { CHARCOALS, dafFraction } from '../fuel/catalogue';
import { remainingWoodKg } from '../pit/state';
import type { PlanLog } from '../plan/document/plan';
import type { PitSetup } from '../plan/fire/designFire';
import { mean } from '../quantity/statistics';
import { isSplits, type Action } from '../scenario/actions';

/** How often a hand looks, min, and so many looks it goes by. */
const LOOK = { everyMin: 5, count: 13 };

/**
 * What is done now: a split of the right mass, the exhaust damped or opened, or nothing. The usual split is learned
 * again from every round that was logged, as the policy learns it.
 */
export function splitsNow(
  fire: FireEstimator,
  setup: PitSetup,
  policy: ControlPolicy,
  targetC: number,
  done: readonly Action[],
): PlanLog[] {
  const { feed } = policy;
  if (!feed) return [];
  const now = Math.round(fire.atMin);
  const share = dafFraction(CHARCOALS[setup.fire.fuel]);
  const over = (of: (pit: NonNullable<FireEstimator['members'][0]['cook']['pit']>) => number) =>
    mean(fire.members.map(({ cook }) => of(cook.pit!)));
  const pitAt = (min: number): number => fire.pitC[Math.max(0, Math.min(min, now - 1))] ?? targetC;
  const seenNow: Observation = {
    atMin: now,
    pitC: pitAt(now) + fire.residualK,
    unlitKg: over((p) => p.unlit.kg) / share,
    litKg: over((p) => p.lit.kg) / share,
    woodKg: over(remainingWoodKg),
    sinceLidMin: Infinity,
  };
  const history = Array.from({ length: LOOK.count }, (_, i) => {
    const atMin = now - LOOK.everyMin * (LOOK.count - 1 - i);
    return { ...seenNow, atMin, pitC: atMin === now ? seenNow.pitC : pitAt(atMin), spentKg: 0 };
  }).filter((s) => s.atMin >= 0);
  const feeds = done.filter((a) => isSplits(a) && a.atMin <= now);
  const operator: OperatorState = {
    targetC,
    policy,
    preset: setup.preset,
    fire: setup.fire,
    retargeted: false,
    hasComeUp: fire.pitC.some((c) => c >= targetC - policy.closeBelowK),
    intake: policy.hold.intake,
    exhaust: policy.hold.exhaust,
    cameUpMin: 0,
    soaked: true,
    earlyMoves: 0,
    lastMoveMin: 0,
    lastFeedMin: feeds.at(-1)?.atMin ?? 0,
    splitKg: learnedKg(fire, feed, targetC, feeds),
    history,
    addedKg: 0,
    burnKgPerMin: 0,
  };
  return feedSplits(operator, feed, seenNow).map(({ atMin: _, ...log }) => log);
}

/** The usual split after what every round but the last taught. */
function learnedKg(
  { pitC }: FireEstimator,
  feed: NonNullable<ControlPolicy['feed']>,
  targetC: number,
  feeds: readonly Action[],
): number {
  let kg = feed.kg;
  for (let i = 1; i < feeds.length; i++) {
    const [from, to] = [feeds[i - 1]!.atMin, feeds[i]!.atMin];
    const round = pitC.slice(Math.floor(from), Math.floor(to));
    if (to < feed.learnFromMin || round.length === 0) continue;
    kg = learntSplitKg(kg, feed, targetC - mean(round));
  }
  return kg;
}

/** A stick burner: the next split before the fall, its weight by how the last round went, dampers for the rest. */
import { CHARCOALS } from '../fuel/catalogue';
import { mean } from '../quantity/statistics';
import { clamp, roundDigits } from '../quantity/units';
import type { SplitFeedPolicy } from './controlPolicy';
import type { Observation } from './operator';
import type { Action } from '../scenario/scenario';
import { setVents, probeTrendK, type OperatorState } from './operatorState';

/** What is done about the splits and the damper at a look. */
export function feedSplits(
  operator: OperatorState,
  by: SplitFeedPolicy,
  observation: Observation,
): Action[] {
  const { atMin } = observation;
  const under = operator.targetC - observation.pitC;
  const actions: Action[] = [];
  if (!operator.hasComeUp && under < operator.policy.closeBelowK) operator.hasComeUp = true;
  const since = atMin - operator.lastFeedMin;
  const first = operator.lastFeedMin === 0;
  // Before the fall, not after it: where the pit will stand when the next split has caught.
  const low = under - Math.min(probeTrendK(operator), 0) > -2;
  const spent = observation.woodKg < 0.35 * operator.splitKg;
  const due = first
    ? atMin >= by.firstMin && under > -25
    : (since >= by.leastMin && low && spent) || since >= by.mostMin;
  if (due && under > (spent ? -by.skipOverK : -by.skipOverK / 2)) {
    // A lighter piece while the pit stands high.
    let massKg = operator.splitKg;
    if (!first) {
      const round = operator.history
        .filter((s) => s.atMin > operator.lastFeedMin)
        .map((s) => s.pitC);
      const off = operator.targetC - mean(round);
      // The charcoal base runs hot at first: no lesson for the splits to come.
      const lesson = atMin < by.learnFromMin ? 0 : clamp(off * by.learnPerK, -0.1, 0.1);
      operator.splitKg = clamp(operator.splitKg * (1 + lesson), by.lightestKg, by.heaviestKg);
      massKg = operator.splitKg * (1 + clamp(off * by.nowPerK, -0.35, 0.35));
    }
    operator.lastFeedMin = atMin;
    massKg = clamp(massKg, by.lightestKg, by.heaviestKg);
    actions.push(
      {
        atMin,
        do: 'add-fuel',
        fuel: 'splits',
        pieces: 1,
        massKg: roundDigits(massKg, 2),
        lit: false,
        preheated: true,
      },
      { atMin, do: 'door', openFraction: 0.15, seconds: 60 },
    );
    // Coals burnt down too far to carry wood: a little charcoal with it.
    const lumpKg = observation.litKg < 0.44 * by.bedKg ? Math.max(by.bedKg, by.lumpKg) : by.lumpKg;
    if (lumpKg > 0) {
      const pieces = Math.max(1, Math.round(lumpKg / CHARCOALS.lump.pieceKg));
      actions.push({ atMin, do: 'add-fuel', fuel: 'lump', pieces, lit: false });
    }
  }
  // Damper: half when well over, wide again when the fire needs its breath.
  if (operator.hasComeUp && under < -by.dampOverK && operator.exhaust > 0.6)
    actions.push(setVents(operator, atMin, operator.intake, 0.5));
  else if (under > -4 && operator.exhaust < 1)
    actions.push(setVents(operator, atMin, operator.intake, 1));
  return actions;
}

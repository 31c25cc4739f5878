/** How long each piece waits well where it rests: its middle, its softness and what it loses, from the simulated piece. */
import { HOLD_ABOVE_C } from '../../cook/foodSafety';
import { followHold, type HeldPoint } from '../../cook/holdOn';
import { doneByFeel } from '../../meat/cut';
import { cutOf } from '../../meat/cuts';
import { handlingOf } from '../../meat/handling';
import { wishedC } from '../../meat/usualTreatment';
import { TOO_SOFT, type Hold, type HoldEnd } from '../document/hold';
import type { RunResult } from '../../sampling/runUntilDone';
import type { MeatSpec } from '../../scenario/scenario';
import type { RequestMeat } from '../request/types';
import type { PieceTarget } from './pitSchedule';

/** Nothing is held longer, min, it is looked at so often, and written down so often, min. */
const LONGEST_MIN = 24 * 60;
const EVERY_MIN = 5;
const ROW_MIN = 30;
/** A roast that is pulled rare is eaten warm: it is cold under this, C (from memory). */
const ROAST_COLD_C = 45;
/** What is eaten soon after may cool so far, C (from memory); after so long it counts as held, min (common practice: two hours). */
const WARM_C = 50;
const SOON_MIN = 120;
const PULLED_TIMES = 2;
/** More than this share of its mass lost while it waits, and it eats dry (from memory). */
const DRY_FRACTION = 0.06;
/** A roast so far over the middle that was wanted is overdone, K. */
const OVER_K = 4;

/** The holds of a reference run, one for each meat; null where a piece was never done. */
export function holdsOf(
  { result, pieces, endMin }: RunResult,
  targets: readonly PieceTarget[],
  altitudeM: number,
): (Hold | null)[] {
  return targets.map(({ spec, wanted }, i) => {
    const g = pieces[i];
    const told = result.meats[i];
    if (!g?.rest || !told || told.doneAtMin === null) return null;
    const row = result.minutes.findIndex((min) => min >= told.doneAtMin!);
    const offKg = told.massKg[row];
    if (!offKg) return null;
    const looks = followHold(
      g,
      { atMin: endMin, altitudeM, offKg },
      { untilMin: LONGEST_MIN, everyMin: EVERY_MIN },
    );
    const rows = looks.filter((r) => r.afterMin % ROW_MIN === 0);
    return { rows, ...goodUntil(looks, spec, wanted) };
  });
}

/** Pieces are ready no earlier than they wait well, by the simulated ones; their rest is kept. */
export const targetsThatKeep = (
  targets: readonly PieceTarget[],
  holds: readonly (Hold | null)[],
): PieceTarget[] =>
  targets.map((t, i) => {
    const restMin = t.spec.rest?.minutes ?? 0;
    const keepsMin = Math.max(restMin, holds[i]?.goodMin ?? Infinity);
    return { ...t, readyFromMin: Math.max(t.readyFromMin, t.readyByMin + restMin - keepsMin) };
  });

/** Until when a piece waits well, and what ends it. */
function goodUntil(
  rows: readonly HeldPoint[],
  spec: MeatSpec,
  wanted: RequestMeat['done'],
): Pick<Hold, 'goodMin' | 'ends'> {
  const byFeel = doneByFeel(cutOf(spec.cut));
  const pulled = handlingOf(spec.cut).serving.includes('pull');
  const doneC = wishedC(wanted);
  const rare = doneC !== null && doneC < HOLD_ABOVE_C;
  const softest = TOO_SOFT * (pulled ? PULLED_TIMES : 1);
  const endOf = (r: HeldPoint): HoldEnd | null => {
    const coldC = rare ? ROAST_COLD_C : r.afterMin <= SOON_MIN ? WARM_C : HOLD_ABOVE_C;
    if (r.coreC < coldC) return 'cold';
    if (byFeel && r.tenderness > softest) return 'soft';
    if (r.lostFraction > DRY_FRACTION) return 'dry';
    return !byFeel && 'plateC' in wanted && r.coreC > wanted.plateC + OVER_K ? 'over' : null;
  };
  let goodMin = 0;
  for (const r of rows) {
    const ends = endOf(r);
    if (ends) return { goodMin, ends };
    goodMin = r.afterMin;
  }
  return { goodMin, ends: null };
}

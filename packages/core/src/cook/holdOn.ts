/** How a piece fares while it waits after it came off: its middle, its softness and what it loses, hour by hour. */
import { coreProbeC, pieceMassKg, stepPiece, tenderness } from '../meat/piece';
import { restSurroundings } from '../meat/rest';
import { copyPiece } from './copyCook';
import { endPieceMinute } from './cookingPiece';
import type { CookingPiece } from './state';

/** A resting piece is slow: steps of a minute, s. */
const STEP_S = 60;

/** How a piece is so long after it came off. */
export interface HeldPoint {
  /** Minutes after it came off. */
  afterMin: number;
  /** Its middle, C. */
  coreC: number;
  /** Tenderness; 1 probes tender, more is softer. */
  tenderness: number;
  /** Share of its mass that it lost since it came off. */
  lostFraction: number;
}

/**
 * Follows a piece that is at rest on in its resting place until `untilMin` after it came off, a row every
 * `everyMin`. `atMin` is the minute of its cook, where rows begin; `offKg` what it weighed when it came off. The
 * piece itself is left as it is. Throws RangeError for a piece that has not come off to a rest.
 */
export function followHold(
  resting: CookingPiece,
  { atMin, altitudeM, offKg }: { atMin: number; altitudeM: number; offKg: number },
  { untilMin, everyMin }: { untilMin: number; everyMin: number },
): HeldPoint[] {
  const { rest } = resting.spec;
  const { doneAtMin } = resting.result;
  if (!rest || !resting.rest || doneAtMin === null) {
    throw new RangeError(`${resting.spec.id}: has not come off to a rest`);
  }
  // Where its planned rest was over it was followed no further: it waits on from there.
  const reachedMin = Math.min(atMin, resting.restUntilMin);
  const g: CookingPiece = {
    ...copyPiece(resting),
    spec: { ...resting.spec, rest: { ...rest, minutes: untilMin + 1 } },
    stage: 'resting',
    restUntilMin: doneAtMin + untilMin + 1,
  };
  const rows: HeldPoint[] = [];
  for (let min = Math.ceil(reachedMin) - doneAtMin; min < untilMin;) {
    stepPiece(g.piece, restSurroundings(g.rest!, g.piece, altitudeM, STEP_S), STEP_S);
    min++;
    endPieceMinute(g, doneAtMin + min);
    if (min % everyMin === 0) {
      rows.push({
        afterMin: min,
        coreC: coreProbeC(g.piece),
        tenderness: tenderness(g.piece),
        lostFraction: 1 - pieceMassKg(g.piece) / offKg,
      });
    }
  }
  return rows;
}

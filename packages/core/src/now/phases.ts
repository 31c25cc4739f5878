/** Where a pit and its pieces stand in their cook: what may be asked of them goes by it. */
import type { Diagnosis } from '../diagnosis/diagnose';
import type { Forecast } from '../forecast/forecast';
import { restOf } from '../advice/afterOff';
import type { RequestMeat } from '../plan/request/types';
import { MINUTE_MS } from '../quantity/time';
import { isAllOff, isOnPit, type KnownCook, type KnownPiece } from './knownCook';

/** The phases, in the order in which a piece goes through them; one that is left unwrapped leaves one out. */
export const PHASES = [
  'before-lighting',
  'coming-up',
  'ready-for-meat',
  'cooking',
  'wrapped',
  'near-done',
  'resting',
  'held',
  'over',
] as const;
export type Phase = (typeof PHASES)[number];

/** A piece is near done when it is expected to be ready within this, min. */
const NEAR_DONE_MIN = 20;

/** In how many minutes a piece is ready, where that is soon or was due; else null. `nowMin`: after lighting. */
export function nearDoneMin(readyMin: Forecast['readyMin'], nowMin: number): number | null {
  const at = readyMin?.[1] ?? null;
  if (at === null) return null;
  return at - nowMin <= NEAR_DONE_MIN ? Math.max(at - nowMin, 0) : null;
}

/** The phase of a fire with nothing over it yet: `litMs` is when it was lit, null before. */
function fireUpPhase(litMs: number | null, { trend, place }: Diagnosis): Phase {
  if (litMs === null) return 'before-lighting';
  return trend === 'coming-up' || place === 'below' ? 'coming-up' : 'ready-for-meat';
}

/** What the phase of a piece is read from. */
type Phased = Pick<KnownPiece, 'onMs' | 'offMs' | 'wrapped' | 'feltDone'> & {
  readyMin: Forecast['readyMin'];
};

/** The phase of a piece at `nowMs`, epoch ms; one that is not on yet goes by its fire. */
export function piecePhase(
  piece: Phased,
  meat: RequestMeat,
  { plan, litMs, state }: Pick<KnownCook, 'plan' | 'litMs'> & { state: Diagnosis },
  nowMs: number,
): Phase {
  const { onMs, offMs, wrapped, feltDone, readyMin } = piece;
  if (offMs !== null) {
    const { restedMs, bestUntilMs } = restOf(plan, meat, offMs);
    if (nowMs < restedMs) return 'resting';
    return nowMs < bestUntilMs ? 'held' : 'over';
  }
  if (onMs === null || litMs === null) return fireUpPhase(litMs, state);
  if (feltDone || nearDoneMin(readyMin, (nowMs - litMs) / MINUTE_MS) !== null) return 'near-done';
  return wrapped ? 'wrapped' : 'cooking';
}

/** The phase of a pit: of its fire until meat lies in it, of the piece that is least far while any does, and over after the last. */
export function pitPhase(
  pieces: readonly (Pick<KnownPiece, 'onMs' | 'offMs'> & { phase: Phase })[],
  fire: { litMs: number | null; state: Diagnosis },
): Phase {
  if (isAllOff(pieces)) return 'over';
  const [least] = pieces
    .filter(isOnPit)
    .map((p) => PHASES.indexOf(p.phase))
    .sort((a, b) => a - b);
  return least === undefined ? fireUpPhase(fire.litMs, fire.state) : PHASES[least]!;
}

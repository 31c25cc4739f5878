/** Turning the grate, and pieces that change places. */
import { mean } from '../../quantity/statistics';
import type { NamedPiece } from '../document/facts';
import type { PlanLog } from '../document/plan';
import type { RequestMeat } from '../request/types';
import type { PitSchedule } from '../schedule/pitSchedule';
import { LOOK } from './careJobs';
import { lastOffMin, windowOf, type JobDraft } from './job';

/** A fire that walks is a quarter round further after so many degrees. */
const QUARTER_DEGREES = 90;
/** Ends of a grate that differ by less than this are left alone, K. */
const WORTH_SWAPPING_K = 8;
/** Nothing is turned any more so shortly before it may be done, min. */
const LAST_TURN_MIN = 45;

/** Pieces that take so much longer than others are uneven enough to change places for, min. */
const UNEVEN_MIN = 30;

/**
 * Turning what lies on a grate: as a fire walks round under it, because one end runs hotter, or because its pieces are
 * uneven. `pieces`: how many of each meat; `numbers` tell meats of one cut apart.
 */
export function turnJobs(
  plan: PitSchedule,
  meats: readonly RequestMeat[],
  pieces: readonly number[],
  numbers: readonly (number | undefined)[],
): JobDraft[] {
  const { result, setup, onMin, readyMin } = plan;
  const firstOn = Math.min(...onMin);
  const until = Math.min(lastOffMin(plan), ...readyMin.map((r) => windowOf(r)[0])) - LAST_TURN_MIN;
  const logs: PlanLog[] = [LOOK, ...meats.map((m): PlanLog => ({ do: 'turn', meat: m.id }))];
  if (setup.fire.arrangement === 'snake') {
    const from = result.frontDegrees.find((d) => d !== null) ?? 0;
    return [1, 2, 3].flatMap((quarter): JobDraft[] => {
      const row = result.frontDegrees.findIndex(
        (d) => d !== null && d - from >= quarter * QUARTER_DEGREES,
      );
      const atMin = row < 0 ? Infinity : result.minutes[row]!;
      if (atMin < firstOn || atMin > until) return [];
      const facts = { kind: 'turn-grate' as const };
      return [{ id: `turn-${quarter}`, atMin, do: 'turn', facts, logs }];
    });
  }
  const atMin = Math.round((firstOn + until) / 2);
  if (atMin <= Math.max(...onMin)) return [];
  const uneven = unevenPieces(plan, meats, numbers);
  if (setup.preset.traits.longGrate) {
    // A thick end was laid towards the fire for that heat: a lone piece stays as it lies.
    const thickEndToFire = setup.preset.traits.meatPlacement === 'thick-end-to-firebox';
    if (thickEndToFire && pieces.length === 1 && pieces[0]! < 2) return [];
    const hotterK = hotEndK(plan);
    if (hotterK < WORTH_SWAPPING_K) return [];
    const facts = { kind: 'swap-ends' as const, hotterK, slowest: uneven?.slowest ?? null };
    return [{ id: 'swap', atMin, do: 'turn', facts, logs }];
  }
  if (!uneven || setup.preset.traits.meatPlacement !== 'away-from-fire') return [];
  return [{ id: 'swap', atMin, do: 'turn', facts: { kind: 'swap-pieces', ...uneven }, logs }];
}

/** The piece that cooks quickest and the one that cooks slowest, in the middle of the likely cooks; null where they are even. */
function unevenPieces(
  { onMin, readyMin }: PitSchedule,
  meats: readonly RequestMeat[],
  numbers: readonly (number | undefined)[],
): { quickest: NamedPiece; slowest: NamedPiece } | null {
  const sorted = meats
    .map((_, i) => ({ i, takes: windowOf(readyMin[i]!)[1] - onMin[i]! }))
    .sort((a, b) => a.takes - b.takes);
  const [quickest, slowest] = [sorted[0], sorted.at(-1)];
  if (!quickest || !slowest || slowest.takes - quickest.takes < UNEVEN_MIN) return null;
  const named = (i: number): NamedPiece => {
    const number = numbers[i];
    return { cut: meats[i]!.cut, pieces: 1, ...(number ? { number } : {}) };
  };
  return { quickest: named(quickest.i), slowest: named(slowest.i) };
}

/** How much hotter the end at the fire is than the far one while meat lies there, mean of the reference cook, K. */
function hotEndK({ result, onMin }: PitSchedule): number {
  const from = result.minutes.findIndex((m) => m >= Math.min(...onMin));
  const at = (place: string): number[] =>
    (result.grate.find((g) => g.at === place)?.C ?? []).slice(from).filter((c) => c !== null);
  const [near, far] = [at('near'), at('far')];
  return near.length === 0 || far.length === 0 ? 0 : mean(near) - mean(far);
}

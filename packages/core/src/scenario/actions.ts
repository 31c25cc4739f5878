/** What somebody does at a cook, minute by minute; names as in the open format (docs/formats.md). */
import { CHARCOALS, type CharcoalId, type WoodId } from '../fuel/catalogue';
import type { WrapId } from '../meat/wraps';
import type { Place } from '../pit/layout';

/** Charcoal or splits put on. `massKg` is all of it; charcoal may be counted in pieces instead. */
export interface AddFuel {
  /** The kind of action. */
  do: 'add-fuel';
  /** What is put on. */
  fuel: CharcoalId | 'splits';
  /** Pieces of it. */
  pieces: number;
  /** All of it, kg; by its pieces when left out. */
  massKg?: number;
  /** Whether it glows already. */
  lit: boolean;
  /** Splits: wood, moisture (wet basis), and whether they lay warming on the firebox. */
  species?: WoodId;
  /** Moisture of splits, share of the wet mass. */
  moistureFraction?: number;
  /** Whether splits lay warming on the firebox. */
  preheated?: boolean;
}

/** Charcoal put on, kg as bought; 0 for splits. */
export const charcoalKg = (a: Omit<AddFuel, 'do'>): number =>
  a.fuel === 'splits' ? 0 : (a.massKg ?? a.pieces * CHARCOALS[a.fuel].pieceKg);

/** What somebody does at a minute. Undo and corrections are the log's business, not the engine's. */
export type Action = { atMin: number } & (
  | { do: 'set-vents'; intakeFraction: number; exhaustFraction: number }
  | { do: 'lid-open'; seconds: number }
  | { do: 'door'; openFraction: number; seconds?: number }
  | AddFuel
  | { do: 'add-wood'; species: WoodId; massG: number; moistureFraction?: number }
  | { do: 'rake' }
  | { do: 'fill-water'; massKg: number }
  | { do: 'meat-on'; meat: string }
  | { do: 'meat-off'; meat: string }
  | { do: 'turn'; meat: string }
  | { do: 'spritz'; meat: string }
  | { do: 'sauce'; meat: string }
  | { do: 'move'; meat: string; to: Place }
  | { do: 'oven-finish'; meat: string; atC: number }
  | { do: 'wrap'; meat: string; with: WrapId; liquidKg?: number }
  | { do: 'unwrap'; meat: string }
  | { do: 'set-target'; targetC: number }
  | { do: 'fan'; on: boolean }
);

/** What is told of a cook besides what somebody did. */
export type Happening = Action | { atMin: number; do: 'flare' | 'pan-dry' | 'fire-out' };

/** How long a lid stays open for putting meat on, wrapping or feeding, s (common practice). */
export const USUAL_LID_S = 60;
/** A pit that is too hot for another split is looked at again after so long, min (common practice). */
export const WAIT_WITH_SPLIT_MIN = 5;

/** How long it stays open for a look, a spray or a brush, s (common practice). */
export const LOOK_LID_S = 30;

/** The other target that a cook was taken to after it was lit; nothing where there was none. */
export const laterTarget = (
  happened: readonly Happening[],
): Extract<Action, { do: 'set-target' }> | undefined =>
  happened.find(
    (a): a is Extract<Action, { do: 'set-target' }> => a.do === 'set-target' && a.atMin > 0,
  );

/** Whether a piece lies in a wrap after all that was done, in order of time. */
export function isWrapped(
  done: readonly { do: string; meat?: string; with?: WrapId }[],
  meat: string,
): boolean {
  const last = done.findLast((a) => (a.do === 'wrap' || a.do === 'unwrap') && a.meat === meat);
  return last?.do === 'wrap' && last.with !== 'none';
}

/** Splits put on. */
export const isSplits = (a: Happening): a is { atMin: number } & AddFuel =>
  a.do === 'add-fuel' && a.fuel === 'splits';

/** Who has the shift of a cook, and whether it is being handed over. */
import type { Entry } from './log';

/** The shift as it is offered to somebody who has not taken it yet. */
export interface Offer {
  /** Id of the entry that offers it. */
  id: string;
  /** Who offers it; empty where that is not known. */
  from: string;
  /** To whom. */
  to: string;
  /** How the fire stands, and what is next, in words. */
  sheet: string;
  /** When, cook's clock, epoch ms. */
  at: number;
}

export interface CurrentShift {
  /** Who has it; null while nobody took it. */
  holder: string | null;
  /** Since when, cook's clock, epoch ms. */
  since: number | null;
  /** An offer that was not taken yet. */
  offer: Offer | null;
}

/**
 * The shift that the entries of a log amount to. What was taken back does not count. Entries count
 * in order of time, but whoever accepts an offer does so after it was made: the clocks of two phones
 * are some seconds apart.
 */
export function shiftOf(entries: readonly Entry[]): CurrentShift {
  const undone = new Set(entries.flatMap((e) => (e.kind === 'undo' ? [e.target] : [])));
  const handed = entries.filter(
    (e) => !undone.has(e.id) && (e.kind === 'hand-over' || e.kind === 'take-watch'),
  );
  const offeredAt = new Map(handed.map((e) => [e.id, e.at]));
  const countsAt = (e: Entry): number =>
    e.kind === 'take-watch' ? Math.max(e.at, offeredAt.get(e.offer ?? '') ?? e.at) : e.at;
  const shift: CurrentShift = { holder: null, since: null, offer: null };
  // Clocks of pages go by the second: of what happened in one, a shift is taken, then offered, then accepted.
  const rank = (e: Entry): number => (e.kind === 'hand-over' ? 1 : 'offer' in e && e.offer ? 2 : 0);
  for (const e of handed.sort((a, b) => countsAt(a) - countsAt(b) || rank(a) - rank(b))) {
    if (e.kind === 'hand-over') {
      shift.offer = { id: e.id, from: e.by ?? '', to: e.to, sheet: e.sheet, at: e.at };
    } else if (e.by) Object.assign(shift, { holder: e.by, since: countsAt(e), offer: null });
  }
  return shift;
}

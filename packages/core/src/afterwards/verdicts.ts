/** What was said and weighed of a cook once it was over, as it stands after undo. */
import { undoneIds, type Entry } from '../log/log';
import {
  AS_WISHED,
  PIECE_VERDICTS,
  type JudgedOf,
  type NoteSubject,
  type PieceVerdict,
} from '../log/verdictKinds';

/** A note for the next cook like this. */
export interface NextTimeNote {
  /** Id of its entry. */
  id: string;
  about: NoteSubject;
  /** The cut that it is about; left out where it is about the pit. */
  cut?: string;
  text: string;
}

export interface Afterwards {
  /** What was said last of each piece, by its id. */
  verdicts: Readonly<Record<string, Partial<Record<JudgedOf, PieceVerdict>>>>;
  /** Notes for next time, in order. */
  nextTime: NextTimeNote[];
  /** Charcoal left in the cold pit, kg; null where nobody weighed it. */
  fuelLeftKg: number | null;
  /** What each piece weighed, by its id. */
  pieces: Readonly<Record<string, PieceMasses>>;
}

/** Mass of one piece as bought, trimmed and off the fire, kg; left out where nobody weighed it. */
export interface PieceMasses {
  boughtKg?: number;
  trimmedKg?: number;
  cookedKg?: number;
}

const MASS_KEYS = { bought: 'boughtKg', trimmed: 'trimmedKg', cooked: 'cookedKg' } as const;

/** The entries that hold, the oldest first; what is told later of the same thing stands. */
export function afterwardsOf(entries: readonly Entry[]): Afterwards {
  const undone = undoneIds(entries);
  const verdicts: Record<string, Partial<Record<JudgedOf, PieceVerdict>>> = {};
  const pieces: Record<string, PieceMasses> = {};
  const nextTime: NextTimeNote[] = [];
  let fuelLeftKg: number | null = null;
  for (const e of entries) {
    if (undone.has(e.id)) continue;
    if (e.kind === 'verdict') {
      verdicts[e.meat] = { ...verdicts[e.meat], [judgedOf(e.verdict)]: e.verdict };
    } else if (e.kind === 'next-time') {
      const { id, about, cut, text } = e;
      nextTime.push({ id, about, text, ...(cut === undefined ? {} : { cut }) });
    } else if (e.kind === 'weighed') {
      if (e.what === 'fuel-left') fuelLeftKg = e.kg;
      else if (e.meat !== undefined) {
        pieces[e.meat] = { ...pieces[e.meat], [MASS_KEYS[e.what]]: e.kg };
      }
    }
  }
  return { verdicts, nextTime, fuelLeftKg, pieces };
}

/** What a verdict judges. */
const judgedOf = (verdict: PieceVerdict): JudgedOf =>
  (Object.keys(PIECE_VERDICTS) as JudgedOf[]).find((of) =>
    (PIECE_VERDICTS[of] as readonly PieceVerdict[]).includes(verdict),
  )!;

/** A cook as its cook judged it: as wished in all, or what of it was not; null where nothing was said. */
export type CookVerdict = { asWished: boolean; faults: PieceVerdict[] } | null;

/** What all pieces together come to. */
export function cookVerdict({ verdicts }: Pick<Afterwards, 'verdicts'>): CookVerdict {
  const all = Object.values(verdicts).flatMap((of) => Object.values(of));
  if (all.length === 0) return null;
  const faults = [...new Set(all.filter((v) => !AS_WISHED.has(v)))];
  return { asWished: faults.length === 0, faults };
}

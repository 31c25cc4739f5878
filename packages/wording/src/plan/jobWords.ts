/** What a job says, and how it calls the pieces it is about. */
import { cutOf } from '@ostrin/core';
import type { Checklist } from './checklists';

/** What a job says. */
export interface JobWords {
  /** The sentence. */
  inWords: string;
  /** How it is done, in a sentence or two. */
  detail: string;
  /** What to go through at it. */
  checklist?: Checklist;
}

/** Pieces of one cut by its name; a number tells several meats of one cut apart. */
export const piecesName = ({
  cut,
  pieces,
  number,
}: {
  cut: string;
  pieces: number;
  number?: number;
}): string =>
  number !== undefined
    ? `${cutOf(cut).short} ${number}`
    : pieces === 1
      ? cutOf(cut).name
      : cutOf(cut).plural;

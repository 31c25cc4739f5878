/** Where the pieces of a plan lie. */
import type { Place } from '../../pit/layout';

/** A piece with its size, m, and its place, m from the middle of the grate. */
interface LaidPiece {
  /** The meat, by its id. */
  meat: string;
  x: number;
  y: number;
  lengthM: number;
  widthM: number;
  at: Place;
  /** Which load of the grate it is in, from 0; left out where all lie there together. */
  round?: number;
}

/** The fire is to the left of a long grate. */
export interface GratePlan {
  /** The pit. */
  pit: string;
  /** Each piece with its size, m, and its place; `round`: which load of the grate it is in, from 0, where there are several. */
  laid: LaidPiece[];
}

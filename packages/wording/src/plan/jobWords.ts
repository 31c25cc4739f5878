/** How a job calls the pieces it is about. */
import { cutOf } from '@ostrin/core/catalogue';

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

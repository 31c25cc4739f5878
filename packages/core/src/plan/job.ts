/** A job before it has a time of day, and how its piece and its window are told. */
import { cutOf } from '../meat/cuts';
import { tenFiftyNinety } from '../quantity/statistics';
import type { CookPlan } from './part';
import { LONGEST_MIN } from './schedule';
import type { PlanJob, RequestMeat } from './types';

/** A job before it has a time of day; minutes after lighting of its pit. */
export type Draft = Omit<PlanJob, 'at'>;

/** Minutes after lighting of the windows of a piece. */
export const windowOf = (minutes: readonly number[]): [number, number, number] =>
  tenFiftyNinety(minutes).map((v) => (Number.isFinite(v) ? v : LONGEST_MIN)) as [
    number,
    number,
    number,
  ];

/** When everything on a pit is off in the middle of the road, min after lighting. */
export const lastOffMin = ({ readyMin }: Pick<CookPlan, 'readyMin'>): number =>
  Math.max(...readyMin.map((r) => windowOf(r)[1]));

/** The name of a meat as so many pieces. */
export const piecesName = (meat: RequestMeat, pieces: number): string =>
  pieces === 1 ? cutOf(meat.cut).name : cutOf(meat.cut).plural;

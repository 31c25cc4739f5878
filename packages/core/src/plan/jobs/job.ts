/** A job before it has a time of day, and how its piece and its window are told. */
import { cutOf } from '../../meat/cuts';
import { p10p50p90 } from '../../quantity/statistics';
import type { PitPlan } from '../schedule/pitPlan';
import { MAX_COOK_MIN } from '../schedule/schedule';
import type { PlanJob, RequestMeat } from '../request/types';

/** A job before it has a time of day; minutes after lighting of its pit. */
export type JobDraft = Omit<PlanJob, 'at'>;

/** Minutes after lighting of the windows of a piece. */
export const windowOf = (minutes: readonly number[]): [number, number, number] =>
  p10p50p90(minutes).map((v) => (Number.isFinite(v) ? v : MAX_COOK_MIN)) as [
    number,
    number,
    number,
  ];

/** When everything on a pit is off in the middle of the road, min after lighting. */
export const lastOffMin = ({ readyMin }: Pick<PitPlan, 'readyMin'>): number =>
  Math.max(...readyMin.map((r) => windowOf(r)[1]));

/** The name of a meat as so many pieces. */
export const piecesName = (meat: RequestMeat, pieces: number): string =>
  pieces === 1 ? cutOf(meat.cut).name : cutOf(meat.cut).plural;

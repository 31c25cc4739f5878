/** A job before it has a time of day. */
import { p10p50p90 } from '../../quantity/statistics';
import type { PitSchedule } from '../schedule/pitSchedule';
import { MAX_COOK_MIN } from '../schedule/schedule';
import type { PlanJob } from '../document/plan';

/** A job before it has a time of day; minutes after lighting of its pit. */
export type JobDraft = Omit<PlanJob, 'at'>;

/** When a piece is ready in one of ten, in the middle and in nine of ten cooks, min after lighting. */
export const windowOf = (minutes: readonly number[]): [number, number, number] =>
  p10p50p90(minutes).map((v) => (Number.isFinite(v) ? v : MAX_COOK_MIN)) as [
    number,
    number,
    number,
  ];

/** Jobs of a meat that is told apart from others of its cut by a number. */
export const numbered = (drafts: readonly JobDraft[], number: number | undefined): JobDraft[] =>
  drafts.map((d) =>
    number !== undefined && 'cut' in d.facts ? { ...d, facts: { ...d.facts, number } } : d,
  );

/** When everything on a pit is off in the middle of the likely cooks, min after lighting. */
export const lastOffMin = ({ readyMin }: Pick<PitSchedule, 'readyMin'>): number =>
  Math.max(...readyMin.map((r) => windowOf(r)[1]));

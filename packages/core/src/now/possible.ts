/** What may still be asked of a cook: no job and no alarm that its pieces or its log have overtaken. */
import type { DueJob } from '../forecast/jobTimes';
import { deedsOfLine, type Log } from '../log/log';
import { feltDone } from '../log/looks';
import type { PlanJob } from '../plan/document/plan';
import type { Alarm } from './alarms';
import type { KnownCook, KnownPiece } from './knownCook';

/** Where a piece is on its way. */
export type PieceStage = 'before' | 'bare' | 'wrapped' | 'off';

/** How a piece stands by the log. */
export function stageOfPiece({ id, onMs, offMs }: KnownPiece, { lines }: Log): PieceStage {
  if (offMs !== null) return 'off';
  if (onMs === null) return 'before';
  const wrap = lines
    .flatMap((l) => deedsOfLine(l.body))
    .findLast((a) => (a.do === 'wrap' || a.do === 'unwrap') && a.meat === id);
  return wrap?.do === 'wrap' && wrap.with !== 'none' ? 'wrapped' : 'bare';
}

/** Whether every piece that there is went on and came off again: nothing lies in the pit, and nothing will. */
export const isAllOff = (pieces: readonly Pick<KnownPiece, 'onMs' | 'offMs'>[]): boolean =>
  pieces.every((p) => p.offMs !== null) && pieces.some((p) => p.onMs !== null);

/** Jobs that are left once nothing lies in the pit. */
const AFTER_OFF: ReadonlySet<PlanJob['do']> = new Set(['serve', 'shut-down']);

/** The pieces that a job is about, by their ids; empty where it is about the fire. */
function piecesOf(job: PlanJob, pieces: readonly KnownPiece[]): readonly string[] {
  const named = job.logs.flatMap((l) => ('meat' in l ? [l.meat] : []));
  if (named.length > 0) return named;
  if (job.facts.kind !== 'check') return [];
  // A look logs nothing of its piece: those after the first carry their name (`plan/jobs/meatJobs`).
  const of = pieces.find((p) => job.id === `check-${p.id}`) ?? pieces[0];
  return of ? [of.id] : [];
}

/** Jobs that are behind a fire that is lit. */
const BEFORE_LIT: ReadonlySet<PlanJob['do']> = new Set(['lay-fire', 'light']);

/**
 * Jobs that can still be done: none before a fire that is lit, none of a piece that is past it, and none at a pit in which
 * nothing lies.
 */
export function possibleJobs(
  jobs: readonly DueJob[],
  { pieces, log, litMs }: Pick<KnownCook, 'pieces' | 'log' | 'litMs'>,
): DueJob[] {
  const stages = new Map(pieces.map((p) => [p.id, stageOfPiece(p, log)]));
  const allOff = isAllOff(pieces);
  const isOver = (job: PlanJob, id: string): boolean => {
    const stage = stages.get(id);
    if (stage === 'off') return true;
    if (job.do === 'meat-on') return stage !== 'before';
    if (job.do === 'wrap' || job.do === 'spritz') return stage === 'wrapped';
    return job.do === 'check' && feltDone(log, id);
  };
  return jobs.filter(({ job }) => {
    if (litMs !== null && BEFORE_LIT.has(job.do)) return false;
    if (allOff && !AFTER_OFF.has(job.do)) return false;
    const of = piecesOf(job, pieces);
    return of.length === 0 || !of.every((id) => isOver(job, id));
  });
}

/** Alarms about a fire that nobody needs any more. */
const OF_THE_FIRE: ReadonlySet<Alarm['code']> = new Set([
  'fire-out',
  'suspected',
  'out-of-band',
  'leaving-band',
  'fuel-out-soon',
  'no-reading',
]);

/** What the pit does in ten minutes, K, against which nothing is said to leave its band at the other side. */
const PLAINLY_K = 5;

/** Alarms that can be true: none of a fire with nothing over it, none of a wrap that is done, none against the trend. */
export function possibleAlarms(
  alarms: readonly Alarm[],
  { pieces, log }: Pick<KnownCook, 'pieces' | 'log'>,
  changeK: number | null,
): Alarm[] {
  const allOff = isAllOff(pieces);
  const wrapped = (id: string | undefined): boolean =>
    pieces.some((p) => p.id === id && stageOfPiece(p, log) === 'wrapped');
  return alarms.filter((a) => {
    if (allOff && OF_THE_FIRE.has(a.code)) return false;
    if (a.code === 'near-wrap') return !wrapped(a.meat);
    if (a.code === 'leaving-band' && changeK !== null)
      return a.side === 'above' ? changeK > -PLAINLY_K : changeK < PLAINLY_K;
    return true;
  });
}

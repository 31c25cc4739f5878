/** What may still be asked of a cook: no job that its pieces or its log have overtaken. */
import type { DueJob } from '../forecast/jobTimes';
import type { PlanJob } from '../plan/document/plan';
import { isAllOff, type KnownCook, type KnownPiece } from './knownCook';

/** Jobs that are left once nothing lies in the pit. */
const AFTER_OFF: ReadonlySet<PlanJob['do']> = new Set(['serve', 'shut-down']);

/** Jobs that are behind a fire that is lit. */
const BEFORE_LIT: ReadonlySet<PlanJob['do']> = new Set(['lay-fire', 'light']);

/** The pieces that a job is about; empty where it is about the fire. */
function piecesOf(job: PlanJob, pieces: readonly KnownPiece[]): readonly KnownPiece[] {
  const named = job.logs.flatMap((l) => ('meat' in l ? [l.meat] : []));
  if (named.length > 0) return pieces.filter((p) => named.includes(p.id));
  if (job.facts.kind !== 'check') return [];
  // A look logs nothing of its piece: those after the first carry their name (`plan/jobs/meatJobs`).
  const of = pieces.find((p) => job.id === `check-${p.id}`) ?? pieces[0];
  return of ? [of] : [];
}

/** Whether a piece is past a job. */
function isPast(job: PlanJob, { onMs, offMs, wrapped, feltDone }: KnownPiece): boolean {
  if (offMs !== null) return true;
  if (job.do === 'meat-on') return onMs !== null;
  if (job.do === 'wrap' || job.do === 'spritz') return wrapped;
  return job.do === 'check' && feltDone;
}

/**
 * Jobs that can still be done: none before a fire that is lit, none of a piece that is past it, none at a pit in which
 * nothing lies, and nothing that ends a cook whose meat has to go back on.
 */
export function possibleJobs(
  jobs: readonly DueJob[],
  { pieces, litMs }: Pick<KnownCook, 'pieces' | 'litMs'>,
): DueJob[] {
  const allOff = isAllOff(pieces);
  const unsafe = pieces.some((p) => p.notSafe?.why === 'cool');
  return jobs.filter(({ job }) => {
    if (litMs !== null && BEFORE_LIT.has(job.do)) return false;
    if (allOff && (unsafe || !AFTER_OFF.has(job.do))) return false;
    const of = piecesOf(job, pieces);
    return of.length === 0 || !of.every((p) => isPast(job, p));
  });
}

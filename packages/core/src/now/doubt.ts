/** Whether a job that is said to be done is far from its time or its sense, so that it is asked about once. */
import type { PlanJob } from '../plan/document/plan';
import { wishedC } from '../meat/usualTreatment';
import { MINUTE_MS } from '../quantity/time';
import type { CookNow } from './cookNow';
import type { Order } from './order';

/** What speaks against a job having been done. */
export type Doubt =
  /** It is only due in so long, min. */
  | { why: 'early'; inMin: number }
  /** The coals were lit so short a while ago, min, and take so long. */
  | { why: 'coals'; litMin: number; takesMin: number }
  /** The middle of the piece reads this, C, far from the one at which that is done. */
  | { why: 'cool'; what: 'off' | 'wrap'; meat: string; coreC: number; untilC: number };

/** A job is early from this long before its time on, min; what gets ready may be done at any time before. */
const EARLY_MIN = 30;
const ANY_TIME: ReadonlySet<PlanJob['do']> = new Set(['shop', 'prepare', 'lay-fire']);
/** Coals are doubted under this share of the time that they take. */
const COALS_SHARE = 0.4;
/** A reading of a piece says how it stands for so long, min. */
const FRESH_MIN = 60;
/** No piece is wrapped whose middle is cooler, C (common practice: at 60 to 75), and none is off so far from done, K. */
const FAR = { wrapC: 45, offK: 25 };
/** Pieces that are cooked until tender are so from here on, C (common practice). */
const TENDER_C = 85;

/** What speaks against `order` being done now; null where nothing does, and for what is no job. */
export function doubtAbout(order: Order, cook: CookNow): Doubt | null {
  if (order.kind !== 'job') return null;
  const { job, ms } = order;
  const inMin = (ms - cook.nowMs) / MINUTE_MS;
  return (
    coolPiece(job, cook) ??
    youngCoals(job, cook) ??
    (inMin > EARLY_MIN && !ANY_TIME.has(job.do) ? { why: 'early', inMin } : null)
  );
}

/** A piece that is said to be off, or wrapped, while its middle reads far too little for that. */
function coolPiece(job: PlanJob, { plan, pieces, nowMs }: CookNow): Doubt | null {
  for (const log of job.logs) {
    if (log.do !== 'meat-off' && log.do !== 'wrap') continue;
    const meat = plan.request.meats.find((m) => m.id === log.meat);
    const piece = pieces.find((p) => p.id === log.meat);
    if (!meat || !piece?.read || piece.feltDone) continue;
    if (nowMs - piece.read.at > FRESH_MIN * MINUTE_MS) continue;
    const what = log.do === 'wrap' ? 'wrap' : 'off';
    const untilC = what === 'wrap' ? FAR.wrapC : (wishedC(meat.done) ?? TENDER_C);
    const leastC = what === 'wrap' ? FAR.wrapC : untilC - FAR.offK;
    if (piece.read.c < leastC)
      return { why: 'cool', what, meat: meat.id, coreC: piece.read.c, untilC };
  }
  return null;
}

/** A fire that is said to burn while the coals for it have only just been lit. */
function youngCoals(job: PlanJob, { plan, log, nowMs }: CookNow): Doubt | null {
  if (job.id !== 'light') return null;
  const chimney = plan.jobs.find((j) => j.id === 'chimney');
  const lit = log.lines.find((l) => l.jobId === 'chimney');
  if (!chimney || !lit) return null;
  const takesMin = job.atMin - chimney.atMin;
  const litMin = (nowMs - lit.at) / MINUTE_MS;
  return litMin < COALS_SHARE * takesMin ? { why: 'coals', litMin, takesMin } : null;
}

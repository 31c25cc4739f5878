/** Which cook on a real fire a moment on a pit belongs to: readings may come late, and of several cooks together. */
import { cookSpanMs } from '@ostrin/contract';
import { HOUR_MS } from '@ostrin/core/quantity';
import type { Knex } from 'knex';
import type { CookHead } from './heads';

/** A cook on a real fire with the time that it took, epoch ms. */
export interface CookSpan {
  cook: CookHead;
  /** Its planned lighting, or the first entry of its log where that is earlier. */
  fromMs: number;
  /** Its end; while it goes on, the last moment that an entry of it can have. */
  toMs: number;
}

/** A reading up to this long before a cook begins belongs to it where no other was on, ms: a probe is put in beforehand. */
const BEFORE_MS = 12 * HOUR_MS;

/** The spans of cooks, given as `heads`. */
export async function spansOf(db: Knex, heads: readonly CookHead[]): Promise<CookSpan[]> {
  const first = await db<{ cook_id: string; at: number }>('entries')
    .whereIn(
      'cook_id',
      heads.map((h) => h.id),
    )
    .groupBy('cook_id')
    .select('cook_id')
    .min({ at: 'at' });
  const firstMs = new Map(first.map((r) => [r.cook_id, r.at]));
  return heads.map((cook) => {
    const [, lastMs] = cookSpanMs(cook.startMs);
    return {
      cook,
      fromMs: Math.min(cook.startMs, firstMs.get(cook.id) ?? Infinity),
      toMs: Math.min(cook.finishedAt ?? Infinity, lastMs),
    };
  });
}

/** The cook of a moment: of those under way then the one begun last, else the next one, where it began soon after. */
export function cookOfMoment(spans: readonly CookSpan[], at: number): CookHead | null {
  const open = spans.filter((s) => at <= s.toMs).sort((a, b) => a.fromMs - b.fromMs);
  const span = open.findLast((s) => s.fromMs <= at) ?? open.find((s) => s.fromMs <= at + BEFORE_MS);
  return span?.cook ?? null;
}

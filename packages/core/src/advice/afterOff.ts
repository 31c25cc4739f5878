/** After a piece came off: its rest, how long it can be held well, and when it has to be eaten. */
import { HOLD_ABOVE_C } from '../cook/foodSafety';
import type { RestFirst, RestWhere } from '../meat/rest';
import type { PitPlan } from '../plan/document/pitPlan';
import type { RequestMeat } from '../plan/request/types';
import { waitsWellMin } from '../plan/schedule/schedule';
import { MINUTE_MS } from '../quantity/time';
import type { Forecast } from '../forecast/forecast';
import type { NotSafe } from './pieceSafety';

/** How a piece stands that came off. */
export interface AfterOff {
  meat: string;
  /** When it came off, epoch ms. */
  offMs: number;
  where: RestWhere;
  /** Where it stands before it is shut in; null where it goes straight to its rest. */
  first: RestFirst | null;
  /** From when on it is rested, and until when it holds well, epoch ms. */
  restedMs: number;
  bestUntilMs: number;
  /** What is not safe about it; null where it was hot enough. */
  notSafe: NotSafe | null;
  /** When its middle falls under what held meat is kept over; null where that is not in sight. */
  coldMs: number | null;
}

/** What is known of a cook whose pieces come off. */
interface CookedPieces {
  plan: Pick<PitPlan, 'request' | 'holds'>;
  /** The forecast of the first piece. */
  forecast: Pick<Forecast, 'fromMin' | 'everyMin' | 'coreC'> | null;
  litMs: number | null;
  /** The pieces: when each came off, epoch ms, and what is not safe about it. */
  pieces: readonly { id: string; offMs: number | null; notSafe: NotSafe | null }[];
}

/** How long a piece waits well, min, its rest at least: as its plan says, where that is not an older document's. */
function waitsMin({ holds }: CookedPieces['plan'], meat: RequestMeat): number {
  const hold = holds.find((h) => h.meat === meat.id);
  return Math.max(meat.rest.minutes, waitsWellMin(meat, hold && 'goodMin' in hold ? hold : null));
}

/** From when on a piece that came off is rested, and until when it holds well, epoch ms. */
export const restOf = (
  plan: CookedPieces['plan'],
  meat: RequestMeat,
  offMs: number,
): { restedMs: number; bestUntilMs: number } => ({
  restedMs: offMs + meat.rest.minutes * MINUTE_MS,
  bestUntilMs: offMs + waitsMin(plan, meat) * MINUTE_MS,
});

/** Every piece that came off, in the order of the plan. */
export function afterOff({ plan, forecast, litMs, pieces }: CookedPieces): AfterOff[] {
  return plan.request.meats.flatMap((m, i) => {
    const piece = pieces.find((p) => p.id === m.id);
    if (piece?.offMs == null) return [];
    const { offMs } = piece;
    const { where } = m.rest;
    const cold =
      i === 0 && forecast ? forecast.coreC.findIndex((c) => c !== null && c < HOLD_ABOVE_C) : -1;
    return [
      {
        meat: m.id,
        offMs,
        where,
        first: m.rest.first ?? null,
        ...restOf(plan, m, offMs),
        notSafe: piece.notSafe,
        coldMs:
          cold < 0 || litMs === null
            ? null
            : litMs + (forecast!.fromMin + cold * forecast!.everyMin) * MINUTE_MS,
      },
    ];
  });
}

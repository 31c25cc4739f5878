/** After a piece came off: its rest, how long it can be held well, and when it has to be eaten. */
import { HOLD_ABOVE_C } from '../cook/foodSafety';
import type { RestFirst, RestWhere } from '../meat/rest';
import type { PitPlan } from '../plan/document/pitPlan';
import { maxHoldMin } from '../plan/schedule/schedule';
import { MINUTE_MS } from '../quantity/time';
import type { Forecast } from '../forecast/forecast';
import type { ReadingRow } from '../instruments/readings';
import { deedAtMs, type Log } from '../log/log';
import { feltDone } from '../log/looks';
import { notSafe, type NotSafe } from './pieceSafety';

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

/** Every piece that came off, in the order of the plan. The forecast is that of the first; `pieces` with their own readings. */
export function afterOff(
  plan: Pick<PitPlan, 'request'>,
  log: Log,
  forecast: Pick<Forecast, 'fromMin' | 'everyMin' | 'coreC'> | null,
  litMs: number | null,
  pieces: readonly { id: string; readings: readonly ReadingRow[] }[],
): AfterOff[] {
  return plan.request.meats.flatMap((m, i) => {
    const offMs = deedAtMs(log, 'meat-off', m.id);
    if (offMs === null) return [];
    const { where, minutes } = m.rest;
    const cold =
      i === 0 && forecast ? forecast.coreC.findIndex((c) => c !== null && c < HOLD_ABOVE_C) : -1;
    return [
      {
        meat: m.id,
        offMs,
        where,
        first: m.rest.first ?? null,
        restedMs: offMs + minutes * MINUTE_MS,
        notSafe: notSafe(m, pieces.find((p) => p.id === m.id)?.readings ?? [], feltDone(log, m.id)),
        bestUntilMs: offMs + maxHoldMin(m) * MINUTE_MS,
        coldMs:
          cold < 0 || litMs === null
            ? null
            : litMs + (forecast!.fromMin + cold * forecast!.everyMin) * MINUTE_MS,
      },
    ];
  });
}

/** Everything that the page of a cook under way shows, worked out from its log, its readings and its clock. */
import { MINUTE_MS, type Units } from '@ostrin/core/quantity';
import type { CookNow, Forecasts, Orders, PieceNow } from '@ostrin/core/tending';
import type { PitPlan } from '@ostrin/core';
import { cookNow, forecastInputs, knownCook, leadPiece, steadied } from '@ostrin/core/tending';
import { spanOfTime } from '@ostrin/wording';
import { fireSheet } from '@ostrin/wording/tending';
import { useMemo, useState } from 'react';
import { askForecasts } from '../api/core';
import { useOutbox } from '../outbox/outbox';
import { allEntries, cookClockMs, useLive } from '../store/live';
import { pieceNamed } from '../store/names';
import { useTick } from '../ui/useTick';
import { degrees } from '../ui/words';
import { readyWords } from './readyWords';
import { useAskedWhenDue } from './useAskedWhenDue';

/** Cook minutes between two forecasts of the first piece when nothing happens, and of the others. */
const EVERY_MIN = { lead: 5, others: 10 };

/** The cook with that id, begun with `planned`, as it stands now. */
export function useCookNow(planned: PitPlan, id: string): CookNow {
  const live = useLive();
  const fast = (live.clock?.speed ?? 1) > 1;
  const nowMs = cookClockMs(live, useTick(fast ? 250 : 1000));
  const taps = useOutbox((s) => s.taps);
  const { cookId, entries, readings, startMs } = live;
  const known = useMemo(() => {
    const all = allEntries({ cookId, entries }, taps);
    return knownCook({ id, plan: planned, startMs, entries: all, readings });
  }, [id, planned, startMs, cookId, entries, taps, readings]);
  const [answer, setAnswer] = useState<{ id: string; forecasts: Forecasts } | null>(null);
  const ask = async (pieces: readonly string[], atMs: number): Promise<void> => {
    const forecasts = await askForecasts(forecastInputs(known, atMs, pieces));
    setAnswer((a) => {
      const before = a?.id === id ? a.forecasts : {};
      return { id, forecasts: { ...before, ...steadied(before, forecasts) } };
    });
  };
  const { log } = known;
  const lead = leadPiece(known).id;
  const others = known.pieces.flatMap((p) => (p.id === lead ? [] : [p.id]));
  useAskedWhenDue({ log, nowMs, everyMin: EVERY_MIN.lead, wanted: true }, (at) => ask([lead], at));
  useAskedWhenDue({ log, nowMs, everyMin: EVERY_MIN.others, wanted: others.length > 0 }, (at) =>
    ask(others, at),
  );
  return cookNow(known, answer?.id === id ? answer.forecasts : {}, nowMs);
}

/** When the first piece is ready, in words. */
export const readyNow = (cook: CookNow): string => readyOf(cook, leadPiece(cook));

/** When a piece is ready, in words. */
export const readyOf = ({ plan, litMs, state }: CookNow, piece: PieceNow): string =>
  readyWords(plan, piece, litMs, state.cause.code === 'fire-out');

/** What the last reading was, where the pit is not read at the grate itself. */
export function sourceWords(cook: CookNow, units: Units): string | null {
  const last = leadPiece(cook).readings.findLast((r) => r.pitC !== null || r.domeC != null);
  if (!last || last.domeC == null) return null;
  const min = (cook.nowMs - last.at) / MINUTE_MS;
  const when = min < 1 ? 'now' : `${spanOfTime(min)} ago`;
  return `From ${degrees(last.domeC, units)} in the lid, ${when}`;
}

/** The fire sheet of this moment. */
export function sheetOf(cook: CookNow, orders: Orders, pitName: string, units: Units): string {
  const lastOf = (which: 'pitC' | 'coreC'): number | null =>
    cook.readings.findLast((r) => r[which] !== null)?.[which] ?? null;
  return fireSheet({
    ...cook,
    pitName,
    pitC: lastOf('pitC'),
    coreC: lastOf('coreC'),
    ready: readyNow(cook),
    orders,
    pieceName: (id) => pieceNamed(cook.plan, id),
    units,
  });
}

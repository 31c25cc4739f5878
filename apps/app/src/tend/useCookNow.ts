/** Everything that the page of a cook under way shows, worked out from its log, its readings and its clock. */
import {
  atTheGrate,
  deedAtMs,
  deedsOfLine,
  epochOf,
  foldLog,
  heldWatch,
  jobsByTime,
  litAtMs,
  MINUTE_MS,
  withHandReadings,
  type Log,
  type Plan,
  type Units,
} from '@ostrin/core';
import { diagnose, wrapByBarkMs } from '@ostrin/core/tending';
import { fireSheet, spanOfTime } from '@ostrin/wording';
import { tendedPlan } from '@ostrin/wording/tending';
import { useMemo } from 'react';
import { useOutbox } from '../outbox/outbox';
import { allEntries, cookClockMs, useLive } from '../store/live';
import { useTick } from '../ui/useTick';
import { degrees } from '../ui/words';
import { readyWords } from './Reading';
import { useForecast } from './useForecast';

/** Everything that is known of the cook at this moment. */
export function useCookNow(planned: Plan, id: string) {
  const live = useLive();
  const fast = (live.clock?.speed ?? 1) > 1;
  const now = cookClockMs(live, useTick(fast ? 250 : 1000));
  const taps = useOutbox((s) => s.taps);
  const { cookId, entries: known } = live;
  const entries = useMemo(
    () => allEntries({ cookId, entries: known }, taps),
    [cookId, known, taps],
  );
  const log = useMemo(() => foldLog(entries), [entries]);
  const plan = useMemo(() => tendedPlan(planned, log), [planned, log]);
  const firstMeat = plan.request.meats[0]!.id;
  const read = useMemo(
    () => withHandReadings(live.readings, log, firstMeat),
    [live.readings, log, firstMeat],
  );
  const forecast = useForecast(id, plan, log, read, now);
  const domeOverGrateK = forecast?.domeOverGrateK ?? plan.request.pits[0]!.domeOverGrateK ?? null;
  const readings = useMemo(() => atTheGrate(read, domeOverGrateK), [read, domeOverGrateK]);
  const lit = litAtMs(log);
  const state = diagnose({
    plan,
    readings,
    lines: log.lines,
    nowMs: now,
    litMs: lit,
    fuelLeftFraction: forecast?.fuelLeftFraction ?? null,
    named: forecast?.named,
  });
  const watch = useMemo(() => heldWatch(entries), [entries]);
  const zero = lit ?? Math.max(live.startMs, now);
  const clock = {
    zeroMs: zero,
    forecast,
    serveMs: log.serveMs,
    wrapByBarkMs: wrapByBarkMs(log, firstMeat),
  };
  const jobs = jobsByTime(plan, log, clock, now);
  const serveMs = log.serveMs ?? epochOf(plan.serveAt, plan.request.timeZone);
  const ready = readyWords(plan, forecast, lit, {
    offMs: deedAtMs(log, 'meat-off', firstMeat),
    out: state.cause.code === 'fire-out',
  });
  return {
    plan,
    live,
    now,
    entries,
    log,
    watch,
    forecast,
    lit,
    zero,
    state,
    read,
    readings,
    jobs,
    ready,
    serveMs,
  };
}

export type CookNow = ReturnType<typeof useCookNow>;

/** Whether more pieces went on than came off. */
export const isMeatOn = (log: Log): boolean => {
  const times = (what: string): number =>
    log.lines.flatMap((l) => deedsOfLine(l.body)).filter((a) => a.do === what).length;
  return times('meat-on') > times('meat-off');
};

/** What the last reading was, where the pit is not read at the grate itself. */
export function sourceWords({ read, now }: CookNow, units: Units): string | null {
  const last = read.findLast((r) => r.pitC !== null || r.domeC != null);
  if (!last || last.domeC == null) return null;
  const min = (now - last.at) / MINUTE_MS;
  const when = min < 1 ? 'now' : `${spanOfTime(min)} ago`;
  return `From ${degrees(last.domeC, units)} in the lid, ${when}`;
}

/** The fire sheet of this moment. */
export function sheetOf(plan: Plan, cook: CookNow, units: Units): string {
  const { pitName } = cook.live;
  const { entries, state, forecast, jobs, ready, readings } = cook;
  const lastOf = (which: 'pitC' | 'coreC'): number | null =>
    readings.findLast((r) => r[which] !== null)?.[which] ?? null;
  return fireSheet({
    plan,
    pitName,
    entries,
    pitC: lastOf('pitC'),
    coreC: lastOf('coreC'),
    state,
    forecast,
    ready,
    jobs,
    units,
  });
}

/** The cook under way: reading, next job, strip and log pad. */
import {
  type Entry,
  MINUTE_MS,
  type Plan,
  type Units,
  cutOf,
  diagnose,
  foldLog,
  heldWatch,
  jobsAhead,
  litAtMs,
} from '@ostrin/core';
import { fireSheet } from '@ostrin/wording';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRole } from '../house/useHouse';
import { useOutbox } from '../outbox/outbox';
import { allEntries, cookClockMs, useLive } from '../store/live';
import { useSettings } from '../store/settings';
import { jobMs, stripData } from '../strip/fromCook';
import { Strip } from '../strip/Strip';
import { useLayout } from '../ui/layout';
import { Note } from '../ui/Notice';
import { useTheme } from '../ui/theme';
import { useTick } from '../ui/useTick';

import { JobCard } from './JobCard';
import { JobsAhead } from './JobsAhead';
import { ConnectionNotice } from './ConnectionNotice';
import { LogPad } from './LogPad';
import { LogLineSheet } from './LogLineSheet';
import { MeatSheet } from './MeatSheet';
import { Reading, readyWords } from './Reading';
import { RunSheet } from './RunSheet';
import { PhoneLayout, WideLayout, type Parts } from './TendLayout';
import { WatchOffer, WatchSheet, watchWords } from './WatchSheet';
import { forecastInput } from './forecastInput';
import { useForecast } from './useForecast';
import { useKeys } from './useKeys';

/** Cook minutes shown on a phone: what was, and what comes. */
const SPAN = { pastMin: 130, aheadMin: 90 };
/** Room round what a wide strip shows, and least time ahead, min. */
const WIDE = { beforeMin: 10, afterMin: 15, aheadMin: 60 };

/** What part of the cook the strip shows, epoch ms. */
function shownSpan(wide: boolean, firstMs: number, nowMs: number, serveMs: number) {
  return wide
    ? {
        from: firstMs - WIDE.beforeMin * MINUTE_MS,
        to: Math.max(serveMs, nowMs + WIDE.aheadMin * MINUTE_MS) + WIDE.afterMin * MINUTE_MS,
      }
    : {
        from: Math.max(nowMs - SPAN.pastMin * MINUTE_MS, firstMs - WIDE.beforeMin * MINUTE_MS),
        to: Math.max(
          nowMs + SPAN.aheadMin * MINUTE_MS,
          firstMs + (SPAN.pastMin + SPAN.aheadMin) * MINUTE_MS,
        ),
      };
}

/** Everything that is known of the cook at this moment. */
function useCookNow(plan: Plan, id: string) {
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
  const forecast = useForecast(id, plan, log, live.readings, now);
  const lit = litAtMs(log);
  const state = diagnose({
    plan,
    readings: live.readings,
    lines: log.lines,
    nowMs: now,
    litMs: lit,
    fuelLeftFraction: forecast?.fuelLeftFraction ?? null,
  });
  const watch = useMemo(() => heldWatch(entries), [entries]);
  const zero = lit ?? Math.max(live.startMs, now);
  return { live, now, entries, log, watch, forecast, lit, zero, state };
}

type CookNow = ReturnType<typeof useCookNow>;

interface TendCookProps {
  plan: Plan;
  id: string;
}

export function TendCook({ plan, id }: TendCookProps) {
  const cook = useCookNow(plan, id);
  const { live, now, log, forecast, lit, zero } = cook;
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const [editing, setEditing] = useState<string | null>(null);
  const [running, setRunning] = useState(false);
  const [watching, setWatching] = useState(false);
  const mayLog = useRole() !== 'looker';
  const [meatOpen, setMeatOpen] = useState(false);
  const [last, setLast] = useState<Entry[]>([]);
  useKeys(plan, log, now, {
    editing: editing !== null || running || meatOpen || watching || !mayLog,
  });
  const next = jobsAhead(plan, log)[0] ?? null;
  const parts: Parts = {
    notice: (
      <>
        <ConnectionNotice timeZone={plan.request.timeZone} />
        <WatchOffer watch={cook.watch} plan={plan} now={now} />
      </>
    ),
    header: (
      <Reading
        plan={plan}
        name={live.name}
        pitName={live.pitName}
        readings={live.readings}
        now={now}
        lit={lit}
        state={cook.state}
        forecast={forecast}
        stale={live.connection === 'lost'}
        onRun={() => setRunning(true)}
        onMeat={() => setMeatOpen(true)}
        speed={live.clock?.speed ?? 1}
      />
    ),
    card: (
      <JobCard
        key={next?.id ?? 'none'}
        job={next}
        zero={zero}
        now={now}
        plan={plan}
        forecast={forecast}
        onFinish={() => setRunning(true)}
        mayLog={mayLog}
      />
    ),
    ahead: (
      <JobsAhead
        plan={plan}
        log={log}
        zero={zero}
        forecast={forecast}
        onEdit={setEditing}
        meatName={cutOf(plan.request.meats[0]!.cut).name}
      />
    ),
    strip: (width, height) => (
      <TendStrip plan={plan} cook={cook} width={width} height={height} onMark={setEditing} />
    ),
    pad: mayLog ? (
      <LogPad plan={plan} log={log} now={now} last={last} setLast={setLast} onEdit={setEditing} />
    ) : (
      <Note>This phone may look, not log. A cook can change that under Yard, Phones.</Note>
    ),
  };
  const logLine = log.lines.find((l) => l.id === editing);
  const input = lit === null ? null : forecastInput(id, plan, log, live.readings, lit, now);
  return (
    <View className="flex-1">
      {wide ? <WideLayout {...parts} /> : <PhoneLayout {...parts} />}
      {logLine ? (
        <LogLineSheet
          line={logLine}
          plan={plan}
          log={log}
          now={now}
          onClose={() => setEditing(null)}
        />
      ) : null}
      {meatOpen ? (
        <MeatSheet
          plan={plan}
          log={log}
          input={input}
          lit={zero}
          now={now}
          onLogged={setLast}
          onClose={() => setMeatOpen(false)}
        />
      ) : null}
      {running ? (
        <RunSheet
          id={id}
          now={now}
          watch={watchWords(plan, cook.watch)}
          onWatch={() => {
            setRunning(false);
            setWatching(true);
          }}
          onClose={() => setRunning(false)}
        />
      ) : null}
      {watching ? (
        <WatchSheet
          plan={plan}
          watch={cook.watch}
          now={now}
          sheet={sheetOf(plan, cook, units)}
          onClose={() => setWatching(false)}
        />
      ) : null}
    </View>
  );
}

/** The fire sheet of this moment. */
function sheetOf(plan: Plan, cook: CookNow, units: Units): string {
  const { readings, pitName } = cook.live;
  const last = readings.at(-1);
  const { entries, state, forecast, lit, zero } = cook;
  return fireSheet({
    plan,
    pitName,
    entries,
    pitC: last?.pitC ?? null,
    coreC: last?.coreC ?? null,
    state,
    forecast,
    ready: readyWords(plan, forecast, lit),
    dueMs: (job) => jobMs(plan, job, zero, forecast),
    units,
  });
}

interface TendStripProps {
  plan: Plan;
  cook: CookNow;
  width: number;
  height: number;
  onMark: (entryId: string) => void;
}

/** The strip of the cook under way; nothing where there is no room for it. */
function TendStrip({ plan, cook, width, height, onMark }: TendStripProps) {
  const { live, log, forecast, now, zero } = cook;
  const units = useSettings((s) => s.units);
  const theme = useTheme();
  const { wide } = useLayout();
  if (width <= 100 || height <= 120) return null;
  const first = Math.min(
    live.startMs + plan.jobs[0]!.atMin * MINUTE_MS,
    live.readings[0]?.at ?? now,
  );
  const data = stripData({
    plan,
    startMs: live.startMs,
    log,
    readings: live.readings,
    forecast,
    now,
    ...shownSpan(wide, first, now, jobMs(plan, plan.jobs.at(-1)!, zero, forecast)),
    theme,
    units,
  });
  return (
    <Strip
      data={data}
      width={width}
      height={height}
      down={!wide}
      units={units}
      timeZone={plan.request.timeZone}
      onMark={onMark}
    />
  );
}

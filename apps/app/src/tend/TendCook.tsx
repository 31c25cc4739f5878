/** The cook under way: reading, next job, strip and log pad. */
import {
  type Entry,
  MINUTE_MS,
  type Plan,
  type Units,
  cutOf,
  atTheGrate,
  diagnose,
  foldLog,
  heldWatch,
  jobMs,
  jobsByTime,
  litAtMs,
  type Log,
  withHandReadings,
} from '@ostrin/core';
import { fireSheet, spanOfTime } from '@ostrin/wording';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRole } from '../house/useHouse';
import { useOutbox } from '../outbox/outbox';
import { allEntries, cookClockMs, useLive } from '../store/live';
import { useSettings } from '../store/settings';
import { stripData } from '../strip/fromCook';
import { Strip } from '../strip/Strip';
import { useLayout } from '../ui/layout';
import { lazyComponent } from '../ui/lazyComponent';
import { Note } from '../ui/Notice';
import { useTheme } from '../ui/theme';
import { useTick } from '../ui/useTick';
import { degrees } from '../ui/words';

import { doJob, skipJob } from './actions';
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

const JobsSheet = lazyComponent(async () => ({
  default: (await import('./JobsSheet')).JobsSheet,
}));

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
  const firstMeat = plan.request.meats[0]!.id;
  const read = useMemo(
    () => withHandReadings(live.readings, log, firstMeat),
    [live.readings, log, firstMeat],
  );
  const forecast = useForecast(id, plan, log, read, now);
  const domeOverGrateK = forecast?.domeOverGrateK ?? null;
  const readings = useMemo(() => atTheGrate(read, domeOverGrateK), [read, domeOverGrateK]);
  const lit = litAtMs(log);
  const state = diagnose({
    plan,
    readings,
    lines: log.lines,
    nowMs: now,
    litMs: lit,
    fuelLeftFraction: forecast?.fuelLeftFraction ?? null,
  });
  const watch = useMemo(() => heldWatch(entries), [entries]);
  const zero = lit ?? Math.max(live.startMs, now);
  const jobs = jobsByTime(plan, log, { zeroMs: zero, forecast }, now);
  const ready = readyWords(plan, forecast, lit, {
    offMs: offMs(log),
    out: state.cause.code === 'fire-out',
  });
  return {
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
  };
}

type CookNow = ReturnType<typeof useCookNow>;

/** When the first piece came off; null while none has. */
const offMs = (log: Log): number | null =>
  log.lines.find((l) => l.body.kind === 'act' && l.body.action.do === 'meat-off')?.at ?? null;

/** Whether more pieces went on than came off. */
const isMeatOn = (log: Log): boolean => {
  const times = (what: string): number =>
    log.lines.filter((l) => l.body.kind === 'act' && l.body.action.do === what).length;
  return times('meat-on') > times('meat-off');
};

/** What the last reading was, where the pit is not read at the grate itself. */
function sourceWords({ read, now }: CookNow, units: Units): string | null {
  const last = read.filter((r) => r.pitC !== null || r.domeC != null).at(-1);
  if (!last || last.domeC == null) return null;
  const min = (now - last.at) / MINUTE_MS;
  const when = min < 1 ? 'now' : `${spanOfTime(min)} ago`;
  return `From ${degrees(last.domeC, units)} in the lid, ${when}`;
}

/** A reading of the pit says where it stands now for so long, min. */
const FRESH_MIN = 15;

interface TendCookProps {
  plan: Plan;
  id: string;
}

export function TendCook({ plan, id }: TendCookProps) {
  const cook = useCookNow(plan, id);
  const { live, now, log, forecast, lit, zero, jobs } = cook;
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const [editing, setEditing] = useState<string | null>(null);
  const [running, setRunning] = useState(false);
  const [watching, setWatching] = useState(false);
  const mayLog = useRole() !== 'looker';
  const [meatOpen, setMeatOpen] = useState(false);
  const [last, setLast] = useState<Entry[]>([]);
  const [listing, setListing] = useState(false);
  const next = jobs[0]?.job ?? null;
  const lastPit = cook.readings.filter((r) => r.pitC !== null).at(-1);
  const pitC = lastPit && now - lastPit.at < FRESH_MIN * MINUTE_MS ? lastPit.pitC : null;
  useKeys(next, log, now, {
    editing: editing !== null || running || meatOpen || watching || !mayLog,
  });
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
        readings={cook.readings}
        ready={cook.ready}
        practice={live.fire === 'practice'}
        source={sourceWords(cook, units)}
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
        jobs={jobs}
        pitC={pitC}
        now={now}
        plan={plan}
        forecast={forecast}
        onFinish={() => setRunning(true)}
        onLogged={setLast}
        onList={() => setListing(true)}
        mayLog={mayLog}
      />
    ),
    ahead: (
      <JobsAhead
        plan={plan}
        log={log}
        jobs={jobs}
        ready={cook.ready}
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
  const input = lit === null ? null : forecastInput(id, plan, log, cook.read, lit, now);
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
          meatOn={isMeatOn(log)}
          onWatch={() => {
            setRunning(false);
            setWatching(true);
          }}
          onClose={() => setRunning(false)}
        />
      ) : null}
      {listing ? (
        <JobsSheet
          plan={plan}
          jobs={jobs}
          now={now}
          mayLog={mayLog}
          onDone={(job) => void doJob(job, now).then(setLast)}
          onSkip={(job) => void skipJob(job, now).then(setLast)}
          onClose={() => setListing(false)}
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
  const { pitName } = cook.live;
  const { entries, state, forecast, jobs, ready, readings } = cook;
  const lastOf = (which: 'pitC' | 'coreC'): number | null =>
    readings.filter((r) => r[which] !== null).at(-1)?.[which] ?? null;
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
    cook.readings[0]?.at ?? now,
  );
  const data = stripData({
    plan,
    startMs: live.startMs,
    log,
    readings: cook.readings,
    forecast,
    now,
    ...shownSpan(wide, first, now, jobMs(plan, plan.jobs.at(-1)!, { zeroMs: zero, forecast })),
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

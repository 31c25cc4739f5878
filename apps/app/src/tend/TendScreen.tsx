/** Tend: the reading, the next job, the strip and the log pad of the cook under way. */
import {
  cutOf,
  diagnose,
  foldLog,
  litAtMs,
  MINUTE_MS,
  type Entry,
  type LogLine,
  type Plan,
} from '@ostrin/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { useCooks } from '../api/queries';
import { allEntries, cookClockMs, useLive } from '../store/live';
import { useSettings } from '../store/settings';
import { jobMs, stripData } from '../strip/fromCook';
import { Strip } from '../strip/Strip';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { useLayout } from '../ui/layout';
import { useTheme } from '../ui/theme';
import { Title } from '../ui/Title';
import { useTick } from '../ui/useTick';
import { capital } from '../ui/words';
import { jobsAhead } from './actions';
import { JobCard } from './JobCard';
import { JobsAhead } from './JobsAhead';
import { ConnectionNotice } from './ConnectionNotice';
import { LogPad } from './LogPad';
import { LogLineSheet } from './LogLineSheet';
import { MeatSheet } from './MeatSheet';
import { Reading } from './Reading';
import { RunSheet } from './RunSheet';
import { forecastInput } from './forecastInput';
import { useForecast } from './useForecast';
import { useKeys } from './useKeys';
import { useLiveCook } from './useLiveCook';

export function TendScreen() {
  const cooks = useCooks();
  const running = cooks.data?.filter((c) => c.finishedAt === null) ?? [];
  const openId = useLive((s) => s.cookId);
  const [wanted, setWanted] = useState<string | null>(null);
  const chosen = running.find((c) => c.id === (wanted ?? openId)) ?? running[0];
  // Without an answer from the server, go on with the cook that is open.
  const id = chosen?.id ?? (cooks.isError ? openId : null);
  useLiveCook(id);
  const plan = useLive((s) => s.plan);
  const pits =
    running.length > 1 ? (
      <View className="px-4 pt-2 max-w-[560px]">
        <Choice
          label="Which fire"
          columns={Math.min(running.length, 3)}
          options={running.map((c) => ({ value: c.id, label: capital(c.pitName) }))}
          value={id ?? ''}
          onChange={setWanted}
        />
      </View>
    ) : null;
  if (id && plan && openId === id) {
    return (
      <View className="flex-1">
        {pits}
        <Tend key={id} plan={plan} id={id} />
      </View>
    );
  }
  return (
    <View className="flex-1 p-5 gap-4 max-w-[560px]">
      <Title>Tend</Title>
      <Text className="font-sans text-ink text-[16px] leading-[23px]">
        {cooks.isLoading || id
          ? 'Looking for the cook under way.'
          : cooks.isError
            ? cooks.error.message
            : 'No fire is lit. Plan a cook, start it, and its strip runs here.'}
      </Text>
      {id || cooks.isLoading ? null : (
        <Button kind="primary" label="Plan a cook" onPress={() => router.navigate('/')} />
      )}
    </View>
  );
}

/** Cook minutes shown on a phone: what was, and what comes. */
const SPAN = { pastMin: 130, aheadMin: 90 };

function Tend({ plan, id }: { plan: Plan; id: string }) {
  const live = useLive();
  const fast = (live.clock?.speed ?? 1) > 1;
  const real = useTick(fast ? 250 : 1000);
  const now = cookClockMs(live, real);
  const entries = useMemo(
    () => allEntries({ cookId: live.cookId, entries: live.entries, waiting: live.waiting }),
    [live.cookId, live.entries, live.waiting],
  );
  const log = useMemo(() => foldLog(entries), [entries]);
  const forecast = useForecast(id, plan, log, live.readings, now);
  const units = useSettings((s) => s.units);
  const theme = useTheme();
  const { width, height, wide } = useLayout();
  const [editing, setEditing] = useState<string | null>(null);
  const [running, setRunning] = useState(false);
  const [meatOpen, setMeatOpen] = useState(false);
  const [last, setLast] = useState<Entry[]>([]);
  const [box, setBox] = useState({ width: 0, height: 0 });
  const lit = litAtMs(log);
  const state = diagnose({
    plan,
    readings: live.readings,
    lines: log.lines,
    nowMs: now,
    litMs: lit,
    fuelLeftFraction: forecast?.fuelLeftFraction ?? null,
  });
  const logLine: LogLine | null = editing
    ? (log.lines.find((l) => l.id === editing) ?? null)
    : null;
  useKeys(plan, log, now, { editing: editing !== null || running || meatOpen });

  const zero = lit ?? Math.max(live.startMs, now);
  const first = Math.min(
    live.startMs + plan.jobs[0]!.atMin * MINUTE_MS,
    live.readings[0]?.at ?? now,
  );
  const serve = jobMs(plan, plan.jobs.at(-1)!, zero, forecast);
  const span = wide
    ? { from: first - 10 * MINUTE_MS, to: Math.max(serve, now + 60 * MINUTE_MS) + 15 * MINUTE_MS }
    : {
        from: Math.max(now - SPAN.pastMin * MINUTE_MS, first - 10 * MINUTE_MS),
        to: Math.max(
          now + SPAN.aheadMin * MINUTE_MS,
          first + (SPAN.pastMin + SPAN.aheadMin) * MINUTE_MS,
        ),
      };
  const data = stripData({
    plan,
    startMs: live.startMs,
    log,
    readings: live.readings,
    forecast,
    now,
    ...span,
    theme,
    units,
  });
  const strip = (w: number, h: number) =>
    w > 100 && h > 120 ? (
      <Strip
        data={data}
        width={w}
        height={h}
        down={!wide}
        units={units}
        timeZone={plan.request.timeZone}
        onMark={setEditing}
      />
    ) : null;
  const pad = (
    <LogPad plan={plan} log={log} now={now} last={last} setLast={setLast} onEdit={setEditing} />
  );
  const next = jobsAhead(plan, log)[0] ?? null;
  const header = (
    <Reading
      plan={plan}
      name={live.name}
      pitName={live.pitName}
      readings={live.readings}
      now={now}
      lit={lit}
      state={state}
      forecast={forecast}
      stale={live.connection === 'lost'}
      onRun={() => setRunning(true)}
      onMeat={() => setMeatOpen(true)}
      speed={live.clock?.speed ?? 1}
    />
  );
  const card = (
    <JobCard
      key={next?.id ?? 'none'}
      job={next}
      zero={zero}
      now={now}
      plan={plan}
      forecast={forecast}
      onFinish={() => setRunning(true)}
    />
  );
  const sheets = (
    <>
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
          input={lit === null ? null : forecastInput(id, plan, log, live.readings, lit, now)}
          lit={zero}
          now={now}
          onLogged={setLast}
          onClose={() => setMeatOpen(false)}
        />
      ) : null}
      {running ? <RunSheet id={id} now={now} onClose={() => setRunning(false)} /> : null}
    </>
  );
  if (wide) {
    const stripWidth = width - 96 - 330 - 48;
    return (
      <View className="flex-1 flex-row">
        <View className="flex-1 px-6 pt-4 gap-3">
          <ConnectionNotice timeZone={plan.request.timeZone} />
          {header}
          {strip(stripWidth, Math.max(360, Math.min(height - 300, 620)))}
          {pad}
        </View>
        <ScrollView
          className="w-[330px] flex-none border-l border-rule"
          contentContainerClassName="p-4 gap-4"
        >
          {card}
          <JobsAhead
            plan={plan}
            log={log}
            zero={zero}
            forecast={forecast}
            onEdit={setEditing}
            meatName={cutOf(plan.request.meats[0]!.cut).name}
          />
        </ScrollView>
        {sheets}
      </View>
    );
  }
  return (
    <View className="flex-1">
      <View className="px-4 pt-2 gap-2">
        <ConnectionNotice timeZone={plan.request.timeZone} />
        {header}
        {card}
      </View>
      <View
        className="flex-1 min-h-[180px]"
        onLayout={({ nativeEvent: { layout } }) =>
          setBox({ width: Math.floor(layout.width), height: Math.floor(layout.height) })
        }
      >
        {strip(box.width, box.height)}
      </View>
      {pad}
      {sheets}
    </View>
  );
}

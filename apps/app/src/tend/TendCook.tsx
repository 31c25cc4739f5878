/** The cook under way: reading, next job, strip and log pad. */
import { cutOf, type Entry, type Plan } from '@ostrin/core';
import { freshPitC } from '@ostrin/core/tending';
import { useState } from 'react';
import { View } from 'react-native';
import { useRole } from '../house/useHouse';
import { useSettings } from '../store/settings';
import { useLayout } from '../ui/layout';
import { lazyComponent } from '../ui/lazyComponent';
import { Note } from '../ui/Notice';
import { AdviceRow } from './AdviceRow';
import { AfterOffCard } from './AfterOffCard';
import { AlarmBar } from './AlarmBar';
import { ConnectionNotice } from './ConnectionNotice';
import { JobCard } from './JobCard';
import { JobsAhead } from './JobsAhead';
import { LogPad } from './LogPad';
import { PieceChips } from './PieceChips';
import { Reading } from './Reading';
import { PhoneLayout, WideLayout, type Parts } from './TendLayout';
import type { OpenSheet } from './TendSheets';
import { TendStrip } from './TendStrip';
import { useAdvice } from './useAdvice';
import { useAlarms } from './useAlarms';
import { sourceWords, useCookNow } from './useCookNow';
import { useKeys } from './useKeys';
import { usePieces } from './usePieces';
import { useScreenAwake } from './useScreenAwake';
import { WatchOffer } from './WatchSheet';

const TendSheets = lazyComponent(async () => ({
  default: (await import('./TendSheets')).TendSheets,
}));

interface Props {
  plan: Plan;
  id: string;
}

export function TendCook({ plan: planned, id }: Props) {
  const cook = useCookNow(planned, id);
  const { plan, live, now, log, forecast, lit, jobs } = cook;
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const mayLog = useRole() !== 'looker';
  const [open, setOpen] = useState<OpenSheet | null>(null);
  const [last, setLast] = useState<Entry[]>([]);
  const correct = (entryId: string): void => setOpen({ of: 'line', entryId });
  const next = jobs[0]?.job ?? null;
  const awake = useScreenAwake(live.fire === 'real');
  const pieces = usePieces(id, plan, log, live.readings, forecast, now);
  const alarms = useAlarms(plan, cook, pieces);
  const leaving = alarms.up.some((a) => a.code === 'leaving-band');
  const advice = useAdvice(id, plan, cook, leaving);
  useKeys(next, log, now, { editing: open !== null || !mayLog });
  const parts: Parts = {
    notice: (
      <>
        <ConnectionNotice timeZone={plan.request.timeZone} />
        <WatchOffer watch={cook.watch} plan={plan} now={now} />
        <AlarmBar alarms={alarms} plan={plan} cook={cook} />
      </>
    ),
    header: (
      <>
        <Reading
          plan={plan}
          name={live.name}
          pitName={live.pitName}
          readings={cook.readings}
          ready={cook.ready}
          practice={live.fire === 'practice'}
          serveMs={cook.serveMs}
          source={sourceWords(cook, units)}
          now={now}
          lit={lit}
          state={cook.state}
          forecast={forecast}
          stale={live.connection === 'lost'}
          onRun={() => setOpen({ of: 'run' })}
          onMeat={() => setOpen({ of: 'meat' })}
          speed={live.clock?.speed ?? 1}
        />
        <AfterOffCard plan={plan} cook={cook} />
        {advice ? (
          <AdviceRow {...{ advice, plan, now, mayLog }} state={cook.state} onLogged={setLast} />
        ) : null}
        {pieces.length > 1 ? <PieceChips plan={plan} pieces={pieces} lit={lit} now={now} /> : null}
      </>
    ),
    card: (
      <JobCard
        key={next?.id ?? 'none'}
        jobs={jobs}
        pitC={freshPitC(cook.readings, now)}
        now={now}
        plan={plan}
        forecast={forecast}
        onFinish={() => setOpen({ of: 'run' })}
        onLogged={setLast}
        onList={() => setOpen({ of: 'jobs' })}
        mayLog={mayLog}
      />
    ),
    ahead: (
      <JobsAhead
        plan={plan}
        log={log}
        jobs={jobs}
        ready={cook.ready}
        onEdit={correct}
        meatName={cutOf(plan.request.meats[0]!.cut).name}
      />
    ),
    strip: (width, height) => (
      <TendStrip
        plan={plan}
        cook={cook}
        advice={advice}
        width={width}
        height={height}
        onMark={correct}
      />
    ),
    pad: mayLog ? (
      <LogPad plan={plan} log={log} now={now} last={last} setLast={setLast} onEdit={correct} />
    ) : (
      <Note>This phone may look, not log. A cook can change that under Yard, Phones.</Note>
    ),
  };
  return (
    <View className="flex-1">
      {wide ? <WideLayout {...parts} /> : <PhoneLayout {...parts} />}
      <TendSheets
        {...{ open, setOpen, plan, id, cook, mayLog, awake, alarms }}
        onLogged={setLast}
      />
    </View>
  );
}

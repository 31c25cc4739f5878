/** The cook under way: reading, next job, strip and log pad. */
import type { Entry } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useRole } from '../devices/useDevices';
import { useLive } from '../store/live';
import { useLayout } from '../ui/layout';
import { lazyComponent } from '../ui/lazyComponent';
import { Note } from '../ui/Notice';
import { AdviceRow } from './AdviceRow';
import { AfterOffCard } from './AfterOffCard';
import { AlarmBar } from './AlarmBar';
import { ConnectionNotice } from './ConnectionNotice';
import { CookContext } from './cookContext';
import { JobCard } from './JobCard';
import { JobsAhead } from './JobsAhead';
import { LogPad } from './LogPad';
import { PieceChips } from './PieceChips';
import { Reading } from './Reading';
import { ShiftOffer } from './ShiftSheet';
import { PhoneLayout, WideLayout, type Parts } from './TendLayout';
import type { OpenSheet } from './TendSheets';
import { TendStrip } from './TendStrip';
import { useAdvice } from './useAdvice';
import { useAlarms } from './useAlarms';
import { useCookNow } from './useCookNow';
import { useKeys } from './useKeys';
import { useScreenAwake } from './useScreenAwake';

const TendSheets = lazyComponent(async () => ({
  default: (await import('./TendSheets')).TendSheets,
}));

interface Props {
  plan: PitPlan;
  id: string;
}

export function TendCook({ plan, id }: Props) {
  const cook = useCookNow(plan, id);
  const { wide } = useLayout();
  const mayLog = useRole() !== 'looker';
  const [open, setOpen] = useState<OpenSheet | null>(null);
  const [last, setLast] = useState<Entry[]>([]);
  const correct = (entryId: string): void => setOpen({ of: 'line', entryId });
  const next = cook.jobs[0]?.job ?? null;
  const awake = useScreenAwake(useLive((s) => s.fire) === 'real');
  const alarms = useAlarms(cook);
  const advice = useAdvice(cook);
  useKeys(next, cook.log, cook.nowMs, { editing: open !== null || !mayLog });
  const parts: Parts = {
    notice: (
      <>
        <ConnectionNotice timeZone={cook.plan.request.timeZone} />
        <ShiftOffer />
        <AlarmBar alarms={alarms} />
      </>
    ),
    header: (
      <>
        <Reading onRun={() => setOpen({ of: 'run' })} onMeat={() => setOpen({ of: 'meat' })} />
        <AfterOffCard />
        {advice ? <AdviceRow advice={advice} /> : null}
        {cook.pieces.length > 1 ? <PieceChips /> : null}
      </>
    ),
    card: (
      <JobCard
        key={next?.id ?? 'none'}
        onFinish={() => setOpen({ of: 'run' })}
        onList={() => setOpen({ of: 'jobs' })}
      />
    ),
    ahead: <JobsAhead onEdit={correct} />,
    strip: (width, height) => <TendStrip {...{ advice, width, height }} onMark={correct} />,
    pad: mayLog ? (
      <LogPad last={last} setLast={setLast} onEdit={correct} />
    ) : (
      <Note>
        This phone can view but not log. A cook can change that under Yard, Phones and access.
      </Note>
    ),
  };
  return (
    <CookContext.Provider value={{ cook, mayLog, onLogged: setLast }}>
      <View className="flex-1">
        {wide ? <WideLayout {...parts} /> : <PhoneLayout {...parts} />}
        <TendSheets {...{ open, setOpen, awake, alarms }} />
      </View>
    </CookContext.Provider>
  );
}

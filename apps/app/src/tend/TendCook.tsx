/** The cook under way: reading, next job, strip and log pad. */
import type { Entry } from '@ostrin/core/log';
import { doubtAbout, isTheOrder, leadPiece } from '@ostrin/core/tending';
import type { PitPlan } from '@ostrin/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useRole } from '../devices/useDevices';
import { useLive } from '../store/live';
import { useLayout } from '../ui/layout';
import { lazyComponent } from '../ui/lazyComponent';
import { Note } from '../ui/Notice';
import { useJustChanged } from '../ui/useJustChanged';
import { doOrder } from './actions';
import { AfterOffCard } from './AfterOffCard';
import { AlarmBar } from './AlarmBar';
import { ConnectionNotice } from './ConnectionNotice';
import { CookContext } from './cookContext';
import { JobsAhead } from './JobsAhead';
import { LogPad } from './LogPad';
import { OrderCard } from './OrderCard';
import { PieceChips } from './PieceChips';
import { Reading } from './Reading';
import { ShiftOffer } from './ShiftSheet';
import { PhoneLayout, WideLayout, type Parts } from './TendLayout';
import type { OpenSheet } from './TendSheets';
import { TendStrip } from './TendStrip';
import { useAdvice } from './useAdvice';
import { useAlarms } from './useAlarms';
import { useCookNow } from './useCookNow';
import { useFinish } from './useFinish';
import { useKeys } from './useKeys';
import { useOrders } from './useOrders';
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
  const openPiece = (meat: string): void => setOpen({ of: 'piece', meat });
  const correct = (entryId: string): void => setOpen({ of: 'line', entryId });
  const awake = useScreenAwake(useLive((s) => s.fire) === 'real');
  const advice = useAdvice(cook);
  const { orders, see } = useOrders(cook, advice);
  const { order } = orders;
  const alarms = useAlarms(cook, order);
  const beside = alarms.unseen.filter((a) => !isTheOrder(a, order));
  // A second touch of the same finger does not do the next order.
  const resting = useJustChanged(order.id);
  const [askedOf, setAskedOf] = useState<string | null>(null);
  const doubt = doubtAbout(order, cook);
  const { finish } = useFinish(id, cook.nowMs);
  const onDone = (): void => {
    if (resting) return;
    if (order.kind === 'finish') finish();
    else if (doubt && askedOf !== order.id) setAskedOf(order.id);
    else {
      setAskedOf(null);
      see(order.id);
      void doOrder(order, cook.nowMs).then(setLast);
    }
  };
  useKeys(onDone, cook.log, cook.nowMs, { editing: open !== null || !mayLog });
  const parts: Parts = {
    notice: (
      <>
        <ConnectionNotice timeZone={cook.plan.request.timeZone} />
        <ShiftOffer />
      </>
    ),
    header: (
      <>
        <Reading
          instead={
            beside.length > 0 ? (
              <AlarmBar
                unseen={beside}
                see={alarms.see}
                onRemedy={() => setOpen({ of: 'change' })}
              />
            ) : null
          }
          onRun={() => setOpen({ of: 'run' })}
          onMeat={() => openPiece(leadPiece(cook).id)}
        />
        <AfterOffCard />
        {cook.pieces.length > 1 ? <PieceChips onPiece={openPiece} /> : null}
      </>
    ),
    card: (
      <OrderCard
        key={order.id}
        resting={resting}
        doubt={askedOf === order.id ? doubt : null}
        onDone={onDone}
        onNotYet={() => setAskedOf(null)}
        onList={() => setOpen({ of: 'jobs' })}
        onLog={() => setOpen({ of: 'log' })}
      />
    ),
    ahead: <JobsAhead onEdit={correct} />,
    strip: (width, height) => (
      <TendStrip
        advice={order.kind === 'move' ? order.advice : null}
        jobs={orders.jobs}
        {...{ width, height }}
        onMark={correct}
      />
    ),
    pad: mayLog ? (
      <LogPad last={last} setLast={setLast} onEdit={correct} />
    ) : (
      <Note>
        This phone can view but not log. A cook can change that under Yard, Phones and access.
      </Note>
    ),
  };
  return (
    <CookContext.Provider value={{ cook, orders, mayLog, onLogged: setLast }}>
      <View className="flex-1">
        {wide ? <WideLayout {...parts} /> : <PhoneLayout {...parts} />}
        <TendSheets {...{ open, setOpen, awake, alarms }} />
      </View>
    </CookContext.Provider>
  );
}

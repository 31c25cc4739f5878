/** One line of the log: correct what was read or when it happened, or take it back. */
import { localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { LogLine, Log } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { useState } from 'react';
import { Text } from 'react-native';
import { useSettings } from '../store/settings';
import type { Deed } from '../store/logging';
import { lineLabel } from '../strip/fromCook';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { clockOf } from '../ui/words';
import { rereading, retiming, undoing } from './actions';
import { ReadSheet } from './ReadSheet';
import { TimeStepper } from './TimeStepper';

interface Props {
  line: LogLine;
  plan: PitPlan;
  log: Log;
  /** The latest time that it can have, epoch ms. */
  now: number;
  /** Writes corrections into the log of the line's cook. */
  onWrite: (deeds: readonly Deed[]) => void;
  onClose: () => void;
}

export function LogLineSheet(props: Props) {
  const { line, plan, log, now, onWrite, onClose } = props;
  const { body, id, at } = line;
  if (body.kind !== 'read') return <TimeSheet {...props} />;
  const write = (deeds: readonly Deed[]): void => {
    onWrite(deeds);
    onClose();
  };
  return (
    <ReadSheet
      plan={plan}
      log={log}
      now={now}
      reading={{ body, at }}
      onRead={(read, atMs) => write(rereading(id, read, atMs))}
      onRemove={() => write(undoing([id]))}
      onClose={onClose}
    />
  );
}

const AGO_MIN = [5, 10, 20, 30];

/** What is no reading: when it happened. */
function TimeSheet({ line: logLine, plan, log, now, onWrite, onClose }: Props) {
  const units = useSettings((s) => s.units);
  const [at, setAt] = useState(logLine.at);
  const say = (ms: number): string => clockOf(localOf(ms, plan.request.timeZone));
  return (
    <Sheet title={lineLabel(logLine, plan, units)} onClose={onClose}>
      {logLine.body.kind === 'note' ? (
        <Text className="font-sans text-ink text-[16px] leading-[23px]">{logLine.body.text}</Text>
      ) : null}
      <TimeStepper at={at} now={now} timeZone={plan.request.timeZone} onChange={setAt} />
      <Choice
        label="Or"
        columns={4}
        options={AGO_MIN.map((m) => ({ value: logLine.at - m * MINUTE_MS, label: `−${m} min` }))}
        value={at}
        onChange={setAt}
      />
      <Button
        kind="primary"
        label={at === logLine.at ? 'Keep this time' : `It was at ${say(at)}`}
        testID="retime"
        onPress={() => {
          if (at !== logLine.at) onWrite(retiming(log, logLine, at));
          onClose();
        }}
      />
      <Button
        label="Remove"
        onPress={() => {
          onWrite(undoing([logLine.id]));
          onClose();
        }}
      />
    </Sheet>
  );
}

/** Alarms: whether they sound and vibrate, quiet hours, trying them out, and what a locked phone cannot do. */
import type { Alarm } from '@ostrin/core/tending';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice, Stepper } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';
import { canVibrate, ring } from './ring';

interface Props {
  /** The alarms that are up, in words. */
  up: readonly { alarm: Alarm; words: string }[];
  onClose: () => void;
}

/** The two ends of quiet hours. */
const QUIET = [
  { key: 'quietFrom', word: 'from' },
  { key: 'quietTo', word: 'to' },
] as const;

/** An hour of the day moved by half hours. */
const moved = (at: string, by: number): string => {
  const min = (Number(at.slice(0, 2)) * 60 + Number(at.slice(3)) + 30 * by + 1440) % 1440;
  return `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;
};

export function AlarmSheet({ up, onClose }: Props) {
  const alarms = useSettings((s) => s.alarms);
  const setAlarms = useSettings((s) => s.setAlarms);
  return (
    <Sheet title="Alarms" onClose={onClose}>
      <Heading>Active now</Heading>
      {up.length === 0 ? <Paragraph>None.</Paragraph> : null}
      {up.map(({ alarm, words }) => (
        <Paragraph key={alarm.id}>{words}</Paragraph>
      ))}
      <Heading>Sound and vibration</Heading>
      <Choice
        label="Sound and vibration"
        columns={2}
        options={[
          { value: 'both', label: 'Sound and vibrate' },
          { value: 'sound', label: 'Sound' },
          { value: 'vibrate', label: 'Vibrate' },
          { value: 'none', label: 'Show only' },
        ]}
        value={
          alarms.sound ? (alarms.vibrate ? 'both' : 'sound') : alarms.vibrate ? 'vibrate' : 'none'
        }
        onChange={(v) =>
          setAlarms({
            sound: v === 'both' || v === 'sound',
            vibrate: v === 'both' || v === 'vibrate',
          })
        }
      />
      <Button label="Try it" testID="alarm-try" onPress={() => ring(alarms)} />
      <Heading>Quiet hours</Heading>
      {QUIET.map(({ key, word }) => (
        <Stepper
          key={key}
          label={`Quiet ${word}`}
          shown={`${word} ${alarms[key]}`}
          onStep={(by) => setAlarms({ [key]: moved(alarms[key], by) })}
          canDown
          canUp
        />
      ))}
      <Note>
        {alarms.quietFrom === alarms.quietTo
          ? 'No quiet hours: set two different times to have them.'
          : 'In quiet hours only a fire that is out or in trouble raises an alarm, and a core temperature you set.'}
      </Note>
      <Note>
        {`A page can sound an alarm only while it is open and the screen is on: a locked phone stays silent.${canVibrate() ? '' : ' This browser cannot vibrate.'} A sound comes only after this page was touched once.`}
      </Note>
    </Sheet>
  );
}

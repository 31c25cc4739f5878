/** The cook itself: how fast its practice clock goes, and its end. */
import { cautionWords } from '@ostrin/wording';
import { METRIC, MINUTE_MS } from '@ostrin/core/quantity';
import { useState } from 'react';
import { Text } from 'react-native';
import { useLive } from '../store/live';
import { logDeeds } from '../store/logging';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice, Stepper, TitledChoice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { Heading } from '../ui/Title';
import { useClock } from './useClock';
import { useFinish } from './useFinish';
import type { Awake } from './useScreenAwake';

/** What a locked phone cannot do is said, and what this browser grants. */
const AWAKE_WORDS: Readonly<Record<Awake, string>> = {
  kept: 'Kept on while this page is open. A locked phone shows nothing and stays silent.',
  refused:
    'This browser does not keep the screen on now. A locked phone shows nothing and stays silent.',
  'unknown-here':
    'This browser cannot keep the screen on: set that in the phone. A locked phone shows nothing and stays silent.',
};
const LIGHTS = [
  { value: 'auto', label: 'Auto' },
  { value: 'day', label: 'Day' },
  { value: 'night', label: 'Night' },
] as const;
/** Serving is moved by a quarter of an hour at a time. */
const QUARTER_MS = 15 * MINUTE_MS;
const SPEEDS = [1, 10, 60, 120, 240];

interface Props {
  id: string;
  now: number;
  /** Who holds the watch, in a sentence. */
  watch: string;
  /** Whether meat is still on the pit. */
  meatOn: boolean;
  /** Whether the screen is kept on; null where nobody asked for it. */
  awake: Awake | null;
  /** When people sit down, epoch ms, and how that is said. */
  serveMs: number;
  clock: (ms: number) => string;
  onWatch: () => void;
  onAlarms: () => void;
  /** Opens what can be done otherwise from here on; null before the fire is lit. */
  onChange: (() => void) | null;
  /** Opens what else could go on; null before the fire is lit. */
  onFood: (() => void) | null;
  onClose: () => void;
}

export function RunSheet({
  id,
  now,
  watch,
  meatOn,
  awake,
  serveMs,
  clock,
  onWatch,
  onAlarms,
  onChange,
  onFood,
  onClose,
}: Props) {
  const { speed, change: set } = useClock(id);
  const { light, setLight } = useSettings();
  const practice = useLive((s) => s.fire === 'practice');
  const { finish, ending } = useFinish(id, now, onClose);
  const [sure, setSure] = useState(false);
  const moveServe = (to: number): void =>
    void logDeeds([{ body: { kind: 'serve-at', to: Math.round(to) } }], now);
  return (
    <Sheet title="This cook" onClose={onClose}>
      <Heading>Serving</Heading>
      <Stepper
        label="Served at"
        shown={clock(serveMs)}
        onStep={(by) => moveServe(serveMs + by * QUARTER_MS)}
        canDown={serveMs - QUARTER_MS > now}
        canUp
      />
      {onChange ? (
        <>
          <Heading>Change the plan</Heading>
          <Button label="Lower, hotter, wrap, oven" testID="change" onPress={onChange} />
        </>
      ) : null}
      {onFood ? <Button label="Add other food" testID="add-food" onPress={onFood} /> : null}
      <Heading>Shift</Heading>
      <Text className="font-sans text-ink text-[16px] leading-[23px]">{watch}</Text>
      <Button label="Take or hand over the shift" testID="watch" onPress={onWatch} />
      <Heading>Alarms</Heading>
      <Button label="Alarms and quiet hours" testID="alarms" onPress={onAlarms} />
      {practice ? (
        <>
          <Heading>Practice thermometer</Heading>
          <Text className="font-sans text-ink text-[16px] leading-[23px]">
            A simulated pit, a little different from the planned one. It does what you log. Its
            clock can run faster than real time.
          </Text>
          <Choice
            label="Clock speed"
            columns={3}
            options={SPEEDS.map((s) => ({ value: s, label: `${s}×` }))}
            value={speed}
            onChange={(s) => set.mutate({ speed: s })}
          />
        </>
      ) : null}
      {set.isError ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {set.error.message}
        </Text>
      ) : null}
      <Heading>Screen</Heading>
      <TitledChoice label="Light" columns={3} options={LIGHTS} value={light} onChange={setLight} />
      {awake ? (
        <Text className="font-sans text-ink text-[16px] leading-[23px]">{AWAKE_WORDS[awake]}</Text>
      ) : null}
      <Heading>Finish</Heading>
      <Text className="font-sans text-soot text-[16px] leading-[22px]">
        {`Closes the log of this cook. ${cautionWords('hot-ash', METRIC)}`}
      </Text>
      {sure ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px] leading-[22px]">
          The meat is still on the pit by the log. Log it off first, or finish anyway.
        </Text>
      ) : null}
      <Button
        kind="primary"
        label={ending ? 'Finishing' : sure ? 'Yes, finish it' : 'Finish this cook'}
        disabled={ending}
        testID="finish"
        onPress={() => {
          if (meatOn && !sure) setSure(true);
          else finish();
        }}
      />
    </Sheet>
  );
}

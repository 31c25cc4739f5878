/** A reading by hand: where, and what it says, on keys for gloves. */
import { fromC, toC, type EntryBody, type Log, type Plan } from '@ostrin/core';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { Note } from '../ui/Notice';
import { pieceName } from './usePieces';

type ReadBody = Extract<EntryBody, { kind: 'read' }>;

interface Props {
  plan: Plan;
  log: Log;
  onRead: (body: ReadBody, agoMin: number) => void;
  onClose: () => void;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '−', '0', '⌫'];
const MOST_DIGITS = 4;
const AGO = [0, 2, 5, 10].map((m) => ({ value: m, label: m === 0 ? 'Now' : `−${m} min` }));
/** Outside this nothing that is read at a pit lies, C. */
const PLAUSIBLE_C = { least: -30, most: 600, mostMeat: 110 };

/** Where something can be read: `dome`, `grate`, or a piece by `meat:` and its id. */
function spotsOf(plan: Plan): { value: string; label: string }[] {
  const { meats } = plan.request;
  return [
    { value: 'dome', label: 'Dial in the lid' },
    { value: 'grate', label: 'At the grate' },
    ...meats.map((m, i) => ({ value: `meat:${m.id}`, label: pieceName(plan, i) })),
  ];
}

/** Where this cook was read last by hand; the grate at first. */
function lastSpot(log: Log): string {
  const last = [...log.lines].reverse().find((l) => l.body.kind === 'read')?.body;
  if (last?.kind !== 'read') return 'grate';
  return last.spot === 'meat' ? `meat:${last.meat}` : last.spot;
}

const bodyOf = (spot: string, c: number): ReadBody =>
  spot === 'dome' || spot === 'grate'
    ? { kind: 'read', spot, c }
    : { kind: 'read', spot: 'meat', meat: spot.slice('meat:'.length), c };

export function ReadSheet({ plan, log, onRead, onClose }: Props) {
  const { temperature } = useSettings((s) => s.units);
  const [spot, setSpot] = useState(() => lastSpot(log));
  const [typed, setTyped] = useState('');
  const [ago, setAgo] = useState(0);
  const c =
    typed === '' || typed === '−' ? null : toC(Number(typed.replace('−', '-')), temperature);
  const most = spot.startsWith('meat:') ? PLAUSIBLE_C.mostMeat : PLAUSIBLE_C.most;
  const wrong = c !== null && (c < PLAUSIBLE_C.least || c > most);
  const press = (key: string): void =>
    setTyped((t) => {
      if (key === '⌫') return t.slice(0, -1);
      if (key === '−') return t.startsWith('−') ? t.slice(1) : `−${t}`;
      return t.length < MOST_DIGITS ? t + key : t;
    });
  return (
    <Sheet title="What does it read?" onClose={onClose}>
      <Choice label="Where" columns={2} options={spotsOf(plan)} value={spot} onChange={setSpot} />
      <Text
        testID="read-typed"
        aria-live="polite"
        className="font-slab-semi text-ink text-[44px] leading-[50px] text-center"
      >
        {`${typed === '' ? '–' : typed}°${temperature}`}
      </Text>
      <View className="flex-row flex-wrap -mx-1">
        {KEYS.map((key) => (
          <View key={key} className="w-1/3 p-1">
            <Button
              tall
              label={key}
              testID={`key-${key}`}
              accessibilityLabel={key === '⌫' ? 'Take a digit back' : key}
              onPress={() => press(key)}
            />
          </View>
        ))}
      </View>
      <Choice label="When" columns={4} options={AGO} value={ago} onChange={setAgo} />
      {wrong ? (
        <Note>
          {`Nothing at a pit reads that. It should lie between ${Math.round(fromC(PLAUSIBLE_C.least, temperature))} and ${Math.round(fromC(most, temperature))}.`}
        </Note>
      ) : null}
      <Button
        kind="primary"
        testID="read-save"
        label="Log this reading"
        disabled={c === null || wrong}
        onPress={() => onRead(bodyOf(spot, c!), ago)}
      />
    </Sheet>
  );
}

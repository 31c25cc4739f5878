/** A reading by hand: where, and what it says, on keys for gloves. */
import { fromC, toC } from '@ostrin/core/quantity';
import { MUSCLES, type EntryBody, type Log } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { hasTwoMuscles } from '@ostrin/core/tending';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { Note } from '../ui/Notice';
import { pieceName } from '../store/names';

type ReadBody = Extract<EntryBody, { kind: 'read' }>;

interface Props {
  plan: PitPlan;
  log: Log;
  onRead: (body: ReadBody, agoMin: number) => void;
  onClose: () => void;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '−', '0', '⌫'];
const MOST_DIGITS = 4;
const AGO = [0, 2, 5, 10].map((m) => ({ value: m, label: m === 0 ? 'Now' : `−${m} min` }));
/** Outside this nothing that is read at a pit lies, C. */
const PLAUSIBLE_C = { least: -30, most: 600, mostMeat: 110 };

/** A place that can be read. */
type Spot = Pick<ReadBody, 'spot' | 'meat' | 'muscle'>;

/** A place as one text. */
const keyOf = ({ spot, meat, muscle }: Spot): string => [spot, meat, muscle].join('/');

/** Where something can be read: the lid, the grate, each piece, and both muscles of a brisket. */
function spotsOf(plan: PitPlan): { spot: Spot; label: string }[] {
  const pieces = plan.request.meats.flatMap((m, i): { spot: Spot; label: string }[] => {
    const name = pieceName(plan, i);
    const spot: Spot = { spot: 'meat', meat: m.id };
    return hasTwoMuscles({ id: m.cut })
      ? MUSCLES.map((muscle) => ({ spot: { ...spot, muscle }, label: `${name}, ${muscle}` }))
      : [{ spot, label: name }];
  });
  return [
    { spot: { spot: 'dome' }, label: 'Dial in the lid' },
    { spot: { spot: 'grate' }, label: 'At the grate' },
    ...pieces,
  ];
}

/** Where this cook was read last by hand; the grate at first. */
function lastSpot(log: Log): Spot {
  const last = [...log.lines].reverse().find((l) => l.body.kind === 'read')?.body;
  return last?.kind === 'read' ? last : { spot: 'grate' };
}

export function ReadSheet({ plan, log, onRead, onClose }: Props) {
  const { temperature } = useSettings((s) => s.units);
  const spots = spotsOf(plan);
  const [chosen, setChosen] = useState(() => keyOf(lastSpot(log)));
  const { spot } = spots.find((s) => keyOf(s.spot) === chosen) ?? spots[1]!;
  const [typed, setTyped] = useState('');
  const [ago, setAgo] = useState(0);
  const c =
    typed === '' || typed === '−' ? null : toC(Number(typed.replace('−', '-')), temperature);
  const most = spot.spot === 'meat' ? PLAUSIBLE_C.mostMeat : PLAUSIBLE_C.most;
  const wrong = c !== null && (c < PLAUSIBLE_C.least || c > most);
  const press = (key: string): void =>
    setTyped((t) => {
      if (key === '⌫') return t.slice(0, -1);
      if (key === '−') return t.startsWith('−') ? t.slice(1) : `−${t}`;
      return t.length < MOST_DIGITS ? t + key : t;
    });
  return (
    <Sheet title="What does it read?" onClose={onClose}>
      <Choice
        label="Where"
        columns={2}
        options={spots.map(({ spot: s, label }) => ({ value: keyOf(s), label }))}
        value={keyOf(spot)}
        onChange={setChosen}
      />
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
        onPress={() => onRead({ kind: 'read', ...spot, c: c! }, ago)}
      />
    </Sheet>
  );
}

/** A reading by hand: where, and what it says, on keys for gloves. One that was logged is put right the same way. */
import { fromC, localOf, MINUTE_MS, toC } from '@ostrin/core/quantity';
import { MUSCLES, type Log } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { hasTwoMuscles } from '@ostrin/core/tending';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { Note } from '../ui/Notice';
import { clockOf } from '../ui/words';
import { pieceName } from '../store/names';
import { TimeStepper } from './TimeStepper';
import { isSurprising, keyOf, lastReading, meantBy, type ReadBody, type Spot } from './surprise';

interface Props {
  plan: PitPlan;
  log: Log;
  /** The cook's clock, epoch ms. */
  now: number;
  /** A reading that is put right; a new one when left out. */
  reading?: { body: ReadBody; at: number };
  onRead: (body: ReadBody, atMs: number) => void;
  /** Takes the reading back. */
  onRemove?: () => void;
  onClose: () => void;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '−', '0', '⌫'];
const MOST_DIGITS = 4;
const AGO = [0, 2, 5, 10].map((m) => ({ value: m, label: m === 0 ? 'Now' : `−${m} min` }));
/** Outside this nothing that is read at a pit lies, C. */
const PLAUSIBLE_C = { least: -30, most: 600, mostMeat: 110 };

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

/** Whole degrees as they are typed, and what is typed as degrees. */
const typedOf = (degrees: number): string => `${degrees < 0 ? '−' : ''}${Math.abs(degrees)}`;
const degreesOf = (typed: string): number | null =>
  typed === '' || typed === '−' ? null : Number(typed.replace('−', '-'));

export function ReadSheet({ plan, log, now, reading, onRead, onRemove, onClose }: Props) {
  const { temperature } = useSettings((s) => s.units);
  const spots = spotsOf(plan);
  const [chosen, setChosen] = useState(() => keyOf(reading?.body ?? lastSpot(log)));
  const { spot } = spots.find((s) => keyOf(s.spot) === chosen) ?? spots[1]!;
  const shown = (c: number): number => Math.round(fromC(c, temperature));
  const [typed, setTyped] = useState(reading ? typedOf(shown(reading.body.c)) : '');
  const [ago, setAgo] = useState(0);
  const [at, setAt] = useState(reading?.at ?? now);
  const atMs = reading ? at : now - ago * MINUTE_MS;
  const [asked, setAsked] = useState(false);
  const degrees = degreesOf(typed);
  const c = degrees === null ? null : toC(degrees, temperature);
  const most = spot.spot === 'meat' ? PLAUSIBLE_C.mostMeat : PLAUSIBLE_C.most;
  const wrong = c !== null && (c < PLAUSIBLE_C.least || c > most);
  const last = lastReading(log.lines, spot, atMs);
  const type = (next: string): void => {
    setAsked(false);
    setTyped(next);
  };
  const press = (key: string): void => {
    if (key === '⌫') type(typed.slice(0, -1));
    else if (key === '−') type(typed.startsWith('−') ? typed.slice(1) : `−${typed}`);
    else if (typed.length < MOST_DIGITS) type(typed + key);
  };
  const step = (by: number): void => {
    const from = degrees ?? (last ? shown(last.c) : null);
    if (from !== null) type(typedOf(from + by));
  };
  const save = (): void => {
    if (!asked && isSurprising(spot, c!, atMs, last)) setAsked(true);
    else onRead({ kind: 'read', ...spot, c: c! }, atMs);
  };
  const time = (ms: number): string => clockOf(localOf(ms, plan.request.timeZone));
  const meant = asked && last && degrees !== null ? meantBy(degrees, shown(last.c)) : null;
  return (
    <Sheet title={reading ? 'Correct this reading' : 'What does it read?'} onClose={onClose}>
      <Choice
        label="Where"
        columns={2}
        options={spots.map(({ spot: s, label }) => ({ value: keyOf(s), label }))}
        value={keyOf(spot)}
        onChange={(key) => {
          setAsked(false);
          setChosen(key);
        }}
      />
      <View className="flex-row items-center gap-2">
        <View className="w-[72px]">
          <Button label="−" accessibilityLabel="One degree less" onPress={() => step(-1)} />
        </View>
        <Text
          testID="read-typed"
          aria-live="polite"
          className="font-slab-semi text-ink text-[44px] leading-[50px] text-center flex-1"
        >
          {`${typed === '' ? '–' : typed}°${temperature}`}
        </Text>
        <View className="w-[72px]">
          <Button label="+" accessibilityLabel="One degree more" onPress={() => step(1)} />
        </View>
      </View>
      {last ? <Note>{`Last read here: ${shown(last.c)}° at ${time(last.at)}.`}</Note> : null}
      {asked && last ? (
        <Surprise
          degrees={degrees!}
          last={shown(last.c)}
          meant={meant}
          onMeant={() => onRead({ kind: 'read', ...spot, c: toC(meant!, temperature) }, atMs)}
          onAgain={() => type('')}
        />
      ) : (
        <Keys onPress={press} />
      )}
      {reading ? (
        <TimeStepper at={at} now={now} timeZone={plan.request.timeZone} onChange={setAt} />
      ) : (
        <Choice label="When" columns={4} options={AGO} value={ago} onChange={setAgo} />
      )}
      {wrong ? (
        <Note>
          {`Nothing at a pit reads that. It should lie between ${shown(PLAUSIBLE_C.least)} and ${shown(most)}.`}
        </Note>
      ) : null}
      <Button
        kind="primary"
        testID="read-save"
        label={asked ? `${degrees}° is right` : reading ? 'Keep this reading' : 'Log this reading'}
        disabled={c === null || wrong}
        onPress={save}
      />
      {onRemove ? <Button label="Remove this reading" onPress={onRemove} /> : null}
    </Sheet>
  );
}

/** The keys. */
function Keys({ onPress }: { onPress: (key: string) => void }) {
  return (
    <View className="flex-row flex-wrap -mx-1">
      {KEYS.map((key) => (
        <View key={key} className="w-1/3 p-1">
          <Button
            tall
            label={key}
            testID={`key-${key}`}
            accessibilityLabel={
              key === '⌫' ? 'Take a digit back' : key === '−' ? 'Minus sign' : key
            }
            onPress={() => onPress(key)}
          />
        </View>
      ))}
    </View>
  );
}

interface SurpriseProps {
  /** What was typed, what was read last, and what was probably meant, in the reader's degrees. */
  degrees: number;
  last: number;
  meant: number | null;
  onMeant: () => void;
  onAgain: () => void;
}

/** Asks about a reading that can hardly be. */
function Surprise({ degrees, last, meant, onMeant, onAgain }: SurpriseProps) {
  return (
    <View className="gap-2" testID="read-surprise">
      <Text role="alert" className="font-sans-bold text-ink text-[16px] leading-[21px]">
        {`${degrees}°? The last reading was ${last}°.${meant === null ? '' : ` Did you mean ${meant}°?`}`}
      </Text>
      {meant === null ? null : (
        <Button tall label={`I meant ${meant}°`} testID="read-meant" onPress={onMeant} />
      )}
      <Button tall label="Type it again" onPress={onAgain} />
    </View>
  );
}

/** What is written down once a cook is over: notes into its log, and notes that come up in the next plan. */
import { cutOf } from '@ostrin/core/catalogue';
import { toKg, type Units } from '@ostrin/core/quantity';
import type { EntryBody } from '@ostrin/core/log';
import { massWords } from '@ostrin/wording';
import { WEIGHED_NAMES } from '@ostrin/wording/afterwards';
import { useState } from 'react';
import { Text, View } from 'react-native';
import type { CookView } from '../api/queries';
import { pieceName } from '../store/names';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import type { Field } from '../ui/FieldsForm';
import { FormSheet, wordsField } from '../ui/FormSheet';
import { Heading } from '../ui/Title';
import { Paragraph } from '../ui/Text';
import type { CookLog } from './useCookLog';

/** What a sheet asks, and what it writes. */
interface Ask {
  label: string;
  field: Field;
  body: (text: string, units: Units) => EntryBody;
}

const MOST_NOTE = 500;
/** A mass as it is typed: a number with a point or a comma. */
const MASS = /^\d{1,3}([.,]\d{1,3})?$/;

const kgOf = (text: string, units: Units): number =>
  toKg(Number(text.replace(',', '.')), units.mass);

/** The notes that can be written of a cook. */
function notesOf({ pitName, plan }: CookView): Ask[] {
  const cuts = [...new Set(plan.request.meats.map((m) => m.cut))];
  const words = (label: string): Field => wordsField(label, MOST_NOTE, { kind: 'long' });
  return [
    {
      label: `Next time on ${pitName}`,
      field: words('For the next cook on it'),
      body: (text) => ({ kind: 'next-time', about: 'pit', text }),
    },
    ...cuts.map((cut): Ask => ({
      label: `Next time with ${cutOf(cut).name}`,
      field: words('For the next one'),
      body: (text) => ({ kind: 'next-time', about: 'cut', cut, text }),
    })),
    {
      label: 'A note in this log',
      field: words('Note'),
      body: (text) => ({ kind: 'note', text }),
    },
  ];
}

/** What of a piece can be weighed, how that is said, and how it is asked. */
const PIECE_WEIGHINGS = [
  { what: 'bought', key: 'boughtKg', said: 'as bought', asked: 'as bought, before trimming' },
  { what: 'trimmed', key: 'trimmedKg', said: 'trimmed', asked: 'trimmed, before it went on' },
  { what: 'cooked', key: 'cookedKg', said: 'off the fire', asked: 'off the fire' },
] as const;

/** What of a cook can be weighed. */
function weighingsOf({ plan }: CookView, units: Units): Ask[] {
  const field = (label: string): Field => ({
    name: 'text',
    label: `${label}, ${units.mass}`,
    first: '',
    pattern: MASS,
    message: `Write a number of ${units.mass}, such as 1.2.`,
    kind: 'number',
  });
  return [
    {
      label: 'Charcoal left',
      field: field('Charcoal left in the cold pit, ash shaken off'),
      body: (text, u) => ({ kind: 'weighed', what: 'fuel-left', kg: kgOf(text, u) }),
    },
    ...plan.request.meats.flatMap((meat, i) => {
      const name = pieceName(plan, i);
      return PIECE_WEIGHINGS.map(({ what, said, asked }): Ask => ({
        label: `${name} ${said}`,
        field: field(`One ${name}, ${asked}`),
        body: (text, u) => ({ kind: 'weighed', what, meat: meat.id, kg: kgOf(text, u) }),
      }));
    }),
  ];
}

export function NextTime({ cook, of }: { cook: CookView; of: CookLog }) {
  const units = useSettings((s) => s.units);
  const [ask, setAsk] = useState<Ask | null>(null);
  const { nextTime, fuelLeftKg, pieces } = of.after;
  const weighed = [
    ...(fuelLeftKg === null
      ? []
      : [`${WEIGHED_NAMES['fuel-left']}: ${massWords(fuelLeftKg, units)}.`]),
    ...cook.plan.request.meats.flatMap((meat, i) =>
      PIECE_WEIGHINGS.flatMap(({ key, said }) => {
        const kg = pieces[meat.id]?.[key];
        return kg === undefined
          ? []
          : [`${pieceName(cook.plan, i)}, ${said}: ${massWords(kg, units)}.`];
      }),
    ),
  ];
  const asks = (list: readonly Ask[]) => (
    <View className="flex-row flex-wrap gap-2">
      {list.map((a) => (
        <Button key={a.label} label={a.label} onPress={() => setAsk(a)} />
      ))}
    </View>
  );
  return (
    <View className="px-5 gap-4 max-w-[720px]" testID="next-time">
      <View className="gap-2">
        <Heading>Next time</Heading>
        {nextTime.map((note) => (
          <View key={note.id} className="flex-row items-center gap-3 border-b border-rule py-2">
            <Text className="font-sans text-ink text-[16px] leading-[22px] flex-1">
              {`${note.about === 'pit' ? cook.pitName : cutOf(note.cut!).name}: ${note.text}`}
            </Text>
            <Button
              label="Remove"
              accessibilityLabel={`Remove: ${note.text}`}
              onPress={() => void of.write({ kind: 'undo', target: note.id })}
            />
          </View>
        ))}
        <Paragraph>What you write here appears in the next plan for that pit or cut.</Paragraph>
        {asks(notesOf(cook))}
      </View>
      <View className="gap-2">
        <Heading>Weighed</Heading>
        {weighed.map((line) => (
          <Paragraph key={line}>{line}</Paragraph>
        ))}
        {asks(weighingsOf(cook, units))}
      </View>
      {ask ? (
        <FormSheet
          title={ask.label}
          fields={[ask.field]}
          save="Keep it"
          saveID="afterwards-save"
          onSave={({ text }) => {
            void of.write(ask.body(text!, units));
            setAsk(null);
          }}
          onClose={() => setAsk(null)}
        />
      ) : null}
    </View>
  );
}

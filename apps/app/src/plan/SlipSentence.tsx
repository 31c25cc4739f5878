/** The planning sentence: every underlined word opens a sheet with large choices. */
import {
  countWords,
  cutOf,
  massWords,
  piecesOfAll,
  presetOf,
  schoolWords,
  temperatureWords,
  WRAPS,
  type Family,
  type Units,
} from '@ostrin/core';
import type { PitRecord } from '@ostrin/contract/types';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { fireOf } from '../store/fires';
import { requestOf, tableOf, type AtPit } from '../store/request';
import { useSettings } from '../store/settings';
import { WINDS, type FireWish, type MeatWish, type Slip } from '../store/slip';
import { useSlipBehind } from '../store/useSlipBehind';
import { later } from '../ui/later';
import { clockAndDay } from '../ui/words';
import { othersWords } from './meatWords';
import type { Opened } from './SlipSheet';

const SlipSheet = later(async () => ({ default: (await import('./SlipSheet')).SlipSheet }));

function Plain({ children }: { children: string }) {
  return <Text className="font-slab text-ink text-[20px] leading-[56px]">{children}</Text>;
}

interface WordProps {
  label: string;
  says: string;
  onPress: () => void;
  /** Punctuation that belongs to the word. */
  after?: string;
}

function Word({ label, says, onPress, after }: WordProps) {
  return (
    <Pressable
      role="button"
      accessibilityLabel={`${says}: ${label}. Change`}
      onPress={onPress}
      className="min-h-[56px] flex-row items-center max-w-full active:opacity-70"
    >
      <View className="flex-row items-end max-w-full">
        <View className="border-b-[3px] border-pit shrink">
          <Text className="font-slab-bold text-ink text-[20px] leading-[28px]">{label}</Text>
        </View>
        {after ? (
          <Text className="font-slab text-ink text-[20px] leading-[28px] mb-[3px]">{after}</Text>
        ) : null}
      </View>
    </Pressable>
  );
}

/** The weather in words: by day, in the small hours where they are colder, and the wind. */
function weatherWords({ airC, nightC, windMps }: Slip, units: Units): string {
  const night = nightC === null ? [] : [`${temperatureWords(nightC, units)} at night`];
  const wind = WINDS.find((w) => w.value === windMps)?.label ?? 'some wind';
  return [temperatureWords(airC, units), ...night, wind].join(', ');
}

/** A fire in words: what it burns, how often it is fed where that was chosen, its wood. */
function fireWords(family: Family, fire: FireWish): string {
  const { label, fuel } = fireOf(family, fire.fireId);
  const fed = fuel === 'splits' && fire.everyMin ? ` each ${fire.everyMin} min` : '';
  return `${label}${fed}, ${fire.species}`;
}

/** How a piece is wrapped, in words. */
const wrapWords = (m: MeatWish, units: Units): string =>
  m.wrap === 'none'
    ? 'left unwrapped'
    : `wrapped in ${WRAPS[m.wrap].name} ${schoolWords(m.wrapWhen, units)}`;

/** The sentence, in the user's units. */
export function SlipSentence({ yard }: { yard: readonly PitRecord[] }) {
  const slip = useSlipBehind();
  const units = useSettings((s) => s.units);
  const [open, setOpen] = useState<Opened | null>(null);
  const table = tableOf(slip, yard);
  const counts = piecesOfAll(requestOf(slip, yard, units));
  const order = table.flatMap((t) => t.meats.map((m) => m.id));
  const several = slip.meats.length > 1;
  const meatWords = (m: MeatWish, last: boolean) => {
    const cut = cutOf(m.cut);
    const say = (what: string): string => (several ? `${what} of the ${cut.name}` : what);
    const ask = (field: Opened['field']) => () => setOpen({ field, meat: m.id });
    return [
      <Word
        key={`${m.id}-cut`}
        label={countWords(counts[order.indexOf(m.id)] ?? 1, cut.name, cut.plural)}
        says={several ? `Meat ${slip.meats.indexOf(m) + 1}` : 'Meat'}
        onPress={ask('cut')}
      />,
      <Plain key={`${m.id}-of`}>of</Plain>,
      <Word
        key={`${m.id}-mass`}
        label={massWords(m.massKg, units)}
        says={say('Mass of one piece')}
        after=","
        onPress={ask('mass')}
      />,
      <Word
        key={`${m.id}-wrap`}
        label={wrapWords(m, units)}
        says={say('Wrap')}
        onPress={ask('wrap')}
      />,
      <Plain key={`${m.id}-until`}>until</Plain>,
      <Word
        key={`${m.id}-done`}
        label={
          m.doneC === null
            ? 'it probes tender'
            : `the middle reads ${temperatureWords(m.doneC, units)}`
        }
        says={say('Done')}
        after=","
        onPress={ask('done')}
      />,
      <Word
        key={`${m.id}-rest`}
        label={othersWords(m, slip.serveAt)}
        says={say('Before and after')}
        after={last ? ',' : ';'}
        onPress={ask('rest')}
      />,
      ...(last ? [] : [<Plain key={`${m.id}-and`}>and</Plain>]),
    ];
  };
  const pitWords = ({ pit, fire, meats }: AtPit, last: boolean) => {
    const preset = presetOf(pit.preset);
    const say = (what: string): string => (table.length > 1 ? `${what} of ${pit.name}` : what);
    const ask = (field: Opened['field']) => () => setOpen({ field, pit: pit.id });
    return [
      ...meats.flatMap((m, i) => meatWords(m, i === meats.length - 1)),
      <Plain key={`${pit.id}-from`}>from</Plain>,
      <Word
        key={`${pit.id}-pit`}
        label={`${pit.name}, ${preset.name}`}
        says={table.length > 1 ? `Cooker ${table.findIndex((t) => t.pit === pit) + 1}` : 'Cooker'}
        onPress={ask('pit')}
      />,
      <Plain key={`${pit.id}-on`}>on</Plain>,
      <Word
        key={`${pit.id}-fire`}
        label={fireWords(preset.family, fire)}
        says={say('Fire')}
        after=","
        onPress={ask('fire')}
      />,
      <Plain key={`${pit.id}-held`}>held at</Plain>,
      <Word
        key={`${pit.id}-pace`}
        label={temperatureWords(fire.pitC, units)}
        says={say('Pit')}
        after={last ? '.' : ';'}
        onPress={ask('pace')}
      />,
      ...(last ? [] : [<Plain key={`${pit.id}-with`}>and with</Plain>]),
    ];
  };
  return (
    <View>
      <View className="flex-row flex-wrap items-center gap-x-[6px]" testID="slip">
        <Plain>Feed</Plain>
        <Word
          label={countWords(slip.people, 'person', 'people')}
          says="People"
          onPress={() => setOpen({ field: 'people' })}
        />
        <Plain>at</Plain>
        <Word
          label={clockAndDay(slip.serveAt)}
          says="Serving time"
          onPress={() => setOpen({ field: 'serveAt' })}
        />
        <Plain>with</Plain>
        {table.flatMap((t, i) => pitWords(t, i === table.length - 1))}
        <Word
          label={weatherWords(slip, units)}
          says="Weather"
          after="."
          onPress={() => setOpen({ field: 'weather' })}
        />
        <Word
          label={slip.crew.length > 1 ? `${slip.crew.length} share the watch` : 'One of us watches'}
          says="Watch"
          after="."
          onPress={() => setOpen({ field: 'crew' })}
        />
      </View>
      {open ? <SlipSheet opened={open} yard={yard} onClose={() => setOpen(null)} /> : null}
    </View>
  );
}

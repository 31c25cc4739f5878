/** The planning sentence: every underlined word opens a sheet with large choices. */
import {
  type Units,
  WOODS,
  WRAPS,
  cutOf,
  doneOnPlate,
  piecesPerMeat,
  presetOf,
} from '@ostrin/core';
import {
  countWords,
  fireChoiceWords,
  massWords,
  schoolWords,
  temperatureWords,
} from '@ostrin/wording';
import type { PitRecord } from '@ostrin/contract/types';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { isCommonPit } from '../store/commonPit';
import { fireOf } from '../store/fires';
import { requestOf, draftPitsOf, type DraftPit } from '../store/request';
import { useSettings } from '../store/settings';
import { WINDS, type DraftFire, type DraftMeat, type PlanDraft } from '../store/planDraft';
import { useDeferredDraft } from '../store/useDeferredDraft';
import { lazyComponent } from '../ui/lazyComponent';
import { clockAndDay } from '../ui/words';
import { othersWords } from './meatWords';
import type { OpenedField } from './PlanSheet';

const PlanSheet = lazyComponent(async () => ({ default: (await import('./PlanSheet')).PlanSheet }));

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
function weatherWords({ airC, nightC, windMps }: PlanDraft, units: Units): string {
  const night = nightC === null ? [] : [`${temperatureWords(nightC, units)} at night`];
  const wind = WINDS.find((w) => w.value === windMps)?.label ?? 'some wind';
  return [temperatureWords(airC, units), ...night, wind].join(', ');
}

/** A fire in words: what it burns, how often it is fed where that was chosen, its wood. */
function fireWords(preset: string, fire: DraftFire): string {
  const { id, fuel } = fireOf(preset, fire.fireId);
  const { label } = fireChoiceWords(id);
  const fed = fuel === 'splits' && fire.everyMin ? ` each ${fire.everyMin} min` : '';
  return `${label}${fed}, ${WOODS[fire.species].name}`;
}

/** How a piece is wrapped, in words. */
const wrapWords = (meat: DraftMeat, units: Units): string =>
  meat.wrap === 'none'
    ? 'left unwrapped'
    : `wrapped in ${WRAPS[meat.wrap].name} ${schoolWords(meat.wrapWhen, units)}`;

/** The sentence, in the user's units. */
export function PlanSentence({ yard }: { yard: readonly PitRecord[] }) {
  const draft = useDeferredDraft();
  const units = useSettings((s) => s.units);
  const [open, setOpen] = useState<OpenedField | null>(null);
  const table = draftPitsOf(draft, yard);
  const counts = piecesPerMeat(requestOf(draft, yard, units));
  const order = table.flatMap((t) => t.meats.map((m) => m.id));
  const several = draft.meats.length > 1;
  const meatWords = (meat: DraftMeat, last: boolean) => {
    const cut = cutOf(meat.cut);
    const say = (what: string): string => (several ? `${what} of the ${cut.name}` : what);
    const ask = (field: OpenedField['field']) => () => setOpen({ field, meat: meat.id });
    return [
      <Word
        key={`${meat.id}-cut`}
        label={countWords(counts[order.indexOf(meat.id)] ?? 1, cut.name, cut.plural)}
        says={several ? `Meat ${draft.meats.indexOf(meat) + 1}` : 'Meat'}
        onPress={ask('cut')}
      />,
      <Plain key={`${meat.id}-of`}>of</Plain>,
      <Word
        key={`${meat.id}-mass`}
        label={massWords(meat.massKg, units)}
        says={say('Mass of one piece')}
        after=","
        onPress={ask('mass')}
      />,
      <Word
        key={`${meat.id}-wrap`}
        label={wrapWords(meat, units)}
        says={say('Wrap')}
        onPress={ask('wrap')}
      />,
      <Plain key={`${meat.id}-until`}>until</Plain>,
      <Word
        key={`${meat.id}-done`}
        label={
          meat.doneC === null
            ? 'it probes tender'
            : doneOnPlate(cutOf(meat.cut))
              ? `its middle is ${temperatureWords(meat.doneC, units)} on the plate`
              : `the middle reads ${temperatureWords(meat.doneC, units)}`
        }
        says={say('Done')}
        after=","
        onPress={ask('done')}
      />,
      <Word
        key={`${meat.id}-rest`}
        label={othersWords(meat, draft.serveAt)}
        says={say('Before and after')}
        after={last ? ',' : ';'}
        onPress={ask('rest')}
      />,
      ...(last ? [] : [<Plain key={`${meat.id}-and`}>and</Plain>]),
    ];
  };
  const pitWords = ({ pit, fire, meats }: DraftPit, last: boolean) => {
    const preset = presetOf(pit.preset);
    const say = (what: string): string => (table.length > 1 ? `${what} of ${pit.name}` : what);
    const ask = (field: OpenedField['field']) => () => setOpen({ field, pit: pit.id });
    return [
      ...meats.flatMap((m, i) => meatWords(m, i === meats.length - 1)),
      <Plain key={`${pit.id}-from`}>from</Plain>,
      <Word
        key={`${pit.id}-pit`}
        label={isCommonPit(pit) ? `a ${preset.name}` : `${pit.name}, ${preset.name}`}
        says={table.length > 1 ? `Cooker ${table.findIndex((t) => t.pit === pit) + 1}` : 'Cooker'}
        onPress={ask('pit')}
      />,
      <Plain key={`${pit.id}-on`}>on</Plain>,
      <Word
        key={`${pit.id}-fire`}
        label={fireWords(preset.id, fire)}
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
      <View className="flex-row flex-wrap items-center gap-x-[6px]" testID="plan-sentence">
        <Plain>Feed</Plain>
        <Word
          label={countWords(draft.people, 'person', 'people')}
          says="People"
          onPress={() => setOpen({ field: 'people' })}
        />
        <Plain>at</Plain>
        <Word
          label={clockAndDay(draft.serveAt)}
          says="Serving time"
          onPress={() => setOpen({ field: 'serveAt' })}
        />
        <Plain>with</Plain>
        {table.flatMap((t, i) => pitWords(t, i === table.length - 1))}
        <Word
          label={weatherWords(draft, units)}
          says="Weather"
          after="."
          onPress={() => setOpen({ field: 'weather' })}
        />
        <Word
          label={
            draft.crew.length > 1 ? `${draft.crew.length} share the watch` : 'One of us watches'
          }
          says="Watch"
          after="."
          onPress={() => setOpen({ field: 'crew' })}
        />
      </View>
      {open ? <PlanSheet opened={open} yard={yard} onClose={() => setOpen(null)} /> : null}
    </View>
  );
}

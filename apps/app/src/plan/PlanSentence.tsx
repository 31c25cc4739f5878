/** The planning sentence: every underlined word opens a sheet with large choices. */
import type { Units } from '@ostrin/core/quantity';
import { WOODS, WRAPS, cutOf, doneOnPlate, presetOf } from '@ostrin/core/catalogue';
import { piecesPerMeat, type Pieces } from '@ostrin/core';
import {
  countWords,
  fireChoiceWords,
  massWords,
  paceWhenWords,
  spanWords,
  temperatureWords,
  whenWrappedWords,
} from '@ostrin/wording';
import type { PitRecord } from '@ostrin/contract/types';
import { Fragment, useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { isCommonPit } from '../store/commonPit';
import { fireOf, usualBandK } from '../store/fires';
import { draftPitsOf, type DraftPit } from '../store/request';
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
  const fed = fuel === 'splits' && fire.everyMin ? ` every ${fire.everyMin} min` : '';
  return `${label}${fed}, ${WOODS[fire.species].name}`;
}

/** How a piece is wrapped, in words. */
const wrapWords = (meat: DraftMeat, units: Units): string =>
  meat.wrap === 'none'
    ? 'left unwrapped'
    : `wrapped in ${WRAPS[meat.wrap].name} ${whenWrappedWords(meat.wrapWhen, units)}${meat.bareLastMin ? ', bare at the end' : ''}`;

/** What else is done to it on the grate. */
const careWords = ({ spray, sauce, wrap, bareLastMin }: DraftMeat): string =>
  [spray ? ', sprayed' : '', sauce && (wrap === 'none' || bareLastMin) ? ', sauced' : ''].join('');

/** Opens the sheet behind a word. */
type Opening = (field: OpenedField) => void;

interface MeatWordsProps {
  meat: DraftMeat;
  /** How many there are of it, and how heavy. */
  pieces: Pieces;
  /** Its place among the draft's meats, from 0. */
  place: number;
  /** The only meat of the draft. */
  alone: boolean;
  last: boolean;
  onOpen: Opening;
}

/** One meat of the sentence. */
function MeatWords({ meat, pieces, place, alone, last, onOpen }: MeatWordsProps) {
  const units = useSettings((s) => s.units);
  const serveAt = useDeferredDraft().serveAt;
  const cut = cutOf(meat.cut);
  const say = (what: string): string => (alone ? what : `${what} of the ${cut.name}`);
  const ask = (field: OpenedField['field']) => () => onOpen({ field, meat: place });
  return (
    <>
      <Word
        label={countWords(pieces.pieces, cut.name, cut.plural)}
        says={alone ? 'Meat' : `Meat ${place + 1}`}
        onPress={ask('cut')}
      />
      <Plain>of</Plain>
      <Word
        label={massWords(pieces.massKg, units)}
        says={say('Mass of one piece')}
        after=","
        onPress={ask('mass')}
      />
      <Word
        label={`${wrapWords(meat, units)}${careWords(meat)}`}
        says={say('Wrap')}
        onPress={ask('wrap')}
      />
      <Plain>until</Plain>
      <Word label={doneWords(meat, units)} says={say('Done')} after="," onPress={ask('done')} />
      <Word
        label={othersWords(meat, serveAt)}
        says={say('Before and after')}
        after={last ? ',' : ';'}
        onPress={ask('rest')}
      />
      {last ? null : <Plain>and</Plain>}
    </>
  );
}

/** When a piece is done, in words. */
function doneWords({ cut, doneC }: DraftMeat, units: Units): string {
  if (doneC === null) return 'it probes tender';
  return doneOnPlate(cutOf(cut))
    ? `its middle is ${temperatureWords(doneC, units)} on the plate`
    : `the middle reads ${temperatureWords(doneC, units)}`;
}

/** The second pace in words; nothing where there is none. */
const thenWords = ({ then }: DraftFire, units: Units): string =>
  then ? `, ${temperatureWords(then.pitC, units)} ${paceWhenWords(then.when, units)}` : '';

interface PitWordsProps {
  at: DraftPit;
  /** Its place among the draft's pits, from 0. */
  place: number;
  /** The only pit of the draft. */
  alone: boolean;
  last: boolean;
  onOpen: Opening;
}

/** One pit of the sentence, after its meats. */
function PitWords({ at: { pit, fire }, place, alone, last, onOpen }: PitWordsProps) {
  const units = useSettings((s) => s.units);
  const preset = presetOf(pit.preset);
  const say = (what: string): string => (alone ? what : `${what} of ${pit.name}`);
  const ask = (field: OpenedField['field']) => () => onOpen({ field, pit: place });
  return (
    <>
      <Plain>from</Plain>
      <Word
        label={isCommonPit(pit) ? `a ${preset.name}` : `${pit.name}, ${preset.name}`}
        says={alone ? 'Cooker' : `Cooker ${place + 1}`}
        onPress={ask('pit')}
      />
      <Plain>on</Plain>
      <Word label={fireWords(preset.id, fire)} says={say('Fire')} after="," onPress={ask('fire')} />
      <Plain>held at</Plain>
      <Word
        label={`${temperatureWords(fire.pitC, units)}${fire.bandC && fire.bandC !== usualBandK(preset.id, fire) ? ` ± ${spanWords(fire.bandC, units)}` : ''}${thenWords(fire, units)}`}
        says={say('Pit')}
        after={last ? '.' : ';'}
        onPress={ask('pace')}
      />
      {last ? null : <Plain>and with</Plain>}
    </>
  );
}

/** The sentence, in the user's units. */
export function PlanSentence({ yard }: { yard: readonly PitRecord[] }) {
  const draft = useDeferredDraft();
  const units = useSettings((s) => s.units);
  const [open, setOpen] = useState<OpenedField | null>(null);
  const table = draftPitsOf(draft, yard);
  const counts = piecesPerMeat(draft);
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
        {table.map((at, k) => (
          <Fragment key={at.pit.id}>
            {at.meats.map((meat, i) => (
              <MeatWords
                key={meat.id}
                meat={meat}
                pieces={counts[draft.meats.indexOf(meat)]!}
                place={draft.meats.indexOf(meat)}
                alone={draft.meats.length === 1}
                last={i === at.meats.length - 1}
                onOpen={setOpen}
              />
            ))}
            <PitWords
              at={at}
              place={k}
              alone={table.length === 1}
              last={k === table.length - 1}
              onOpen={setOpen}
            />
          </Fragment>
        ))}
        <Word
          label={weatherWords(draft, units)}
          says="Weather"
          after="."
          onPress={() => setOpen({ field: 'weather' })}
        />
        <Word
          label={
            draft.crew.length > 1 ? `${draft.crew.length} share the shifts` : 'One person tends it'
          }
          says="Shifts"
          after="."
          onPress={() => setOpen({ field: 'crew' })}
        />
      </View>
      {open ? <PlanSheet opened={open} yard={yard} onClose={() => setOpen(null)} /> : null}
    </View>
  );
}

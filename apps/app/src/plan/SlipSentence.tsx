/** The planning sentence: every underlined word opens a sheet with large choices. */
import { countWords, cutOf, massWords, presetOf, temperatureWords, WRAPS } from '@ostrin/core';
import type { PitRecord } from '@ostrin/contract/types';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { fireOf } from '../store/fires';
import { piecesOf, schoolWords, useSlip, WINDS } from '../store/slip';
import { clockAndDay } from '../ui/words';
import { SlipSheet, type SlipField } from './SlipSheet';

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
      className="min-h-[48px] flex-row items-center active:opacity-70"
    >
      <View className="border-b-[3px] border-pit">
        <Text className="font-slab-bold text-ink text-[20px] leading-[28px]">{label}</Text>
      </View>
      {after ? (
        <Text className="font-slab text-ink text-[20px] leading-[28px]">{after}</Text>
      ) : null}
    </Pressable>
  );
}

/** The sentence, in the user's units. */
export function SlipSentence({ pit }: { pit: PitRecord }) {
  const preset = presetOf(pit.preset);
  const slip = useSlip();
  const units = useSettings((s) => s.units);
  const [open, setOpen] = useState<SlipField | null>(null);
  const cut = cutOf(slip.cut);
  const pieces = piecesOf(slip);
  const wind = WINDS.find((w) => w.value === slip.windMps)?.label ?? 'some wind';
  const wrap =
    slip.wrap === 'none'
      ? 'left unwrapped'
      : `wrapped in ${WRAPS[slip.wrap].name} ${schoolWords(slip.wrapWhen, units)}`;
  return (
    <View>
      <View className="flex-row flex-wrap items-center gap-x-[6px]" testID="slip">
        <Plain>Feed</Plain>
        <Word
          label={countWords(slip.people, 'person', 'people')}
          says="People"
          onPress={() => setOpen('people')}
        />
        <Plain>at</Plain>
        <Word
          label={clockAndDay(slip.serveAt)}
          says="Serving time"
          onPress={() => setOpen('serveAt')}
        />
        <Plain>with</Plain>
        <Word
          label={countWords(pieces, cut.name, cut.plural)}
          says="Meat"
          onPress={() => setOpen('cut')}
        />
        <Plain>of</Plain>
        <Word
          label={massWords(slip.massKg, units)}
          says="Mass of one piece"
          onPress={() => setOpen('mass')}
        />
        <Plain>from</Plain>
        <Word label={`${pit.name}, ${preset.name}`} says="Cooker" onPress={() => setOpen('pit')} />
        <Plain>on</Plain>
        <Word
          label={`${fireOf(preset.family, slip.fireId).label}, ${slip.species}`}
          says="Fire"
          after=","
          onPress={() => setOpen('fire')}
        />
        <Plain>held at</Plain>
        <Word
          label={temperatureWords(slip.pitC, units)}
          says="Pit"
          onPress={() => setOpen('pace')}
        />
        <Plain>and</Plain>
        <Word label={wrap} says="Wrap" after="," onPress={() => setOpen('wrap')} />
        <Plain>until</Plain>
        <Word
          label={
            slip.doneC === null
              ? 'it probes tender'
              : `the middle reads ${temperatureWords(slip.doneC, units)}`
          }
          says="Done"
          after="."
          onPress={() => setOpen('done')}
        />
        <Word
          label={`${temperatureWords(slip.airC, units)}, ${wind}`}
          says="Weather"
          after="."
          onPress={() => setOpen('weather')}
        />
        <Word
          label={slip.crew > 1 ? `${slip.crew} share the watch` : 'One of us watches'}
          says="Watch"
          after="."
          onPress={() => setOpen('crew')}
        />
      </View>
      {open ? <SlipSheet field={open} pit={pit} onClose={() => setOpen(null)} /> : null}
    </View>
  );
}

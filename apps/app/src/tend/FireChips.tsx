/** One line with a chip for each fire that burns: its name, what its pit reads, and when it wants something. */
import type { CookSummary } from '@ostrin/contract/types';
import { MINUTE_MS } from '@ostrin/core/quantity';
import { isDue } from '@ostrin/core/tending';
import { capital } from '@ostrin/wording';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { degrees } from '../ui/words';
import { AllJobsSheet } from './AllJobsSheet';
import { due } from './OrderCard';
import { useFires, type Fire } from './useFires';

interface Props {
  cooks: readonly CookSummary[];
  /** The fire on the page. */
  shown: string;
  onPick: (cookId: string) => void;
}

export function FireChips({ cooks, shown, onPick }: Props) {
  const fires = useFires(cooks);
  const units = useSettings((s) => s.units);
  const [listing, setListing] = useState(false);
  const says = ({ cook, orders }: Fire): string =>
    [
      cook.pitC === null ? null : degrees(cook.pitC, units),
      due((orders.order.ms - cook.nowMs) / MINUTE_MS),
    ]
      .filter(Boolean)
      .join(' · ');
  return (
    <View className="px-4 pt-2" role="radiogroup" aria-label="Which fire">
      <ScrollView horizontal className="grow-0" contentContainerClassName="gap-2">
        {cooks.map(({ id, pitName, fire: kind }) => {
          const fire = fires.find((f) => f.cook.id === id);
          const wants = fire && id !== shown && isDue(fire.orders.order, fire.cook.nowMs);
          const name = `${capital(pitName)}${kind === 'practice' ? ', practice' : ''}`;
          return (
            <Pressable
              key={id}
              role="radio"
              aria-checked={id === shown}
              accessibilityLabel={fire ? `${name}, ${says(fire)}` : name}
              testID={`fire-${id}`}
              onPress={() => onPick(id)}
              className={`min-h-[48px] justify-center rounded-lg px-3 active:opacity-70 ${
                id === shown
                  ? 'border-2 border-ink bg-sheet'
                  : wants
                    ? 'border-2 border-pit'
                    : 'border border-edge'
              }`}
            >
              <Text numberOfLines={1} className="font-sans-bold text-ink text-[14px] max-w-[180px]">
                {name}
              </Text>
              <Text className={`font-slab-semi text-[14px] ${wants ? 'text-pit' : 'text-ink'}`}>
                {fire ? says(fire) : ' '}
              </Text>
            </Pressable>
          );
        })}
        <Pressable
          role="button"
          testID="all-jobs"
          onPress={() => setListing(true)}
          className="min-h-[48px] justify-center px-2 active:opacity-70"
        >
          <Text className="font-sans-semi text-ink text-[15px] underline">Jobs at all fires</Text>
        </Pressable>
      </ScrollView>
      {listing ? (
        <AllJobsSheet fires={fires} onPick={onPick} onClose={() => setListing(false)} />
      ) : null}
    </View>
  );
}

/** Yard: the pits, and making a new one. */
import { presetOf } from '@ostrin/core/catalogue';
import type { PitRecord } from '@ostrin/contract/types';
import { capital, countWords } from '@ostrin/wording';
import { Link, router } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { usePits } from '../api/queries';
import { PitDrawing } from '../drawings/PitDrawing';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fold';
import { lazyComponent } from '../ui/lazyComponent';
import { Notice } from '../ui/Notice';
import { Heading, Title } from '../ui/Title';
import { AddPitSheet } from './AddPitSheet';
import { Shelf } from './Shelf';

const OwnWays = lazyComponent(async () => ({
  default: (await import('../log/pages')).OwnWays,
}));

export function YardScreen() {
  const pits = usePits();
  const [adding, setAdding] = useState(false);
  return (
    <View className="flex-1">
      <ScrollView className="flex-1" contentContainerClassName="p-5 gap-4 max-w-[760px]">
        <Title>Yard</Title>
        {pits.isError ? (
          <Notice tone="warn" title="The yard could not be read">
            {pits.error.message}
            <Button label="Try again" onPress={() => void pits.refetch()} />
          </Notice>
        ) : null}
        {pits.data?.length === 0 ? (
          <Text className="font-sans text-ink text-[16px] leading-[22px]">
            No pit yet. Add the one you cook on: its kind is enough to begin with, what is peculiar
            to yours can be put right later.
          </Text>
        ) : null}
        <View>
          {pits.data
            ?.filter((p) => !p.putAwayAt)
            .map((p) => (
              <Row key={p.id} pit={p} />
            ))}
        </View>
        <PutAway pits={(pits.data ?? []).filter((p) => p.putAwayAt)} />
        {pits.data ? <Button label="Add a pit" onPress={() => setAdding(true)} /> : null}
        <Shelf />
        <OwnWays />
        <View className="gap-2">
          <Heading>Thermometers and sensors</Heading>
          <Button
            label="Connected instruments"
            testID="instruments"
            onPress={() => router.navigate('/instruments')}
          />
        </View>
        <View className="gap-2">
          <Heading>Phones of the crew</Heading>
          <Button label="Who may come in" onPress={() => router.navigate('/house')} />
        </View>
      </ScrollView>
      {adding ? <AddPitSheet taken={pits.data ?? []} onClose={() => setAdding(false)} /> : null}
    </View>
  );
}

/** Pits that are offered for no plan, out of the way. */
function PutAway({ pits }: { pits: readonly PitRecord[] }) {
  if (pits.length === 0) return null;
  return (
    <Fold label={`Put away: ${countWords(pits.length, 'pit', 'pits')}`} testID="put-away">
      {pits.map((p) => (
        <Row key={p.id} pit={p} />
      ))}
    </Fold>
  );
}

function Row({ pit }: { pit: PitRecord }) {
  const preset = presetOf(pit.preset);
  const changed = Object.keys(pit.overrides).length;
  return (
    <Link href={`/yard/${pit.id}`} asChild>
      <Pressable
        role="link"
        className="min-h-[88px] flex-row items-center gap-4 border-b border-rule py-2 active:opacity-70"
      >
        <PitDrawing pit={pit} width={96} height={72} bare />
        <View className="flex-1">
          <Text className="font-slab-semi text-ink text-[19px]">{pit.name}</Text>
          <Text className="font-sans text-soot text-[16px]">
            {`${capital(pit.kind ?? preset.name)} · ${changed === 0 ? 'as new' : `${changed} ${changed === 1 ? 'figure' : 'figures'} of its own`}`}
          </Text>
        </View>
      </Pressable>
    </Link>
  );
}

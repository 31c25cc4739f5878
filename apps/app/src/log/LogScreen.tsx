/** Log: past cooks, searched and sorted, and bringing one in. */
import { cutOf, localOf, MINUTE_MS } from '@ostrin/core';
import { countWords, spanOfTime } from '@ostrin/wording';
import { ROUTES, type CookSummary } from '@ostrin/contract/types';
import { Link, router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { FlatList, Pressable, Text, TextInput, View } from 'react-native';
import { useAfterwards, useCooks } from '../api/queries';
import { useRole } from '../house/useHouse';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { Notice } from '../ui/Notice';
import { Heading, Title } from '../ui/Title';
import { dayOf, deviceZone } from '../ui/words';
import { cooksFor, EVERY_COOK, type CookWish } from './findCooks';
import { ImportButton } from './ImportButton';

const SORTS = [
  { value: 'newest', label: 'Newest first' },
  { value: 'oldest', label: 'Oldest first' },
  { value: 'longest', label: 'Longest first' },
] as const;

/** A list as long as this is searched and sorted. */
const SEARCHED_FROM = 4;

export function LogScreen() {
  const cooks = useCooks();
  const [wish, setWish] = useState<CookWish>(EVERY_COOK);
  const found = useMemo(() => cooksFor(cooks.data ?? [], wish), [cooks.data, wish]);
  return (
    <FlatList
      className="flex-1"
      contentContainerClassName="p-5 max-w-[760px]"
      data={found}
      keyExtractor={(c) => c.id}
      renderItem={({ item }) => <Row cook={item} />}
      initialNumToRender={20}
      ListHeaderComponent={
        <View className="gap-4 pb-2">
          <Title>Log</Title>
          <Deleted />
          {cooks.isError ? (
            <Notice tone="warn" title="The log could not be read">
              {cooks.error.message}
              <Button label="Try again" onPress={() => void cooks.refetch()} />
            </Notice>
          ) : null}
          {cooks.data?.length === 0 ? (
            <Text className="font-sans text-ink text-[16px]">
              No cooks yet. The first one you finish is kept here with its whole strip.
            </Text>
          ) : null}
          {(cooks.data?.length ?? 0) >= SEARCHED_FROM ? (
            <Search cooks={cooks.data!} wish={wish} found={found.length} onWish={setWish} />
          ) : null}
        </View>
      }
      ListFooterComponent={
        <View className="gap-4 pt-4">
          <ImportButton />
          <WholeRecord />
        </View>
      }
    />
  );
}

/** The cook that was just deleted, with the way back. */
function Deleted() {
  const { deleted, called } = useLocalSearchParams<{ deleted?: string; called?: string }>();
  const { restore } = useAfterwards();
  if (!deleted) return null;
  const back = (): void => restore.mutate(deleted, { onSuccess: () => router.replace('/log') });
  return (
    <View className="gap-2">
      <Notice tone="plain" title={`${called ?? 'The cook'} is deleted`} testID="deleted">
        {restore.error?.message ?? 'It can be brought back for thirty days.'}
      </Notice>
      <Button label="Undo: bring it back" onPress={back} />
    </View>
  );
}

/** Looks for cooks by words, by pit, and in another order. */
function Search(p: {
  cooks: readonly CookSummary[];
  wish: CookWish;
  found: number;
  onWish: (wish: CookWish) => void;
}) {
  const pits = [...new Set(p.cooks.map((c) => c.pitName))].sort((a, b) => a.localeCompare(b));
  return (
    <View className="gap-2">
      <TextInput
        aria-label="Search the log"
        placeholder="Search: name, cut or pit"
        inputMode="search"
        value={p.wish.words}
        maxLength={60}
        onChangeText={(words) => p.onWish({ ...p.wish, words })}
        className="min-h-[52px] rounded-lg border border-edge bg-sheet px-4 font-sans text-[17px] text-ink"
      />
      <Fold
        label={`${countWords(p.found, 'cook', 'cooks')}${p.wish.pitName ? ` on ${p.wish.pitName}` : ''}, ${SORTS.find((s) => s.value === p.wish.sort)!.label.toLowerCase()}`}
        testID="log-filter"
      >
        <View className="gap-3 pb-2">
          <Choice
            label="Pit"
            columns={2}
            options={[
              { value: '', label: 'Every pit' },
              ...pits.map((name) => ({ value: name, label: name })),
            ]}
            value={p.wish.pitName}
            onChange={(pitName) => p.onWish({ ...p.wish, pitName })}
          />
          <Choice
            label="Order"
            columns={2}
            options={SORTS}
            value={p.wish.sort}
            onChange={(sort) => p.onWish({ ...p.wish, sort })}
          />
        </View>
      </Fold>
    </View>
  );
}

/** Everything that the server keeps, as one file. */
function WholeRecord() {
  const role = useRole();
  if (role !== 'cook') return null;
  return (
    <View className="gap-2">
      <Heading>The whole record</Heading>
      <Text className="font-sans text-soot text-[16px] leading-[22px]">
        Cooks, pits, plans and the shelf in one file. A server without cooks can begin with it.
      </Text>
      <Button
        label="Take the whole record along"
        testID="whole-record"
        onPress={() => window.location.assign(ROUTES.record)}
      />
    </View>
  );
}

function Row({ cook }: { cook: CookSummary }) {
  const cut = cutOf(cook.cut);
  const href = cook.finishedAt === null ? '/tend' : (`/log/${cook.id}` as const);
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        className="min-h-[64px] justify-center border-b border-rule py-2 active:opacity-70"
      >
        <Text className="font-slab-semi text-ink text-[19px]">{cook.name}</Text>
        <Text className="font-sans text-soot text-[16px]">
          {`${dayOf(localOf(cook.startMs, deviceZone))} · ${cook.pitName} · ${cook.pieces} ${cook.pieces === 1 ? cut.name : cut.plural} for ${cook.people} · ${
            cook.finishedAt === null
              ? 'under way'
              : spanOfTime((cook.finishedAt - cook.startMs) / MINUTE_MS)
          }`}
        </Text>
      </Pressable>
    </Link>
  );
}

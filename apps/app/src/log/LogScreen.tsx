/** Log: past cooks at a glance, searched, sorted and compared, and bringing one in. */
import { router, useLocalSearchParams } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { FlatList, Text, View } from 'react-native';
import { useAfterwards, useCooks } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Title } from '../ui/Title';
import { MOST_COMPARED } from './compared';
import { CookRow } from './CookRow';
import { DemoData } from './DemoData';
import { cooksFor, EVERY_COOK, type CookWish } from './findCooks';
import { ImportButton } from './ImportButton';
import { SearchCooks } from './SearchCooks';
import { WholeRecord } from './WholeRecord';

/** A list as long as this is searched and sorted. */
const SEARCHED_FROM = 4;
/** Rows that a phone shows at first. */
const FIRST_ROWS = 7;

export function LogScreen() {
  const cooks = useCooks();
  const [wish, setWish] = useState<CookWish>(EVERY_COOK);
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const found = useMemo(() => cooksFor(cooks.data ?? [], wish), [cooks.data, wish]);
  const shown = chosen ? found.filter((c) => c.finishedAt !== null) : found;
  const choose = useCallback(
    (id: string) =>
      setChosen((ids) =>
        ids?.includes(id)
          ? ids.filter((x) => x !== id)
          : [...(ids ?? []), id].slice(-MOST_COMPARED),
      ),
    [],
  );
  const finished = (cooks.data ?? []).filter((c) => c.finishedAt !== null).length;
  return (
    <View className="flex-1">
      <FlatList
        className="flex-1"
        contentContainerClassName="p-5 max-w-[760px]"
        data={shown}
        keyExtractor={(c) => c.id}
        renderItem={({ item }) => (
          <CookRow
            cook={item}
            chosen={chosen ? chosen.includes(item.id) : undefined}
            onChoose={choose}
          />
        )}
        extraData={chosen}
        initialNumToRender={FIRST_ROWS}
        windowSize={7}
        ListHeaderComponent={
          <View className="gap-4 pb-2">
            <View className="flex-row items-center justify-between gap-3">
              <Title>Log</Title>
              {finished > 1 && chosen === null ? (
                <Button label="Compare" testID="compare" onPress={() => setChosen([])} />
              ) : null}
            </View>
            <Deleted />
            {cooks.isError ? (
              <Notice tone="warn" title="The log could not be read">
                {cooks.error.message}
                <Button label="Try again" onPress={() => void cooks.refetch()} />
              </Notice>
            ) : null}
            {cooks.data?.length === 0 ? (
              <Text className="font-sans text-ink text-[16px]">
                No cooks yet. The first one you finish appears here with its whole strip.
              </Text>
            ) : null}
            {(cooks.data?.length ?? 0) >= SEARCHED_FROM ? (
              <SearchCooks cooks={cooks.data!} wish={wish} found={shown.length} onWish={setWish} />
            ) : null}
          </View>
        }
        ListFooterComponent={
          chosen ? null : (
            <View className="gap-4 pt-4">
              <ImportButton />
              <WholeRecord empty={cooks.data?.length === 0} />
              <DemoData />
            </View>
          )
        }
      />
      {chosen ? <CompareBar ids={chosen} onEnd={() => setChosen(null)} /> : null}
    </View>
  );
}

/** What is chosen for comparing, and what to do with it; it stays at the foot of the page. */
function CompareBar({ ids, onEnd }: { ids: readonly string[]; onEnd: () => void }) {
  return (
    <View className="flex-row gap-2 border-t border-edge bg-sheet p-3">
      <Button label="Not now" tall onPress={onEnd} />
      <View className="flex-1">
        <Button
          kind="primary"
          disabled={ids.length < 2}
          label={ids.length < 2 ? 'Choose 2 to 4 cooks' : `Compare these ${ids.length}`}
          onPress={() => router.push({ pathname: '/log/compare', params: { ids: ids.join(',') } })}
        />
      </View>
    </View>
  );
}

/** The cook that was just deleted, with the way back. */
function Deleted() {
  const { deleted, called } = useLocalSearchParams<{ deleted?: string; called?: string }>();
  const { restore } = useAfterwards();
  const role = useRole();
  if (!deleted || role !== 'cook') return null;
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

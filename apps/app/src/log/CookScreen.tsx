/** One past cook: its figures beside the plan, its whole strip, its log, and taking it out. */
import { ROUTES } from '@ostrin/contract/types';
import { atTheGrate, cutOf, foldLog, localOf, MINUTE_MS, withHandReadings } from '@ostrin/core';
import { Link, router } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { queryClient, useCook, type CookView } from '../api/queries';
import { keepEntries, sendTaps } from '../outbox/outbox';
import { entryOf } from '../store/logging';
import { useSettings } from '../store/settings';
import { stripData } from '../strip/fromCook';
import { Strip } from '../strip/Strip';
import { Afterwards } from './Afterwards';
import { CookFigures, LogLines } from './CookFigures';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { Notice } from '../ui/Notice';
import { useTheme } from '../ui/theme';
import { Heading, Title } from '../ui/Title';
import { dayOf } from '../ui/words';

export function CookScreen({ id }: { id: string }) {
  const cook = useCook(id);
  if (cook.data) return <Cook cook={cook.data} />;
  return (
    <View className="p-5 gap-4">
      <Back />
      {cook.isError ? (
        <Notice tone="warn" title="This cook could not be read">
          {cook.error.message}
        </Notice>
      ) : (
        <Text className="font-sans text-soot text-[16px]">Opening the log.</Text>
      )}
    </View>
  );
}

const Back = () => (
  <Link href="/log" asChild>
    <Pressable role="link" className="min-h-[48px] justify-center active:opacity-70">
      <Text className="font-sans-semi text-ink text-[16px] underline">All cooks</Text>
    </Pressable>
  </Link>
);

function Cook({ cook }: { cook: CookView }) {
  const theme = useTheme();
  const units = useSettings((s) => s.units);
  const { width, wide } = useLayout();
  const log = useMemo(() => foldLog(cook.entries), [cook.entries]);
  const zone = cook.plan.request.timeZone;
  const from = Math.min(cook.readings[0]?.at ?? cook.startMs, cook.startMs) - 10 * MINUTE_MS;
  const to =
    Math.max(cook.readings.at(-1)?.at ?? 0, cook.finishedAt ?? 0, from + 60 * MINUTE_MS) +
    10 * MINUTE_MS;
  const data = stripData({
    plan: cook.plan,
    startMs: cook.startMs,
    log,
    readings: atTheGrate(
      withHandReadings(cook.readings, log, cook.plan.request.meats[0]!.id),
      null,
    ),
    forecast: null,
    now: null,
    from,
    to,
    theme,
    units,
  });
  const stripWidth = wide ? Math.min(width - 160, 1140) : width;
  const hours = (to - from) / 3_600_000;
  return (
    <ScrollView className="flex-1" contentContainerClassName="pb-8 gap-5">
      <View className="px-5 pt-2 gap-1">
        <Back />
        <Title>{cook.name}</Title>
        <Text className="font-sans text-soot text-[16px]">
          {`${dayOf(localOf(cook.startMs, zone))} · ${cook.pitName} · ${cook.plan.pieces} ${
            cook.plan.pieces === 1
              ? cutOf(cook.plan.request.meats[0]!.cut).name
              : cutOf(cook.plan.request.meats[0]!.cut).plural
          } for ${cook.plan.request.people}`}
        </Text>
      </View>
      <TakeOut id={cook.id} />
      <CookFigures cook={cook} log={log} />
      {cook.finishedAt === null ? null : <Reopen cook={cook} />}
      <View className="px-0">
        <Strip
          data={data}
          width={stripWidth}
          height={wide ? 520 : Math.max(520, Math.round(hours * 74))}
          down={!wide}
          units={units}
          timeZone={zone}
        />
      </View>
      <LogLines cook={cook} log={log} />
      <Afterwards key={cook.name} cook={cook} />
    </ScrollView>
  );
}

/** Takes a finish back: the cook goes on where it was. */
function Reopen({ cook }: { cook: CookView }) {
  const finish = [...cook.entries].reverse().find((e) => e.kind === 'finish');
  if (!finish) return null;
  const reopen = async (): Promise<void> => {
    const undo = entryOf({ body: { kind: 'undo', target: finish.id } }, finish.at);
    await keepEntries({ id: cook.id, name: cook.name }, [undo]);
    await sendTaps();
    await queryClient.invalidateQueries();
    router.navigate(`/tend?cook=${cook.id}`);
  };
  return (
    <View className="px-5 max-w-[720px]">
      <Button
        label="Finished too early: go on with this cook"
        testID="reopen"
        onPress={() => void reopen()}
      />
    </View>
  );
}

/** Exports: the browser saves what the server answers. */
function TakeOut({ id }: { id: string }) {
  const [said, setSaid] = useState<string | null>(null);
  const save = (path: string): void => {
    const a = document.createElement('a');
    a.href = path;
    a.download = '';
    a.click();
    setSaid('Saved by your browser.');
  };
  return (
    <View className="px-5 gap-2 max-w-[720px]">
      <Heading>Take it out</Heading>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Readings, CSV" onPress={() => save(ROUTES.readingsCsv(id))} />
        <Button label="Actions, CSV" onPress={() => save(ROUTES.actionsCsv(id))} />
        <Button label="Whole cook, JSON" onPress={() => save(ROUTES.json(id))} />
      </View>
      {said ? (
        <Text role="status" className="font-sans text-soot text-[14px]">
          {said}
        </Text>
      ) : null}
    </View>
  );
}

/** One past cook: its figures beside the plan, its whole strip, its log, and taking it out. */
import { ROUTES } from '@ostrin/contract/types';
import { leadMeat } from '@ostrin/core';
import { cutOf } from '@ostrin/core/catalogue';
import { finishOf, readingsOfPast, type Log, type ReadingRow } from '@ostrin/core/log';
import { HOUR_MS, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { queryClient, useCook, type CookView } from '../api/queries';
import { keepEntries, sendTaps } from '../outbox/outbox';
import { entryOf } from '../store/logging';
import { useSettings } from '../store/settings';
import { stripData } from '../strip/fromCook';
import type { StripData } from '../strip/model';
import { Strip } from '../strip/Strip';
import { BackLink } from '../ui/BackLink';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { Notice } from '../ui/Notice';
import { useTheme } from '../ui/theme';
import { Heading, Title } from '../ui/Title';
import { dayOf } from '../ui/words';
import { Afterwards } from './Afterwards';
import { CookFigures } from './CookFigures';
import { LogLines } from './LogLines';
import { NextTime } from './NextTime';
import { Photographs } from './Photographs';
import { Surprises } from './Surprises';
import { TrimCook } from './TrimCook';
import { useCookLog } from './useCookLog';
import { Verdicts } from './Verdicts';

export function CookScreen({ id }: { id: string }) {
  const cook = useCook(id);
  if (cook.data) return <Cook cook={cook.data} />;
  return (
    <View className="p-5 gap-4">
      <BackLink href="/log" label="All cooks" />
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

/** Shown on either side of a cook, ms. */
const BESIDE_MS = 10 * MINUTE_MS;
/** A strip of a phone is at most so long, px: a cook that nobody ended is shown whole, only smaller. */
const LONGEST_PX = 4000;

function Cook({ cook }: { cook: CookView }) {
  // Whoever comes from the end of it finds the way back at the top.
  const justFinished = useLocalSearchParams<{ finished?: string }>().finished !== undefined;
  const units = useSettings((s) => s.units);
  const { width, wide } = useLayout();
  const of = useCookLog(cook);
  const { log } = of;
  const zone = cook.plan.request.timeZone;
  const from = Math.min(cook.readings[0]?.at ?? cook.startMs, cook.startMs) - BESIDE_MS;
  const last = cook.finishedAt ?? cook.readings.at(-1)?.at ?? 0;
  const to = Math.max(last, from + 60 * MINUTE_MS) + BESIDE_MS;
  const readings = useMemo(() => readUntil(cook, log, to), [cook, log, to]);
  const data = useStripOfCook(cook, log, readings, [from, to]);
  const cut = cutOf(leadMeat(cook.plan).cut);
  const { pieces, request } = cook.plan;
  return (
    <ScrollView className="flex-1" contentContainerClassName="pb-8 gap-6">
      <View className="px-5 pt-2 gap-1">
        <BackLink href="/log" label="All cooks" />
        <Title>{cook.name}</Title>
        <Text className="font-sans text-soot text-[16px]">
          {`${dayOf(localOf(cook.startMs, zone))} · ${cook.pitName} · ${pieces} ${
            pieces === 1 ? cut.name : cut.plural
          } for ${request.people}`}
        </Text>
        {cook.instruments?.length ? (
          <Text className="font-sans text-soot text-[16px]">
            {`Read by ${cook.instruments.join(', ')}`}
          </Text>
        ) : null}
      </View>
      {justFinished && cook.finishedAt !== null ? <Reopen cook={cook} /> : null}
      <TakeOut id={cook.id} />
      <Surprises cook={cook} log={log} />
      {cook.finishedAt === null ? null : <Verdicts cook={cook} of={of} />}
      <CookFigures cook={cook} of={of} readings={readings} />
      <Strip
        data={data}
        width={wide ? Math.min(width - 160, 1140) : width}
        height={
          wide ? 520 : Math.min(LONGEST_PX, Math.max(520, Math.round(((to - from) / HOUR_MS) * 74)))
        }
        down={!wide}
        units={units}
        timeZone={zone}
      />
      {cook.finishedAt === null ? null : <NextTime cook={cook} of={of} />}
      <Photographs cookId={cook.id} />
      <LogLines cook={cook} of={of} />
      {cook.finishedAt === null || justFinished ? null : <Reopen cook={cook} />}
      <TrimCook cook={cook} of={of} />
      <Afterwards key={cook.name} cook={cook} />
    </ScrollView>
  );
}

/** What was read of pit and first piece until the cook ended: at the grate, or by what the dial in the lid means there. */
const readUntil = (cook: CookView, log: Log, to: number): ReadingRow[] =>
  readingsOfPast(cook.plan, log, cook.readings).filter((r) => r.at <= to);

function useStripOfCook(
  { plan, startMs }: CookView,
  log: Log,
  readings: ReadingRow[],
  [from, to]: readonly [number, number],
): StripData {
  const theme = useTheme();
  const units = useSettings((s) => s.units);
  return useMemo(
    () =>
      stripData({
        plan,
        startMs,
        log,
        readings,
        forecast: null,
        now: null,
        from,
        to,
        theme,
        units,
      }),
    [plan, startMs, log, readings, from, to, theme, units],
  );
}

/** Takes a finish back: the cook goes on where it was. */
function Reopen({ cook }: { cook: CookView }) {
  const finish = finishOf(cook.entries);
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
        label="Finished too early: continue this cook"
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
      <Heading>Export</Heading>
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

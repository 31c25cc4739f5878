/** Plan: the slip, and below it the answer. */
import { CAUTIONS, presetOf, type Plan } from '@ostrin/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import type { PitRecord } from '@ostrin/contract/types';
import { useCooks, usePits, useStartCook } from '../api/queries';
import { useSettings } from '../store/settings';
import { requestOf, useSlip } from '../store/slip';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { Notice } from '../ui/Notice';
import { Title } from '../ui/Title';
import { dayOf } from '../ui/words';
import { Answer } from './Answer';
import { SettingsRow } from './SettingsRow';
import { SlipSentence } from './SlipSentence';
import { FourTimes } from './FourTimes';
import { CompareWays } from './CompareWays';
import { TakeAlong, titleOf } from './TakeAlong';
import { usePlan } from './usePlan';

export function PlanScreen() {
  const pits = usePits();
  const wanted = useSlip((s) => s.pitId);
  const pit = usualPit(pits.data ?? [], wanted);
  if (pits.isError) {
    return (
      <View className="p-5 gap-4">
        <Title>Plan</Title>
        <Notice tone="warn" title="No answer from the server">
          {pits.error.message}
        </Notice>
        <Button label="Try again" onPress={() => void pits.refetch()} />
      </View>
    );
  }
  if (!pit) {
    return (
      <View className="p-5">
        <Text className="font-sans text-soot text-[16px]">
          {pits.isLoading
            ? 'Opening the yard.'
            : 'There is no pit in the yard yet. Add one under Yard; then a whole plan stands here.'}
        </Text>
      </View>
    );
  }
  return <PlanFor pit={pit} yard={pits.data ?? []} />;
}

/** The pit that was chosen; else a kettle, which most people begin with, or whatever there is. */
const usualPit = (yard: readonly PitRecord[], wanted: string | null): PitRecord | null =>
  yard.find((p) => p.id === wanted) ??
  yard.find((p) => presetOf(p.preset).family === 'kettle') ??
  yard[0] ??
  null;

function PlanFor({ pit, yard }: { pit: PitRecord; yard: readonly PitRecord[] }) {
  const slip = useSlip();
  const units = useSettings((s) => s.units);
  const request = useMemo(() => requestOf(slip, pit, units), [slip, pit, units]);
  const { plan, settled, progress, failure } = usePlan(request);
  const others = useMemo(
    () =>
      yard
        .filter((p) => p.id !== pit.id)
        .map((p) => requestOf({ ...slip, fireId: null }, p, units).pits[0]!),
    [yard, pit.id, slip, units],
  );
  const { wide } = useLayout();
  const blocked = plan !== null && settled && plan.problems.length > 0;
  const head = (
    <>
      <View className="flex-row items-baseline justify-between">
        <Title>{`Slip for ${dayOf(slip.serveAt)}`}</Title>
      </View>
      <SlipSentence pit={pit} />
      {failure ? (
        <Notice tone="warn" title="This could not be worked out">
          {failure}
        </Notice>
      ) : null}
      {blocked
        ? plan.problems.map((p) => (
            <Notice key={p.field + p.message} tone="warn" title={p.message}>
              {p.instead}
            </Notice>
          ))
        : null}
    </>
  );
  const answer = plan ? (
    <Answer plan={plan} settled={settled} others={others} />
  ) : (
    <Text className="font-sans text-soot text-[16px]">Working out the fire.</Text>
  );
  return (
    <View className="flex-1">
      <ScrollView className="flex-1" contentContainerClassName="pb-6">
        {wide ? (
          <View className="flex-row gap-8 px-8 pt-6 max-w-[1240px]">
            <View className="w-[440px] gap-4">
              {head}
              <FourTimes plan={plan} settled={settled} progress={progress} />
              <StartCook plan={plan} ready={settled && !blocked} pitName={pit.name} />
              {plan ? <TakeAlong plan={plan} ready={settled} /> : null}
              {plan ? <CompareWays plan={plan} settled={settled} others={others} /> : null}
              <SettingsRow />
              <Safety />
            </View>
            <View className="flex-1">{answer}</View>
          </View>
        ) : (
          <View className="gap-4">
            <View className="px-5 pt-4 gap-3">{head}</View>
            <FourTimes plan={plan} settled={settled} progress={progress} />
            <View className="px-5 gap-5">
              {answer}
              <SettingsRow />
              <Safety />
            </View>
          </View>
        )}
      </ScrollView>
      {wide ? null : (
        <View className="border-t border-rule bg-paper px-5 py-2">
          <StartCook plan={plan} ready={settled && !blocked} pitName={pit.name} />
        </View>
      )}
    </View>
  );
}

function Safety() {
  return (
    <Text className="font-sans text-soot text-[14px] leading-[20px]">
      {CAUTIONS.carbonMonoxide.text} Local fire and smoke rules come first.
    </Text>
  );
}

/** Begins the cook; says what stands in the way. */
function StartCook({
  plan,
  ready,
  pitName,
}: {
  plan: Plan | null;
  ready: boolean;
  pitName: string;
}) {
  const start = useStartCook();
  const cooks = useCooks();
  // The same wish, pressed twice, is the same cook.
  const [id, setId] = useState(() => crypto.randomUUID());
  const busy = cooks.data?.find((c) => c.finishedAt === null && c.pitName === pitName);
  if (busy) {
    return (
      <Button kind="primary" label={`Tend ${busy.name}`} onPress={() => router.navigate('/tend')} />
    );
  }
  const begin = (): void => {
    if (!plan) return;
    start.mutate(
      {
        id,
        name: titleOf(plan),
        pitName,
        plan,
      },
      {
        onSuccess: () => {
          setId(crypto.randomUUID());
          router.navigate('/tend');
        },
      },
    );
  };
  return (
    <View className="gap-2">
      {start.isError ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {start.error.message}
        </Text>
      ) : null}
      <Button
        kind="primary"
        testID="start-cook"
        label={start.isPending ? 'Starting' : 'Start this cook'}
        disabled={!ready || start.isPending}
        onPress={begin}
      />
    </View>
  );
}

/** Plan: the planning sentence, and below it the answer. */
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import type { PitRecord } from '@ostrin/contract/types';
import { METRIC } from '@ostrin/core/quantity';
import { cautionWords, wordPlan } from '@ostrin/wording';
import { usePits, useShelf } from '../api/queries';
import { isCommonPit, yardOrCommon } from '../store/commonPit';
import { variantSourcesOf, requestOf } from '../store/request';
import { useSettings } from '../store/settings';
import { MOST_MEATS, usePlanDraft } from '../store/planDraft';
import { useDeferredDraft } from '../store/useDeferredDraft';
import { Button } from '../ui/Button';
import { lazyComponent } from '../ui/lazyComponent';
import { useLayout } from '../ui/layout';
import { Note, Notice } from '../ui/Notice';
import { Title } from '../ui/Title';
import { weekdayOf } from '../ui/words';
import { Answer as WholeAnswer } from './PlanAnswer';
import { Shopping, Watch } from './PlanExtras';
import { SettingsRow } from './SettingsRow';
import { PlanSentence as WholeSentence } from './PlanSentence';
import { CompareVariants as AllVariants } from './CompareVariants';
import { FourTimes } from './FourTimes';
import { StartCook } from './StartCook';
import { TakeAlong as AllExports } from './takeAlongLater';
import { usePlan } from './usePlan';

const SavedPlans = lazyComponent(async () => ({
  default: (await import('./SavedPlans')).SavedPlans,
}));
const FromLastTime = lazyComponent(async () => ({
  default: (await import('./FromLastTime')).FromLastTime,
}));
const PlanSheet = lazyComponent(async () => ({ default: (await import('./PlanSheet')).PlanSheet }));

// Progress is told many times a second: what it does not change is not drawn again.
const Answer = memo(WholeAnswer);
const CompareVariants = memo(AllVariants);
const PlanSentence = memo(WholeSentence);
const TakeAlong = memo(AllExports);

export function PlanScreen() {
  const pits = usePits();
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
  if (!pits.data) {
    return (
      <View className="p-5">
        <Text className="font-sans text-soot text-[16px]">Opening the yard.</Text>
      </View>
    );
  }
  return <PlanFor yard={yardOrCommon(pits.data)} />;
}

function PlanFor({ yard }: { yard: readonly PitRecord[] }) {
  // A touch changes its sheet first, the page behind it after.
  const draft = useDeferredDraft();
  const { units, altitudeM } = useSettings();
  const shelf = useShelf();
  const request = useMemo(
    () => requestOf(draft, yard, units, shelf.data, altitudeM),
    [draft, yard, units, shelf.data, altitudeM],
  );
  // The shelf is waited for, so that nothing is planned twice; without it, plans have no costs.
  const { plan, progress, failure, ...made } = usePlan(shelf.isLoading ? null : request);
  // A choice that the page does not show yet is not in its plan: that one cannot be started.
  const latest = usePlanDraft();
  const settled = made.settled && latest === draft;
  const worded = useMemo(() => plan && wordPlan(plan, units), [plan, units]);
  // A new answer is long to draw: touches go first.
  const drawn = useDeferredValue(worded);
  const still = settled && drawn === worded;
  const others = useMemo(() => variantSourcesOf(draft, yard), [draft, yard]);
  const [sheet, setSheet] = useState<'saved' | 'add' | null>(null);
  const { wide } = useLayout();
  const problems = settled ? (worded?.problems ?? []) : [];
  const blocked = problems.length > 0;
  const close = (): void => setSheet(null);
  const head = (
    <>
      <View className="flex-row items-center justify-between">
        <Title>{`Plan for ${weekdayOf(draft.serveAt)}`}</Title>
        <Button label="Saved plans" onPress={() => setSheet('saved')} />
      </View>
      <PlanSentence yard={yard} />
      <FromLastTime request={request} />
      {draft.meats.length < MOST_MEATS ? (
        <Button label="Add another meat" onPress={() => setSheet('add')} />
      ) : null}
      {failure ? (
        <Notice tone="warn" title="This could not be worked out">
          {failure}
        </Notice>
      ) : null}
      {problems.map((p) => (
        <Notice key={p.field + p.message} tone="warn" title={p.message}>
          {p.instead}
        </Notice>
      ))}
      {sheet === 'saved' ? <SavedPlans request={request} yard={yard} onClose={close} /> : null}
      {sheet === 'add' ? <PlanSheet opened={{ field: 'add' }} yard={yard} onClose={close} /> : null}
    </>
  );
  const hint = isCommonPit(yard[0]!) ? (
    <Note>
      Your yard is empty, so this is planned for a common kettle. Touch the cooker in the sentence
      to choose yours: it goes into the yard.
    </Note>
  ) : null;
  const answer = drawn ? (
    <Answer plan={drawn} settled={still} others={others} />
  ) : (
    <Text className="font-sans text-soot text-[16px]">Working out the fire.</Text>
  );
  return (
    <View className="flex-1">
      <ScrollView className="flex-1" contentContainerClassName="pb-6">
        {wide ? (
          <View className="px-8 pt-6 gap-8 max-w-[1240px]">
            <View className="flex-row gap-8">
              <View className="w-[440px] gap-4">
                {head}
                <FourTimes plan={plan} settled={settled} progress={progress} />
                {hint}
                <StartCook plan={plan} ready={settled && !blocked} />
                {drawn ? (
                  <View className="gap-6">
                    <TakeAlong plan={drawn} ready={still && !blocked} />
                    <Watch plan={drawn} />
                    <Shopping plan={drawn} />
                  </View>
                ) : null}
                <SettingsRow />
                <Safety />
              </View>
              <View className="flex-1">{answer}</View>
            </View>
            {drawn ? <CompareVariants plan={drawn} settled={still} others={others} /> : null}
          </View>
        ) : (
          <View className="gap-4">
            <View className="px-5 pt-4 gap-3">{head}</View>
            <FourTimes plan={plan} settled={settled} progress={progress} />
            <View className="px-5 gap-5">
              {hint}
              {answer}
              <SettingsRow />
              <Safety />
            </View>
          </View>
        )}
      </ScrollView>
      {wide ? null : (
        <View className="border-t border-rule bg-paper px-5 py-2">
          <StartCook plan={plan} ready={settled && !blocked} why={problems[0]?.message} />
        </View>
      )}
    </View>
  );
}

function Safety() {
  return (
    <Text className="font-sans text-soot text-[14px] leading-[20px]">
      {cautionWords('carbon-monoxide', METRIC)} Local fire and smoke rules come first.
    </Text>
  );
}

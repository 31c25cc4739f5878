/** Food that is not in the plan: which, how heavy, what comes of it, and one touch to put it on. */
import { leadMeat, pitOf } from '@ostrin/core';
import { cutOf, usualMassKg } from '@ostrin/core/catalogue';
import { MINUTE_MS, type Units } from '@ostrin/core/quantity';
import type { CookNow, FoodOutcome } from '@ostrin/core/tending';
import { leadInput } from '@ostrin/core/tending';
import { capital, massWords } from '@ostrin/wording';
import { foodOutcomeWords } from '@ostrin/wording/tending';
import { useEffect, useMemo, useState } from 'react';
import { Text, View } from 'react-native';
import { v4 as newId } from 'uuid';
import { askFood } from '../api/core';
import { CutChoice } from '../plan/MeatChoices';
import { logDeeds } from '../store/logging';
import { stepMass } from '../store/masses';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Stepper } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { Subhead } from '../ui/Title';
import { roughClock } from '../ui/words';
import { useTendedCook } from './cookContext';

/** Pieces of one kind that are put on at once, at most. */
const MOST_PIECES = 40;
/** What is chosen rests for so long before it is worked out, ms: a stepper is touched several times. */
const SETTLES_MS = 400;

interface SheetProps {
  onClose: () => void;
}

export function AddFoodSheet({ onClose }: SheetProps) {
  const units = useSettings((s) => s.units);
  const [cut, setCut] = useState<string | null>(null);
  return (
    <Sheet title="Add other food" onClose={onClose}>
      {cut === null ? (
        <>
          <Paragraph>What goes on? It lies beside what is on already.</Paragraph>
          <CutChoice value="" onChange={setCut} />
        </>
      ) : (
        <>
          <Button
            label={`${capital(cutOf(cut).name)}: choose another`}
            onPress={() => setCut(null)}
          />
          <Amount key={cut} {...{ cut, units, onClose }} />
        </>
      )}
    </Sheet>
  );
}

/** How much of it, and what comes of that. */
function Amount({ cut, units, onClose }: SheetProps & { cut: string; units: Units }) {
  const { cook, mayLog, onLogged } = useTendedCook();
  const { plan, zeroMs, nowMs } = cook;
  const [massKg, setMass] = useState(usualMassKg(cutOf(cut)));
  const [count, setCount] = useState(1);
  const [answer, setAnswer] = useState<FoodOutcome | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  // Asked about one moment: what is chosen stands on what was shown.
  const [asked] = useState(() => leadInput(cook));
  const { pitC } = pitOf(plan).pace;
  const wish = useMemo(
    () => ({ id: `${cut}-${newId().slice(0, 4)}`, cut, massKg, count, pitC }),
    [cut, massKg, count, pitC],
  );
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(() => {
      askFood(asked, wish)
        .then((o) => (wanted ? setAnswer(o) : undefined))
        .catch((e: Error) => (wanted ? setFailure(e.message) : undefined));
    }, SETTLES_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [asked, wish]);
  // What was answered before the choice changed says nothing of it.
  const outcome = answer?.food.id === wish.id ? answer : null;
  const put = async ({ food, readyMin }: FoodOutcome): Promise<void> => {
    const offAt = Math.round(zeroMs + readyMin![1] * MINUTE_MS);
    onLogged(await logDeeds([{ body: { kind: 'add-food', food, offAt } }], nowMs));
    onClose();
  };
  return (
    <>
      <Subhead>Mass of one piece</Subhead>
      <Stepper
        label="Mass of one piece"
        shown={massWords(massKg, units)}
        onStep={(by) => setMass(stepMass(cutOf(cut), massKg, by))}
        canDown={massKg > cutOf(cut).massRange[0]}
        canUp={massKg < cutOf(cut).massRange[1]}
      />
      <Subhead>Pieces</Subhead>
      <Stepper
        label="Pieces"
        shown={String(count)}
        onStep={(by) => setCount(count + by)}
        canDown={count > 1}
        canUp={count < MOST_PIECES}
      />
      <View className="gap-1" testID="food-outcome" aria-live="polite">
        {failure ? (
          <Notice tone="warn" title="This could not be worked out">
            {failure}
          </Notice>
        ) : outcome ? (
          <OutcomeWords outcome={outcome} plan={plan} zeroMs={zeroMs} />
        ) : (
          <Paragraph>Simulating the cook with it and without it.</Paragraph>
        )}
      </View>
      <Button
        kind="primary"
        label="Put it on now"
        testID="put-food"
        disabled={!outcome?.readyMin || !mayLog}
        onPress={() => void put(outcome!)}
      />
    </>
  );
}

function OutcomeWords({
  outcome,
  plan,
  zeroMs,
}: { outcome: FoodOutcome } & Pick<CookNow, 'plan' | 'zeroMs'>) {
  const units = useSettings((s) => s.units);
  const at = (min: number): string => roughClock(zeroMs + min * MINUTE_MS, plan.request.timeZone);
  const { readyMin } = outcome;
  const others = cutOf(leadMeat(plan).cut).short;
  return (
    <>
      <Text className="font-sans-bold text-ink text-[17px]">
        {readyMin
          ? `Done ${at(readyMin[0])}–${at(readyMin[2])}`
          : 'Not done within twelve hours at this heat'}
      </Text>
      {foodOutcomeWords(outcome, others, units).map((words) => (
        <Text key={words} className="font-sans text-ink text-[16px] leading-[22px]">
          {words}
        </Text>
      ))}
    </>
  );
}

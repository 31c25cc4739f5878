/** What was cooked, on which pit and when: beside readings that say nothing of it. */
import { onePit, type Plan } from '@ostrin/core';
import { cutOf, usualMassKg } from '@ostrin/core/catalogue';
import { localOf, MINUTE_MS, shortened } from '@ostrin/core/quantity';
import type { ReadingRow } from '@ostrin/core/log';
import { wordPlan, massWords, spanOfTime } from '@ostrin/wording';
import { router } from 'expo-router';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { v4 as newId } from 'uuid';
import { askPlan } from '../api/core';
import { useImport, usePits } from '../api/queries';
import { CutChoice } from '../plan/MeatChoices';
import { pitOptions } from '../plan/PitChoices';
import { yardOrCommon } from '../store/commonPit';
import { stepMass } from '../store/masses';
import { PIT_C } from '../store/planDraft';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Stepper, TitledChoice } from '../ui/Choice';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';
import { Notice } from '../ui/Notice';
import { TemperatureStepper } from '../ui/TemperatureStepper';
import { Heading, Subhead } from '../ui/Title';
import { SmallText } from '../ui/Text';
import { clockAndDay } from '../ui/words';
import {
  docOfForeign,
  foreignProblem,
  guessOf,
  requestOfForeign,
  type ForeignCook,
} from './foreignCook';

interface Props {
  file: string;
  readings: readonly ReadingRow[];
  zone: string;
}

const LONGEST_NAME = 60;
const FIRST_CUT = 'pork-shoulder';
const MOST_PIECES = 20;
const STEP_MS = 5 * MINUTE_MS;

/** What a file is called without its ending, as the name of a cook. */
const nameOf = (file: string): string => shortened(file.replace(/\.\w+$/, ''), LONGEST_NAME);

export function ForeignDetails({ file, readings, zone }: Props) {
  const pits = usePits();
  const yard = yardOrCommon(pits.data ?? []);
  const [cook, setCook] = useState<Omit<ForeignCook, 'pit'> & { pitId: string }>(() => ({
    ...guessOf(readings),
    name: nameOf(file),
    pitId: '',
    cut: FIRST_CUT,
    massKg: usualMassKg(cutOf(FIRST_CUT)),
    pieces: 1,
    zone,
  }));
  const set = (part: Partial<typeof cook>): void => setCook((c) => ({ ...c, ...part }));
  const pit = yard.find((p) => p.id === cook.pitId) ?? yard[0]!;
  const whole: ForeignCook = { ...cook, pit };
  const problem = foreignProblem(whole);
  const { state, bringIn } = useBringIn(whole, readings, file);
  return (
    <View className="gap-4">
      <Heading>What was it?</Heading>
      <NameField
        label="Name"
        value={cook.name}
        longest={LONGEST_NAME}
        onChange={(name) => set({ name })}
      />
      <TitledChoice
        label="Cooked on"
        columns={2}
        options={pitOptions(yard)}
        value={pit.id}
        onChange={(pitId) => set({ pitId })}
      />
      <Fold label={`Cut: ${cutOf(cook.cut).name}`} testID="foreign-cut">
        <CutChoice
          value={cook.cut}
          onChange={(cut) => set({ cut, massKg: usualMassKg(cutOf(cut)) })}
        />
      </Fold>
      <Amounts cook={whole} onChange={set} />
      <Times cook={whole} readings={readings} onChange={set} />
      <SmallText>
        {`Ostrin plans this cook backwards from when it came off, so that there is a plan to compare it with. Times in ${zone}.`}
      </SmallText>
      {problem || state.failure ? (
        <Notice tone="warn" title={problem ?? 'Nothing was imported'}>
          {problem ? undefined : state.failure}
        </Notice>
      ) : null}
      <Button
        kind="primary"
        label={
          state.share === null ? 'Import it' : `Planning it, ${Math.round(100 * state.share)} %`
        }
        testID="bring-in"
        disabled={problem !== null || state.share !== null}
        onPress={bringIn}
      />
    </View>
  );
}

interface PartProps {
  cook: ForeignCook;
  onChange: (part: Partial<ForeignCook>) => void;
}

function Amounts({ cook, onChange }: PartProps) {
  const units = useSettings((s) => s.units);
  const cut = cutOf(cook.cut);
  const [low, high] = cut.massRange;
  return (
    <>
      <Subhead>Pieces</Subhead>
      <Stepper
        label="Pieces"
        shown={String(cook.pieces)}
        onStep={(by) => onChange({ pieces: cook.pieces + by })}
        canDown={cook.pieces > 1}
        canUp={cook.pieces < MOST_PIECES}
      />
      <Subhead>Mass of one</Subhead>
      <Stepper
        label="Mass of one"
        shown={massWords(cook.massKg, units)}
        onStep={(by) => onChange({ massKg: stepMass(cut, cook.massKg, by) })}
        canDown={cook.massKg > low}
        canUp={cook.massKg < high}
      />
      <Subhead>The pit was to be held at</Subhead>
      <TemperatureStepper
        label="Target of the pit"
        c={cook.pitC}
        range={PIT_C}
        onChange={(pitC) => onChange({ pitC })}
      />
    </>
  );
}

const TIMES = [
  ['litMs', 'Fire lit'],
  ['onMs', 'Meat on'],
  ['offMs', 'Meat off'],
] as const;

/** The three times, guessed from the readings and moved by touch. */
function Times({ cook, readings, onChange }: PartProps & { readings: readonly ReadingRow[] }) {
  const [first, last] = [readings[0]!.at, readings.at(-1)!.at];
  return (
    <>
      {TIMES.map(([key, label]) => (
        <View key={key} className="gap-1">
          <Subhead>{label}</Subhead>
          <Stepper
            label={label}
            shown={clockAndDay(localOf(cook[key], cook.zone))}
            onStep={(by) => onChange({ [key]: cook[key] + by * STEP_MS })}
            canDown={cook[key] - STEP_MS >= first - 3 * 60 * MINUTE_MS}
            canUp={cook[key] + STEP_MS <= last}
          />
        </View>
      ))}
      <SmallText>{`${spanOfTime((cook.offMs - cook.onMs) / MINUTE_MS)} on the grate.`}</SmallText>
    </>
  );
}

/** Plans the cook as it would have been planned, and stores it with its readings: all of it, or nothing. */
function useBringIn(cook: ForeignCook, readings: readonly ReadingRow[], file: string) {
  const units = useSettings((s) => s.units);
  const store = useImport();
  const [state, setState] = useState<{ share: number | null; failure: string | null }>({
    share: null,
    failure: null,
  });
  const under = useRef(false);
  const fail = (failure: string): void => {
    under.current = false;
    setState({ share: null, failure });
  };
  const keep = (plan: Plan): void => {
    if (plan.problems.length > 0) {
      fail(
        wordPlan(plan, units)
          .problems.map((p) => p.message)
          .join('. '),
      );
      return;
    }
    store.mutate(docOfForeign(cook, onePit(plan, cook.pit.id), readings, file, newId), {
      onSuccess: ({ id }) => router.replace(`/log/${id}`),
      onError: (error) => fail(error.message),
    });
  };
  const bringIn = (): void => {
    if (under.current) return;
    under.current = true;
    setState({ share: 0, failure: null });
    askPlan(requestOfForeign(cook, units), cook.litMs - DAYS_AHEAD_MS, {
      onProgress: (share) => under.current && setState({ share, failure: null }),
      onPlan: (plan, final) => final && keep(plan),
      onFail: fail,
    });
  };
  return { state, bringIn };
}

/** A cook is planned some days ahead. */
const DAYS_AHEAD_MS = 3 * 1440 * MINUTE_MS;

/** A past cook in figures beside its plan: how it was held, what it burnt, every time, and why it was early or late. */
import { jobWords } from '@ostrin/wording';
import { pitOf } from '@ostrin/core';
import { epochOf, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { ReadingRow } from '@ostrin/core/log';
import { handFigures, summarise, type HandFigures } from '@ostrin/core/afterwards';
import { soMuchLater } from '@ostrin/wording/afterwards';
import { useMemo } from 'react';
import { Text, View } from 'react-native';
import { askFuelUse, askWhyLate } from '../api/core';
import type { CookView } from '../api/queries';
import { useSettings } from '../store/settings';
import { Fold } from '../ui/Fold';
import { Heading } from '../ui/Title';
import { SmallText } from '../ui/Text';
import { clockOf } from '../ui/words';
import { CausesList } from './CausesList';
import { burntOver, fuelRows, handRows, pitRows, type Row } from './figureRows';
import { OffTheShelf } from './OffTheShelf';
import type { CookLog } from './useCookLog';
import { useWorkedOut } from '../api/useWorkedOut';

interface Props {
  cook: CookView;
  of: CookLog;
  /** What was read of pit and first piece, by wire and by hand, until it ended. */
  readings: readonly ReadingRow[];
}

export function CookFigures({ cook, of, readings }: Props) {
  const units = useSettings((s) => s.units);
  const { plan } = cook;
  const { log, after } = of;
  const zone = plan.request.timeZone;
  const f = useMemo(() => summarise(plan, log, readings), [plan, log, readings]);
  const hand = useMemo(() => handFigures(plan, log, readings), [plan, log, readings]);
  const endMs = cook.finishedAt ?? readings.at(-1)?.at ?? cook.startMs;
  const key = `${cook.id} ${of.entries.length}`;
  const fuel = useWorkedOut(key, () => askFuelUse({ scenarios: plan.scenarios }, log, endMs));
  const fuelLines: Row[] = fuel.answer
    ? fuelRows(fuel.answer, plan, burntOver(f, log), after.fuelLeftKg, units)
    : [['Fuel burnt', fuel.busy ? '…' : 'not known', fuel.failure ?? 'worked out from the log']];
  return (
    <View className="px-5 gap-3 max-w-[720px]" testID="figures">
      <Heading>How it went</Heading>
      <View>
        {[...pitRows(f, plan, units), ...fuelLines, ...handRows(hand, zone, units)].map((row) => (
          <Figure key={row[0]} row={row} />
        ))}
      </View>
      {fuel.answer ? (
        <OffTheShelf cook={cook} of={of} givenKg={fuel.answer.charcoalGivenKg} />
      ) : null}
      <Why cook={cook} of={of} />
      <Times cook={cook} times={hand.times} />
    </View>
  );
}

const Figure = ({ row: [name, value, beside] }: { row: Row }) => (
  <View className="flex-row items-baseline gap-2 border-b border-rule py-2">
    <Text className="font-sans text-ink text-[16px] w-[100px]">{name}</Text>
    <Text className="font-slab-semi text-ink text-[18px] w-[100px]">{value}</Text>
    <Text className="font-sans text-soot text-[14px] leading-[19px] flex-1">{beside}</Text>
  </View>
);

/** Why the first piece was early or late, as far as the engine can tell. */
function Why({ cook, of }: Pick<Props, 'cook' | 'of'>) {
  const { plan } = cook;
  const zone = plan.request.timeZone;
  const answer = useWorkedOut(`${cook.id} ${of.entries.length}`, () =>
    askWhyLate(
      {
        plan: { scenarios: plan.scenarios, request: plan.request },
        entries: [...of.entries],
        readings: cook.readings,
      },
      {
        plannedOn: epochOf(plan.meatOnAt[0]!, zone),
        plannedOff: epochOf(plan.ready[0]!.p50, zone),
      },
    ),
  );
  const why = answer.answer;
  if (answer.busy) return <SmallText>Working out why it was early or late.</SmallText>;
  if (!why) return null;
  return (
    <View className="gap-1" testID="why-late">
      <Heading>
        {`Off the fire ${soMuchLater(why.lateMin, ['later than planned', 'earlier than planned'], 'as planned')}`}
      </Heading>
      <CausesList
        causes={{
          started: why.started,
          ...(why.causes === 'never-done' ? {} : why.causes),
        }}
      />
      <SmallText>
        {why.causes === 'never-done'
          ? 'By the readings of the pit this piece would not have been done: it came off before that.'
          : 'Worked out by simulating the piece again, once in the planned pit and once in the pit as it was read.'}
      </SmallText>
    </View>
  );
}

/** Every job of the plan that was done: when it was planned, and when it came. */
function Times({ cook, times }: { cook: CookView; times: HandFigures['times'] }) {
  const zone = cook.plan.request.timeZone;
  const { units } = useSettings();
  const wordsOf = (id: string): string => {
    const { facts } = cook.plan.jobs.find((j) => j.id === id)!;
    return jobWords(facts, pitOf(cook.plan), units).inWords;
  };
  if (times.length === 0) return null;
  return (
    <Fold label="Planned and actual times" testID="all-times">
      {times.map(({ jobId, planned, actual }) => (
        <View key={jobId} className="flex-row items-baseline gap-3 border-b border-rule py-2">
          <Text className="font-sans text-ink text-[16px] leading-[21px] flex-1">
            {wordsOf(jobId)}
          </Text>
          <Text className="font-sans text-soot text-[16px] w-[48px]">
            {clockOf(localOf(planned, zone))}
          </Text>
          <Text className="font-slab-semi text-ink text-[18px] w-[52px]">
            {clockOf(localOf(actual, zone))}
          </Text>
          <Text className="font-sans text-soot text-[14px] w-[84px]">
            {soMuchLater((actual - planned) / MINUTE_MS, ['later', 'earlier'], 'as planned')}
          </Text>
        </View>
      ))}
    </Fold>
  );
}

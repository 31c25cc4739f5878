/** A past cook in figures beside its plan, and what was done, line by line. */
import { localOf, summarise, type FuelUse, type Log, type Units } from '@ostrin/core';
import { massWords, spanOfTime, temperatureWords } from '@ostrin/wording';
import { useMemo } from 'react';
import { Text, View } from 'react-native';
import type { CookView } from '../api/queries';
import { useSettings } from '../store/settings';
import { signedLabel } from '../strip/fromCook';
import { useLayout } from '../ui/layout';
import { Heading } from '../ui/Title';
import { clockOf } from '../ui/words';
import { useFuelUse } from './useFuelUse';

/** A figure: its name, its value, and what stands beside it. */
type Row = [name: string, value: string, beside: string];

interface Props {
  cook: CookView;
  log: Log;
}

export function CookFigures({ cook, log }: Props) {
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const f = useMemo(() => summarise(cook.plan, log, cook.readings), [cook, log]);
  const { use, failure } = useFuelUse(cook, log);
  const time = (ms: number | null): string =>
    ms === null ? 'not logged' : clockOf(localOf(ms, cook.plan.request.timeZone));
  const rows: Row[] = [
    [
      'Time in band',
      f.inBandFraction === null ? 'no readings' : `${Math.round(f.inBandFraction * 100)} %`,
      `${spanOfTime(f.minutesBelow)} below, ${spanOfTime(f.minutesAbove)} above`,
    ],
    [
      'Average pit',
      f.averageC === null ? 'no readings' : temperatureWords(f.averageC, units),
      `target ${temperatureWords(cook.plan.request.pits[0]!.pace.pitC, units)}`,
    ],
    ...fuelRows(cook, use, failure, units),
    ['Fire lit', time(f.lit.actual), `planned ${time(f.lit.planned)}`],
    ['Meat on', time(f.meatOn.actual), `planned ${time(f.meatOn.planned)}`],
    ['Meat off', time(f.off.actual), `planned ${time(f.off.planned)}`],
    ['Lid opened', `${f.lidOpenings} times`, ''],
  ];
  return (
    <View className={`px-5 ${wide ? 'max-w-[720px]' : ''}`} testID="figures">
      <Heading>How it went</Heading>
      {rows.map(([name, value, beside]) => (
        <View key={name} className="flex-row items-baseline gap-2 border-b border-rule py-2">
          <Text className="font-sans text-ink text-[16px] w-[108px]">{name}</Text>
          <Text className="font-slab-semi text-ink text-[18px] w-[92px]">{value}</Text>
          <Text className="font-sans text-soot text-[14px] flex-1">{beside}</Text>
        </View>
      ))}
    </View>
  );
}

/** Less than this left is none, kg. */
const NOTHING_KG = 0.05;

/** Fuel burnt, and what was left of it: saved where the vents were shut. */
function fuelRows(
  cook: CookView,
  use: FuelUse | null,
  failure: string | null,
  units: Units,
): Row[] {
  if (failure) return [['Fuel burnt', 'not known', failure]];
  if (!use) return [['Fuel burnt', '…', 'worked out from the log']];
  const kg = (value: number): string => massWords(value, units);
  const { charcoalBurntKg, woodBurntKg, unburntKg, saved } = use;
  const planned = kg(cook.plan.fires[0]!.neededKg);
  return [
    [
      'Fuel burnt',
      kg(charcoalBurntKg + woodBurntKg),
      `${kg(charcoalBurntKg)} charcoal, ${kg(woodBurntKg)} wood; planned ${planned}`,
    ],
    unburntKg < NOTHING_KG
      ? ['Fuel left', 'none', 'all of it was burnt']
      : saved
        ? ['Fuel saved', kg(unburntKg), 'went out when the vents were shut']
        : ['Fuel left', kg(unburntKg), 'still in the pit at the end of the log'],
  ];
}

export function LogLines({ cook, log }: Props) {
  const { wide } = useLayout();
  const units = useSettings((s) => s.units);
  return (
    <View className={`px-5 ${wide ? 'max-w-[720px]' : ''}`}>
      <Heading>What was done</Heading>
      {log.lines.map((l) => (
        <View key={l.id} className="flex-row gap-3 border-b border-rule py-2">
          <Text className="font-slab-semi text-ink text-[16px] w-[52px]">
            {clockOf(localOf(l.at, cook.plan.request.timeZone))}
          </Text>
          <Text className="font-sans text-ink text-[16px] leading-[22px] flex-1">
            {signedLabel(l, cook.plan, units)}
            {l.corrected ? ' (time corrected)' : ''}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** Other ways of the same meal beside this one: paces, wraps, pits of the yard. */
import {
  massWords,
  METRIC,
  spanOfTime,
  type Plan,
  type RequestPit,
  type WayRow,
} from '@ostrin/core';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useSlip } from '../store/slip';
import { Button } from '../ui/Button';
import { Heading } from '../ui/Title';
import { capital, clockAndDay, clockOf } from '../ui/words';
import { Say, Small } from './Parts';
import { useWays } from './useWays';

interface Props {
  plan: Plan;
  settled: boolean;
  others: readonly RequestPit[];
}

export function CompareWays({ plan, settled, others }: Props) {
  const [open, setOpen] = useState(false);
  const { rows, done, failure } = useWays(plan.request, others, open && settled);
  return (
    <View className="gap-2" testID="ways">
      <Heading>Compare ways</Heading>
      {open ? null : (
        <>
          <Say>Slower, faster, other wraps, your other pits: each planned for the same table.</Say>
          <Button label="Compare" onPress={() => setOpen(true)} />
        </>
      )}
      {failure ? <Say>{failure}</Say> : null}
      {rows.map((row) => (
        <Way key={row.id} row={row} plan={plan} />
      ))}
      {open && !done && !failure ? <Small>Working out the next one.</Small> : null}
    </View>
  );
}

/** Which part of the slip a way changes; null where the slip already says it. */
function changeOf(row: WayRow) {
  const [kind, ...rest] = row.id.split('-');
  const value = rest.join('-');
  if (kind === 'pace') return { pitC: Number(value) };
  if (kind === 'wrap') return { wrap: value as 'none' | 'paper' | 'foil' };
  if (kind === 'pit') return { pitId: value, fireId: null };
  return null;
}

function Way({ row, plan }: { row: WayRow; plan: Plan }) {
  const change = useSlip((s) => s.change);
  const units = plan.request.units ?? METRIC;
  const to = changeOf(row);
  return (
    <View className="border-b border-rule pb-2 gap-1" testID={`way-${row.id}`}>
      <Text className="font-sans-bold text-ink text-[16px]">{capital(row.inWords)}</Text>
      {row.problem ? (
        <Say>{row.problem}</Say>
      ) : (
        <>
          <Say>{`Light ${clockAndDay(row.lightAt)}, ready ${clockOf(row.ready[0])}–${clockOf(row.ready[1])}, cooks ${spanOfTime(row.cookMin)}.`}</Say>
          <Small>
            {[
              `${massWords(row.fuelKg, units)} of fuel`,
              row.cost === null ? '' : `costs ${row.cost}`,
              `${row.visits} visits`,
              `free for up to ${spanOfTime(row.longestFreeMin)}`,
              row.bark === null ? '' : `bark ${barkWords(row.bark)}`,
              `late ${Math.round(100 * row.chanceLateFraction)} in 100`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Small>
        </>
      )}
      {to && !row.problem ? (
        <Button label={`Plan it ${row.inWords}`} onPress={() => change(to)} />
      ) : null}
    </View>
  );
}

/** Bark in words: 1 is set. */
const barkWords = (bark: number): string =>
  bark < 0.7 ? 'soft' : bark < 1.1 ? 'set' : bark < 1.6 ? 'firm' : 'hard';

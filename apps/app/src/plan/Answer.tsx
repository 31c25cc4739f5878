/** The answer to a slip: the cook as expected, the fire, the vents, the jobs, the watch and all that goes with it. */
import {
  countWords,
  fuelWorth,
  massWords,
  METRIC,
  onePit,
  pitName,
  spanOfTime,
  type OtherWays,
  type Plan,
} from '@ostrin/core';
import { useMemo, useState } from 'react';
import { Text, View } from 'react-native';
import { useLayout } from '../ui/layout';
import { Choice } from '../ui/Choice';
import { Heading } from '../ui/Title';
import { clockOf } from '../ui/words';
import { BuildFire, SetVents } from './BuildFire';
import { CompareWays } from './CompareWays';
import { Jobs } from './Jobs';
import { Say, Small } from './Parts';
import { PlanStrip } from './PlanStrip';
import { TakeAlong } from './TakeAlong';

interface Props {
  plan: Plan;
  /** Whether it is the full answer to the slip as it stands. */
  settled: boolean;
  /** What to compare it with. */
  others: OtherWays;
}

export function Answer({ plan, settled, others }: Props) {
  const { wide } = useLayout();
  const [wanted, setWanted] = useState('');
  const pit = plan.fires.find((f) => f.pit === wanted)?.pit ?? plan.fires[0]!.pit;
  const part = useMemo(() => onePit(plan, pit), [plan, pit]);
  const pits =
    plan.fires.length > 1 ? (
      <Choice
        label="Pit shown"
        columns={Math.min(plan.fires.length, 3)}
        options={plan.fires.map((f) => ({ value: f.pit, label: pitName(plan, f.pit) }))}
        value={pit}
        onChange={setWanted}
      />
    ) : null;
  return (
    <View className="gap-6">
      {pits}
      {wide ? <Expected plan={part} /> : null}
      <View className={wide ? 'flex-row gap-8' : 'gap-6'}>
        <View className="gap-6" style={wide ? { width: 360 } : undefined}>
          <BuildFire plan={part} />
          <SetVents plan={part} />
        </View>
        <View className="gap-6 flex-1">
          {wide ? null : <Expected plan={part} />}
          {plan.cautions.length > 0 ? (
            <View className="gap-2">
              <Heading>What is safe</Heading>
              {plan.cautions.map((c) => (
                <Say key={c}>{c}</Say>
              ))}
            </View>
          ) : null}
          <Jobs plan={plan} />
          <Watch plan={plan} />
          <Shopping plan={plan} />
          <Risks plan={plan} />
          {wide ? null : (
            <>
              <CompareWays plan={plan} settled={settled} others={others} />
              <TakeAlong plan={plan} ready={settled} />
            </>
          )}
        </View>
      </View>
    </View>
  );
}

const Expected = ({ plan }: { plan: Plan }) => (
  <View className="gap-2">
    <Heading>The cook as expected</Heading>
    <PlanStrip plan={plan} />
  </View>
);

function Watch({ plan }: { plan: Plan }) {
  const { visits, longestFreeMin, shifts } = plan.watch;
  return (
    <View className="gap-1">
      <Heading>Your watch</Heading>
      <Say>{`${countWords(visits, 'visit', 'visits')}, longest free stretch ${spanOfTime(longestFreeMin)}.`}</Say>
      {shifts.map((s) => (
        <Say
          key={s.name}
        >{`${s.name}: ${clockOf(s.from)} to ${clockOf(s.to)}, ${countWords(s.visits, 'visit', 'visits')}.`}</Say>
      ))}
      <Say>{`Chance of being late: about ${Math.round(plan.chanceLateFraction * 100)} in 100.`}</Say>
    </View>
  );
}

function Shopping({ plan }: { plan: Plan }) {
  const units = plan.request.units ?? METRIC;
  return (
    <View className="gap-1">
      <Heading>Shopping</Heading>
      {plan.shopping.map((s) => (
        <View key={s.item}>
          <Say>{`${s.item}: ${s.amount}`}</Say>
          {s.buy || s.onShelf ? <Small>{shelfWords(s)}</Small> : null}
        </View>
      ))}
      {plan.cost === null ? null : (
        <Say>{`To pay for fuel: ${plan.cost.toFixed(2)}. What it takes is worth ${(fuelWorth(plan) ?? 0).toFixed(2)}.`}</Say>
      )}
      <Say>{`Gives ${massWords(plan.cookedKg[0], units)} to ${massWords(plan.cookedKg[1], units)} cooked and off the bone.`}</Say>
    </View>
  );
}

/** What of it is there, what to buy, and what that costs at the user's own prices. */
const shelfWords = (s: Plan['shopping'][number]): string =>
  [
    s.onShelf ? `${s.onShelf} on the shelf` : '',
    s.buy ? (s.onShelf && !s.buy.startsWith('nothing') ? `buy ${s.buy}` : s.buy) : '',
    s.cost ? `costs ${s.cost.toFixed(2)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');

function Risks({ plan }: { plan: Plan }) {
  return (
    <View className="gap-2">
      <Heading>What could go wrong</Heading>
      {plan.risks.map((r) => (
        <View key={r.sign}>
          <Text className="font-sans-semi text-ink text-[16px]">{r.sign}</Text>
          <Say>{r.move}</Say>
          {r.why ? <Small>{r.why}</Small> : null}
        </View>
      ))}
      <Text className="font-sans-semi text-ink text-[16px]">Plan B</Text>
      {plan.planB.map((b) => (
        <Say key={b}>{b}</Say>
      ))}
    </View>
  );
}

/** The answer to a slip: the cook as expected, the fire, the vents, the jobs, and on a phone all that goes with it. */
import { onePit, pitName, type OtherWays, type Plan } from '@ostrin/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useLayout } from '../ui/layout';
import { Choice } from '../ui/Choice';
import { Heading } from '../ui/Title';
import { Cautions, Risks, Shopping, Watch } from './Around';
import { BuildFire, SetVents } from './BuildFire';
import { CompareWays } from './CompareWays';
import { Jobs } from './Jobs';
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
      {wide ? (
        <View className="flex-row gap-8">
          <View className="gap-6 w-[360px]">
            <BuildFire plan={part} />
            <SetVents plan={part} />
            <Risks plan={plan} />
          </View>
          <View className="gap-6 flex-1">
            <Cautions plan={plan} />
            <Jobs plan={plan} />
          </View>
        </View>
      ) : (
        <>
          <BuildFire plan={part} />
          <SetVents plan={part} />
          <Expected plan={part} />
          <Cautions plan={plan} />
          <Jobs plan={plan} />
          <Watch plan={plan} />
          <Shopping plan={plan} />
          <Risks plan={plan} />
          <CompareWays plan={plan} settled={settled} others={others} />
          <TakeAlong plan={plan} ready={settled} />
        </>
      )}
    </View>
  );
}

const Expected = ({ plan }: { plan: Plan }) => (
  <View className="gap-2">
    <Heading>The cook as expected</Heading>
    <PlanStrip plan={plan} />
  </View>
);

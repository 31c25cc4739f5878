/** The plan on the page: the cook as expected, the fire, the vents, the jobs, and on a phone all that goes with it. */
import { onePit, type PitPlan } from '@ostrin/core';
import type { VariantSources } from '@ostrin/core/engine';
import { pitName, ruleLines, type WordedPlan } from '@ostrin/wording';
import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useLayout } from '../ui/layout';
import { Choice } from '../ui/Choice';
import { Heading } from '../ui/Title';
import { Cautions, Risks, Shopping, Watch } from './PlanExtras';
import { BuildFire as WholeFire, SetVents as AllVents } from './BuildFire';
import { CompareVariants } from './CompareVariants';
import { Jobs as AllJobs } from './Jobs';
import { PlanStrip } from './PlanStrip';
import { Cards } from './Cards';
import { TakeAlong } from './takeAlongLater';
import { useStaggered } from './useStaggered';

// A part that is not its turn is not drawn again.
const BuildFire = memo(WholeFire);
const SetVents = memo(AllVents);
const Jobs = memo(AllJobs);

/** The plan and the part of the pit that is shown; and how many parts of the page take a new one up in turn. */
interface Now {
  plan: WordedPlan;
  part: PitPlan;
  /** The fire and the vents of that pit, with their sentences. */
  fire: WordedPlan['fires'][number];
  vents: WordedPlan['vents'];
  /** How it is held by hand. */
  rule: string[];
}
const PARTS = 5;

interface Props {
  plan: WordedPlan;
  /** Whether it is the full plan for the draft as it stands. */
  settled: boolean;
  /** What to compare it with. */
  others: VariantSources;
}

export function Answer({ plan, settled, others }: Props) {
  const { wide } = useLayout();
  const [wanted, setWanted] = useState('');
  const shown = plan.fires.find((f) => f.pit === wanted) ?? plan.fires[0]!;
  const { pit } = shown;
  const now = useMemo(
    () => ({
      plan,
      part: onePit(plan, shown.pit),
      fire: shown,
      vents: plan.vents.filter((v) => v.pit === shown.pit),
      rule: ruleLines(plan, shown.pit),
    }),
    [plan, shown],
  );
  const [fire, vents, strip, jobs, around] = useStaggered(now, PARTS) as [Now, Now, Now, Now, Now];
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
      {wide ? <Expected plan={strip.part} /> : null}
      {wide ? (
        <View className="flex-row gap-8">
          <View className="gap-6 w-[360px]">
            <BuildFire plan={fire.part} fire={fire.fire} />
            <SetVents plan={vents.part} vents={vents.vents} rule={vents.rule} />
            <Risks plan={around.plan} />
          </View>
          <View className="gap-6 flex-1">
            <Cautions plan={jobs.plan} />
            <Jobs plan={jobs.plan} />
            <MeatCards plan={jobs.plan} />
          </View>
        </View>
      ) : (
        <>
          <Cautions plan={jobs.plan} />
          <Jobs plan={jobs.plan} />
          <MeatCards plan={jobs.plan} />
          <BuildFire plan={fire.part} fire={fire.fire} />
          <SetVents plan={vents.part} vents={vents.vents} rule={vents.rule} />
          <Expected plan={strip.part} />
          <Watch plan={around.plan} />
          <Shopping plan={around.plan} />
          <Risks plan={around.plan} />
          <CompareVariants plan={plan} settled={settled} others={others} />
          <TakeAlong plan={plan} ready={settled && plan.problems.length === 0} />
        </>
      )}
    </View>
  );
}

/** Before the fire and after it: a card for each meat. */
const MeatCards = ({ plan }: { plan: WordedPlan }) => (
  <>
    <Cards heading="Before the fire" cards={plan.preparation} name="prepare" />
    <Cards heading="While it waits" cards={plan.holds} name="hold" />
  </>
);

const Expected = memo(({ plan }: { plan: PitPlan }) => (
  <View className="gap-2">
    <Heading>The cook as expected</Heading>
    <PlanStrip plan={plan} />
  </View>
));
Expected.displayName = 'Expected';

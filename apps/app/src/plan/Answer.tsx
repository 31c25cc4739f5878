/** The answer to a slip: the fire to build, the vents to set, the jobs and the watch. */
import {
  countWords,
  cutOf,
  massWords,
  METRIC,
  smallMassWords,
  spanOfTime,
  temperatureWords,
  type Plan,
  type Preset,
} from '@ostrin/core';
import { Text, View } from 'react-native';
import { SnakeDrawing } from '../drawings/Snake';
import { Vent } from '../drawings/Vent';
import { useLayout } from '../ui/layout';
import { Heading } from '../ui/Title';
import { clockAndDay, clockOf } from '../ui/words';
import { PlanStrip } from './PlanStrip';

const Say = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-ink text-[16px] leading-[23px]">{children}</Text>
);
const Bold = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans-bold">{children}</Text>
);

export function Answer({ plan, preset }: { plan: Plan; preset: Preset }) {
  const { wide } = useLayout();
  const [fire, vents] = [plan.fires[0]!, plan.vents[0]!];
  const meat = plan.request.meats[0]!;
  const units = plan.request.units ?? METRIC;
  const chunk = fire.woodChunks[0];
  const rowLength = fire.pieces / (fire.side * fire.layers);
  return (
    <View className="gap-6">
      {wide ? <Expected plan={plan} /> : null}
      <View className={wide ? 'flex-row gap-8' : 'gap-6'}>
        <View className="gap-6" style={wide ? { width: 360 } : undefined}>
          <View className="gap-2">
            <Heading>Build the fire</Heading>
            <View className="items-center">
              <SnakeDrawing
                fire={fire}
                diameterM={preset.pit.diameterM}
                cut={cutOf(meat.cut)}
                massKg={meat.massKg}
                pieces={plan.pieces}
                size={300}
              />
            </View>
            <Say>
              <Bold>{`${fire.pieces} briquettes`}</Bold>
              {`, ${massWords(fire.massKg, units)}: ${fire.side} wide, ${fire.layers} high, ${Math.round(rowLength)} along, ${Math.round(fire.arcDegrees)} degrees of the rim. `}
              <Bold>{`${fire.litPieces} of them lit`}</Bold>
              {', at the coloured end.'}
            </Say>
            {chunk ? (
              <Say>
                <Bold>{countWords(fire.woodChunks.length, 'chunk', 'chunks')}</Bold>
                {` of ${chunk.species}, ${smallMassWords(chunk.massG, units)} each, on top where drawn.`}
              </Say>
            ) : null}
            <Say>
              {fire.lengthenPieces > 0
                ? `Longer than one round: add ${fire.lengthenPieces} briquettes at the tail on the way. Lasts about ${spanOfTime(round15(fire.lastsMin))}.`
                : `Lasts about ${spanOfTime(round15(fire.lastsMin))}, reserve included.`}
            </Say>
          </View>
          <View className="gap-2">
            <Heading>Set the vents</Heading>
            <View className="flex-row items-center gap-6">
              <Vent name="bowl" fraction={vents.intakeFraction} />
              <Vent name="lid" fraction={vents.exhaustFraction} />
              <View className="flex-1">
                <Say>{`Both open until ${clockOf(vents.at)}, then these. Settles near ${temperatureWords(vents.settlesC, units)}.`}</Say>
              </View>
            </View>
            <Say>Lid vent across from the fire, so that the draught passes over the meat.</Say>
          </View>
        </View>
        <View className="gap-6 flex-1">
          {wide ? null : <Expected plan={plan} />}
          {plan.cautions.length > 0 ? (
            <View className="gap-2">
              <Heading>What is safe</Heading>
              {plan.cautions.map((c) => (
                <Say key={c}>{c}</Say>
              ))}
            </View>
          ) : null}
          <Jobs plan={plan} />
          <View className="gap-1">
            <Heading>Your watch</Heading>
            <Say>{`${countWords(plan.watch.visits, 'visit', 'visits')}, longest free stretch ${spanOfTime(plan.watch.longestFreeMin)}.`}</Say>
            <Say>{`Chance of being late: about ${Math.round(plan.chanceLateFraction * 100)} in 100.`}</Say>
          </View>
          <View className="gap-1">
            <Heading>Shopping</Heading>
            {plan.shopping.map((s) => (
              <Say key={s.item}>{`${s.item}: ${s.amount}`}</Say>
            ))}
            <Say>{`Gives ${massWords(plan.cookedKg[0], units)} to ${massWords(plan.cookedKg[1], units)} cooked and off the bone.`}</Say>
          </View>
          <View className="gap-2">
            <Heading>What could go wrong</Heading>
            {plan.risks.map((r) => (
              <View key={r.sign}>
                <Text className="font-sans-semi text-ink text-[16px]">{r.sign}</Text>
                <Say>{r.move}</Say>
              </View>
            ))}
          </View>
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

function Jobs({ plan }: { plan: Plan }) {
  return (
    <View>
      <Heading>Jobs</Heading>
      {plan.jobs.map((j) => (
        <View
          key={j.id}
          className="flex-row gap-3 border-b border-rule py-2"
          testID={`job-${j.id}`}
        >
          <Text className="font-slab-semi text-ink text-[18px] w-[52px]">{clockOf(j.at)}</Text>
          <View className="flex-1">
            <Text className="font-sans-semi text-ink text-[16px]">{j.inWords}</Text>
            <Text className="font-sans text-soot text-[14px] leading-[20px]">
              {j.spanMin ? `Between ${spanText(plan, j.spanMin)}. ` : ''}
              {j.detail}
            </Text>
          </View>
        </View>
      ))}
      <Text className="font-sans text-soot text-[14px] pt-2">{`Sit down at ${clockAndDay(plan.serveAt)}.`}</Text>
    </View>
  );
}

/** The 8-in-10 span of a job as clock times. */
function spanText(plan: Plan, span: readonly [number, number]): string {
  const light = new Date(`${plan.lightAt}:00Z`).getTime();
  const say = (min: number): string =>
    new Date(light + Math.round(min) * 60_000).toISOString().slice(11, 16);
  return `${say(span[0])} and ${say(span[1])}`;
}

const round15 = (minutes: number): number => Math.floor(minutes / 15) * 15;

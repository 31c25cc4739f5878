/** The jobs in order of time; rounds of feeding in one line each. */
import { epochOf, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { PlanJob } from '@ostrin/core';
import { linesOf, type WordedPlan } from '@ostrin/wording';
import { Text, View } from 'react-native';
import { Fold } from '../ui/Fold';
import { SmallText } from '../ui/Text';
import { Heading } from '../ui/Title';
import { clockAndDay, clockOf, dayOf, keepUnitsTogether } from '../ui/words';

export function Jobs({ plan }: { plan: WordedPlan }) {
  const lines = linesOf(plan);
  return (
    <View>
      <Heading>Jobs</Heading>
      {lines.map((line, i) => {
        const job = plan.jobs.find((j) => j.id === line.job);
        // The day is told where it changes, and first of all where it is not the day of the meal.
        const before = lines[i - 1]?.at ?? plan.serveAt;
        const newDay = line.at.slice(0, 10) !== before.slice(0, 10);
        return (
          <View key={line.job}>
            {newDay ? (
              <Text className="font-sans-bold text-ink text-[14px] pt-3">{dayOf(line.at)}</Text>
            ) : null}
            <View
              className="flex-row gap-3 border-b border-rule py-2"
              testID={job ? `job-${job.id}` : undefined}
            >
              <Text numberOfLines={1} className="font-slab-semi text-ink text-[18px] w-[56px]">
                {clockOf(line.at)}
              </Text>
              <View className="flex-1">
                <Text className="font-sans-semi text-ink text-[16px]">
                  {keepUnitsTogether(line.inWords)}
                </Text>
                <Text className="font-sans text-soot text-[14px] leading-[20px]">
                  {keepUnitsTogether(
                    `${job?.spanMin ? `Between ${spanText(plan, job)}. ` : ''}${line.detail}`,
                  )}
                </Text>
                {job?.checklist ? (
                  <Fold label={job.checklist.heading} testID={`list-${job.id}`}>
                    {job.checklist.items.map((item) => (
                      <SmallText key={item}>{`• ${item}`}</SmallText>
                    ))}
                  </Fold>
                ) : null}
              </View>
            </View>
          </View>
        );
      })}
      <Text className="font-sans text-soot text-[14px] pt-2">{`Sit down at ${clockAndDay(plan.serveAt)}.`}</Text>
    </View>
  );
}

/** The 8-in-10 span of a job as clock times: the job's own time is in the middle of it. */
function spanText(plan: WordedPlan, job: PlanJob): string {
  const zone = plan.request.timeZone;
  const lit = epochOf(job.at, zone) - job.atMin * MINUTE_MS;
  const say = (min: number): string => clockOf(localOf(lit + Math.round(min) * MINUTE_MS, zone));
  return `${say(job.spanMin![0])} and ${say(job.spanMin![1])}`;
}

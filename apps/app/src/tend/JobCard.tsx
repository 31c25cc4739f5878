/** The next job: what, when, and one tap to say it is done. */
import { MINUTE_MS, type Forecast, type Plan, type PlanJob } from '@ostrin/core';
import { jobReason, spanOfTime } from '@ostrin/wording';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { jobMs } from '../strip/fromCook';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { Sheet } from '../ui/Sheet';
import { doJob } from './actions';

interface Props {
  job: PlanJob | null;
  zero: number;
  now: number;
  plan: Plan;
  forecast: Forecast | null;
  onFinish: () => void;
  /** Whether this device may log. */
  mayLog?: boolean;
}

const LATER_MIN = 10;

/** Count-down in words: `in 9 min`, `now`, `12 min ago`. */
export function due(minutes: number): string {
  const m = Math.round(minutes);
  if (m > 0) return `in ${spanOfTime(m)}`;
  return m > -2 ? 'now' : `${spanOfTime(-m)} ago`;
}

export function JobCard({ job, zero, now, plan, forecast, onFinish, mayLog = true }: Props) {
  const { wide } = useLayout();
  const units = useSettings((s) => s.units);
  const [why, setWhy] = useState(false);
  const [later, setLater] = useState(0);
  if (!job) {
    return (
      <View className="rounded-xl border-2 border-ink bg-sheet p-3 gap-2">
        <Text className="font-slab-semi text-ink text-[20px]">All jobs done</Text>
        <Button kind="primary" label="Finish this cook" onPress={onFinish} testID="finish-card" />
      </View>
    );
  }
  const minutes = (jobMs(plan, job, zero, forecast) - now) / MINUTE_MS + later;
  return (
    <View className="rounded-xl border-2 border-ink bg-sheet p-3 gap-2" testID="job-card">
      <View className="flex-row justify-between gap-3">
        <Text
          role="heading"
          aria-level={2}
          className="font-slab-semi text-ink text-[20px] leading-[24px] flex-1"
        >
          {job.inWords}
        </Text>
        <Text testID="job-due" className="font-slab-bold text-ink text-[20px]">
          {due(minutes)}
        </Text>
      </View>
      <Text numberOfLines={wide ? 6 : 1} className="font-sans text-soot text-[14px] leading-[19px]">
        {job.detail}
      </Text>
      <View className={`flex-row gap-2 ${wide ? 'flex-wrap' : ''}`}>
        <View className={wide ? 'w-full' : 'flex-[2]'}>
          <Button
            kind="primary"
            disabled={!mayLog}
            label="Done"
            hint={wide ? 'space' : undefined}
            testID="job-done"
            onPress={() => void doJob(job, now)}
          />
        </View>
        <View className="flex-1">
          <Button
            tall
            label="Later"
            onPress={() => setLater((m) => m + LATER_MIN)}
            accessibilityLabel={`Later, ${LATER_MIN} minutes`}
          />
        </View>
        <View className="flex-1">
          <Button tall label="Why?" onPress={() => setWhy(true)} />
        </View>
      </View>
      {why ? (
        <Sheet title={job.inWords} onClose={() => setWhy(false)}>
          <Text className="font-sans text-ink text-[16px] leading-[23px]">{job.detail}</Text>
          <Text className="font-sans text-ink text-[16px] leading-[23px]">
            {jobReason(job, plan, forecast, units)}
          </Text>
          <Button label="Close" onPress={() => setWhy(false)} />
        </Sheet>
      ) : null}
    </View>
  );
}

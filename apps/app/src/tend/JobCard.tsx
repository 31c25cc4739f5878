/** The next job: what, when, and one tap to say it is done. */
import { pitOf, type PitPlan, type PlanJob } from '@ostrin/core';
import { fromC, MINUTE_MS, type Units } from '@ostrin/core/quantity';
import { jobReason, spanOfTime } from '@ostrin/wording';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { useLive } from '../store/live';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Checklist } from '../ui/Checklist';
import { useLayout } from '../ui/layout';
import { Sheet } from '../ui/Sheet';
import { doJob } from './actions';
import { useTendedCook } from './cookContext';
import { useClock } from './useClock';
import { useJobWords } from './useJobWords';

interface Props {
  onFinish: () => void;
  /** Opens the list of all jobs. */
  onList: () => void;
}

const LATER_MIN = 10;
/** Other jobs that are due by then are told on the card, min from now. */
const ALSO_MIN = 2;

/** Count-down in words: `in 9 min`, `now`, `12 min ago`. */
export function due(minutes: number): string {
  const m = Math.round(minutes);
  if (m > 0) return `in ${spanOfTime(m)}`;
  return m > -2 ? 'now' : `${spanOfTime(-m)} ago`;
}

/** A practice clock skips to a job that is further off, min. */
const SKIP_FROM_MIN = 3;

/** A pit this far off its pace is not one to put meat on, K. */
const NOT_YET_K = 20;

/** What is to be said before meat goes on a pit that is far from its pace. */
function notYetWords(
  job: PlanJob,
  plan: PitPlan,
  pitC: number | null,
  units: Units,
): string | null {
  if (job.do !== 'meat-on' || pitC === null) return null;
  const target = pitOf(plan).pace.pitC;
  if (Math.abs(pitC - target) < NOT_YET_K) return null;
  const say = (c: number): string => `${Math.round(fromC(c, units.temperature))}°`;
  return pitC > target
    ? `The pit reads ${say(pitC)}, the target is ${say(target)}. Let it come down first.`
    : `The pit reads ${say(pitC)}, the target is ${say(target)}. Let it come up first.`;
}

export function JobCard({ onFinish, onList }: Props) {
  const { cook, mayLog, onLogged } = useTendedCook();
  const { jobs, nowMs, plan, forecast, pitC } = cook;
  const job = jobs[0]?.job ?? null;
  const { wide } = useLayout();
  const units = useSettings((s) => s.units);
  const [why, setWhy] = useState(false);
  const [later, setLater] = useState(0);
  const wordsOf = useJobWords();
  const practice = useLive((s) => s.fire === 'practice');
  if (!job) {
    return (
      <View className="rounded-xl border-2 border-ink bg-sheet p-3 gap-2">
        <Text className="font-slab-semi text-ink text-[20px]">All jobs done</Text>
        <Button kind="primary" label="Finish this cook" onPress={onFinish} testID="finish-card" />
      </View>
    );
  }
  const words = wordsOf(job);
  const minutes = (jobs[0]!.ms - nowMs) / MINUTE_MS + later;
  const alsoDue = jobs.slice(1).filter((j) => j.ms <= nowMs + ALSO_MIN * MINUTE_MS);
  const notYet = notYetWords(job, plan, pitC, units);
  return (
    <View className="rounded-xl border-2 border-ink bg-sheet p-3 gap-2" testID="job-card">
      <View className="flex-row justify-between gap-3">
        <Text
          role="heading"
          aria-level={2}
          className="font-slab-semi text-ink text-[20px] leading-[24px] flex-1"
        >
          {words.inWords}
        </Text>
        <Text testID="job-due" className="font-slab-bold text-ink text-[20px]">
          {due(minutes)}
        </Text>
      </View>
      {notYet ? (
        <Text role="alert" className="font-sans-bold text-ink text-[16px] leading-[21px]">
          {notYet}
        </Text>
      ) : (
        <Text
          numberOfLines={wide ? 6 : 2}
          className="font-sans text-soot text-[14px] leading-[19px]"
        >
          {words.detail}
        </Text>
      )}
      <View className={`flex-row gap-2 ${wide ? 'flex-wrap' : ''}`}>
        <View className={wide ? 'w-full' : 'flex-[2]'}>
          <Button
            kind="primary"
            disabled={!mayLog}
            label="Done"
            hint={wide ? 'space' : undefined}
            testID="job-done"
            onPress={() => void doJob(job, nowMs).then(onLogged)}
          />
        </View>
        <View className="flex-1">
          {practice && minutes > SKIP_FROM_MIN ? (
            <SkipToJob atMs={jobs[0]!.ms} />
          ) : (
            <Button
              tall
              label="Later"
              onPress={() => setLater((m) => m + LATER_MIN)}
              accessibilityLabel={`Later, ${LATER_MIN} minutes`}
            />
          )}
        </View>
        <View className="flex-1">
          <Button tall label={words.checklist ? 'How?' : 'Why?'} onPress={() => setWhy(true)} />
        </View>
      </View>
      {wide ? null : (
        <Pressable
          role="button"
          testID="jobs-list"
          onPress={onList}
          className="min-h-[48px] justify-center active:opacity-70"
        >
          <Text numberOfLines={1} className="font-sans-semi text-ink text-[15px] underline">
            {alsoDue.length > 0
              ? `Also due: ${alsoDue.map((j) => wordsOf(j.job).inWords).join('; ')}`
              : `All ${jobs.length} jobs ahead`}
          </Text>
        </Pressable>
      )}
      {why ? (
        <Sheet title={words.inWords} onClose={() => setWhy(false)}>
          <Text className="font-sans text-ink text-[16px] leading-[23px]">{words.detail}</Text>
          {words.checklist ? <Checklist {...words.checklist} /> : null}
          <Text className="font-sans text-ink text-[16px] leading-[23px]">
            {jobReason(job, plan, forecast, units)}
          </Text>
          <Button label="Close" onPress={() => setWhy(false)} />
        </Sheet>
      ) : null}
    </View>
  );
}

/** Skips a practice clock to the next job. */
function SkipToJob({ atMs }: { atMs: number }) {
  const { change } = useClock(useTendedCook().cook.id);
  return (
    <Button
      tall
      label="Skip to it"
      testID="job-skip"
      accessibilityLabel="Skip the practice clock to this job"
      disabled={change.isPending}
      onPress={() => change.mutate({ skipTo: Math.round(atMs) })}
    />
  );
}

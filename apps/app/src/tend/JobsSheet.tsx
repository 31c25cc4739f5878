/** All jobs to come on a phone, with what is done to each. */
import { localOf } from '@ostrin/core/quantity';
import type { PlanJob } from '@ostrin/core';
import { Text, View } from 'react-native';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { clockOf } from '../ui/words';
import { useTendedCook } from './cookContext';
import { useJobWords } from './useJobWords';

interface Props {
  onDone: (job: PlanJob) => void;
  onSkip: (job: PlanJob) => void;
  onClose: () => void;
}

export function JobsSheet({ onDone, onSkip, onClose }: Props) {
  const {
    cook: { plan, nowMs: now },
    orders: { jobs },
    mayLog,
  } = useTendedCook();
  const wordsOf = useJobWords();
  const zone = plan.request.timeZone;
  return (
    <Sheet title="Jobs ahead" onClose={onClose}>
      {jobs.length === 0 ? (
        <Text className="font-sans text-ink text-[16px]">All jobs are done.</Text>
      ) : null}
      {jobs.map(({ job, ms }) => (
        <View key={job.id} className="border-b border-rule pb-3 gap-2">
          <View className="flex-row gap-3">
            <Text
              className={`text-[17px] w-[56px] ${ms <= now ? 'font-slab-bold text-pit' : 'font-slab-semi text-ink'}`}
            >
              {clockOf(localOf(ms, zone))}
            </Text>
            <Text className="font-sans-semi text-ink text-[17px] leading-[22px] flex-1">
              {wordsOf(job).inWords}
            </Text>
          </View>
          <Text className="font-sans text-soot text-[15px] leading-[20px]">
            {wordsOf(job).detail}
          </Text>
          {mayLog ? (
            <View className="flex-row gap-2">
              <View className="flex-1">
                <Button label="Done" testID={`done-${job.id}`} onPress={() => onDone(job)} />
              </View>
              <View className="flex-1">
                <Button label="Skip" testID={`skip-${job.id}`} onPress={() => onSkip(job)} />
              </View>
            </View>
          ) : null}
        </View>
      ))}
    </Sheet>
  );
}

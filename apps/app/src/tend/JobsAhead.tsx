/** Wide screens: the jobs to come, the meat, and the log. */
import { cutOf } from '@ostrin/core/catalogue';
import { leadMeat } from '@ostrin/core';
import { localOf } from '@ostrin/core/quantity';
import { Text, View } from 'react-native';
import { LogList } from '../log/LogList';
import { Heading } from '../ui/Title';
import { clockOf } from '../ui/words';
import { useTendedCook } from './cookContext';
import { useJobWords } from './useJobWords';
import { readyNow } from './useCookNow';

export function JobsAhead({ onEdit }: { onEdit: (entryId: string) => void }) {
  const { cook, orders } = useTendedCook();
  const { plan, log } = cook;
  const wordsOf = useJobWords();
  const zone = plan.request.timeZone;
  const time = (ms: number): string => clockOf(localOf(ms, zone));
  return (
    <View className="gap-5">
      <View>
        <Heading>Jobs ahead</Heading>
        {orders.next.map(({ job, ms }) => (
          <View key={job.id} className="flex-row gap-3 border-b border-rule py-2">
            <Text className="font-slab-semi text-ink text-[17px] w-[50px]">{time(ms)}</Text>
            <Text className="font-sans-semi text-ink text-[16px] flex-1">
              {wordsOf(job).inWords}
            </Text>
          </View>
        ))}
      </View>
      <View>
        <Heading>Meat</Heading>
        <View className="flex-row justify-between py-1">
          <Text className="font-sans-bold text-ink text-[16px]">
            {cutOf(leadMeat(plan).cut).name}
          </Text>
          <Text className="font-slab-semi text-ink text-[16px]">{readyNow(cook)}</Text>
        </View>
      </View>
      <View>
        <Heading>Log</Heading>
        <LogList lines={[...log.lines].reverse()} plan={plan} onEdit={onEdit} />
      </View>
    </View>
  );
}

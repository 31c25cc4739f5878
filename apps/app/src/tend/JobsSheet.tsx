/** All jobs to come on a phone, with what is done to each. */
import { localOf } from '@ostrin/core/quantity';
import type { PlanJob } from '@ostrin/core';
import type { DueJob } from '@ostrin/core/log';
import { doubtAbout, jobOrder } from '@ostrin/core/tending';
import { doubtWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
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

export function JobsSheet(props: Props) {
  const { jobs, order } = useTendedCook().orders;
  return (
    <Sheet title="Jobs ahead" onClose={props.onClose}>
      {jobs.length === 0 ? (
        <Text className="font-sans text-ink text-[16px]">
          {order.kind === 'make-safe'
            ? 'No other job until the meat is safe.'
            : 'All jobs are done.'}
        </Text>
      ) : null}
      {jobs.map((due) => (
        <Job key={due.job.id} due={due} {...props} />
      ))}
    </Sheet>
  );
}

/** One job; what is said to be done far from its time or its sense is asked about once, as on the card. */
function Job({ due, onDone, onSkip }: { due: DueJob } & Props) {
  const { cook, mayLog } = useTendedCook();
  const units = useSettings((s) => s.units);
  const [asked, setAsked] = useState(false);
  const { job, ms } = due;
  const { inWords, detail } = useJobWords()(job);
  const doubt = asked ? doubtAbout(jobOrder(due), cook) : null;
  return (
    <View className="border-b border-rule pb-3 gap-2">
      <View className="flex-row gap-3">
        <Text
          className={`text-[17px] w-[56px] ${ms <= cook.nowMs ? 'font-slab-bold text-pit' : 'font-slab-semi text-ink'}`}
        >
          {clockOf(localOf(ms, cook.plan.request.timeZone))}
        </Text>
        <Text className="font-sans-semi text-ink text-[17px] leading-[22px] flex-1">{inWords}</Text>
      </View>
      {doubt ? (
        <Text role="alert" className="font-sans-bold text-ink text-[16px] leading-[21px]">
          {doubtWords(doubt, { units, pieceName: (id) => pieceNamed(cook.plan, id) })}
        </Text>
      ) : (
        <Text className="font-sans text-soot text-[15px] leading-[20px]">{detail}</Text>
      )}
      {mayLog ? (
        <View className="flex-row gap-2">
          <View className="flex-1">
            <Button
              label={doubt ? 'Yes, it is done' : 'Done'}
              testID={`done-${job.id}`}
              onPress={() => {
                if (doubt || !doubtAbout(jobOrder(due), cook)) onDone(job);
                else setAsked(true);
              }}
            />
          </View>
          <View className="flex-1">
            {doubt ? (
              <Button label="Not yet" onPress={() => setAsked(false)} />
            ) : (
              <Button label="Skip" testID={`skip-${job.id}`} onPress={() => onSkip(job)} />
            )}
          </View>
        </View>
      ) : null}
    </View>
  );
}

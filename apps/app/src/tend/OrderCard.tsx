/** The one order: what to do now and why, and one tap to say that it is done. */
import { MINUTE_MS } from '@ostrin/core/quantity';
import { isDue, type Doubt, type Order, type Orders } from '@ostrin/core/tending';
import { countWords, spanOfTime } from '@ostrin/wording';
import { doubtWords } from '@ostrin/wording/tending';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { useLive } from '../store/live';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { useTendedCook } from './cookContext';
import { useClock } from './useClock';
import { useJobWords } from './useJobWords';
import { useOrderWords } from './useOrderWords';
import { WhySheet } from './WhySheet';

interface Props {
  /** Whether it has only just come: it takes no touch for a moment. */
  resting?: boolean;
  /** What speaks against it having been done, where that is asked; null where nothing is. */
  doubt?: Doubt | null;
  /** Does what the order says; asks first where something speaks against it. */
  onDone: () => void;
  /** It is not done after all. */
  onNotYet?: () => void;
  /** Opens the list of all jobs. */
  onList: () => void;
  /** Opens the log. */
  onLog?: () => void;
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

/** What is further off than this has a quiet button, min. */
const QUIET_FROM_MIN = 15;

/** A practice clock skips to a job that is further off, min. */
const SKIP_FROM_MIN = 3;

/** An order that something depends on now: it is drawn so that nobody overlooks it. */
const isUrgent = ({ kind }: Order): boolean => kind !== 'job' && kind !== 'finish';

export function OrderCard({ resting, doubt, onDone, onNotYet, onList, onLog }: Props) {
  const { cook, orders, mayLog } = useTendedCook();
  const { order, next } = orders;
  const { nowMs, plan } = cook;
  const { wide } = useLayout();
  const units = useSettings((s) => s.units);
  // What was opened stays as it was read, though another order comes meanwhile.
  const [opened, setOpened] = useState<Order | null>(null);
  const [later, setLater] = useState(0);
  const words = useOrderWords()(order);
  const practice = useLive((s) => s.fire === 'practice');
  const job = order.kind === 'job' ? order.job : null;
  const minutes = (order.ms - nowMs) / MINUTE_MS + later;
  return (
    <View
      className={`rounded-xl border-2 bg-sheet p-3 gap-2 ${isUrgent(order) ? 'border-pit' : 'border-ink'}`}
      testID="job-card"
      aria-live={isDue(order, nowMs) ? 'polite' : 'off'}
    >
      <View className="flex-row justify-between gap-3">
        <Text
          role="heading"
          aria-level={2}
          testID="order"
          className="font-slab-semi text-ink text-[20px] leading-[24px] flex-1"
        >
          {words.inWords}
        </Text>
        {order.kind === 'finish' ? null : (
          <Text testID="job-due" className="font-slab-bold text-ink text-[20px]">
            {due(minutes)}
          </Text>
        )}
      </View>
      {doubt ? (
        <Text
          role="alert"
          testID="order-doubt"
          className="font-sans-bold text-ink text-[16px] leading-[21px]"
        >
          {doubtWords(doubt, { units, pieceName: (id) => pieceNamed(plan, id) })}
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
            kind={minutes > QUIET_FROM_MIN && !doubt ? 'plain' : 'primary'}
            tall
            disabled={!mayLog || resting}
            label={doubt ? 'Yes, it is done' : words.done}
            hint={wide ? 'space' : undefined}
            testID={order.kind === 'finish' ? 'finish-card' : 'job-done'}
            onPress={onDone}
          />
        </View>
        {doubt ? (
          <View className="flex-1">
            <Button tall label="Not yet" testID="order-not-yet" onPress={() => onNotYet?.()} />
          </View>
        ) : job ? (
          <View className="flex-1">
            {practice && minutes > SKIP_FROM_MIN ? (
              <SkipToJob atMs={order.ms} />
            ) : (
              <Button
                tall
                label="Later"
                onPress={() => setLater((m) => m + LATER_MIN)}
                accessibilityLabel={`Later, ${LATER_MIN} minutes`}
              />
            )}
          </View>
        ) : null}
        {order.kind === 'finish' || doubt ? null : (
          <View className="flex-1">
            <Button
              tall
              label={words.checklist ? 'How?' : 'Why?'}
              testID="why"
              onPress={() => setOpened(order)}
            />
          </View>
        )}
      </View>
      {wide || order.kind === 'finish' ? null : (
        <AllJobs next={next} nowMs={nowMs} onList={onList} onLog={onLog} />
      )}
      {opened ? <WhySheet order={opened} onClose={() => setOpened(null)} /> : null}
    </View>
  );
}

/** What else is due, or how many jobs are still to come, and the log; a touch opens each. */
function AllJobs({
  next,
  nowMs,
  onList,
  onLog,
}: { nowMs: number } & Pick<Props, 'onList' | 'onLog'> & Pick<Orders, 'next'>) {
  const wordsOf = useJobWords();
  const alsoDue = next.filter((j) => j.ms <= nowMs + ALSO_MIN * MINUTE_MS);
  const jobs =
    alsoDue.length > 0
      ? `Also due: ${alsoDue.map((j) => wordsOf(j.job).inWords).join('; ')}`
      : next.length > 0
        ? `${countWords(next.length, 'job', 'jobs')} after it`
        : 'No job after it';
  const link = (label: string, testID: string, onPress: () => void, grows: boolean) => (
    <Pressable
      role="button"
      testID={testID}
      onPress={onPress}
      className={`min-h-[48px] min-w-[48px] justify-center active:opacity-70 ${grows ? 'flex-1' : 'items-end'}`}
    >
      <Text numberOfLines={1} className="font-sans-semi text-ink text-[15px] underline">
        {label}
      </Text>
    </Pressable>
  );
  return (
    <View className="flex-row gap-3">
      {link(jobs, 'jobs-list', onList, true)}
      {onLog ? link('Log', 'log-open', onLog, false) : null}
    </View>
  );
}

/** Skips a practice clock to the job on the card. */
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

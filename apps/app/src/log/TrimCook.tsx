/** A cook that nobody ended in time: its end is moved to where it truly was, and nothing of its log is lost. */
import { finishOf } from '@ostrin/core/log';
import { HOUR_MS, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import { spanOfTime } from '@ostrin/wording';
import { View } from 'react-native';
import type { CookView } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { clockAndDay } from '../ui/words';
import type { CookLog } from './useCookLog';

/** A cook that goes on for so long after the last thing done was forgotten. */
const FORGOTTEN_MS = 4 * HOUR_MS;
/** It is ended so long after that. */
const AFTER_LAST_MS = 30 * MINUTE_MS;

export function TrimCook({ cook, of }: { cook: CookView; of: CookLog }) {
  const role = useRole();
  const finish = finishOf(of.entries);
  const last = of.log.lines.findLast((l) => l.body.kind !== 'note');
  const end = of.log.finishedAt;
  if (role === 'looker' || !finish || !last || end === null) return null;
  const to = last.at + AFTER_LAST_MS;
  if (end - last.at < FORGOTTEN_MS) return null;
  const clock = (ms: number): string => clockAndDay(localOf(ms, cook.plan.request.timeZone));
  return (
    <View className="px-5 gap-2 max-w-[720px]" testID="trim">
      <Notice tone="plain" title="Was this cook forgotten?">
        {`Its log goes on for ${spanOfTime((end - last.at) / MINUTE_MS)} after the last thing that was done, at ${clock(last.at)}.`}
      </Notice>
      <Button
        label={`End it at ${clock(to)}`}
        onPress={() => void of.write({ kind: 'retime', target: finish.id, to })}
      />
    </View>
  );
}

/** Says when the server is away, what is still waiting to be sent, and that a practice clock went back with the server. */
import { localOf } from '@ostrin/core/quantity';
import { countWords } from '@ostrin/wording';
import { View } from 'react-native';
import { useOutbox, waitingOf } from '../outbox/outbox';
import { useLive } from '../store/live';
import { Notice } from '../ui/Notice';
import { clockOf } from '../ui/words';

export function ConnectionNotice({ timeZone }: { timeZone: string }) {
  const { connection, lostAt, cookId, setBack } = useLive();
  const { taps, keeping } = useOutbox();
  const waiting = waitingOf(taps, cookId).length;
  const failing = taps.some((t) => t.failures > 1);
  const at = (ms: number): string => clockOf(localOf(ms, timeZone));
  const waits = `${countWords(waiting, 'tap is waiting', 'taps are waiting')} to be sent.`;
  return (
    <View className="gap-1">
      {connection === 'lost' ? (
        <Notice tone="warn" testID="stale" title="No contact with the server">
          {`Shown as it was at ${lostAt ? at(lostAt) : 'the last contact'}. ${
            waiting === 0 ? 'What you log is kept and sent when it is back.' : waits
          }`}
        </Notice>
      ) : failing && waiting > 0 ? (
        <Notice tone="warn" testID="failing" title="The server cannot save">
          {`${waits} They are kept here and sent again.`}
        </Notice>
      ) : null}
      {setBack && connection === 'live' ? (
        <Notice tone="warn" testID="set-back" title="The practice clock was set back">
          {`From ${at(setBack.fromMs)} to ${at(setBack.toMs)}: the server was off. What was logged keeps its minute.`}
        </Notice>
      ) : null}
      {keeping === 'memory' && waiting > 0 ? (
        <Notice tone="warn" testID="memory" title="This browser saves nothing">
          {`Its storage is full or shut off. ${waits} Leave this page open until they are.`}
        </Notice>
      ) : null}
    </View>
  );
}

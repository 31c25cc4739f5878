/** Says on every page but Tend, which says more, that the server is away and what is shown may be old. */
import { usePathname } from 'expo-router';
import { countWords } from '@ostrin/wording';
import { useOutbox } from '../outbox/outbox';
import { useLive } from '../store/live';
import { Bar } from '../ui/Bar';

export function Away() {
  const lost = useLive((s) => s.connection === 'lost');
  const waiting = useOutbox((s) => s.taps).filter((t) => !t.refused).length;
  const path = usePathname();
  if (!lost || path === '/tend') return null;
  const taps =
    waiting > 0
      ? `, and ${countWords(waiting, 'tap is waiting', 'taps are waiting')} to be sent`
      : '';
  return (
    <Bar
      tone="plain"
      testID="away"
      text={`No contact with the server. What is shown may be old${taps}.`}
    />
  );
}

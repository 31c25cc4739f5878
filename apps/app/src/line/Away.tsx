/** Says on every page but Tend, which says more, that the server is away and what is shown may be old. */
import { usePathname } from 'expo-router';
import { countWords } from '@ostrin/wording';
import { Text, View } from 'react-native';
import { useOutbox } from '../outbox/outbox';
import { useLive } from '../store/live';

export function Away() {
  const lost = useLive((s) => s.connection === 'lost');
  const waiting = useOutbox((s) => s.taps).filter((t) => !t.refused).length;
  const path = usePathname();
  if (!lost || path === '/tend') return null;
  return (
    <View
      role="status"
      testID="away"
      className="print:!hidden border-b border-rule border-l-4 border-l-edge bg-sheet px-4 py-2"
    >
      <Text className="font-sans text-ink text-[16px] leading-[21px]">
        {`No contact with the server. What is shown may be old${
          waiting > 0 ? `, and ${countWords(waiting, 'tap waits', 'taps wait')} to be sent` : ''
        }.`}
      </Text>
    </View>
  );
}

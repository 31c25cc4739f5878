/** Ending the cook of this page: one touch, and its log opens, where it can be taken back. */
import { router } from 'expo-router';
import { useRef, useState } from 'react';
import { queryClient } from '../api/queries';
import { sendTaps } from '../outbox/outbox';
import { logDeeds } from '../store/logging';

/**
 * `finish` ends the cook `id` at `now`, epoch ms of its clock, once; `ending` while that is on its way. `onEnd` is called
 * before its log opens.
 */
export function useFinish(
  id: string,
  now: number,
  onEnd?: () => void,
): { finish: () => void; ending: boolean } {
  const [ending, setEnding] = useState(false);
  // A second touch comes before the first is drawn.
  const begun = useRef(false);
  const end = async (): Promise<void> => {
    if (begun.current) return;
    begun.current = true;
    setEnding(true);
    await logDeeds([{ body: { kind: 'finish' } }], now);
    await sendTaps();
    await queryClient.invalidateQueries({ queryKey: ['cooks'] });
    onEnd?.();
    router.navigate(`/log/${id}?finished=1`);
  };
  return { finish: () => void end(), ending };
}

/** Ending the cook of this page: one touch, and its log opens, where it can be taken back. */
import { router } from 'expo-router';
import { useState } from 'react';
import { queryClient } from '../api/queries';
import { sendTaps } from '../outbox/outbox';
import { logDeeds } from '../store/logging';

/** `finish` ends the cook `id` at `now`, epoch ms of its clock; `ending` while that is on its way. */
export function useFinish(id: string, now: number): { finish: () => void; ending: boolean } {
  const [ending, setEnding] = useState(false);
  const end = async (): Promise<void> => {
    setEnding(true);
    await logDeeds([{ body: { kind: 'finish' } }], now);
    await sendTaps();
    await queryClient.invalidateQueries({ queryKey: ['cooks'] });
    router.navigate(`/log/${id}?finished=1`);
  };
  return { finish: () => void end(), ending };
}

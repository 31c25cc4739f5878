/** The clock of a practice cook: how fast it goes, and skipping ahead. */
import { ROUTES, type ClockState } from '@ostrin/contract/types';
import { useMutation } from '@tanstack/react-query';
import { requestJson } from '../api/http';
import { useLive } from '../store/live';

/** Changes the clock of the cook with that id; what is left out stays. */
export function useClock(id: string) {
  const speed = useLive((s) => s.clock?.speed ?? 1);
  const change = useMutation({
    mutationFn: (to: { speed?: number; skipTo?: number }) =>
      requestJson<ClockState>(ROUTES.clock(id), 'PUT', { speed, ...to }),
    onSuccess: (clock) => useLive.getState().receive({ type: 'clock', cookId: id, clock }),
  });
  return { speed, change };
}

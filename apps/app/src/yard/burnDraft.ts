/** The readings of a test burn as they are typed, kept in this browser: a burn takes hours, and a phone sleeps. */
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Readings of one pit's burn by setting and by reading, C; and the day. */
interface BurnDraft {
  readC: (number | null)[][];
  airC: number;
  windMps: number;
}

export const NEW_BURN: BurnDraft = { readC: [[], [], []], airC: 15, windMps: 2 };

interface BurnStore {
  /** By the id of the pit. */
  burns: Record<string, BurnDraft>;
  change(pitId: string, part: Partial<BurnDraft>): void;
  clear(pitId: string): void;
}

export const useBurnDraft = create<BurnStore>()(
  persist(
    (set) => ({
      burns: {},
      change: (pitId, part) =>
        set(({ burns }) => ({
          burns: { ...burns, [pitId]: { ...NEW_BURN, ...burns[pitId], ...part } },
        })),
      clear: (pitId) => set(({ burns: { [pitId]: _gone, ...burns } }) => ({ burns })),
    }),
    { name: 'ostrin-burns', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);

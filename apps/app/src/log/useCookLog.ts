/** The log of a finished cook with what is on its way to the server, and writing into it. */
import { foldLog, type Entry, type EntryBody, type Log } from '@ostrin/core/log';
import type { Afterwards } from '@ostrin/core/afterwards';
import { afterwardsOf } from '@ostrin/core/afterwards';
import { useMemo } from 'react';
import { queryClient, type CookView } from '../api/queries';
import { keepEntries, sendTaps, useOutbox, waitingOf } from '../outbox/outbox';
import { mergeEntries } from '../store/live';
import { entryOf, type Deed } from '../store/logging';

export interface CookLog {
  entries: readonly Entry[];
  log: Log;
  /** What was said and weighed once it was over. */
  after: Afterwards;
  /** Writes into the log: kept in this browser at once, and sent. */
  write: (...bodies: EntryBody[]) => Promise<void>;
  /** The same, each for a job or at a time of its own where it says so. */
  writeDeeds: (deeds: readonly Deed[]) => Promise<void>;
}

/** A cook's log. What is written after its end has the minute of its end: its clock stands still. */
export function useCookLog(cook: CookView): CookLog {
  const taps = useOutbox((s) => s.taps);
  const entries = useMemo(
    () =>
      mergeEntries(
        cook.entries,
        waitingOf(taps, cook.id).map((t) => t.entry),
      ),
    [cook.entries, cook.id, taps],
  );
  const writeDeeds = async (deeds: readonly Deed[]): Promise<void> => {
    const at = cook.finishedAt ?? cook.clock.cookMs;
    await keepEntries(
      { id: cook.id, name: cook.name },
      deeds.map((deed) => entryOf(deed, at)),
    );
    await sendTaps();
    await Promise.all(
      [['cook', cook.id], ['cooks'], ['next-time']].map((queryKey) =>
        queryClient.invalidateQueries({ queryKey }),
      ),
    );
  };
  return {
    entries,
    log: useMemo(() => foldLog(entries), [entries]),
    after: useMemo(() => afterwardsOf(entries), [entries]),
    write: (...bodies) => writeDeeds(bodies.map((body) => ({ body }))),
    writeDeeds,
  };
}

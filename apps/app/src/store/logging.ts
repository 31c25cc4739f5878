/** Writing into the log of the open cook: each tap is kept before it is shown. */
import type { Access } from '@ostrin/contract/types';
import type { Entry, EntryBody } from '@ostrin/core/log';
import type { PlanJob } from '@ostrin/core';
import { v4 as newId } from 'uuid';
import { queryClient } from '../api/queries';
import { keepEntries, useOutbox } from '../outbox/outbox';
import { allEntries, useLive } from './live';
import { nameOf, useSettings } from './settings';

/** What is to be logged. */
export interface Deed {
  body: EntryBody;
  /** The job it does. */
  jobId?: string;
  /** When it was done, epoch ms, where that is not when it is written. */
  at?: number;
}

/** What doing a job logs: its actions, or a plain line when it moves nothing. */
export const deedsOf = (job: PlanJob): Deed[] =>
  job.logs.length === 0
    ? [{ body: { kind: 'job' }, jobId: job.id }]
    : job.logs.map((action) => ({ body: { kind: 'act', action }, jobId: job.id }));

/** An entry of this device and whoever uses it. */
export function entryOf({ body, jobId, at: doneAt }: Deed, at: number): Entry {
  const { device, me: said } = useSettings.getState();
  const me = nameOf(queryClient.getQueryData<Access>(['access']), said);
  return {
    id: newId(),
    at: Math.round(doneAt ?? at),
    ...(jobId ? { jobId } : {}),
    device,
    ...(me ? { by: me } : {}),
    ...body,
  };
}

/** The log of the open cook, with what is on its way. */
export const openLog = (): Entry[] => allEntries(useLive.getState(), useOutbox.getState().taps);

/** Logs deeds of one touch, all or none. Returns their entries; none where no cook is open or the job was done. */
export async function logDeeds(deeds: readonly Deed[], at: number): Promise<Entry[]> {
  const { cookId, name } = useLive.getState();
  if (!cookId || deeds.length === 0) return [];
  return keepEntries(
    { id: cookId, name },
    deeds.map((deed) => entryOf(deed, at)),
  );
}

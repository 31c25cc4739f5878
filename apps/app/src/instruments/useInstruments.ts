/** The instruments that tell by wire, kept fresh as they are heard. */
import {
  ROUTES,
  type Instrument,
  type InstrumentRecord,
  type ProbeMove,
  type Versioned,
} from '@ostrin/contract/types';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { requestJson } from '../api/http';
import { storeVersioned, type RecordKind } from '../api/versioned';
import { onLiveEvent } from '../connection/serverConnection';

const KEY = ['instruments'];

/** All instruments; those that are heard meanwhile are shown so at once. */
export function useInstruments() {
  const client = useQueryClient();
  useEffect(
    () =>
      onLiveEvent((event) => {
        if (event.type !== 'heard') return;
        client.setQueryData<Versioned<Instrument>[]>(KEY, (list) =>
          list?.map((i) => (i.id === event.seen.id ? { ...i, ...event.seen } : i)),
        );
      }),
    [client],
  );
  return useQuery({
    queryKey: KEY,
    queryFn: () => requestJson<Versioned<Instrument>[]>(ROUTES.instruments),
    staleTime: Infinity,
  });
}

/** How an instrument is written: what was heard of it is the server's. */
const instrumentKind = (id: string): RecordKind<InstrumentRecord> => {
  const told = ({
    name,
    pitName,
    channels,
    kind,
    dueDays,
    batteryChangedAt,
  }: InstrumentRecord) => ({ name, pitName, channels, kind, dueDays, batteryChangedAt });
  return {
    path: ROUTES.instrument(id),
    body: told,
    fields: told,
    withFields: (record, fields) => ({ ...record, ...fields }),
  };
};

/** Stores an instrument; somebody else's change since it was read is told, and not undone. */
export function useSaveInstrument() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({
      base,
      record,
    }: {
      base: Versioned<InstrumentRecord> | null;
      record: InstrumentRecord;
    }) => storeVersioned(instrumentKind(record.id), base, record),
    onSettled: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

export function useRemoveInstrument() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => requestJson(ROUTES.instrument(id), 'DELETE'),
    onSettled: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

/** Says in which piece of a cook a probe is. */
export function useMoveProbe(cookId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (move: ProbeMove) => requestJson(ROUTES.probes(cookId), 'POST', move),
    onSettled: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

/** A new token, told this once. */
export const useNewToken = () =>
  useMutation({
    mutationFn: (id: string) =>
      requestJson<{ token: string }>(ROUTES.instrumentToken(id), 'POST', {}),
  });

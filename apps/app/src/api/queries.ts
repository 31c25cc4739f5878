/** What is read from the server and kept fresh. */
import {
  ROUTES,
  type ClockState,
  type CookDoc,
  type CookFire,
  type CookSummary,
  type SavedPlan,
  type PitRecord,
  type Reading,
  type Shelf,
  type Versioned,
} from '@ostrin/contract/types';
import {
  pitFields,
  pitWithFields,
  planFields,
  planWithFields,
  shelfFields,
  shelfOfFields,
} from '@ostrin/contract/merge';
import type { Plan } from '@ostrin/core';
import {
  QueryClient,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { requestJson } from './http';
import { storeVersioned, type RecordKind } from './versioned';

export type CookView = CookDoc & {
  finishedAt: number | null;
  clock: ClockState;
  /** Names of the instruments that told of it; left out where the server is an older one. */
  instruments?: string[];
  /** Whether its readings are given in steps: a strip that is zoomed in asks for more. */
  inSteps?: boolean;
};

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 5_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

/** What was read in a span of a cook whose readings are given in steps; none while nothing is asked. */
export const useReadings = (id: string | null, span: { from: number; to: number } | null) =>
  useQuery({
    queryKey: ['readings', id, span?.from, span?.to],
    queryFn: () =>
      requestJson<Reading[]>(`${ROUTES.readings(id!)}?from=${span!.from}&to=${span!.to}`),
    enabled: id !== null && span !== null,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });

export const usePits = () =>
  useQuery({
    queryKey: ['pits'],
    queryFn: () => requestJson<Versioned<PitRecord>[]>(ROUTES.pits),
    staleTime: Infinity,
  });

/** A pit as it should be, and the one it was made from; null for a new one. */
interface PitChange {
  base: Versioned<PitRecord> | null;
  pit: PitRecord;
}

const pitKind: (id: string) => RecordKind<PitRecord> = (id) => ({
  path: ROUTES.pit(id),
  body: ({ name, preset, overrides, ventWay, ventScales, learned, kind, putAwayAt }) => ({
    name,
    preset,
    overrides,
    ventWay,
    ventScales,
    learned,
    kind,
    putAwayAt,
  }),
  fields: pitFields,
  withFields: pitWithFields,
});

/** Makes or changes a pit; the page shows the change at once and takes it back if the server refuses. */
export function useSavePit() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ base, pit }: PitChange) => storeVersioned(pitKind(pit.id), base, pit),
    onMutate: ({ pit }) => {
      client.setQueryData<Versioned<PitRecord>[]>(['pits'], (list) =>
        list?.map((p) => (p.id === pit.id ? { ...pit, version: p.version } : p)),
      );
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['pits'] }),
  });
}

/** Takes a pit out of the yard. */
export function useDeletePit() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => requestJson(ROUTES.pit(id), 'DELETE'),
    onSuccess: () => client.invalidateQueries({ queryKey: ['pits'] }),
  });
}

export const useCooks = () =>
  useQuery({ queryKey: ['cooks'], queryFn: () => requestJson<CookSummary[]>(ROUTES.cooks) });

/** The question for one whole cook. */
const cookQuery = (id: string | null) => ({
  queryKey: ['cook', id],
  queryFn: () => requestJson<CookView>(ROUTES.cook(id!)),
});

/** One whole cook; null id asks for nothing. */
export const useCook = (id: string | null) => useQuery({ ...cookQuery(id), enabled: id !== null });

/** Several whole cooks, in their order. */
export const useWholeCooks = (ids: readonly string[]) =>
  useQueries({ queries: ids.map(cookQuery) });

/** One whole cook, asked for once outside a view. */
export const fetchCook = (id: string): Promise<CookView> => queryClient.fetchQuery(cookQuery(id));

/** What is done with a cook once it is over: another name, deleting it, bringing it back. */
export function useAfterwards() {
  const client = useQueryClient();
  const onSuccess = (): Promise<void> => client.invalidateQueries();
  return {
    rename: useMutation({
      mutationFn: ({ id, name }: { id: string; name: string }) =>
        requestJson(ROUTES.cookName(id), 'PUT', { name }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => requestJson(ROUTES.cook(id), 'DELETE'),
      onSuccess: () => client.invalidateQueries({ queryKey: ['cooks'] }),
    }),
    restore: useMutation({
      mutationFn: (id: string) => requestJson(ROUTES.restore(id), 'POST', {}),
      onSuccess,
    }),
  };
}

/** Plans that are kept, favourites first. */
export const useSavedPlans = () =>
  useQuery({
    queryKey: ['plans'],
    queryFn: () => requestJson<Versioned<SavedPlan>[]>(ROUTES.plans),
  });

const planKind = (id: string): RecordKind<SavedPlan> => ({
  path: ROUTES.plan(id),
  body: ({ name, favourite, request }) => ({ name, favourite, request }),
  fields: planFields,
  withFields: planWithFields,
});

/** Keeps a plan under its id: a new one, or the same under another name. */
export function useSavePlan() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (plan: Omit<SavedPlan, 'changedAt'>) => {
      const listed = client.getQueryData<Versioned<SavedPlan>[]>(['plans']) ?? [];
      const base = listed.find((p) => p.id === plan.id) ?? null;
      return storeVersioned(planKind(plan.id), base, { changedAt: 0, ...plan });
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['plans'] }),
  });
}

/** Lets a kept plan go. */
export function useDeletePlan() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => requestJson(ROUTES.plan(id), 'DELETE'),
    onSuccess: () => client.invalidateQueries({ queryKey: ['plans'] }),
  });
}

/** Fuel on the shelf, and prices. */
export const useShelf = () =>
  useQuery({
    queryKey: ['shelf'],
    queryFn: () => requestJson<Versioned<Shelf>>(ROUTES.shelf),
    staleTime: Infinity,
  });

const SHELF: RecordKind<Shelf> = {
  path: ROUTES.shelf,
  body: ({ fuelOnHand, prices }) => ({ fuelOnHand, prices }),
  fields: shelfFields,
  withFields: (_shelf, fields) => shelfOfFields(fields),
};

/** Stores a shelf that was made from `base`. */
export function useSaveShelf() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ base, shelf }: { base: Versioned<Shelf>; shelf: Shelf }) =>
      storeVersioned(SHELF, base, shelf),
    onSuccess: (shelf) => client.setQueryData(['shelf'], shelf),
    onError: () => client.invalidateQueries({ queryKey: ['shelf'] }),
  });
}

/** Begins cooks under ids of the caller's, all or none, so that a retry begins each once. */
export function useStartCooks() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (
      cooks: { id: string; name: string; pitName: string; plan: Plan; fire: CookFire }[],
    ) => requestJson<{ ids: string[] }>(ROUTES.cooks, 'POST', { cooks }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['cooks'] }),
  });
}

/** Brings a cook in from its document or its pair of CSV files. */
export function useImport() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: unknown) =>
      requestJson<{ id: string; already: boolean }>(ROUTES.imports, 'POST', body),
    onSuccess: () => client.invalidateQueries({ queryKey: ['cooks'] }),
  });
}

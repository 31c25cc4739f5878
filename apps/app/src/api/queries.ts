/** What is read from the server and kept fresh. */
import {
  ROUTES,
  type ClockState,
  type CookDoc,
  type CookSummary,
  type SavedPlan,
  type PitRecord,
  type Shelf,
} from '@ostrin/contract/types';
import type { Plan } from '@ostrin/core';
import { QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { requestJson } from './http';

export type CookView = CookDoc & { finishedAt: number | null; clock: ClockState };

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 5_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

export const usePits = () =>
  useQuery({
    queryKey: ['pits'],
    queryFn: () => requestJson<PitRecord[]>(ROUTES.pits),
    staleTime: Infinity,
  });

/** Makes or changes a pit; the page shows the change at once and takes it back if the server refuses. */
export function useSavePit() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: PitRecord) => requestJson<PitRecord>(ROUTES.pit(id), 'PUT', body),
    onMutate: (pit) => {
      const before = client.getQueryData<PitRecord[]>(['pits']);
      client.setQueryData<PitRecord[]>(['pits'], (list) =>
        list?.map((p) => (p.id === pit.id ? pit : p)),
      );
      return before;
    },
    onError: (_error, _pit, before) => client.setQueryData(['pits'], before),
    onSettled: () => client.invalidateQueries({ queryKey: ['pits'] }),
  });
}

export const useCooks = () =>
  useQuery({ queryKey: ['cooks'], queryFn: () => requestJson<CookSummary[]>(ROUTES.cooks) });

/** One whole cook; null id asks for nothing. */
export const useCook = (id: string | null) =>
  useQuery({
    queryKey: ['cook', id],
    queryFn: () => requestJson<CookView>(ROUTES.cook(id!)),
    enabled: id !== null,
  });

/** Plans that are kept, favourites first. */
export const useSavedPlans = () =>
  useQuery({ queryKey: ['plans'], queryFn: () => requestJson<SavedPlan[]>(ROUTES.plans) });

/** Keeps a plan under its id: a new one, or the same under another name. */
export function useSavePlan() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, name, favourite, request }: Omit<SavedPlan, 'changedAt'>) =>
      requestJson<SavedPlan>(ROUTES.plan(id), 'PUT', { name, favourite, request }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['plans'] }),
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
    queryFn: () => requestJson<Shelf>(ROUTES.shelf),
    staleTime: Infinity,
  });

export function useSaveShelf() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (shelf: Shelf) => requestJson<Shelf>(ROUTES.shelf, 'PUT', shelf),
    onSuccess: (shelf) => client.setQueryData(['shelf'], shelf),
  });
}

/** Begins a cook under an id of the caller's, so that a retry begins it once. */
export function useStartCook() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (cook: { id: string; name: string; pitName: string; plan: Plan }) => {
      const { id, ...body } = cook;
      return requestJson<{ id: string }>(ROUTES.cook(id), 'PUT', body);
    },
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

/** Photographs of a cook: asked for, sent one after another, let go. */
import { ROUTES, type PhotographRecord } from '@ostrin/contract/types';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { requestJson, sendFile } from './http';

export function usePhotographs(cookId: string) {
  const client = useQueryClient();
  const queryKey = ['photographs', cookId];
  const path = ROUTES.photographs(cookId);
  const onSettled = (): Promise<void> => client.invalidateQueries({ queryKey });
  return {
    list: useQuery({ queryKey, queryFn: () => requestJson<PhotographRecord[]>(path) }),
    /** Sends pictures in their order; those before one that is refused are kept. */
    add: useMutation({
      mutationFn: async (files: readonly File[]) => {
        for (const file of files) await sendFile<PhotographRecord>(path, file, file.type);
      },
      onSettled,
    }),
    remove: useMutation({
      mutationFn: (id: string) => requestJson(ROUTES.photograph(cookId, id), 'DELETE'),
      onSettled,
    }),
  };
}

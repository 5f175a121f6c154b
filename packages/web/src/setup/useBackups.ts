import type { BackupsView } from '@hardy/core/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../api/client.ts';

const KEY = ['backups'];
/** How often it is asked how far a backup is, in milliseconds. */
const LOOK_MS = 500;

/**
 * The backups of the shop, kept up to date while one is being made.
 * @param follow whether one is expected that may not have begun yet
 */
export const useBackups = (follow = false) => {
  const queries = useQueryClient();
  const list = useQuery({
    queryKey: KEY,
    queryFn: ({ signal }) => call('GET /backups', { signal }),
    refetchInterval: ({ state }) => (follow || state.data?.making ? LOOK_MS : false),
  });
  const show = (view: BackupsView) => queries.setQueryData(KEY, view);
  const make = useMutation({
    mutationFn: () => call('POST /backups', { body: {} }),
    onSuccess: show,
  });
  const remove = useMutation({
    mutationFn: async (names: readonly string[]) => {
      let view: BackupsView | null = null;
      for (const name of names) view = await call('DELETE /backups/:name', { params: { name } });
      return view;
    },
    onSettled: () => void queries.invalidateQueries({ queryKey: KEY }),
  });
  return { view: list.data ?? null, make, remove, error: remove.error ?? make.error ?? list.error };
};

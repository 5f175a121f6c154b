import { useQuery } from '@tanstack/react-query';
import type { DocketView } from '@hardy/core/contract';
import type { Docket, MergeClash, WheelEnd } from '@hardy/core/words';
import { call, problemInWords } from '../api/client.ts';
import { learn } from './adviseHere.ts';
import { docketRead, queueOf } from './docketQueues.ts';
import type { Conflict, Shown } from './editQueue.ts';
import { docketKey, queryClient, shownKey } from './queryClient.ts';

export interface OpenDocket {
  /** The docket with every change made here on it; null until it is there. */
  readonly view: DocketView | null;
  /** Whether changes are on their way to the server. */
  readonly busy: boolean;
  /** How many changes the server has not taken yet. */
  readonly waiting: number;
  readonly error: string | null;
  /** Whether the changes wait for the server to come back. */
  readonly held: boolean;
  readonly clash: Conflict | null;
  /** Makes a change. Changes are sent in their order, each on the one before. Answers whether it was taken. */
  readonly change: (label: string, edit: (docket: Docket) => Docket) => Promise<boolean>;
  readonly hear: (words: string, moves?: Readonly<Record<string, WheelEnd | null>>) => Promise<boolean>;
  readonly step: (direction: 'undo' | 'redo') => Promise<boolean>;
  /** Takes your value at these places, theirs at the others. */
  readonly resolve: (chosen: readonly MergeClash[]) => void;
  /** Asks again: for the docket, or for what the server has not taken yet. */
  readonly retry: () => void;
  readonly dismiss: () => void;
}

/** Reads a docket and hands it to its queue. */
const readDocket = async (id: string, signal?: AbortSignal): Promise<DocketView> => {
  const view = await call('GET /dockets/:id', { params: { id }, ...(signal ? { signal } : {}) });
  docketRead(view);
  learn(id);
  return view;
};

/** Makes a change on a docket that need not be on the desk. */
export const changeDocket = async (
  id: string,
  label: string,
  edit: (docket: Docket) => Docket,
): Promise<boolean> => {
  if (!queueOf(id)) await readDocket(id);
  return (await queueOf(id)?.push({ kind: 'change', label, edit })) ?? false;
};

/** A docket on the desk, by its id. Null: none is. What is shown is of this docket, however late another answers. */
export const useDocket = (id: string | null): OpenDocket => {
  const key = id ?? '';
  const read = useQuery({
    queryKey: docketKey(key),
    queryFn: ({ signal }) => readDocket(key, signal),
    enabled: id !== null,
  });
  const { data: shown } = useQuery<Shown | null>({
    queryKey: shownKey(key),
    queryFn: () => queueOf(key)?.shown() ?? null,
    enabled: false,
    staleTime: Infinity,
  });
  const queue = () => queueOf(key);
  return {
    view: id === null ? null : (shown?.view ?? null),
    waiting: shown?.waiting ?? 0,
    busy: (shown?.waiting ?? 0) > 0 && !shown?.held,
    error: shown?.error ?? (read.error && !shown ? problemInWords(read.error) : null),
    held: shown?.held ?? false,
    clash: shown?.conflict ?? null,
    change: (label, edit) => queue()?.push({ kind: 'change', label, edit }) ?? Promise.resolve(false),
    hear: (words, moves = {}) => queue()?.push({ kind: 'hear', words, moves }) ?? Promise.resolve(false),
    step: (direction) => queue()?.push({ kind: direction }) ?? Promise.resolve(false),
    resolve: (chosen) => void queue()?.resolve(chosen),
    retry: () => {
      queue()?.retry();
      void queryClient.invalidateQueries({ queryKey: docketKey(key) });
    },
    dismiss: () => queue()?.dismiss(),
  };
};

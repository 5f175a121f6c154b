import type { DocketView } from '@hardy/core/contract';
import { call } from '../api/client.ts';
import { adviseHere, learn } from './adviseHere.ts';
import { EditQueue, type QueueWorld, type Shown } from './editQueue.ts';
import { queryClient, shownKey } from './queryClient.ts';
import { whenServerIsBack } from './serverBack.ts';
import { keepWaiting, readWaiting } from './waitingEdits.ts';

const queues = new Map<string, EditQueue>();

const world = (id: string): QueueWorld => ({
  send: async (view, edit, docket) => {
    const params = { id };
    const { version } = view;
    const { changeId } = edit;
    const next = await (edit.kind === 'change'
      ? call('PUT /dockets/:id', { params, body: { version, docket, label: edit.label, changeId } })
      : edit.kind === 'hear'
        ? call('POST /dockets/:id/words', {
            params,
            body: { version, words: edit.words, moves: { ...edit.moves }, changeId },
          })
        : call(`POST /dockets/:id/${edit.kind}`, { params, body: { version, changeId } }));
    if (next.docket.vehicle?.catalogueId !== view.docket.vehicle?.catalogueId) learn(id);
    return next;
  },
  fetch: () => call('GET /dockets/:id', { params: { id } }),
  advise: adviseHere,
  show: (shown) => {
    queryClient.setQueryData<Shown>(shownKey(id), shown);
  },
  keep: (edits) => keepWaiting(id, edits),
  whenBack: whenServerIsBack,
  name: () => crypto.randomUUID(),
});

/** The queue of a docket; made when the docket was first read. */
export const queueOf = (id: string): EditQueue | undefined => queues.get(id);

/** Hands a docket that was read from the server to its queue, with what waited for the server when a page was left. */
export const docketRead = (view: DocketView): void => {
  const known = queues.get(view.id);
  if (known) known.take(view);
  else {
    const queue = new EditQueue(view, world(view.id), readWaiting(view.id));
    queues.set(view.id, queue);
    queryClient.setQueryData<Shown>(shownKey(view.id), queue.shown());
  }
};

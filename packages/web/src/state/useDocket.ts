import type { Docket } from '@hardy/core/plain';
import { create } from 'zustand';
import { ApiProblem, call } from '../api/client.ts';
import type { DocketView } from '../api/types.ts';
import { adviseHere, learn } from './adviseHere.ts';

/** A write that met a newer version: what each side has, for a person to choose. */
export interface Clash {
  yours: Docket | null;
  theirs: Docket;
  theirVersion: number;
  differences: ReadonlyArray<{ path: string; theirs: unknown; yours: unknown }>;
  label: string;
}

interface DocketState {
  view: DocketView | null;
  busy: boolean;
  error: string | null;
  clash: Clash | null;
  load: (id: string) => Promise<void>;
  /** Stores a change made by `edit` on the newest docket known here. */
  change: (label: string, edit: (docket: Docket) => Docket) => Promise<boolean>;
  hear: (words: string, moves?: Readonly<Record<string, string | null>>) => Promise<boolean>;
  step: (direction: 'undo' | 'redo') => Promise<void>;
  resolve: (keep: 'mine' | 'theirs') => Promise<void>;
  dismiss: () => void;
}

/** The docket on the desk. All changes go through here, one at a time. */
export const useDocket = create<DocketState>((set, get) => {
  const send = async (
    label: string,
    yours: Docket | null,
    request: (view: DocketView) => Promise<DocketView>,
  ): Promise<boolean> => {
    const { view, busy } = get();
    if (!view || busy) return false;
    set({ busy: true, error: null });
    // The answer is worked out here at once and shown; what the server says a moment later stands.
    let answered = false;
    if (yours)
      void adviseHere(view.id, yours).then((advice) => {
        const now = get().view;
        if (advice && !answered && now?.id === view.id) set({ view: { ...now, docket: yours, advice } });
      });
    try {
      const next = await request(view);
      answered = true;
      set({ view: next, busy: false });
      if (next.docket.vehicle?.catalogueId !== view.docket.vehicle?.catalogueId) learn(next.id);
      return true;
    } catch (error) {
      answered = true;
      // What was shown ahead of the server did not come about.
      set({ view });
      if (error instanceof ApiProblem && error.status === 409) {
        const { theirs, theirVersion, differences } = error.more as unknown as Clash;
        set({ busy: false, clash: { yours, theirs, theirVersion, differences, label } });
      } else set({ busy: false, error: error instanceof Error ? error.message : String(error) });
      return false;
    }
  };
  const put = (label: string, docket: Docket) =>
    send(label, docket, (view) =>
      call<DocketView>(`/dockets/${view.id}`, {
        method: 'PUT',
        body: { version: view.version, docket, label },
      }),
    );
  return {
    view: null,
    busy: false,
    error: null,
    clash: null,
    async load(id) {
      if (get().view?.id !== id) set({ view: null });
      set({ error: null });
      try {
        set({ view: await call<DocketView>(`/dockets/${id}`) });
        learn(id);
      } catch (error) {
        set({ error: error instanceof Error ? error.message : String(error) });
      }
    },
    async change(label, edit) {
      const { view } = get();
      return view ? put(label, edit(view.docket)) : false;
    },
    hear: (words, moves = {}) =>
      send(words, null, (view) =>
        call<DocketView>(`/dockets/${view.id}/words`, {
          method: 'POST',
          body: { version: view.version, words, moves },
        }),
      ),
    async step(direction) {
      const { view } = get();
      if (!view || (direction === 'undo' ? !view.canUndo : !view.canRedo)) return;
      await send(direction, null, () =>
        call<DocketView>(`/dockets/${view.id}/${direction}`, {
          method: 'POST',
          body: { version: view.version },
        }),
      );
    },
    async resolve(keep) {
      const { clash, view } = get();
      if (!clash || !view) return;
      set({ clash: null });
      await get().load(view.id);
      if (keep === 'mine' && clash.yours) await put(clash.label, clash.yours);
    },
    dismiss: () => set({ error: null }),
  };
});

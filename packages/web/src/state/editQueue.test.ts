import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DocketView } from '@hardy/core/contract';
import { mergeThree, type Advice, type Docket } from '@hardy/core';
import { ApiProblem } from '../api/client.ts';
import { EditQueue, type Edit, type QueuedEdit, type QueueWorld, type Shown } from './editQueue.ts';

const EMPTY: Docket = { format: 'hardy-spoke/docket', version: 1 };
const viewOf = (docket: Docket, version: number, id = 'one'): DocketView =>
  ({
    id,
    number: 1001,
    version,
    docket,
    advice: { of: version } as unknown as Advice,
  }) as unknown as DocketView;
const want = (word: string): Edit => ({
  kind: 'change',
  label: word,
  edit: (docket) => ({ ...docket, wants: [...(docket.wants ?? []), word] }),
});
const settle = async (times = 20): Promise<void> => {
  for (let i = 0; i < times; i++) await Promise.resolve();
};

/** A server that takes one change at a time when it is told to, and refuses what was made on an old version. */
class Server {
  docket = EMPTY;
  version = 1;
  sent: string[] = [];
  problem: ApiProblem | null = null;
  kept: QueuedEdit[] = [];
  back: (() => void) | null = null;
  private names = 0;
  private waiting: Array<() => void> = [];
  constructor(readonly slow = false) {}

  answer(): void {
    this.waiting.shift()?.();
  }

  world(show: (shown: Shown) => void): QueueWorld {
    return {
      send: async (view, edit, docket) => {
        if (this.slow) await new Promise<void>((go) => this.waiting.push(go));
        if (this.problem) throw this.problem;
        if (view.version !== this.version && edit.kind === 'change') {
          const { merged, clashes } = mergeThree(edit.before, docket ?? EMPTY, this.docket);
          if (clashes.length > 0)
            throw new ApiProblem(409, 'Changed meanwhile', 'changed', {
              theirs: this.docket,
              merged,
              clashes,
            });
          docket = merged;
        } else if (view.version !== this.version)
          throw new ApiProblem(409, 'Changed meanwhile', 'changed', {
            theirs: this.docket,
            merged: null,
            clashes: [],
          });
        this.sent.push(edit.kind === 'change' ? edit.label : edit.kind);
        if (edit.kind === 'hear') this.docket = { ...this.docket, words: edit.words };
        else if (docket) this.docket = docket;
        return viewOf(this.docket, ++this.version);
      },
      fetch: () => Promise.resolve(viewOf(this.docket, this.version)),
      advise: () => Promise.resolve(null),
      show,
      keep: (edits) => (this.kept = JSON.parse(JSON.stringify(edits)) as QueuedEdit[]),
      whenBack: (then) => (this.back = then),
      name: () => `change ${++this.names}`,
    };
  }
}

const open = (server = new Server()) => {
  let shown: Shown | null = null;
  const queue = new EditQueue(
    viewOf(server.docket, server.version),
    server.world((next) => (shown = next)),
  );
  return { server, queue, shown: () => shown ?? queue.shown() };
};

describe('changes of a docket', () => {
  test('however fast they come, all are kept, in their order, and shown at once', async () => {
    const { server, queue, shown } = open(new Server(true));
    const taken = ['a', 'b', 'c', 'd', 'e'].map((word) => queue.push(want(word)));
    expect(shown().view.docket.wants).toEqual(['a', 'b', 'c', 'd', 'e']);
    expect(shown().waiting).toBe(5);
    for (let i = 0; i < 5; i++) {
      server.answer();
      await settle();
    }
    expect(await Promise.all(taken)).toEqual([true, true, true, true, true]);
    expect(server.sent).toEqual(['a', 'b', 'c', 'd', 'e']);
    expect(server.docket.wants).toEqual(['a', 'b', 'c', 'd', 'e']);
    expect(shown()).toMatchObject({ waiting: 0, error: null, view: { version: 6 } });
  });

  test('for any mix of changes and answers the shown docket is what the server will have', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.oneof(fc.constant('answer'), fc.string({ minLength: 1, maxLength: 3 })), {
          maxLength: 25,
        }),
        async (steps) => {
          const { server, queue, shown } = open(new Server(true));
          const words: string[] = [];
          for (const step of steps) {
            if (step === 'answer') server.answer();
            else {
              words.push(step);
              void queue.push(want(step));
            }
            await settle();
            expect(shown().view.docket.wants ?? []).toEqual(words);
          }
          for (let i = 0; i <= words.length; i++) {
            server.answer();
            await settle();
          }
          expect(server.docket.wants ?? []).toEqual(words);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('what the server refuses goes alone and is told; what came after it is taken', async () => {
    const { server, queue, shown } = open(new Server(true));
    const taken = [queue.push(want('bad')), queue.push(want('good'))];
    server.problem = new ApiProblem(400, 'Bad input', 'wants[0]: no', {});
    server.answer();
    await settle();
    expect(shown().error).toMatch(/no/);
    server.problem = null;
    server.answer();
    await settle();
    expect(await Promise.all(taken)).toEqual([false, true]);
    expect(server.docket.wants).toEqual(['good']);
  });

  test('without a server nothing is lost: it waits, stays on the screen, and goes when asked again', async () => {
    const { server, queue, shown } = open();
    server.problem = new ApiProblem(0, 'No answer', 'The server does not answer.', {});
    void queue.push(want('kept'));
    await settle();
    expect(shown()).toMatchObject({ held: true, waiting: 1 });
    expect(shown().view.docket.wants).toEqual(['kept']);
    server.problem = null;
    queue.retry();
    await settle();
    expect(shown()).toMatchObject({ held: false, waiting: 0, error: null });
    expect(server.docket.wants).toEqual(['kept']);
  });

  test('words sent again while the server was away are heard once', async () => {
    const { server, queue } = open();
    server.problem = new ApiProblem(0, 'No answer', 'away', {});
    void queue.push({ kind: 'hear', words: 'no play', moves: {} });
    await settle();
    server.problem = null;
    expect(await queue.push({ kind: 'hear', words: 'no play', moves: {} })).toBe(true);
    expect(server.sent).toEqual(['hear']);
  });

  const salted = (saltExposure: 'some' | 'high'): Edit => ({
    kind: 'change',
    label: saltExposure,
    edit: (docket) => ({ ...docket, vehicle: { ...docket.vehicle, saltExposure } }),
  });

  test('a change of another field than the one someone else changed goes without a question', async () => {
    const { server, queue, shown } = open();
    server.docket = { ...EMPTY, customer: { name: 'Other desk' } };
    server.version = 7;
    expect(await queue.push(want('mine'))).toBe(true);
    expect(shown().conflict).toBeNull();
    expect(server.docket).toMatchObject({ wants: ['mine'], customer: { name: 'Other desk' } });
  });

  test.each([true, false])(
    'one field changed by both waits for a person; mine: %s; the other\u2019s other field stays',
    async (mine) => {
      const { server, queue, shown } = open();
      server.docket = { ...EMPTY, customer: { name: 'Other desk' }, vehicle: { saltExposure: 'high' } };
      server.version = 7;
      const taken = queue.push(salted('some'));
      await settle();
      const clashes = shown().conflict?.clashes ?? [];
      expect(clashes.map(({ place }) => place)).toEqual([['vehicle', 'saltExposure']]);
      await queue.resolve(mine ? clashes : []);
      await settle();
      expect(await taken).toBe(true);
      expect(server.docket.vehicle?.saltExposure).toBe(mine ? 'some' : 'high');
      expect(server.docket.customer?.name).toBe('Other desk');
      expect(shown()).toMatchObject({ conflict: null, waiting: 0 });
    },
  );

  test('a step back on a docket that someone else changed is told and given up', async () => {
    const { server, queue, shown } = open();
    server.version = 7;
    const taken = queue.push({ kind: 'undo' });
    await settle();
    expect(shown().conflict).toMatchObject({ merged: null, label: 'undo' });
    await queue.resolve([]);
    expect(await taken).toBe(false);
    expect(server.sent).toEqual([]);
  });

  test('what the page that is loaded anew finds waiting goes, once, on what became of the docket', async () => {
    const first = open();
    first.server.problem = new ApiProblem(0, 'No answer', 'away', {});
    void first.queue.push(want('a'));
    void first.queue.push({ kind: 'hear', words: 'no play', moves: {} });
    await settle();
    expect(first.server.kept).toHaveLength(2);
    const later = new Server();
    later.docket = { ...EMPTY, customer: { name: 'Other desk' } };
    later.version = 4;
    new EditQueue(
      viewOf(later.docket, 4),
      later.world(() => undefined),
      first.server.kept,
    );
    await settle();
    expect(later.sent).toEqual(['a', 'hear']);
    expect(later.docket).toMatchObject({ wants: ['a'], words: 'no play', customer: { name: 'Other desk' } });
    expect(later.kept).toEqual([]);
  });

  test('when the server is back what waits goes by itself', async () => {
    const { server, queue, shown } = open();
    server.problem = new ApiProblem(0, 'No answer', 'away', {});
    void queue.push(want('kept'));
    await settle();
    server.problem = null;
    server.back?.();
    await settle();
    expect(server.docket.wants).toEqual(['kept']);
    expect(shown().waiting).toBe(0);
  });

  test('a change made on one that was refused is as it would have been without it', async () => {
    const { server, queue } = open(new Server(true));
    void queue.push({ ...salted('some'), label: 'bad' } as Edit);
    void queue.push({
      kind: 'change',
      label: 'plate',
      edit: (docket) => ({ ...docket, vehicle: { ...docket.vehicle, plate: 'HB 1' } }),
    });
    server.problem = new ApiProblem(400, 'Bad input', 'no', {});
    server.answer();
    await settle();
    server.problem = null;
    server.answer();
    await settle();
    expect(server.docket.vehicle).toEqual({ plate: 'HB 1' });
  });

  test('words that met a newer version are heard on it', async () => {
    const { server, queue } = open();
    server.version = 3;
    expect(await queue.push({ kind: 'hear', words: 'no play', moves: {} })).toBe(true);
    expect(server.docket.words).toBe('no play');
  });

  test('a change made while the newest version is fetched waits for it', async () => {
    const { server, queue } = open();
    server.version = 3;
    const taken = [queue.push({ kind: 'hear', words: 'no play', moves: {} }), queue.push(want('next'))];
    expect(await Promise.all(taken)).toEqual([true, true]);
    expect(server.sent).toEqual(['hear', 'next']);
  });

  test('a slow answer to an older docket does not stand over a newer one', async () => {
    const server = new Server(true);
    const answers: Array<(advice: Advice) => void> = [];
    let shown: Shown | null = null;
    const queue = new EditQueue(viewOf(EMPTY, 1), {
      ...server.world((next) => (shown = next)),
      advise: () => new Promise((answer) => answers.push(answer)),
    });
    void queue.push(want('a'));
    void queue.push(want('b'));
    answers[1]?.({ of: 'b' } as unknown as Advice);
    await settle();
    answers[0]?.({ of: 'a' } as unknown as Advice);
    await settle();
    expect((shown as Shown | null)?.view.advice).toEqual({ of: 'b' });
  });

  test('a late reading of the docket does not undo what is on its way', async () => {
    const { server, queue, shown } = open(new Server(true));
    void queue.push(want('new'));
    queue.take(viewOf(EMPTY, 1));
    expect(shown().view.docket.wants).toEqual(['new']);
    server.answer();
    await settle();
    queue.take(viewOf(EMPTY, 1));
    expect(shown().view.docket.wants).toEqual(['new']);
  });
});

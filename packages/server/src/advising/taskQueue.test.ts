import { describe, expect, test } from '@jest/globals';
import { BadInput } from '@hardy/core';
import { receivedError, sendError } from './taskErrors.ts';
import { TaskQueue, type Priority } from './taskQueue.ts';

/** Tasks that run until they are told to end, and the order in which they started. */
const workshop = (slots: number) => {
  const queue = new TaskQueue(slots);
  const started: string[] = [];
  const ends = new Map<string, () => void>();
  const add = (name: string, priority: Priority, signal: AbortSignal | null = null) =>
    queue.run(
      priority,
      () => {
        started.push(name);
        return new Promise<string>((resolve) => ends.set(name, () => resolve(name)));
      },
      signal,
    );
  const end = async (name: string) => {
    ends.get(name)?.();
    await new Promise((go) => setImmediate(go));
  };
  return { add, end, started };
};

describe('the queue of tasks', () => {
  test('a desk comes before a view, a view before training, training before reports', async () => {
    const { add, end, started } = workshop(1);
    const first = add('running', 'desk');
    for (const priority of ['report', 'training', 'view', 'desk'] as const) void add(priority, priority);
    void add('desk again', 'desk');
    for (const name of ['running', 'desk', 'desk again', 'view', 'training', 'report']) await end(name);
    expect(await first).toBe('running');
    expect(started).toEqual(['running', 'desk', 'desk again', 'view', 'training', 'report']);
  });

  test('the last free slot is kept for a desk', async () => {
    const { add, end, started } = workshop(2);
    for (const name of ['customer 1', 'customer 2', 'customer 3']) void add(name, 'training');
    void add('comparison', 'view');
    expect(started).toEqual(['customer 1']);
    void add('desk', 'desk');
    expect(started).toEqual(['customer 1', 'desk']);
    await end('desk');
    expect(started).toEqual(['customer 1', 'desk']);
    await end('customer 1');
    expect(started).toEqual(['customer 1', 'desk', 'comparison']);
  });

  test('whoever leaves before it is their turn is taken out; what runs goes on', async () => {
    const { add, end, started } = workshop(1);
    const leaves = new AbortController();
    const running = add('running', 'desk', leaves.signal);
    const waiting = add('waiting', 'desk', leaves.signal);
    const refused = expect(waiting).rejects.toMatchObject({ status: 503, title: 'Cancelled' });
    leaves.abort();
    await refused;
    await end('running');
    expect(await running).toBe('running');
    expect(started).toEqual(['running']);
    await expect(add('too late', 'desk', leaves.signal)).rejects.toMatchObject({ title: 'Cancelled' });
  });

  test('more than can wait are refused at once', async () => {
    const { add, end, started } = workshop(1);
    void add('running', 'training');
    const waiting = Array.from({ length: 24 }, (_, i) => add(`waiting ${i}`, 'training'));
    await expect(add('one more', 'training')).rejects.toMatchObject({ status: 503, title: 'Busy' });
    void add('desk', 'desk');
    await end('running');
    await end('desk');
    for (let i = 0; i < 24; i++) await end(`waiting ${i}`);
    expect(await Promise.all(waiting)).toHaveLength(24);
    expect(started).toHaveLength(26);
  });

  test('a task that fails frees its slot', async () => {
    const queue = new TaskQueue(1);
    await expect(queue.run('desk', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await queue.run('report', () => Promise.resolve('next'))).toBe('next');
  });
});

test('an error keeps what it is on its way from a thread', () => {
  const bad = receivedError(structuredClone(sendError(new BadInput('codes[1].code', 'is no code'))));
  expect(bad).toBeInstanceOf(BadInput);
  expect(bad).toMatchObject({
    path: 'codes[1].code',
    what: 'is no code',
    message: 'codes[1].code: is no code',
  });
  const fault = receivedError(structuredClone(sendError(new RangeError('too deep'))));
  expect(fault).toMatchObject({ name: 'RangeError', message: 'too deep' });
  expect(fault.stack).toContain('taskQueue.test');
  expect(receivedError(sendError('odd')).message).toBe('odd');
});

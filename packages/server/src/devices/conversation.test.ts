import { expect, test } from '@jest/globals';
import { Conversation } from './conversation.ts';

test('what must be said waits for its turn; what need not is refused meanwhile', async () => {
  const talk = new Conversation('supplier');
  const said: string[] = [];
  const ends = new Map<string, () => void>();
  const act = (name: string) => () => {
    said.push(name);
    return new Promise<string>((resolve) => ends.set(name, () => resolve(name)));
  };
  const first = talk.with('stock?', act('stock'), String);
  const orders = ['order 1', 'order 2'].map((name) => talk.afterOthers(name, act(name), String));
  await expect(talk.with('stock?', act('refused'), String)).rejects.toMatchObject({
    status: 409,
    title: 'In use',
  });
  for (const name of ['stock', 'order 1', 'order 2']) {
    while (!ends.has(name)) await new Promise((go) => setTimeout(go, 5));
    ends.get(name)?.();
  }
  expect(await Promise.all([first, ...orders])).toEqual(['stock', 'order 1', 'order 2']);
  expect(said).toEqual(['stock', 'order 1', 'order 2']);
});

test('one that fails lets the next have its turn', async () => {
  const talk = new Conversation('supplier');
  const broken = talk.afterOthers('order', () => Promise.reject(new Error('gone')), String);
  const next = talk.afterOthers('order', () => Promise.resolve('taken'), String);
  await expect(broken).rejects.toThrow('gone');
  expect(await next).toBe('taken');
});

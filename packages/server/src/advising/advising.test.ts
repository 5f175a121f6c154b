import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { advise, compareBench, parseDocket, type Docket } from '@hardy/core';
import { knowledgeFor } from '../store/catalogueStore.ts';
import { openScenario } from '../tests/openScenario.ts';
import { Advising } from './advising.ts';
import { createWorkerPool, type WorkerPool } from './workerPool.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
let threads: WorkerPool;
beforeAll(async () => {
  server = await openScenario();
  threads = createWorkerPool(1);
  await threads.ready;
});
afterAll(async () => {
  await threads.close();
  await server.running.stop();
});

const em = () => server.running.orm.em.fork();
const docket = (code = 'C0031-13'): Docket =>
  parseDocket({
    format: 'hardy-spoke/docket',
    version: 1,
    codes: [{ code }],
    vehicle: { catalogueId: 'mer-tern-16' },
  });
/** A pool that counts what it is asked. */
const counting = (fails = 0) => {
  const asked: string[] = [];
  let left = fails;
  const them: WorkerPool = {
    run: async (task, given) => {
      asked.push(task);
      if (left-- > 0) throw new Error('no');
      return threads.run(task, given);
    },
    ready: Promise.resolve(),
    close: () => Promise.resolve(),
  };
  return { asked, advising: new Advising(them, em) };
};

describe('what is reckoned for dockets', () => {
  test('threads say the same as the place where it is asked', async () => {
    const knowledge = await knowledgeFor(em(), docket());
    expect(await threads.run('adviseTask', { docket: docket(), knowledge })).toEqual(
      advise(docket(), knowledge),
    );
    expect(await threads.run('compareTask', { docket: docket(), knowledge, seed: 3 })).toEqual(
      compareBench(docket(), knowledge, 3).compare(),
    );
  });

  test('the same question is reckoned once, asked at once or later; another day or table anew', async () => {
    const { asked, advising } = counting();
    const both = await Promise.all([advising.advise(em(), docket()), advising.advise(em(), docket())]);
    expect(both[0]).toBe(both[1]);
    expect(await advising.advise(em(), docket())).toBe(both[0]);
    expect(asked).toEqual(['adviseTask']);
    await advising.advise(em(), docket('C0034-13'));
    advising.forget();
    expect(advising.epoch()).toBe(1);
    await advising.advise(em(), docket());
    expect(asked).toHaveLength(3);
  });

  test('of many answers the newest are kept', async () => {
    const { asked, advising } = counting();
    const many = Array.from({ length: 205 }, (_, i) => docket(`B${1000 + i}`));
    for (const each of many) await advising.advise(em(), each);
    await advising.advise(em(), many[204]!);
    expect(asked).toHaveLength(205);
    await advising.advise(em(), many[0]!);
    expect(asked).toHaveLength(206);
  }, 120_000);

  test('what failed is asked anew', async () => {
    const { advising } = counting(1);
    await expect(advising.advise(em(), docket())).rejects.toThrow('no');
    expect((await advising.advise(em(), docket())).wheelEnd).toBe('A1L');
  });

  test('long words are read by threads as short ones are read here', async () => {
    const { asked, advising } = counting();
    const line = 'merrowby 2018 minibus, abs light front left, no play. ';
    const short = await advising.read(line, {});
    expect(asked).toEqual([]);
    const long = await advising.read(line.repeat(60), {});
    expect(asked).toEqual(['readTask']);
    expect(long.vehicle).toEqual(short.vehicle);
    expect(long.symptoms).toEqual(short.symptoms);
    advising.forget();
    await advising.read(line.repeat(60), {});
    expect(asked).toHaveLength(2);
  });
});

test('a thread says what is wrong with a task; the next task is done', async () => {
  const broken = threads.run('countTask', { docket: null, facts: null, knowledge: null } as never);
  await expect(broken).rejects.toMatchObject({ name: 'TypeError' });
  const exercise = { skill: 'corner', variant: 'none', seed: 1 } as const;
  await expect(threads.run('exerciseTask', exercise)).rejects.toThrow(/none/);
  const knowledge = await knowledgeFor(em(), docket());
  expect((await threads.run('adviseTask', { docket: docket(), knowledge })).wheelEnd).toBe('A1L');
});

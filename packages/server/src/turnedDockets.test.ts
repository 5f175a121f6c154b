import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { advise, type Advice, type Docket } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { knowledgeFor } from './store/catalogueStore.ts';
import { changeShop, shopView } from './store/shopStore.ts';
import { openScenario } from './tests/openScenario.ts';
import { TurnedDockets } from './turnedDockets.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());

const failures: unknown[] = [];
const adviser = async (em: EntityManager, docket: Docket): Promise<Advice> =>
  advise(docket, await knowledgeFor(em, docket));
const begun = async (overrides: Record<string, number | null>) => {
  const { orm } = server.running;
  const { version } = await shopView(orm.em.fork());
  return changeShop(orm.em.fork(), version, { overrides });
};
const done = async (turned: TurnedDockets) => {
  while (!turned.state().done) await new Promise((go) => setTimeout(go, 5));
  return turned.state();
};

describe('what a change of the settings turned', () => {
  test('is worked out docket by docket, told as far as it is, and the lines follow', async () => {
    const turned = new TurnedDockets(server.running.orm, adviser, (error) => failures.push(error));
    expect(turned.state()).toEqual({ version: 0, turned: [], looked: 0, done: true });
    const { version } = await begun({ 'plan.check-floor': 500 });
    turned.begin(version);
    expect(turned.state()).toEqual({ version, turned: [], looked: 0, done: false });
    const answer = await done(turned);
    expect(answer.looked).toBeGreaterThan(5);
    expect(answer.turned.length).toBeGreaterThan(0);
    const { dockets: lines }: { dockets: Array<{ id: string; headline: string }> } = (
      await server.api('GET', '/dockets')
    ).body;
    for (const { id, after } of answer.turned)
      expect(lines.find((line) => line.id === id)?.headline).toBe(after);
    // The same settings again turn nothing.
    turned.begin(version);
    expect((await done(turned)).turned).toEqual([]);
    expect(failures).toEqual([]);
  });

  test('a newer change leaves the older one; others are answered meanwhile', async () => {
    const turned = new TurnedDockets(server.running.orm, adviser, (error) => failures.push(error));
    turned.begin((await begun({ 'plan.check-floor': 1 })).version);
    const { version } = await begun({ 'plan.check-floor': null });
    turned.begin(version);
    expect((await server.api('GET', '/health')).status).toBe(200);
    expect((await done(turned)).version).toBe(version);
    expect(failures).toEqual([]);
  });

  test('is left when the server ends, and nothing breaks', async () => {
    const turned = new TurnedDockets(server.running.orm, adviser, (error) => failures.push(error));
    turned.begin(99);
    await turned.close();
    expect(turned.state().done).toBe(false);
    expect(failures).toEqual([]);
  });
});

import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { API, type Answer, type ApiName } from '@hardy/core/contract';
import { parse } from '@hardy/core';
import type { PracticeDeed } from '@hardy/core/words';
import { openScenario } from '../tests/openScenario.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(async () => {
  await server.running.stop();
});

const ask = async <N extends ApiName>(name: N, path: string, body?: unknown): Promise<Answer<N>> => {
  const answer = await server.api(name.split(' ')[0] ?? '', path, body);
  if (answer.status >= 300) throw new Error(`${name} ${answer.status} ${JSON.stringify(answer.body)}`);
  return parse(API[name].answer, answer.body, name) as Answer<N>;
};
/** The practice counter: the same API on the other database. */
const atPractice = async (method: string, path: string, body?: unknown) => {
  const response = await fetch(`${server.running.address}/practice/api${path}`, {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  });
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};
const learner = (name: string) => ask('POST /practice/learners', '/practice/learners', { name });
const walkIn = (learnerId: string, level: number, roundId?: string) =>
  ask('POST /practice/visits', '/practice/visits', { learnerId, level, roundId });
const act = (id: string, after: number, deed: PracticeDeed, sent?: { sheet: boolean; stop: boolean }) =>
  ask('POST /practice/visits/:id/deeds', `/practice/visits/${id}/deeds`, { after, deed, sent });
const everything = async () =>
  Object.fromEntries(
    await Promise.all(
      ['/dockets?state=all', '/figures', '/ledger', '/ledger/learned', '/orders', '/parts?q=sensor'].map(
        async (path) => [path, JSON.stringify((await server.api('GET', path)).body)] as const,
      ),
    ),
  ) as Record<string, string>;

describe('practice on a database of its own', () => {
  test('a customer is asked, read, looked at, sold to; the shop’s own books do not move', async () => {
    const before = await everything();
    const { id: learnerId } = await learner('Ada');
    const visit = await walkIn(learnerId, 2);
    expect(visit).toMatchObject({ level: 2, canRead: true, over: false, minutes: 0, account: null });
    expect(visit.words.length).toBeGreaterThan(10);
    const docket = await atPractice('POST', '/dockets', { words: visit.words });
    expect(docket.status).toBe(201);
    const docketId = String(docket.body.id);
    await ask('POST /practice/visits/:id/docket', `/practice/visits/${visit.id}/docket`, { docketId });
    await act(visit.id, 0, { kind: 'question', about: 'lamps' });
    await act(visit.id, 1, { kind: 'question', about: 'history' });
    const read = await act(visit.id, 2, { kind: 'read' });
    expect(read.steps[2]?.came).toBeTruthy();
    const wheel = read.wheels[0]?.wheelEnd ?? 'A1L';
    const looked = await act(visit.id, 3, { kind: 'check', check: 'visual.connector', at: wheel });
    // What it brought to light stands on the learner's docket.
    const onDocket = await atPractice('GET', `/dockets/${docketId}`);
    expect(JSON.stringify(onDocket.body.docket)).toContain('visual.connector');
    expect(looked.minutes).toBeGreaterThan(read.minutes);
    // Sent twice it is done once; something else on an old stand is refused.
    const twice = await act(visit.id, 3, { kind: 'check', check: 'visual.connector', at: wheel });
    expect(twice.steps).toHaveLength(4);
    const late = await server.api('POST', `/practice/visits/${visit.id}/deeds`, {
      after: 2,
      deed: { kind: 'refer' },
    });
    expect(late.status).toBe(409);
    const left = await act(visit.id, 4, { kind: 'refer' }, { sheet: true, stop: false });
    expect(left.over).toBe(true);
    const { account } = left;
    expect(account?.steps).toHaveLength(5);
    const sum = (account?.steps ?? []).reduce((total, { regret, luck }) => total + regret + luck, 0);
    expect((account?.fair ?? 0) + sum).toBeCloseTo(account?.cost ?? NaN, 6);
    expect(await everything()).toEqual(before);
    expect((await server.api('GET', `/dockets/${docketId}`)).status).toBe(404);
  });

  test('what cannot be done with this vehicle is refused, and nothing is done', async () => {
    const { id: learnerId } = await learner('Ada');
    const visit = await walkIn(learnerId, 5);
    const post = (deed: unknown) =>
      server.api('POST', `/practice/visits/${visit.id}/deeds`, { after: 0, deed });
    expect((await post({ kind: 'read' })).status).toBe(400);
    expect((await post({ kind: 'check', check: 'live', at: 'A7L' })).status).toBe(400);
    expect((await post({ kind: 'dance' })).status).toBe(400);
    expect((await ask('GET /practice/visits/:id', `/practice/visits/${visit.id}`)).steps).toEqual([]);
    expect((await server.api('GET', '/practice/visits/nobody')).status).toBe(404);
    const nobody = { learnerId: crypto.randomUUID(), level: 1 };
    expect((await server.api('POST', '/practice/visits', nobody)).status).toBe(404);
  });

  test('two hands at once: what is done is done once, and one customer of a round walks in', async () => {
    const { id: learnerId } = await learner('Dora');
    const round = await ask('POST /practice/rounds', '/practice/rounds', {
      name: 'race',
      level: 1,
      customers: 3,
    });
    const came = await Promise.all([1, 2, 3].map(() => walkIn(learnerId, 1, round.id)));
    expect(new Set(came.map(({ id }) => id)).size).toBe(1);
    const [visit] = came;
    const id = visit?.id ?? '';
    const docket = await atPractice('POST', '/dockets', { words: visit?.words });
    await ask('POST /practice/visits/:id/docket', `/practice/visits/${id}/docket`, {
      docketId: String(docket.body.id),
    });
    const deed = { kind: 'check', check: 'visual.connector', at: 'A1L' };
    const sent = await Promise.all(
      [1, 2, 3].map(() => server.api('POST', `/practice/visits/${id}/deeds`, { after: 0, deed })),
    );
    expect(sent.map(({ status }) => status)).toEqual([200, 200, 200]);
    const now = await ask('GET /practice/visits/:id', `/practice/visits/${id}`);
    expect(now.steps).toHaveLength(1);
    const { body } = await atPractice('GET', `/dockets/${String(docket.body.id)}`);
    expect((body.docket as { checks: unknown[] }).checks).toHaveLength(1);
    const question = await ask('POST /practice/exercises', '/practice/exercises', {
      learnerId,
      skill: 'root',
    });
    const { skill, variant, seed } = question;
    const answer = { learnerId, skill, variant, seed, answer: '', ms: 10 };
    await Promise.all([1, 2, 3].map(() => ask('POST /practice/answers', '/practice/answers', answer)));
    const view = await ask('GET /practice/learners/:id', `/practice/learners/${learnerId}`);
    expect(view.skills.find((each) => each.skill === 'root')?.answers).toBe(1);
  });

  test('a round is the same customers for all, and is taken up where it was left', async () => {
    const [ada, ben] = [await learner('Ada'), await learner('Ben')];
    const round = await ask('POST /practice/rounds', '/practice/rounds', {
      name: 'Tuesday',
      level: 1,
      customers: 2,
    });
    const first = await walkIn(ada.id, 1, round.id);
    expect((await walkIn(ada.id, 1, round.id)).id).toBe(first.id);
    const other = await walkIn(ben.id, 1, round.id);
    expect(other.id).not.toBe(first.id);
    expect(other.words).toBe(first.words);
    for (const person of [ada, ben])
      for (let i = 0; i < 2; i++) {
        const visit = await walkIn(person.id, 1, round.id);
        await act(visit.id, 0, { kind: 'refer' }, { sheet: true, stop: false });
      }
    expect(
      (await server.api('POST', '/practice/visits', { learnerId: ada.id, level: 1, roundId: round.id }))
        .status,
    ).toBe(409);
    const { rounds } = await ask('GET /practice/team', '/practice/team');
    const scores = rounds.find((each) => each.round.id === round.id);
    expect(scores?.scores.map(({ done }) => done)).toEqual([2, 2]);
    // The same deeds with the same customers: nothing to tell apart.
    expect(scores?.apart).toEqual([
      { one: 'Ada', other: 'Ben', difference: 0, give: 0, isSure: false, needed: null },
    ]);
  });

  test('a step is taken again with another end', async () => {
    const { id: learnerId } = await learner('Ada');
    const visit = await walkIn(learnerId, 1);
    await act(visit.id, 0, { kind: 'question', about: 'history' });
    const left = await act(visit.id, 1, { kind: 'refer' }, { sheet: true, stop: false });
    const again = await ask('POST /practice/visits/:id/replay', `/practice/visits/${visit.id}/replay`, {
      keep: 1,
    });
    expect(again.words).toBe(visit.words);
    expect(again.steps).toEqual(left.steps.slice(0, 1));
    expect(again.over).toBe(false);
    expect((await server.api('POST', `/practice/visits/${visit.id}/replay`, { keep: 2 })).status).toBe(400);
  });

  test('it follows the shop’s settings and catalogue, and changes neither', async () => {
    const shop = await ask('GET /shop', '/shop');
    await ask('PATCH /shop', '/shop', { version: shop.version, change: { currency: 'GBP' } });
    const { id: learnerId } = await learner('Ada');
    expect((await walkIn(learnerId, 1)).currency).toBe('GBP');
    const vehicles = (await server.api('GET', '/vehicles')).body as Array<{ id: string }>;
    expect((await atPractice('GET', '/vehicles')).body).toEqual(vehicles);
    const begun = await ask('POST /imports', '/imports', {});
    const file = await fetch(`${server.running.address}/api/catalogue/vehicles.csv`);
    const [head = '', ...lines] = (await file.text()).trim().split('\n');
    await fetch(`${server.running.address}/api/imports/${begun.id}/files/vehicles.csv`, {
      method: 'PUT',
      body: [head, ...lines.map((line, i) => (i === 0 ? line.replace(/,/, ',New ') : line))].join('\n'),
    });
    await ask('POST /imports/:id/run', `/imports/${begun.id}/run`, { mode: 'whole' });
    let state = 'running';
    while (state === 'running' || state === 'ready' || state === 'waiting')
      state = (await ask('GET /imports/:id', `/imports/${begun.id}`)).state;
    expect(state).toBe('done');
    const after = (await server.api('GET', '/vehicles')).body as Array<{ id: string }>;
    expect(after).not.toEqual(vehicles);
    expect((await atPractice('GET', '/vehicles')).body).toEqual(after);
    const mine = await atPractice('GET', '/shop');
    await atPractice('PATCH', '/shop', { version: mine.body.version, change: { currency: 'CHF' } });
    expect((await ask('GET /shop', '/shop')).currency).toBe('GBP');
  });

  test('exercises come and are judged; a missed kind comes again when it is due', async () => {
    const { id: learnerId } = await learner('Cem');
    const next = (skill?: string) =>
      ask('POST /practice/exercises', '/practice/exercises', { learnerId, skill });
    const answer = (given: Answer<'POST /practice/exercises'>, said: string) =>
      ask('POST /practice/answers', '/practice/answers', {
        learnerId,
        skill: given.skill,
        variant: given.variant,
        seed: given.seed,
        answer: said,
        ms: 4000,
      });
    const question = await next('root');
    expect(question.because).toBe('level');
    const wrong = await answer(question, 'no such key');
    expect(wrong.right).toBe(false);
    const right = question.choices.find(({ words }) => words === wrong.answer);
    // Once it is told, saying it teaches nothing.
    const told = await answer(question, right?.key ?? '');
    expect(told.right).toBe(true);
    const view = await ask('GET /practice/learners/:id', `/practice/learners/${learnerId}`);
    expect(view.skills.find(({ skill }) => skill === 'root')).toMatchObject({ answers: 1, right: 0 });
    for (let i = 0; i < 3; i++) {
      const one = await next('corner');
      expect(one.choices.length).toBeGreaterThan(3);
      await answer(one, one.choices[0]?.key ?? '');
    }
    const unknown = await server.api('POST', '/practice/answers', {
      learnerId,
      skill: 'root',
      variant: 'constructor',
      seed: 1,
      answer: '',
      ms: 1,
    });
    expect(unknown.status).toBe(400);
  });
});

import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { ShopChange } from '@hardy/core';
import type { ShopView, TurnedAnswer } from '@hardy/core/contract';
import { DEFAULT_ASSUMPTIONS, type Advice, type Knowledge } from '@hardy/core';
import { openScenario } from './tests/openScenario.ts';

type Api = Awaited<ReturnType<typeof openScenario>>['api'];
interface Line {
  key: string;
  value: number;
  unit: string;
  min: number;
  max: number;
  reason: string;
}
type Changed = TurnedAnswer & { settings: ShopView };

let server: Awaited<ReturnType<typeof openScenario>>;
let api: Api;
let shop: ShopView;
beforeAll(async () => {
  server = await openScenario();
  api = server.api;
  shop = (await api('GET', '/shop')).body;
});
afterAll(() => server.running.stop());

const now = async (): Promise<ShopView> => (await api('GET', '/shop')).body;
/** Changes the settings so that they are the first ones but for `change`, and waits for what it turned. */
const saved = async (change: ShopChange): Promise<Changed> => {
  const { version, overrides, ...rest } = await now();
  const { version: _first, overrides: firstOverrides, ...first } = shop;
  const back = Object.fromEntries(Object.keys(overrides).map((key) => [key, null]));
  const answer = await api('PATCH', '/shop', {
    version,
    change: { ...rest, ...first, ...change, overrides: { ...back, ...firstOverrides, ...change.overrides } },
  });
  expect(answer.status).toBe(200);
  const settings: ShopView = answer.body;
  for (;;) {
    const turned: TurnedAnswer = (await api('GET', '/shop/turned')).body;
    if (turned.done && turned.version === settings.version) return { ...turned, settings };
  }
};
const opened = async (words: string): Promise<{ id: string; advice: Advice }> =>
  (await api('POST', '/dockets', { words })).body;

describe('the list on the counter', () => {
  test('speaks as the dockets do after a change', async () => {
    await saved({ overrides: { 'plan.check-floor': 500 } });
    const { dockets: lines }: { dockets: Array<{ id: string; headline: string }> } = (
      await api('GET', '/dockets')
    ).body;
    for (const { id, headline } of lines)
      expect(headline).toBe(
        ((await api('GET', `/dockets/${id}`)).body as { advice: Advice }).advice.verdict.sentence,
      );
    await saved({ overrides: {} });
  });
});

describe('the shop sets its judgement', () => {
  test('every number comes with its unit, range and reason, and lies within its range', async () => {
    const lines: Line[] = (await api('GET', '/assumptions')).body;
    expect(lines.map(({ key }) => key).sort()).toEqual(Object.keys(DEFAULT_ASSUMPTIONS).sort());
    for (const line of lines) {
      expect(line.reason.length).toBeGreaterThan(8);
      expect(line.unit).not.toBe('');
      expect(line.value).toBeGreaterThanOrEqual(line.min);
      expect(line.value).toBeLessThanOrEqual(line.max);
    }
    for (const key of [
      'tax.percent',
      'horizon.years',
      'trade.discount',
      'idle-day.fleet',
      'diy.worth-it-from',
    ])
      expect(lines.map((line) => line.key)).toContain(key);
  });

  test('a change is kept, tells which answers it turned, and goes back', async () => {
    const dear = await saved({ overrides: { 'plan.check-floor': 500 } });
    expect(dear.settings.overrides).toEqual({ 'plan.check-floor': 500 });
    expect(dear.looked).toBeGreaterThan(5);
    expect(dear.turned.length).toBeGreaterThan(0);
    for (const { before, after } of dear.turned) expect(before).not.toBe(after);
    expect((await api('GET', '/shop')).body).toMatchObject({ overrides: { 'plan.check-floor': 500 } });
    const back = await saved({ overrides: {} });
    expect(back.turned.map(({ id }) => id).sort()).toEqual(dear.turned.map(({ id }) => id).sort());
    for (const turned of back.turned)
      expect(turned.after).toBe(dear.turned.find(({ id }) => id === turned.id)?.before);
  });

  test.each<[string, unknown]>([
    ['an empty body', {}],
    ['no version', { change: { name: 'x' } }],
    ['a list', []],
    ['a whole shop as it was sent before', { name: 'x', overrides: {} }],
  ])('%s is refused and resets nothing', async (_, body) => {
    const before = await now();
    expect((await api('PATCH', '/shop', body)).status).toBe(400);
    expect(await now()).toEqual(before);
  });

  test('a change on an older version is refused with both sides; each one is kept for good', async () => {
    const { version, name } = await now();
    const first = await api('PATCH', '/shop', { version, change: { name: 'Ours' } });
    expect(first.body).toMatchObject({ name: 'Ours', version: version + 1 });
    const stale = await api('PATCH', '/shop', { version, change: { overrides: { 'labour.rate': 80 } } });
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({
      theirVersion: version + 1,
      theirs: { name: 'Ours' },
      yours: { overrides: { 'labour.rate': 80 } },
    });
    expect((await now()).overrides).toEqual({});
    const sql = (text: string) => server.running.orm.em.fork().getConnection().execute(text);
    expect(await sql(`select change from shop_change where version = ${version + 1}`)).toEqual([
      { change: '{"name":"Ours"}' },
    ]);
    expect(await sql('delete from shop_change').catch(String)).toMatch(/append-only/);
    await saved({ name });
  });

  test.each<[string, object, RegExp]>([
    ['a name that is none', { overrides: { 'labour.rates': 5 } }, /labour\.rates: is not an assumption/],
    ['a value out of range', { overrides: { 'tax.percent': 90 } }, /90 is outside 0 to 40 %/],
    ['a currency that is none', { currency: 'EUX' }, /"EUX" is not a currency/],
    ['a school that is none', { school: 'guess' }, /school/],
    ['no name', { name: '' }, /name/],
    ['nothing', {}, /nothing to change/],
    ['a field that is none', { nmae: 'x' }, /nmae/i],
    ['a name that is a number', { name: 5 }, /name/],
  ])('%s is refused, said why, and nothing is kept', async (_, change, message) => {
    const before = await now();
    const answer = await api('PATCH', '/shop', { version: before.version, change });
    expect(answer.status).toBe(400);
    expect((answer.body as { detail: string }).detail).toMatch(message);
    expect(await now()).toEqual(before);
  });

  test('currency and school reach the advice; a docket\u2019s own school outranks the shop\u2019s', async () => {
    const { id, advice } = await opened('merrowby 2018 minibus, abs light, C0A31-13 front left');
    expect(advice.plan.school).toBe(shop.school);
    await saved({ currency: 'GBP', school: 'far-away' });
    const view: { version: number; docket: object; advice: Advice } = (await api('GET', `/dockets/${id}`))
      .body;
    expect(view.advice.currency).toBe('GBP');
    expect(view.advice.plan.school).toBe('far-away');
    const own: { advice: Advice } = (
      await api('PUT', `/dockets/${id}`, {
        version: view.version,
        docket: { ...view.docket, options: { school: 'lift-at-hand' } },
        label: 'school',
      })
    ).body;
    expect(own.advice.plan.school).toBe('lift-at-hand');
    await saved({});
  });

  test('what a page needs to advise by itself is what the server advised with', async () => {
    await saved({ overrides: { 'labour.rate': 91 } });
    const { id } = await opened('merrowby 2018 minibus, abs light, C0A31-13 front left');
    const knowledge: Knowledge = (await api('GET', `/dockets/${id}/knowledge`)).body;
    expect(knowledge.overrides).toEqual({ 'labour.rate': 91 });
    expect(knowledge.slice.vehicle?.make).toBe('Merrowby');
    expect(knowledge.slice.parts.length).toBeGreaterThan(3);
    expect(knowledge.today).toMatch(/^\d{4}-\d\d-\d\d$/);
    await saved({});
  });
});

describe('parts over the wire', () => {
  test('a part that is not there is said so; a class that is none is refused', async () => {
    expect((await api('GET', '/parts/NO-SUCH-PART')).status).toBe(404);
    expect((await api('GET', '/parts?class=wheel')).status).toBe(400);
    expect(
      (await api('POST', '/match', { partClass: 'sensor', readings: [{ key: 'reach', value: -1 }] })).status,
    ).toBe(400);
  });

  test('what the shop pays and the deposit come with a part', async () => {
    const found: Array<{ number: string; costCents: number | null; priceCents: number; coreCents: number }> =
      (await api('GET', '/parts?q=drive shaft&class=axle-shaft')).body;
    expect(found.length).toBeGreaterThan(0);
    for (const part of found) {
      expect(part.costCents).not.toBeNull();
      expect(part.costCents ?? 0).toBeLessThan(part.priceCents);
    }
    expect(found.some(({ coreCents }) => coreCents > 0)).toBe(true);
  });
});

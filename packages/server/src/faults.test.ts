import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import type { DocketView } from '@hardy/core/contract';
import { faultInWords } from './log.ts';
import { withConnection } from './store/rawConnection.ts';
import { openScenario } from './tests/openScenario.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
const said: string[] = [];
beforeAll(async () => {
  server = await openScenario();
  jest.spyOn(process.stderr, 'write').mockImplementation((text) => said.push(String(text)) > 0);
});
afterAll(async () => {
  jest.restoreAllMocks();
  await server.running.stop();
});

const pragma = (text: string) => withConnection(server.running.orm, (connection) => connection.pragma(text));
const opened = async (): Promise<DocketView> =>
  (await server.api('POST', '/dockets', { words: 'merrowby 2018 minibus, abs light, C0A31-13 front left' }))
    .body;
const put = async (view: DocketView, name: string) =>
  server.api('PUT', `/dockets/${view.id}`, {
    version: view.version,
    docket: { ...view.docket, customer: { name } },
    label: 'name',
  });

describe('when the disk gives out', () => {
  test('a full disk is 507, nothing is changed, reading goes on, and all is well when there is room', async () => {
    const view = await opened();
    const [{ page_count: pages }] = (await pragma('page_count')) as [{ page_count: number }];
    await pragma(`max_page_count = ${pages}`);
    let last = await put(
      { ...view, docket: { ...view.docket, words: 'Isbister '.repeat(2000) } },
      'Isbister',
    );
    for (let i = 0; i < 100 && last.status === 200; i++) last = await put(last.body, `Isbister ${i}`);
    expect(last.status).toBe(507);
    expect((last.body as { detail: string }).detail).toMatch(/the disk is full: nothing was changed/);
    const stands: DocketView = (await server.api('GET', `/dockets/${view.id}`)).body;
    await pragma('max_page_count = 1073741823');
    expect((await put(stands, 'room again')).status).toBe(200);
  });

  test('a file that may not be written is 503, and reading goes on', async () => {
    const view = await opened();
    await pragma('query_only = ON');
    const answer = await put(view, 'read only');
    expect(answer.status).toBe(503);
    expect((answer.body as { title: string }).title).toBe('Not writable');
    expect((await server.api('GET', `/dockets/${view.id}`)).status).toBe(200);
    expect((await server.api('GET', '/parts?q=ring')).status).toBe(200);
    await pragma('query_only = OFF');
    expect((await put(view, 'writable')).status).toBe(200);
  });

  test('what is written of a fault names the place in our files and nothing of a customer, no SQL', () => {
    expect(said.length).toBeGreaterThan(1);
    for (const line of said) {
      expect(line).toMatch(/^\d{4}-\d\d-\d\dT\S+ fault \w+/);
      expect(line).not.toMatch(/Isbister|insert|update|select|docket_change|read only/i);
    }
    expect(faultInWords(new TypeError('customer Isbister is undefined'), new Date(0))).toMatch(
      /^1970-01-01T00:00:00\.000Z fault TypeError at packages\/server\/src\/faults\.test\.ts/,
    );
    expect(faultInWords('Isbister')).not.toContain('Isbister');
  });
});

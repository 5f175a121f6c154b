import { join } from 'node:path';
import { start, type Running } from '../start.ts';

export const ROOT = join(__dirname, '../../../..');

/** A running server on the demo scenario, in memory, on a free port; `api` calls it. */
export const openScenario = async (scenario = true) => {
  const running: Running = await start({
    database: ':memory:',
    port: 0,
    webFolder: null,
    scenario: scenario ? join(ROOT, 'demo') : null,
  });
  const api = async (method: string, path: string, body?: unknown) => {
    const response = await fetch(`${running.address}/api${path}`, {
      method,
      ...(body === undefined
        ? {}
        : {
            body: typeof body === 'string' ? body : JSON.stringify(body),
            headers: { 'content-type': 'application/json' },
          }),
    });
    const text = await response.text();
    return {
      status: response.status,
      type: response.headers.get('content-type'),
      body: JSON.parse(text || 'null') as never,
    };
  };
  return { running, api };
};

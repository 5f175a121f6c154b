import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { start, type Running } from '../start.ts';

export const ROOT = join(__dirname, '../../../..');

/**
 * A running server on the demo scenario, in a folder of its own, on a free port; `api` calls it.
 * @param at a database that is there already; it outlives the server
 */
export const openScenario = async (scenario = true, devices?: object, at?: string) => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-test-'));
  const file = join(folder, 'devices.json');
  if (devices) writeFileSync(file, JSON.stringify(devices));
  const database = at ?? join(folder, 'test.sqlite');
  const opened: Running = await start({
    database,
    port: 0,
    webFolder: null,
    scenario: scenario ? join(ROOT, 'demo') : null,
    devices: devices ? file : null,
  });
  const running: Running = {
    ...opened,
    async stop() {
      await opened.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
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
  return { running, api, database };
};

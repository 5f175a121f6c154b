import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DocketView } from '@hardy/core/contract';
import { caller, hasEnded, isOpen, ownServer } from '../scripts/ownServer.ts';
import { sized } from './size.ts';

const PORT = 4399;
const call = caller(`http://127.0.0.1:${PORT}/api`);
const median = (times: number[]) => times.sort((a, b) => a - b)[times.length >> 1] ?? 0;

/** What a change at a desk waits for, in milliseconds (medians): alone, beside three training customers, beside a comparison. */
export const trainingBeside = async () => {
  const folder = mkdtempSync(join(tmpdir(), 'training-'));
  const server = ownServer({
    root: join(import.meta.dirname, '..'),
    port: PORT,
    database: join(folder, 'shop.sqlite'),
    demo: true,
    backups: 'none',
  });
  try {
    await isOpen(server);
    const words = 'merrowby 2018 minibus, abs light, C0A31-13 front left';
    let view = await call<DocketView>('POST', '/dockets', { words });
    let n = 0;
    const change = async (): Promise<number> => {
      const began = performance.now();
      view = await call<DocketView>('PUT', `/dockets/${view.id}`, {
        version: view.version,
        docket: { ...view.docket, wants: [`wish ${n++}`] },
        label: 'wish',
      });
      return performance.now() - began;
    };
    const whileOthers = async (others: () => Promise<unknown>, least: number): Promise<number> => {
      let isOver = false;
      const beside = others().finally(() => (isOver = true));
      const waits: number[] = [];
      while (!isOver || waits.length < least) waits.push(await change());
      await beside;
      return median(waits);
    };
    for (let i = 0; i < sized(30, 1); i++) await change();
    const alone = await whileOthers(() => Promise.resolve(), sized(40, 2));
    const { id: learnerId } = await call<{ id: string }>('POST', '/practice/learners', { name: 'Ada' });
    const walkIn = () => call('POST', '/practice/visits', { learnerId, level: 2 });
    await walkIn();
    const training = await whileOthers(() => Promise.all([walkIn(), walkIn(), walkIn()]), sized(10, 1));
    const compared = await whileOthers(
      async () => {
        for (let seed = 1; seed <= sized(5, 1); seed++)
          await call('GET', `/dockets/${view.id}/compare?seed=${seed}`);
      },
      sized(10, 1),
    );
    return { alone, training, compared };
  } finally {
    server.kill('SIGTERM');
    await hasEnded(server);
    rmSync(folder, { recursive: true, force: true });
  }
};

import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_ARGS } from '../e2e/chromiumArgs.ts';
import { caller, hasEnded, isOpen, ownServer } from '../scripts/ownServer.ts';
import { startStandIns } from '../scripts/standIns.mjs';
import { sized } from './size.ts';

export interface LiveFrames {
  /** Longest time between two frames of the page with live speeds, and of an empty page in the same browser, ms. */
  readonly longest: number;
  readonly idle: number;
  /** Frames over 100 ms, of how many. */
  readonly late: number;
  readonly frames: number;
  /** Samples that came in a second. */
  readonly hz: number;
}

const WATCHED_S = sized(20, 2);

/** Runs in the page, so it is plain script: what compiles us leaves helpers in functions that the page has not. */
const GAPS = (ms: number) => `new Promise((resolve) => {
  const gaps = [];
  const began = performance.now();
  let last = began;
  const frame = (now) => {
    gaps.push(now - last);
    last = now;
    if (now - began < ${ms}) requestAnimationFrame(frame);
    else resolve(gaps.slice(1));
  };
  requestAnimationFrame(frame);
})`;

/** Gaps between frames of a page over so many seconds, ms. */
const gapsOf = (page: Page, seconds: number): Promise<number[]> => page.evaluate(GAPS(seconds * 1000));

/** Watches live speeds at 50 Hz while the bench vehicle drives, frame by frame, beside an empty page as the measure. */
export const liveFrames = async (): Promise<LiveFrames> => {
  const folder = mkdtempSync(join(tmpdir(), 'live-'));
  const standIns = await startStandIns(join(folder, 'devices.json'));
  const port = 4797;
  const server = ownServer({
    root: join(import.meta.dirname, '..'),
    port,
    database: join(folder, 'live.sqlite'),
    demo: true,
    devices: standIns.file,
  });
  const browser = await chromium.launch({
    executablePath: process.env.HARDY_CHROMIUM ?? '/usr/bin/chromium',
    args: CHROMIUM_ARGS,
  });
  try {
    await isOpen(server);
    const api = caller(`http://127.0.0.1:${port}/api`);
    const { id } = await api<{ id: string }>('POST', '/dockets', {
      words: 'merrowby 2018 minibus, abs light, C0034-13 front right',
    });
    await api('POST', '/devices/bench/vehicle', { docketId: id, seed: 4 });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto('about:blank');
    const idle = Math.max(...(await gapsOf(page, WATCHED_S / 2)));
    await page.goto(`http://127.0.0.1:${port}/docket/${id}/trace?live`);
    await page.getByText('live from the reader').waitFor();
    await api('POST', '/devices/bench/drive', { drive: 'town' });
    await page.waitForTimeout(2000);
    const samples = async () =>
      Number(/([\d,]+) samples/.exec(await page.locator('.trace-sheet').innerText())?.[1]?.replace(',', ''));
    const before = await samples();
    const began = performance.now();
    const gaps = await gapsOf(page, WATCHED_S);
    const hz = (1000 * ((await samples()) - before)) / (performance.now() - began);
    return {
      longest: Math.max(...gaps),
      idle,
      late: gaps.filter((gap) => gap > 100).length,
      frames: gaps.length,
      hz,
    };
  } finally {
    await browser.close();
    server.kill('SIGTERM');
    await hasEnded(server);
    standIns.stop();
    rmSync(folder, { recursive: true, force: true });
  }
};

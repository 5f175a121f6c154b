import { chromium } from '@playwright/test';
import { start } from '@hardy/server';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { CHROMIUM_ARGS } from '../e2e/chromiumArgs.ts';
import type { Timing } from './measure.ts';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const LINE = 'merrowby 2018 minibus, abs light, C0A31-13 front left, new sensor 3 weeks ago';

/**
 * From a key pressed in the counter line to the answer drawn, measured inside the browser: each key's input event to
 * the frame after the reading for that text arrived.
 */
export const keystrokes = async (): Promise<Timing> => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-keys-'));
  const running = await start({
    database: join(folder, 'keys.sqlite'),
    port: 0,
    webFolder: join(ROOT, 'packages/web/dist'),
    scenario: join(ROOT, 'demo'),
  });
  const browser = await chromium.launch({
    executablePath: process.env.HARDY_CHROMIUM ?? '/usr/bin/chromium',
    args: CHROMIUM_ARGS,
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(running.address);
    await page.getByRole('textbox', { name: 'Counter line' }).focus();
    await page.evaluate(() => {
      const times: number[] = [];
      let began = 0;
      document.addEventListener('input', () => (began = performance.now()), true);
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries())
          if (entry.name.endsWith('/api/intake') && began > 0) {
            const from = began;
            requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - from)));
          }
      }).observe({ type: 'resource' });
      Object.assign(window, { keyTimes: times });
    });
    for (const letter of LINE) {
      await page.keyboard.type(letter);
      await page.waitForTimeout(120);
    }
    const times = (await page.evaluate(() => (window as unknown as { keyTimes: number[] }).keyTimes)).sort(
      (a, b) => a - b,
    );
    const at = (share: number) => times[Math.min(times.length - 1, Math.floor(share * times.length))] ?? NaN;
    return { median: at(0.5), p95: at(0.95), runs: times.length };
  } finally {
    await browser.close();
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  }
};

import { chromium } from '@playwright/test';
import { start } from '@hardy/server';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { CHROMIUM_ARGS } from '../e2e/chromiumArgs.ts';
import type { Timing } from './measure.ts';
import { sized } from './size.ts';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const LINE = 'merrowby 2018 minibus, abs light, C0A31-13 front left, new sensor 3 weeks ago';
const WORDS = 'front left ring cracked and the right is fine, no play. '.repeat(sized(91, 3));

/** What happens from a key pressed in the counter line, measured inside the browser. */
export interface Keystrokes {
  /** To the frame after the reading for that text arrived. */
  readonly reading: Timing;
  /** To the frame after the sentence to say was set. */
  readonly answer: Timing;
  /** Of that, the advice worked out in the worker. */
  readonly advise: Timing;
  /** To the reading, with a thousand words in the line. */
  readonly thousandWords: Timing;
}

const timing = (all: readonly number[]): Timing => {
  const times = [...all].sort((a, b) => a - b);
  const at = (share: number) => times[Math.min(times.length - 1, Math.floor(share * times.length))] ?? NaN;
  return { median: at(0.5), p95: at(0.95), runs: times.length };
};

/** Types into the counter line key by key and reads the times off the browser's own clock. */
export const keystrokes = async (): Promise<Keystrokes> => {
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
      const taken: Record<'reading' | 'answer' | 'advise', number[]> = {
        reading: [],
        answer: [],
        advise: [],
      };
      let began = 0;
      document.addEventListener('input', () => (began = performance.now()), true);
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) {
          if (entry.entryType === 'measure' && entry.name === 'advise') taken.advise.push(entry.duration);
          const read = entry.name.endsWith('/api/preview') && began > 0;
          if (!read && entry.name !== 'answer') continue;
          const times = read ? taken.reading : taken.answer;
          const from = began;
          requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - from)));
        }
      }).observe({ entryTypes: ['resource', 'mark', 'measure'] });
      Object.assign(window, { taken });
    });
    const type = async (words: string, pause: number) => {
      for (const letter of words) {
        await page.keyboard.type(letter);
        await page.waitForTimeout(pause);
      }
    };
    const read = (name: string) =>
      page.evaluate(
        (key) => (window as unknown as { taken: Record<string, number[]> }).taken[key]?.splice(0) ?? [],
        name,
      );
    // Slower than advising takes, so that each key is answered before the next.
    await type(LINE.slice(0, sized(LINE.length, 12)), 350);
    const [reading, answer, advise] = [await read('reading'), await read('answer'), await read('advise')];
    await page.getByRole('textbox', { name: 'Counter line' }).fill(WORDS);
    await page.waitForTimeout(3000);
    await read('reading');
    await type(', and the rear left too'.slice(0, sized(23, 3)), 500);
    return {
      reading: timing(reading),
      answer: timing(answer),
      advise: timing(advise),
      thousandWords: timing(await read('reading')),
    };
  } finally {
    await browser.close();
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  }
};

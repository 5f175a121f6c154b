import { expect, test, type Page } from '@playwright/test';

/* Whatever is typed fast goes to the counter line, whatever has the focus outside a field. */

const SENTENCES = [
  'abs light on front left',
  'no play rear right',
  'connector corroded inside',
  'cleared it and it came back',
  'box trailer second axle',
  'under the bonnet all fine',
  'ring rusted, sensor tip clean',
  'tyre changed last week',
  'has had a new hub',
  'battery went flat at christmas',
];
const FAST = { delay: 5 };

const line = (page: Page) => page.getByRole('textbox', { name: /Counter line|Add what you hear/ });

/** Types at once, and sees every character in the line. */
const types = async (page: Page, sentence: string): Promise<void> => {
  await page.keyboard.type(sentence, FAST);
  await expect(line(page)).toHaveValue(sentence, { timeout: 15_000 });
  await line(page).fill('');
  await line(page).press('Escape');
};

/**
 * Types on a screen without a line: the words bring back one that has. The screen left may still be drawn when they are
 * there, so they count when the line is where it stays.
 */
const broughtBack = async (page: Page, sentence: string): Promise<void> => {
  await page.keyboard.type(sentence, FAST);
  await page.waitForURL(/^[^/]+\/\/[^/]+\/(docket\/[^/]+)?$/, { timeout: 60_000 });
  await expect(line(page)).toHaveValue(sentence, { timeout: 15_000 });
  await line(page).fill('');
  await line(page).press('Escape');
};

const opened = async (page: Page): Promise<string> => {
  const view = (await (
    await page.request.post('/api/dockets', {
      data: { words: 'merrowby 2018 minibus, abs light, C0A31-13 front left' },
    })
  ).json()) as { id: string };
  await page.goto(`/docket/${view.id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  return view.id;
};

test('right after a dialog closed', async ({ page }) => {
  test.setTimeout(120_000);
  await opened(page);
  for (const key of ['c', 'f', 'x', '?', 'c', 'x'])
    for (const start of ['', '/']) {
      const sentence = SENTENCES[key.charCodeAt(0) % SENTENCES.length] ?? '';
      await page.keyboard.press(key);
      await expect(page.getByRole('dialog')).toBeVisible();
      await page.keyboard.press('Escape');
      if (start) await page.keyboard.press(start);
      await types(page, sentence);
      expect(new URL(page.url()).pathname).toMatch(/^\/docket\/[^/]+$/);
    }
});

test('right after a screen was changed, and on a screen that has no line', async ({ page }) => {
  test.setTimeout(120_000);
  await opened(page);
  for (const [i, key] of ['w', 't', 'b', 'w', 't', 'b', 'p', 'b'].entries()) {
    if (key === 'b') {
      await page.goto('/');
      await expect(line(page)).toBeVisible();
      await line(page).press('Escape');
      await page.getByRole('link', { name: 'Trace bench' }).click();
    } else {
      if (!/^\/docket\/[^/]+$/.test(new URL(page.url()).pathname)) await opened(page);
      await page.keyboard.press(key);
      await page.waitForURL(/compare|trace|sheet/);
    }
    await broughtBack(page, SENTENCES[i % SENTENCES.length] ?? '');
  }
});

test('on a busy computer, where keys come late and apart', async ({ page }) => {
  test.setTimeout(240_000);
  await opened(page);
  const browser = await page.context().newCDPSession(page);
  await browser.send('Emulation.setCPUThrottlingRate', { rate: 8 });
  for (const [i, key] of ['t', 'w'].entries()) {
    await opened(page);
    await page.keyboard.press(key);
    await page.waitForURL(/compare|trace|sheet/);
    await broughtBack(page, SENTENCES[i] ?? '');
  }
});

test('while a docket is being opened: the words sent open it, what comes after stands on it', async ({
  page,
}) => {
  test.setTimeout(120_000);
  for (const sentence of SENTENCES) {
    await page.goto('/');
    await page.keyboard.type('tolvane skerry 2018 abs light C1B20', FAST);
    await page.keyboard.press('Enter');
    await page.keyboard.type(sentence, FAST);
    await page.waitForURL(/docket/);
    await expect(page.getByTestId('verdict')).toBeVisible();
    await expect(line(page)).toHaveValue(sentence, { timeout: 15_000 });
    await line(page).fill('');
  }
});

test('a single letter typed while the docket is being opened is a letter', async ({ page }) => {
  await page.goto('/');
  await page.route('**/api/dockets', async (route) => {
    await new Promise((go) => setTimeout(go, 900));
    await route.continue();
  });
  await page.keyboard.type('tolvane skerry 2018 abs light C1B20', FAST);
  await page.keyboard.press('Enter');
  await page.waitForTimeout(300);
  await page.keyboard.press('c');
  await page.waitForURL(/docket/);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(line(page)).toHaveValue('c');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a paste outside a field goes to the line; a letter alone is a command', async ({ page }) => {
  await opened(page);
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'C0034-13 rear right');
    document.body.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(line(page)).toHaveValue('C0034-13 rear right');
  await line(page).fill('');
  await line(page).press('Escape');
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toContainText('Which check was made?');
});

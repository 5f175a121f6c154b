import AxeBuilder from '@axe-core/playwright';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { made, read } from './dockets.ts';

const WORDS = 'merrowby 2018 minibus, abs light, C0034-13 front right';
/** Of this vehicle on the bench: with one seed the sensor is open inside, with the other the loom is broken. */
const OPEN_SENSOR = 4;
const BROKEN_LOOM = 18;

/** A key alone is a command: a hand rests between two. */
const key = async (page: Page, name: string) => {
  await page.keyboard.press(name);
  if (name.length === 1) await page.waitForTimeout(250);
};
const enterOn = async (page: Page, name: string | RegExp, within: string) => {
  await page.getByRole('region', { name: within }).getByRole('button', { name }).focus();
  await key(page, 'Enter');
};
const saved = (page: Page) => expect(page.getByText('not saved yet')).toHaveCount(0);
const lamp = (page: Page) => page.getByTestId('lamp');
const onBench = async (request: APIRequestContext, docketId: string, seed: number) => {
  const answer = await request.post('/api/devices/bench/vehicle', { data: { docketId, seed } });
  expect(answer.status()).toBe(200);
};
const devicesOf = async (page: Page, id: string) => {
  await page.goto(`/docket/${id}/devices`);
  await expect(page.getByRole('region', { name: 'Reader', exact: true })).toBeVisible();
};
/** Takes the first offer, orders what the shelf has not by wire, books it in, hands it over. */
const soldAndHere = async (page: Page, id: string, number: number) => {
  await page.goto(`/docket/${id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await key(page, 'o');
  await key(page, 'Enter');
  await expect(page.getByRole('region', { name: 'Order', exact: true })).toContainText('wheel speed sensor');
  await saved(page);
  await page.goto('/orders');
  const missing = page
    .getByRole('region', { name: 'To be ordered' })
    .locator('.supplier')
    .filter({ hasText: `docket ${number}` });
  await expect(missing.first()).toBeVisible();
  await missing.first().getByRole('button', { name: 'ask their stock' }).first().focus();
  await key(page, 'Enter');
  await expect(missing.first().getByRole('status').first()).toContainText(/harbour depot \d/);
  await missing
    .first()
    .getByRole('button', { name: /^Order/ })
    .focus();
  await key(page, 'Enter');
  const order = page.getByRole('article', { name: /^Order \d/ }).filter({ hasText: String(number) });
  await order.getByRole('button', { name: 'Send by wire' }).focus();
  await key(page, 'Enter');
  await expect(order).toContainText(/by wire, W-\d+/);
  await order.getByRole('button', { name: 'It is here' }).focus();
  await key(page, 'Enter');
  await page.getByRole('button', { name: 'Book it in' }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.goto(`/docket/${id}`);
  await expect(page.getByTestId('next')).toContainText('All is put aside');
  await key(page, 'h');
  await saved(page);
};
/** Fits what the docket took, clears the codes, drives to the end and reads again. */
const fittedAndProved = async (page: Page) => {
  await enterOn(page, /^Fit the wheel speed sensor/, 'Bench');
  await expect(page.getByText(/wheel speed sensor fitted at front right/)).toBeVisible();
  await key(page, 'c');
  await page.getByRole('button', { name: 'Clear', exact: true }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('dialog')).toContainText('Cleared: ABS, Engine, Gearbox');
  await key(page, 'Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await enterOn(page, 'Yard and town', 'Bench');
  await expect(page.getByRole('progressbar', { name: 'The drive' })).toBeVisible();
  await key(page, 'e');
  await expect(page.getByRole('button', { name: 'Yard and town' })).toBeVisible();
  await key(page, 'r');
  await expect(page.getByRole('button', { name: /It was driven since/ })).toBeVisible();
  await key(page, 'p');
  await expect(page.getByText('The codes stand on the docket.')).toBeVisible();
  await saved(page);
};

test('read, watched live, measured, ordered by wire, fitted, cleared, driven: lamps out', async ({
  page,
  request,
}) => {
  test.setTimeout(180_000);
  const view = await made(request, WORDS);
  await onBench(request, view.id, OPEN_SENSOR);
  await devicesOf(page, view.id);
  await key(page, 'i');
  await expect(page.getByText('answers').first()).toBeVisible();
  await expect(lamp(page)).toHaveText('anti-lock lamp lit');

  // Read: the echo in the gearbox is tied to its root.
  await key(page, 'r');
  await expect(page.getByRole('table', { name: 'Codes as read' })).toContainText('C0034-13');
  await expect(page.getByRole('table', { name: 'Codes as read' })).toContainText('U0415');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await key(page, 'p');
  await expect(page.getByText('The codes stand on the docket.')).toBeVisible();
  await saved(page);
  await key(page, 'b');
  await expect(page.getByText(/1 echoes of the brake controller.*explained by C0034-13/)).toBeVisible();

  // Live while the bench drives, then studied, and the finding put on the docket.
  await key(page, 't');
  await expect(page.getByRole('heading', { name: 'Trace bench' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Live from the reader' })).toBeVisible();
  await key(page, 'v');
  await expect(page.getByRole('region', { name: 'Live speeds' })).toContainText('live from the reader');
  await expect(page.getByRole('button', { name: 'Drive the bench vehicle' })).toBeEnabled();
  await key(page, 'g');
  await expect(page.getByRole('button', { name: /^driving, / })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'front right' })).toContainText(
    'off the others',
    {
      timeout: 40_000,
    },
  );
  await expect(page.getByRole('listitem').filter({ hasText: 'rear left' })).not.toContainText(
    'off the others',
  );
  // A study wants some driving.
  await page.waitForTimeout(12_000);
  await key(page, 's');
  const put = page.getByRole('button', { name: 'Put A1R on the docket' });
  await expect(put).toBeVisible({ timeout: 30_000 });
  await put.focus();
  await key(page, 'Enter');
  await expect(page).toHaveURL(new RegExp(`/docket/${view.id}$`));
  await saved(page);

  // Supply at the plug, from the meter, onto the check.
  await key(page, 'c');
  await page.getByRole('button', { name: /meter the supply/ }).focus();
  await key(page, 'Enter');
  await page.getByRole('button', { name: 'Read the meter' }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('dialog').getByRole('textbox', { name: /, V$/ }).first()).toHaveValue(
    /^1[0-3](\.\d+)?$/,
  );
  await page.getByRole('button', { name: 'Add', exact: true }).focus();
  await key(page, 'Enter');
  await saved(page);
  const checks = (await read(request, view.id)).docket.checks ?? [];
  expect(checks.map(({ check }) => check)).toEqual(['live', 'meter.supply']);

  await soldAndHere(page, view.id, view.number);
  // The drive before may still be under way: it is brought to its end.
  await devicesOf(page, view.id);
  await key(page, 'e');
  await fittedAndProved(page);
  await expect(lamp(page)).toHaveText('anti-lock lamp out');
  const after = (await read(request, view.id)).docket;
  expect(after.proof).toMatchObject({ codesBack: false });
  // What the job was done for stays on the docket.
  expect(after.codes?.map(({ code }) => code)).toContain('C0034-13');
});

test('the same with the wrong part: the lamp is back, and so is the code', async ({ page, request }) => {
  test.setTimeout(120_000);
  const view = await made(request, WORDS);
  await onBench(request, view.id, BROKEN_LOOM);
  await soldAndHere(page, view.id, view.number);
  await devicesOf(page, view.id);
  await fittedAndProved(page);
  await expect(lamp(page)).toHaveText('anti-lock lamp lit');
  expect((await read(request, view.id)).docket).toMatchObject({
    proof: { codesBack: true },
    codesCleared: true,
  });
  // Then the loom is looked at, found, and mended: that was it.
  await page.getByLabel('Check', { exact: true }).selectOption('visual.harness');
  await enterOn(page, 'Do this check', 'Bench');
  await expect(page.getByText(/It stands on the docket\./)).toBeVisible();
  await page.getByLabel('Work without a part').selectOption('loom');
  await enterOn(page, 'Do this work', 'Bench');
  await key(page, 'c');
  await page.getByRole('button', { name: 'Clear', exact: true }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('dialog')).toContainText('Cleared: ABS');
  await key(page, 'Escape');
  await enterOn(page, 'Yard and town', 'Bench');
  await key(page, 'e');
  await expect(lamp(page)).toHaveText('anti-lock lamp out');
});

test('codes are kept while the vehicle moves, and while the docket says stop', async ({ page, request }) => {
  const view = await made(request, WORDS);
  await onBench(request, view.id, BROKEN_LOOM);
  await devicesOf(page, view.id);
  await enterOn(page, /^Yard$/, 'Bench');
  await expect(page.getByText(/, [1-9]\d* km\/h/)).toBeVisible({ timeout: 20_000 });
  await key(page, 'c');
  await page.getByRole('button', { name: 'Clear', exact: true }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('alert')).toContainText('the vehicle moves');
  await key(page, 'Escape');
  await key(page, 'e');
  const stop = await made(
    request,
    'merrowby 2018 minibus, abs light, C0037-13 rear left, clear play and growl rear left',
  );
  await devicesOf(page, stop.id);
  await expect(page.getByText('Another docket\u2019s vehicle stands on it')).toBeVisible();
  // Nothing of it may come onto this docket.
  await expect(page.getByRole('button', { name: 'Volts DC' })).toBeDisabled();
  await key(page, 'r');
  await expect(page.getByRole('alert')).toContainText('vehicle stands on the bench');
  await key(page, 'c');
  await page.getByRole('button', { name: 'Clear', exact: true }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('alert')).toContainText('may not be driven');
});

test('a trailer speaks over its bus: listened to on the bench, or read from a frame log', async ({
  page,
  request,
}) => {
  const view = await made(request, 'box trailer with three axles, abs lamp, SPN 792 FMI 5');
  await onBench(request, view.id, 3);
  await devicesOf(page, view.id);
  await enterOn(page, 'Listen to its bus', 'Bench');
  await expect(page.getByText(/SPN 792 FMI 5 (active|stored).*on the docket/)).toBeVisible();
  await saved(page);
  expect((await read(request, view.id)).docket.modulesRead).toContain('Brakes (bus 0B)');
  await key(page, 'r');
  await expect(page.getByRole('alert')).toContainText('does not let the reader in');
  // The same as a file that somebody brought.
  const { log } = (await (await request.get('/api/devices/bench/frame-log')).json()) as { log: string };
  await page.getByLabel('Frame log').setInputFiles({
    name: 'trailer.log',
    mimeType: 'text/plain',
    buffer: Buffer.from(log),
  });
  await expect(
    page
      .getByRole('status')
      .filter({ hasText: /SPN 792 FMI 5.*on the docket/ })
      .first(),
  ).toBeVisible();
  await page.getByLabel('Frame log').setInputFiles({
    name: 'holiday.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('nothing of a bus'),
  });
  await expect(page.getByRole('alert').first()).toContainText('That is no frame log');
});

import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { openDocket } from './openDocket.ts';

const grave = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
};

test('counter', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type('minibus, abs light, front left, wibble');
  await expect(page.getByRole('list', { name: 'How this was read' })).toBeVisible();
  await expect(page.getByRole('table')).toBeVisible();
  expect(await grave(page)).toEqual([]);
});

test('docket with offers, with a question, with a stop, and its dialogs', async ({ page }) => {
  for (const vehicle of [
    'Osterhaal Brine',
    'Merrowby Creel',
    'Fennick Otter',
    'Bradwick Box Three',
    'Osterhaal Quay',
  ]) {
    await openDocket(page, vehicle);
    expect({ vehicle, grave: await grave(page) }).toEqual({ vehicle, grave: [] });
  }
  for (const key of ['c', 'x', '?']) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    expect({ key, grave: await grave(page) }).toEqual({ key, grave: [] });
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
});

test('trace bench with and without a log, shelf, match, setup and their dialogs', async ({ page }) => {
  await page.goto('/trace');
  await expect(page.getByText('Drop a wheel-speed log here.')).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.getByRole('button', { name: 'once every turn' }).click();
  await expect(page.getByRole('button', { name: /front right once every turn/ })).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.getByRole('button', { name: 'columns' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.goto('/shelf?q=tern&part=TR39024');
  await expect(page.getByRole('region', { name: 'Part TR39024' })).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.getByRole('button', { name: 'catalogue files' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.goto('/shelf?match=1&class=sensor');
  await page.getByRole('textbox', { name: /^reach/ }).fill('35');
  await expect(page.getByText(/Measure the .* next|It is /)).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.goto('/setup');
  await expect(page.getByRole('textbox', { name: 'Labour › rate, EUR/h' })).toBeVisible();
  expect(await grave(page)).toEqual([]);
});

test('an order taken, its sheets in both languages, a quote, suppliers', async ({ page }) => {
  await openDocket(page, 'Osterhaal Quay');
  await expect(page.getByRole('region', { name: 'Order' })).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.keyboard.press('p');
  await expect(page.getByRole('article').first()).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.getByRole('button', { name: /^Language/ }).click();
  await expect(page.getByRole('article', { name: /vorn/ }).first()).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.getByRole('link', { name: /Back to the docket/ }).click();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.keyboard.press('q');
  await expect(page.getByRole('checkbox').first()).toBeVisible({ timeout: 15000 });
  expect(await grave(page)).toEqual([]);
  await page.goto('/orders');
  await expect(page.getByRole('heading', { name: 'Suppliers' })).toBeVisible();
  expect(await grave(page)).toEqual([]);
});

test('at 200 % zoom nothing runs off to the side', async ({ page }) => {
  await openDocket(page, 'Osterhaal Brine');
  // 1280 wide at 200 % is 640 of the page's own pixels.
  await page.setViewportSize({ width: 640, height: 400 });
  const over = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(await over()).toBeLessThanOrEqual(0);
  for (const address of [
    '/trace',
    '/shelf?q=tern&part=TR39024',
    '/shelf?match=1&class=sensor',
    '/setup',
    '/orders',
  ]) {
    await page.goto(address);
    await page.waitForLoadState('networkidle');
    expect({ address, over: await over() }).toEqual({ address, over: expect.any(Number) });
    expect(await over()).toBeLessThanOrEqual(0);
  }
});

test('ways compared, taking one, and the page for the customer', async ({ page }) => {
  await openDocket(page, 'Osterhaal Brine');
  await page.keyboard.press('w');
  await expect(page.getByRole('slider').first()).toBeVisible({ timeout: 15000 });
  expect(await grave(page)).toEqual([]);
  await page
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('p');
  await expect(page.getByRole('article', { name: 'Ways to fix it' })).toBeVisible();
  expect(await grave(page)).toEqual([]);
});

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

test('hand-over sheet', async ({ page }) => {
  await openDocket(page, 'Osterhaal Quay');
  await page.keyboard.press('p');
  await expect(page.getByRole('article')).toBeVisible();
  expect(await grave(page)).toEqual([]);
});

test('at 200 % zoom nothing runs off to the side', async ({ page }) => {
  await openDocket(page, 'Osterhaal Brine');
  // 1280 wide at 200 % is 640 of the page's own pixels.
  await page.setViewportSize({ width: 640, height: 400 });
  const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(over).toBeLessThanOrEqual(0);
});

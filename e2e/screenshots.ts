import { expect, test, type Page } from '@playwright/test';
import { join } from 'node:path';

const FOLDER = join(import.meta.dirname, '../docs/screenshots');
const shoot = async (page: Page, name: string, fullPage = false) => {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(FOLDER, `${name}.png`), fullPage });
};
const open = async (page: Page, vehicle: string) => {
  await page.goto('/');
  await page
    .getByRole('row', { name: new RegExp(vehicle) })
    .first()
    .getByRole('link')
    .click();
  await expect(page.getByTestId('verdict')).toBeVisible();
};

test('pictures of the main views', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type('merrowby 2018 minibus, abs light, C0A31-13 front left, squeaky mat');
  await expect(page.getByRole('list', { name: 'How this was read' })).toContainText('front left');
  await shoot(page, 'counter');
  await open(page, 'Merrowby Mercy');
  await shoot(page, 'docket');
  await open(page, 'Merrowby Creel');
  await shoot(page, 'docket-question');
  await open(page, 'Fennick Otter');
  await shoot(page, 'docket-stop');
  await open(page, 'Osterhaal Quay');
  await shoot(page, 'order');
  await page.keyboard.press('p');
  await expect(page.getByRole('article')).toBeVisible();
  await shoot(page, 'sheet', true);
});

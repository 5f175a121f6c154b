import { expect, type Page } from '@playwright/test';

/** Opens the newest docket of a vehicle from the counter. */
export const openDocket = async (page: Page, vehicle: string): Promise<void> => {
  await page.goto('/');
  await page
    .getByRole('row', { name: new RegExp(vehicle) })
    .first()
    .getByRole('link')
    .click();
  await expect(page.getByTestId('verdict')).toBeVisible();
};

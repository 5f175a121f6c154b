import { expect, test, type Page } from '@playwright/test';

const open = async (page: Page, words: string) => {
  await page.goto('/');
  await page.keyboard.type(words);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
};

test('the plan is read as a tree, a step answered by one key re-plans, and the school is chosen on the docket', async ({
  page,
}) => {
  await open(page, 'quillon 2012 pickup, abs light, C0034-38 front right');
  const plan = page.getByRole('region', { name: 'The plan', exact: true });
  await expect(plan).toContainText(/to come/);
  await expect(plan).toContainText('What would change this answer');
  await expect(plan).toContainText(/sell the likely part would begin/);
  const before = await plan.innerText();
  const next = page.getByRole('region', { name: 'Next step' });
  await expect(next).toContainText(/min/);
  await page.keyboard.press('1');
  await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText('none made');
  await expect.poll(() => plan.innerText()).not.toBe(before);

  await plan.getByRole('combobox', { name: /school/ }).selectOption('far-away');
  await expect(plan).toContainText(/test first would begin/);
  await page.reload();
  await expect(plan.getByRole('combobox', { name: /school/ })).toHaveValue('far-away');
});

test('a judgement number changed in Setup shows what it turned, and goes back', async ({ page }) => {
  await open(page, 'quillon 2012 pickup, abs light, C0034 front right');
  const verdict = await page.getByTestId('verdict').innerText();
  await page.getByRole('link', { name: 'Setup' }).first().click();
  await page.getByRole('textbox', { name: 'Find an assumption' }).fill('labour rate');
  const rate = page.getByRole('textbox', { name: 'Labour › rate, EUR/h' });
  const old = await rate.inputValue();
  await rate.fill('5000');
  await expect(page.getByText('from 0 to 1000')).toBeVisible();
  await rate.press('Escape');
  await rate.fill('600');
  await rate.press('Enter');
  await expect(page.locator('.turned li').first()).toContainText('now:');
  await expect(page.getByText(`was ${old} EUR/h`)).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('verdict')).not.toHaveText(verdict);
  await page.goForward();
  await page.getByRole('button', { name: 'All back to the defaults' }).click();
  await expect(page.getByText('All back to the defaults')).toHaveCount(0);
  await page.goBack();
  await expect(page.getByTestId('verdict')).toHaveText(verdict);
});

import { expect, test, type APIRequestContext, type Page } from '@playwright/test';

/* The shop's settings as two desks and a hurried hand change them. */

const shop = async (request: APIRequestContext) =>
  (await (await request.get('/api/shop')).json()) as {
    version: number;
    name: string;
    overrides: Record<string, number>;
  };
const change = async (request: APIRequestContext, part: object) =>
  request.patch('/api/shop', { data: { version: (await shop(request)).version, change: part } });
const rate = (page: Page) => page.getByRole('textbox', { name: 'Labour › rate, EUR/h' });

test.afterEach(async ({ request }) => {
  const { overrides } = await shop(request);
  await change(request, {
    name: 'Harbour Parts Counter',
    overrides: Object.fromEntries(Object.keys(overrides).map((key) => [key, null])),
  });
});

test('two changes faster than the server answers are both kept', async ({ page, request }) => {
  await page.route('**/api/shop', async (route) => {
    if (route.request().method() === 'PATCH') await new Promise((go) => setTimeout(go, 700));
    await route.continue();
  });
  await page.goto('/setup');
  await rate(page).fill('91');
  await rate(page).press('Enter');
  await page.getByRole('textbox', { name: 'Name of the shop' }).fill('Quay counter');
  await page.getByRole('textbox', { name: 'Name of the shop' }).press('Tab');
  await expect(page.getByText('was 78 EUR/h')).toBeVisible();
  await expect
    .poll(async () => {
      const { name, overrides } = await shop(request);
      return [name, overrides['labour.rate']];
    })
    .toEqual(['Quay counter', 91]);
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a change on what another desk changed meanwhile is told, and is not shown as if it stood', async ({
  page,
  request,
}) => {
  await page.goto('/setup');
  await expect(rate(page)).toHaveValue('78');
  expect((await change(request, { overrides: { 'labour.rate': 95 } })).status()).toBe(200);
  await rate(page).fill('60');
  await rate(page).press('Enter');
  await expect(page.getByRole('alert')).toContainText('changed by someone else');
  await expect(rate(page)).toHaveValue('95');
  // On what stands now it goes.
  await rate(page).fill('60');
  await rate(page).press('Enter');
  await expect.poll(async () => (await shop(request)).overrides['labour.rate']).toBe(60);
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('by keyboard alone: found, changed, taken back', async ({ page, request }) => {
  await page.goto('/setup');
  await page.getByRole('textbox', { name: 'Find an assumption' }).focus();
  await page.keyboard.type('labour rate');
  await expect(page.getByText(/judgement: \d+ of/)).not.toContainText(/(\d+) of \1$/);
  await rate(page).focus();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('82');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await shop(request)).overrides['labour.rate']).toBe(82);
  await page.getByRole('button', { name: 'Labour › rate back to 78' }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await shop(request)).overrides['labour.rate']).toBeUndefined();
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 4, y: 400 } });
  await page.keyboard.press('u');
  await expect.poll(async () => (await shop(request)).overrides['labour.rate']).toBe(82);
});

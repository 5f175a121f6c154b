import { expect, test } from '@playwright/test';

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/docket/none');
  await expect(page.getByRole('alert')).toContainText('not here');
  await page.goto('/nonsense');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing is kept here');
});

test('two people change one docket: other fields are kept of both, the same field is chosen', async ({
  page,
  request,
}) => {
  const made = (await (
    await request.post('/api/dockets', { data: { words: 'tolvane skerry 2018 abs light C1B20' } })
  ).json()) as { id: string; version: number; docket: { vehicle: object } };
  const elsewhere = async (version: number, docket: object) => {
    const answer = await request.put(`/api/dockets/${made.id}`, {
      data: { version, docket, label: 'elsewhere' },
    });
    expect(answer.ok()).toBe(true);
  };
  await page.goto(`/docket/${made.id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await elsewhere(made.version, { ...made.docket, customer: { name: 'Other desk' } });
  await page.getByText(/^not known: .*road salt/).click();
  await page.getByLabel('Road salt').selectOption('high');
  await expect(page.locator('.docket-head')).toContainText('Other desk');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const both = (await (await request.get(`/api/dockets/${made.id}`)).json()) as typeof made & {
    docket: { vehicle: { saltExposure: string } };
  };
  expect(both.docket.vehicle.saltExposure).toBe('high');
  await elsewhere(both.version, {
    ...both.docket,
    vehicle: { ...both.docket.vehicle, saltExposure: 'none', knuckle: 'iron' },
  });
  await page.getByLabel('Road salt').selectOption('some');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('changed meanwhile');
  await expect(dialog.getByRole('row')).toHaveCount(2);
  await dialog.getByRole('button', { name: 'vehicle, salt exposure: yours, some' }).press('Enter');
  await dialog.getByRole('button', { name: 'Keep it so' }).press('Enter');
  await expect(dialog).toHaveCount(0);
  await expect(page.getByLabel('Road salt')).toHaveValue('some');
  await expect(page.getByLabel('Knuckle')).toHaveValue('iron');
});

test('when the server is away the words stay', async ({ page }) => {
  await page.goto('/');
  await page.route('**/api/dockets', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.keyboard.type('minibus abs light');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('does not answer');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toHaveValue('minibus abs light');
});

test('nothing is fetched from anywhere else', async ({ page }) => {
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith('http://127.0.0.1') && !request.url().startsWith('data:'))
      elsewhere.push(request.url());
  });
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await page.goto('/');
  await page.getByRole('row').nth(1).getByRole('link').click();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  expect(elsewhere).toEqual([]);
  expect(errors).toEqual([]);
});

test('a piece of the pages that does not come is loaded anew once, then told with a way on', async ({
  page,
}) => {
  let asked = 0;
  await page.route(/SetupScreen-.*\.js/, (route) => {
    asked++;
    return route.abort();
  });
  await page.goto('/');
  await page.getByRole('link', { name: 'Setup' }).click();
  await expect(page.getByRole('alert')).toContainText('A piece of it did not come');
  expect(asked).toBeGreaterThan(1);
  expect(asked).toBeLessThan(6);
  await page.unroute(/SetupScreen-.*\.js/);
  await page.getByRole('button', { name: 'Load the page anew' }).click();
  await expect(page.getByRole('heading', { name: 'Setup' })).toBeVisible();
  await page.getByRole('link', { name: 'Shelf' }).first().click();
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
});

test('where threads do not start the server reckons, and the page studies a log itself: no bar without an end', async ({
  page,
}) => {
  await page.route(/Worker-.*\.js/, (route) => route.abort());
  await page.goto('/');
  await page
    .getByRole('textbox', { name: 'Counter line' })
    .fill('tolvane skerry 2018 abs light C1B20 front left');
  await expect(page.locator('.answer-line')).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.getByRole('alert')).toContainText('The dials stand still');
  await expect(page.getByRole('table').first()).toBeVisible();
  await page.goto('/trace');
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({
      name: 'log.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('time,A1L,A1R,A2L,A2R\n0,1,1,1,1\n'),
    });
  await expect(page.getByRole('alert')).toContainText('log.csv');
  await expect(page.getByRole('status').filter({ hasText: 'studies the log itself' })).toBeVisible();
  await page.getByRole('button', { name: 'once every turn' }).click();
  await expect(page.getByRole('button', { name: /front right once every turn/ })).toBeVisible({
    timeout: 60_000,
  });
});

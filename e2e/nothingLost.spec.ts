import { expect, test, type Page } from '@playwright/test';

const line = (page: Page) => page.getByRole('textbox', { name: /Counter line|Add what you hear/ });

const opened = async (page: Page, words = 'tolvane skerry 2018 abs light C1B20'): Promise<string> => {
  const view = (await (await page.request.post('/api/dockets', { data: { words } })).json()) as {
    id: string;
  };
  await page.goto(`/docket/${view.id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  return view.id;
};

test('what stands in the counter line is there again after a reload; each line has its own words', async ({
  page,
}) => {
  await page.goto('/');
  await line(page).fill('minibus abs light front left');
  await page.reload();
  await expect(line(page)).toHaveValue('minibus abs light front left');
  const id = await opened(page);
  await expect(line(page)).toHaveValue('');
  await line(page).fill('no play');
  await line(page).press('Escape');
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/\/$/);
  await expect(line(page)).toHaveValue('minibus abs light front left');
  await page.goto(`/docket/${id}`);
  await expect(line(page)).toHaveValue('no play');
});

test('three times Enter, and once more after the answer was lost, is one docket', async ({
  page,
  request,
}) => {
  const counted = async () =>
    ((await (await request.get('/api/dockets?state=all&q=fennick')).json()) as { total: number }).total;
  const before = await counted();
  await page.goto('/');
  await line(page).fill('fennick gritter abs light front left');
  let lost = 0;
  await page.route('**/api/dockets', async (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    await route.fetch();
    lost++;
    return route.abort();
  });
  for (let i = 0; i < 3; i++) await line(page).press('Enter');
  await expect(page.getByRole('alert')).toContainText('does not answer');
  expect(lost).toBeGreaterThan(0);
  await page.unroute('**/api/dockets');
  await page.reload();
  await expect(line(page)).toHaveValue('fennick gritter abs light front left');
  await line(page).press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  expect(await counted()).toBe(before + 1);
  await page.goto('/');
  await expect(line(page)).toHaveValue('');
});

test('changes that wait for the server are marked, outlive a reload, and go by themselves, once', async ({
  page,
  request,
}) => {
  const id = await opened(page);
  await page.route(`**/api/dockets/${id}`, (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await page.route('**/api/health', (route) => route.abort());
  await page.getByText(/^not known: .*road salt/).click();
  await page.getByLabel('Road salt').selectOption('high');
  await page.getByLabel('Knuckle').selectOption('iron');
  await expect(page.getByText('2 changes not saved yet')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Road salt')).toHaveValue('high');
  await expect(page.getByText('2 changes not saved yet')).toBeVisible();
  await page.unroute(`**/api/dockets/${id}`);
  await page.unroute('**/api/health');
  await expect(page.getByText('not saved yet')).toHaveCount(0);
  await expect(page.getByRole('alert')).toHaveCount(0);
  const { docket, version } = (await (await request.get(`/api/dockets/${id}`)).json()) as {
    version: number;
    docket: { vehicle: { saltExposure: string; knuckle: string } };
  };
  expect(docket.vehicle).toMatchObject({ saltExposure: 'high', knuckle: 'iron' });
  expect(version).toBe(3);
});

test('a note being written and a field being typed are there again after a reload', async ({ page }) => {
  await opened(page);
  await page.keyboard.press('x');
  await page.getByLabel(/^In words/).fill('plug was full of water');
  await page.reload();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.keyboard.press('x');
  await expect(page.getByLabel(/^In words/)).toHaveValue('plug was full of water');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.keyboard.press('x');
  await expect(page.getByLabel(/^In words/)).toHaveValue('');
});

test('measures of the old part and a number of Setup being typed are there again after a reload', async ({
  page,
}) => {
  await page.goto('/shelf?match=1&class=tone-ring');
  const inside = page.getByRole('textbox', { name: /^inside diameter/ });
  await inside.fill('71.0');
  await page.reload();
  await expect(inside).toHaveValue('71.0');
  await page.goto('/shelf');
  await page.goto('/setup');
  const rate = page.getByRole('textbox', { name: 'Labour › rate, EUR/h' });
  // Out of its range it cannot be saved: it stays as it was typed.
  await rate.fill('7800');
  await page.reload();
  await expect(rate).toHaveValue('7800');
  await rate.press('Escape');
  await expect(rate).toHaveValue('78');
});

test('an import that was begun before a reload is told after it', async ({ page, request }) => {
  const parts = await (await request.get('/api/catalogue/parts.csv')).text();
  await page.goto('/shelf');
  await page.getByRole('button', { name: /catalogue files/i }).click();
  await page
    .getByLabel('Catalogue files to bring in')
    .setInputFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer: Buffer.from(parts) });
  await page.getByRole('button', { name: /Bring in/ }).click();
  await expect
    .poll(async () => (await (await request.get('/api/imports')).json()) as unknown)
    .toMatchObject({
      import: { state: expect.stringMatching(/running|done/) as unknown },
    });
  await page.reload();
  await page.getByRole('button', { name: /catalogue files/i }).click();
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('of parts.csv', {
    timeout: 30_000,
  });
});

import { expect, test, type APIRequestContext, type Page } from '@playwright/test';

/** What is not known yet is one line until it is opened. */
const openUnknown = (page: Page): Promise<void> => page.getByText(/^not known: .*road salt/).click();

const opened = async (request: APIRequestContext, words: string): Promise<string> =>
  ((await (await request.post('/api/dockets', { data: { words } })).json()) as { id: string }).id;

test('changes made faster than the server answers are all kept, in order', async ({ page, request }) => {
  const id = await opened(request, 'tolvane skerry 2018 abs light C1B20');
  await page.goto(`/docket/${id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.route(`**/api/dockets/${id}`, async (route) => {
    if (route.request().method() === 'PUT') await new Promise((go) => setTimeout(go, 400));
    await route.continue();
  });
  await openUnknown(page);
  await page.getByLabel('Road salt').selectOption('high');
  await page.getByRole('combobox', { name: 'Steering' }).selectOption('right');
  await page.getByLabel('Knuckle').selectOption('iron');
  await expect(page.getByLabel('Road salt')).toHaveValue('high');
  await expect(page.getByRole('combobox', { name: 'Steering' })).toHaveValue('right');
  await expect(page.getByLabel('Knuckle')).toHaveValue('iron');
  await expect
    .poll(async () => {
      const view = (await (await request.get(`/api/dockets/${id}`)).json()) as {
        docket: { vehicle: { saltExposure: string; steeringSide: string; knuckle: string } };
      };
      const { saltExposure, steeringSide, knuckle } = view.docket.vehicle;
      return [saltExposure, steeringSide, knuckle];
    })
    .toEqual(['high', 'right', 'iron']);
});

test('a late answer for another docket is never shown', async ({ page, request }) => {
  const slow = await opened(request, 'merrowby 2018 minibus, abs light, C0A31-13 front left');
  const quick = await opened(request, 'tolvane skerry 2018 abs light C1B20');
  await page.goto(`/docket/${slow}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.route(`**/api/dockets/${slow}`, async (route) => {
    if (route.request().method() === 'PUT') await new Promise((go) => setTimeout(go, 1200));
    await route.continue();
  });
  await openUnknown(page);
  await page.getByLabel('Road salt').selectOption('high');
  await page.evaluate((to) => history.pushState(null, '', to), `/docket/${quick}`);
  await page.evaluate(() => window.dispatchEvent(new PopStateEvent('popstate')));
  const title = page.getByRole('heading', { level: 1 });
  const number = (await (await request.get(`/api/dockets/${quick}`)).json()) as { number: number };
  await expect(title).toContainText(String(number.number));
  await page.waitForTimeout(1800);
  await expect(title).toContainText(String(number.number));
  await expect(page.getByText(/^not known: .*road salt/)).toBeVisible();
});

test('with the server unplugged a change stays on the screen and goes when it is back', async ({
  page,
  request,
}) => {
  const id = await opened(request, 'tolvane skerry 2018 abs light C1B20');
  await page.goto(`/docket/${id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.route('**/api/**', (route) => route.abort());
  await openUnknown(page);
  await page.getByLabel('Road salt').selectOption('high');
  await expect(page.getByRole('alert')).toContainText('does not answer');
  await expect(page.getByLabel('Road salt')).toHaveValue('high');
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'try again' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Road salt')).toHaveValue('high');
});

test('tabs can be told apart by their titles', async ({ page, request }) => {
  const id = await opened(request, 'merrowby 2018 minibus, abs light, C0A31-13 front left');
  await page.goto(`/docket/${id}`);
  await expect(page).toHaveTitle(/^Docket \d+ · .*Merrowby.* · front left · Hardy Spoke$/);
  await page.goto('/shelf');
  await expect(page).toHaveTitle(/^Shelf/);
  await page.goto('/setup');
  await expect(page).toHaveTitle(/^Setup/);
});

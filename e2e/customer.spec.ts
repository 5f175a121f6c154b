import { expect, test } from '@playwright/test';

test('who the customer is, how to reach them and what they pay are asked on the docket, by keyboard', async ({
  page,
  request,
}) => {
  const { id } = (await (
    await request.post('/api/dockets', { data: { words: 'tolvane skerry 2018 abs light C1B20 front left' } })
  ).json()) as { id: string };
  await page.goto(`/docket/${id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
  const section = page.getByRole('region', { name: 'Customer' });
  await section.getByText(/not known: customer, phone, firm, pays as/).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Marget Isbister');
  await page.keyboard.press('Tab');
  await page.keyboard.type('01555 0142');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await section.getByLabel('Pays as').selectOption('fleet');
  await expect(page.locator('.docket-head')).toContainText('Marget Isbister');
  await expect(page.getByText('not saved yet')).toHaveCount(0);
  const { docket } = (await (await request.get(`/api/dockets/${id}`)).json()) as {
    docket: { customer: object };
  };
  expect(docket.customer).toEqual({ name: 'Marget Isbister', phone: '01555 0142', kind: 'fleet' });
  // A name no file takes stays in its field and says why.
  await section.getByLabel('Customer', { exact: true }).fill('x'.repeat(121));
  await page.keyboard.press('Enter');
  await expect(section.getByRole('alert')).toContainText('at most 120 characters; this has 121');
  await page.keyboard.press('Escape');
  await page.goto('/');
  await page.getByRole('textbox', { name: 'Find a docket' }).fill('isbister');
  await expect(page.getByRole('row', { name: /Marget Isbister/ })).toBeVisible();
});

test('a customer is erased by keyboard; a new backup is made and the older one that holds them is deleted', async ({
  page,
  request,
}) => {
  const docket = { format: 'hardy-spoke/docket', version: 1, customer: { name: 'Sunniva Sclater' } };
  const { id } = (await (await request.post('/api/dockets', { data: { docket } })).json()) as { id: string };
  const backups = async () =>
    (await (await request.get('/api/backups')).json()) as {
      making: unknown;
      backups: Array<{ erased: number }>;
    };
  await request.post('/api/backups', { data: {} });
  await expect.poll(async () => (await backups()).making, { timeout: 60_000 }).toBeNull();
  await page.goto(`/docket/${id}`);
  await page.getByRole('button', { name: /erase this customer/ }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Erase for good' }).focus();
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('The newest backup is without the customer.')).toBeVisible({
    timeout: 60_000,
  });
  await dialog.getByRole('button', { name: /Delete this backup|Delete these \d+ backups/ }).focus();
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(/still hold/)).toHaveCount(0);
  expect((await backups()).backups.every(({ erased }) => erased === 0)).toBe(true);
  await dialog.getByRole('button', { name: 'Done' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(page.locator('body')).not.toContainText('Sclater');
  await page.goto('/setup');
  const panel = page.getByRole('region', { name: 'Backups' });
  await expect(panel.getByText('after an erasure')).toBeVisible();
  await panel.getByRole('button', { name: 'Back up now' }).focus();
  await page.keyboard.press('Enter');
  await expect(panel.getByText('by hand').first()).toBeVisible({ timeout: 60_000 });
});

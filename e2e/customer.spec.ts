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

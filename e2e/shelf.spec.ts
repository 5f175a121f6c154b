import { expect, test } from '@playwright/test';
import { scan } from './wedge.ts';

test('a split in the fitment is resolved by one question', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type('merrowby tern 2016, abs light, C0037 rear left, ring cracked');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  const question = page
    .getByRole('region', { name: /Whose hub is on it/ })
    .or(page.locator('section', { hasText: 'Whose hub is on it?' }))
    .first();
  await expect(question).toContainText('cast into the hub');
  const offers = page.getByRole('region', { name: 'Offers' });
  await question.getByRole('button', { name: /Halvarn/ }).click();
  await expect(page.getByText('Whose hub is on it?')).toHaveCount(0);
  await offers.getByRole('button', { name: /Take/ }).first().click();
  const order = page.getByRole('region', { name: 'Order' });
  await expect(order).toContainText(/Halvarn (hub|pattern)|for Halvarn/);
});

test('two rings are told apart by one measure, the candidate drawn over it', async ({ page }) => {
  await page.goto('/shelf?match=1&class=tone-ring');
  const panel = page.getByRole('region', { name: 'Match the old part' });
  await panel.getByRole('textbox', { name: /^inside diameter/ }).fill('71.0');
  await expect(panel).toContainText(/Measure the teeth next: it tells \S+ and \S+ apart/);
  await panel.getByRole('textbox', { name: /^teeth/ }).fill('46');
  await expect(panel).toContainText(/It is TR\.9940/);
  await expect(page.getByRole('img', { name: /universal pattern, .* drawn to scale/ })).toBeVisible();
  await panel.getByRole('button', { name: /TR\.9940/ }).click();
  await expect(page.getByRole('region', { name: 'Part TR.9940' })).toContainText('46');
  await page.getByRole('link', { name: 'Print life size' }).click();
  await expect(page.getByText('check: this bar is 50 mm')).toBeVisible();
  const width = await page.locator('svg.life-size').getAttribute('width');
  expect(width).toMatch(/^\d+(\.\d+)?mm$/);
});

test('a scan anywhere finds the part, and its superseded number leads to the new one', async ({ page }) => {
  const found = await page.request.get('/api/parts/WS38859');
  const { part } = (await found.json()) as { part: { barcode: string } };
  await page.goto('/');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toBeFocused();
  // A wedge types at once and ends with Enter; the counter line keeps none of it. Guns differ in their pace.
  for (const apartMs of [0, 2, 15]) {
    await scan(page, part.barcode, apartMs);
    await expect(page).toHaveURL(/\/shelf\?q=/);
    if (apartMs === 15) break;
    await page.goto('/');
    await expect(page.getByRole('textbox', { name: 'Counter line' })).toBeFocused();
  }
  const panel = page.getByRole('region', { name: 'Part WS38859' });
  await expect(panel).toContainText('Superseded');
  await panel.getByRole('button', { name: 'WS39122' }).first().click();
  await expect(page.getByRole('region', { name: 'Part WS39122' })).toContainText('on the shelf');
  await page.getByRole('link', { name: 'Print a bin label' }).click();
  await expect(page.getByRole('img', { name: 'Code 128 of WS39122' })).toBeVisible();
  await page.goBack();
  await page
    .getByRole('link', { name: /counter/ })
    .first()
    .click();
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toHaveValue('');
});

test('an import with bad rows tells each, takes the good ones only when asked, and they are found', async ({
  page,
}) => {
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'catalogue files' }).click();
  const dialog = page.getByRole('dialog', { name: 'Catalogue files' });
  const head =
    'number,partClass,tier,brand,description,price,stock,bin,supplierDays,warrantyMonths,packQuantity,branchStock,barcode,supersededBy,interchange,contents,measures,looks,ohms';
  const good =
    'ZZ-77,sensor,good,Corvane,"sensor, brought in by a test",12.50,3,Z01,0,24,1,0,,,,,reach=30,colour=grey,';
  const bad = 'ZZ-78,sensor,best,Corvane,bad tier,12.50,3,Z01,0,24,1,0,,,,,,,';
  await dialog.getByLabel('Catalogue files to bring in').setInputFiles({
    name: 'parts.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([head, good, bad].join('\n')),
  });
  await dialog.getByRole('button', { name: /Bring in/ }).click();
  await expect(dialog).toContainText('Nothing went in. 1 bad rows.', { timeout: 30_000 });
  await expect(dialog.getByRole('row', { name: /parts\.csv 3 tier/ })).toBeVisible();
  await expect(dialog.getByRole('link', { name: 'all bad rows as a file' })).toBeVisible();
  await dialog.getByLabel('the good rows go in').check();
  await dialog.getByRole('button', { name: /Bring in/ }).click();
  await expect(dialog).toContainText('In: 1 of parts.csv', { timeout: 30_000 });
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('textbox', { name: 'Find a part' }).fill('zz 77');
  await expect(page.getByRole('region', { name: 'Part ZZ-77' })).toContainText('brought in by a test');
});

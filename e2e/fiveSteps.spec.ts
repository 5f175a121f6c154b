import { expect, test } from '@playwright/test';

const WORDS = 'merrowby 2018 minibus, abs light, C0A31-13 front left, squeaky mat';

test('the whole job by keyboard alone: words, verdict, checks, order, sheet, outcome, found again', async ({
  page,
}) => {
  // A key alone is a command: a hand rests between two, where the second is not of a dialog that the first opened.
  const key = async (name: string) => {
    await page.keyboard.press(name);
    if (name.length === 1) await page.waitForTimeout(250);
  };
  const verdict = page.getByTestId('verdict');

  // 1. Type; see it read into chips, the rest left visible.
  await page.goto('/');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toBeFocused();
  await page.keyboard.type(WORDS);
  const chips = page.getByRole('list', { name: 'How this was read' });
  for (const text of ['Merrowby Shoal', 'built 2018', 'C0A31-13', 'front left', 'anti-lock lamp on'])
    await expect(chips).toContainText(text);
  await expect(chips.locator('.chip-left-over')).toContainText('squeaky mat');

  // 2. Enter opens a docket: verdict, facts, plan, offers.
  await key('Enter');
  await expect(page).toHaveURL(/\/docket\//);
  await expect(verdict).toContainText('Front left');
  await expect(
    page.getByRole('button', { name: /front left, fault in .* the corner in question/ }),
  ).toBeVisible();
  const offers = page.getByRole('region', { name: 'Offers' });
  await expect(offers).toContainText('wheel speed sensor front left');
  // What would hardly ever cure it is no offer.
  await expect(offers).not.toContainText('hub assembly front left');
  await expect(offers).toContainText('connector repair kit front left');
  const number = (await page.getByRole('heading', { level: 1 }).innerText()).replace(/\D/g, '');

  // 3. A corroded connector moves verdict and offers, and its fact says what it did.
  const before = await verdict.innerText();
  await key('c');
  await key('a');
  await key('2');
  await expect(page.getByLabel('look inside the connector: result')).toHaveValue('corroded');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText(/wiring .*likelier/);
  await expect(verdict).not.toHaveText(before);
  await expect(verdict).toContainText('connector repair kit');
  // Undo and redo it.
  await key('u');
  await expect(verdict).toHaveText(before);
  await key('r');
  await expect(verdict).toContainText('connector repair kit');
  // More by words, from the line above.
  await key('/');
  await page.keyboard.type('no play');
  await key('Enter');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('rock the wheel for play');

  // 4. Take the first offer; order with number and companions; the sheet.
  await key('o');
  await key('Enter');
  const order = page.getByRole('region', { name: 'Order' });
  await expect(order).toContainText(/CK\d+/);
  await expect(order).toContainText('sealed splices');
  await key('p');
  await expect(page).toHaveURL(/\/sheet$/);
  const sheet = page.getByRole('article', { name: /connector repair kit, front left/i });
  for (const text of [
    'Before anything else',
    'Lift only on rated points',
    'Access',
    'arch liner',
    'Order of work',
    'Clear the code and prove the fix',
    'Roll a few metres',
  ])
    await expect(sheet).toContainText(text);
  await key('b');

  // 5. Close it, go back, find it again.
  await expect(order).toBeVisible();
  await key('x');
  await key('1');
  await key('Tab');
  await page.getByRole('button', { name: 'Close docket' }).last().focus();
  await key('Enter');
  await expect(page.getByRole('status')).toContainText('Closed: cured');
  await key('b');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toBeFocused();
  await page.getByRole('textbox', { name: 'Find a docket' }).focus();
  await page.keyboard.type(number);
  const found = page.getByRole('row', { name: new RegExp(number) });
  await expect(found).toContainText('cured');
  await found.getByRole('link').focus();
  await key('Enter');
  await expect(page.getByRole('status')).toContainText('Closed: cured');
});

test('clear bearing play means stop, whatever else was said', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type('merrowby 2018 minibus C0A37-2F rear left, growling');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('Rear left');
  await page.keyboard.press('c');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /rock the wheel/ })
    .press('Enter');
  await page.keyboard.press('3');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('Stop');
  await expect(page.getByTestId('verdict')).toContainText('Do not drive it');
});

test('a question is answered with one key, and the docket goes on', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type(
    "left hand drive tolvane haven 2017, abs light, driver's front, so the right-hand one",
  );
  await expect(page.getByTestId('answer')).toContainText('not the same wheel');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('Settle the corner first');
  await expect(page.getByRole('region', { name: 'Question' })).toContainText('Which wheel');
  await page.keyboard.press('2');
  await expect(page.getByTestId('verdict')).toContainText('Front right');
  await expect(page.getByRole('region', { name: 'Question' })).toHaveCount(0);
});

test('facts are changed where they stand', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type(
    'tolvane haven 2017, abs light, C1B20, new sensor front left 2 weeks ago, connector corroded',
  );
  await page.keyboard.press('Enter');
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('Front left');
  const before = await verdict.innerText();
  await page.getByLabel('look inside the connector: result').selectOption('sound');
  await expect(verdict).not.toHaveText(before);
  await page.getByLabel('Code C1B20, change it').fill('C1B23');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Codes' })).toContainText('rear right');
  await page.getByLabel('new sensor: how many days ago').fill('400');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('new sensor: how many days ago')).toHaveValue('400');
  await page.reload();
  await expect(page.getByLabel('new sensor: how many days ago')).toHaveValue('400');
});

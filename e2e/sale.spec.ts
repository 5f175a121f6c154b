import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { changed, made, read } from './dockets.ts';
import { scan } from './wedge.ts';

/** A key alone is a command: a hand rests between two. */
const key = async (page: Page, name: string) => {
  await page.keyboard.press(name);
  if (name.length === 1) await page.waitForTimeout(250);
};
const onDocket = async (page: Page, id: string) => {
  await page.goto(`/docket/${id}`);
  await expect(page.getByTestId('verdict')).toBeVisible();
};
/** The ways of an open circuit front left, compared. */
const compared = async (page: Page, request: APIRequestContext) => {
  const view = await made(
    request,
    'tolvane haven 2015, abs light, C0031-13 front left active, connector sound',
  );
  await page.goto(`/docket/${view.id}/compare`);
  return view;
};
const order = (page: Page) => page.getByRole('region', { name: 'Order' });
const next = (page: Page) => page.getByTestId('next');
const saved = (page: Page) => expect(page.getByText('not saved yet')).toHaveCount(0);

test('two corners in one order, one part not on the shelf: ordered, promised, received, called, handed over', async ({
  page,
  request,
}) => {
  const view = await made(
    request,
    'tolvane haven 2015, abs light, C0031-13 front left active, C0034-13 front right active. Name is Ebba Tarn, phone 555 0198',
  );
  await onDocket(page, view.id);
  // The first corner, then the second is added to it.
  await key(page, 'o');
  await key(page, 'Enter');
  await expect(order(page)).toContainText('wheel speed sensor, front');
  await saved(page);
  const other = page.getByRole('button', { name: /^Add the wheel speed sensor front/ });
  await other.focus();
  await key(page, 'Enter');
  await expect(order(page)).toContainText(/front left.*front right|front right.*front left/);
  await saved(page);
  const taken = await read(request, view.id);
  const lines = taken.docket.chosen?.lines ?? [];
  expect(lines.filter(({ companion }) => !companion)).toHaveLength(2);
  // One grease and one bolt each: no doubles.
  expect(lines.filter(({ partNumber }) => partNumber === 'GR-10')).toHaveLength(1);
  expect(lines.filter(({ partNumber }) => partNumber === 'SB-06')).toHaveLength(2);

  // More of one part than the shelf has: the rest is to be ordered.
  const [main] = lines.filter(({ companion }) => !companion);
  const more = {
    ...taken.docket.chosen!,
    lines: lines.map((line) => (line === main ? { ...line, quantity: 4 } : line)),
  };
  await changed(request, taken, { chosen: more });
  await page.reload();
  await expect(next(page)).toContainText('not on the shelf');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('Order it');
  await expect(page.getByRole('region', { name: 'Verdict' })).not.toContainText('Check first');

  await order(page).getByRole('link', { name: 'Suppliers' }).focus();
  await key(page, 'Enter');
  // Each corner's sensor may have a supplier of its own.
  const missing = page
    .getByRole('region', { name: 'To be ordered' })
    .locator('.supplier')
    .filter({ hasText: `docket ${view.number}` });
  const sent = page.getByRole('article', { name: /^Order \d/ }).filter({ hasText: String(view.number) });
  await expect(missing.first()).toContainText(main!.partNumber!.slice(0, 2));
  const orders = await missing.count();
  for (let i = 1; i <= orders; i++) {
    await missing
      .first()
      .getByRole('button', { name: /^Order/ })
      .focus();
    await key(page, 'Enter');
    await expect(sent).toHaveCount(i);
  }
  for (let i = 0; i < orders; i++) {
    await expect(sent.nth(i)).toContainText('not confirmed');
    await sent.nth(i).getByRole('button', { name: 'They said' }).focus();
    await key(page, 'Enter');
    await page.keyboard.type('Marit at the depot');
    for (const day of await page.getByLabel('On', { exact: true }).all()) await day.fill('2030-01-07');
    await page.getByRole('button', { name: 'Write it down' }).focus();
    await key(page, 'Enter');
    await expect(sent.nth(i)).toContainText('Marit at the depot');
  }
  await page.goBack();
  await expect(next(page)).toContainText('promised for Mon 7 Jan');

  await page.goto('/orders');
  for (let i = orders; i > 0; i--) {
    await expect(sent).toHaveCount(i);
    await sent.first().getByRole('button', { name: 'It is here' }).focus();
    await key(page, 'Enter');
    await page.getByRole('button', { name: 'Book it in' }).focus();
    await key(page, 'Enter');
  }
  await expect(sent).toHaveCount(0);
  await onDocket(page, view.id);
  await expect(next(page)).toContainText('Call Ebba Tarn: 555 0198');
  await key(page, 'h');
  await expect(next(page)).toContainText('Handed over');
  await saved(page);
  expect((await read(request, view.id)).order?.next).toBe('prove');
});

test('a check goes home on its sheet, and its result comes back by a scan and one key', async ({
  page,
  request,
}) => {
  const view = await made(request, 'merrowby shoal 2018, abs light, C0A31-13 front left');
  expect(view.advice.verdict.action).toBe('check');
  await page.goto(`/docket/${view.id}/sheet`);
  const sheet = page.getByRole('article', { name: /Check first: look inside the connector/ });
  await expect(sheet).toContainText('say docket');
  await expect(sheet.getByRole('row', { name: /2 corroded the joint is bad/ })).toBeVisible();
  await expect(sheet.getByRole('img', { name: `Docket ${view.number}` })).toBeVisible();
  // Days later, on the counter: the wedge types the bars.
  await page.goto('/');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toBeFocused();
  await scan(page, `HSD${view.number}`);
  await expect(page).toHaveURL(new RegExp(`/docket/${view.id}`));
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.waitForTimeout(400);
  await key(page, '2');
  await expect(page.getByLabel('look inside the connector: result')).toHaveValue('corroded');
  await expect(page.getByTestId('verdict')).toContainText('connector repair kit');
});

test('the old sensor snapped on the day: the offer, the order and the sheet know it', async ({
  page,
  request,
}) => {
  const view = await made(
    request,
    'osterhaal brine 2014 gritter, abs light, C0031-13 front left active, connector sound, high salt',
  );
  const before = view.advice.offers.find(({ part }) => part === 'sensor')?.seizure ?? 0;
  expect(before).toBeLessThan(1);
  await onDocket(page, view.id);
  const vehicle = page.getByRole('region', { name: 'Vehicle' });
  await vehicle.getByText(/^not known:.*old sensor/).focus();
  await key(page, 'Enter');
  await vehicle.getByLabel('Old sensor').selectOption('snapped');
  await saved(page);
  await expect
    .poll(
      async () => (await read(request, view.id)).advice.offers.find(({ part }) => part === 'sensor')?.seizure,
    )
    .toBe(1);
  await page
    .getByRole('button', { name: /^Take the wheel speed sensor/ })
    .first()
    .focus();
  await key(page, 'Enter');
  await expect(order(page)).toContainText('drill bits');
  await saved(page);
  await key(page, 'p');
  const sheet = page.getByRole('article', { name: /wheel speed sensor/i });
  await expect(sheet).toContainText('The snapped sensor first');
  await expect(sheet).toContainText('is never an option');
  // Out already: nothing is left to snap.
  const now = await read(request, view.id);
  await changed(request, now, { options: { ...now.docket.options, seizure: { old: 'out' } } });
  await page.reload();
  await expect(sheet).toContainText('Look through the bore');
  await expect(sheet).not.toContainText('If the old sensor snaps');
});

test('a new part bad from the box comes back: another is put aside, and the shelf counts right', async ({
  page,
  request,
}) => {
  const view = await made(
    request,
    'fennick otter 2018, abs light, C003A-13 rear right active, connector sound',
  );
  await onDocket(page, view.id);
  await page
    .getByRole('button', { name: /^Take the wheel speed sensor/ })
    .first()
    .focus();
  await key(page, 'Enter');
  await expect(order(page)).toContainText('Before it leaves');
  await expect(order(page)).toContainText(/Plug, keying, lead/);
  await saved(page);
  await expect(order(page).getByRole('button', { name: /Hand over \d/ })).toBeVisible();
  await key(page, 'h');
  await expect(next(page)).toContainText('Handed over');
  const { docket } = await read(request, view.id);
  const number = docket.chosen?.partNumber ?? '';
  const stock = async () =>
    ((await (await request.get(`/api/parts/${number}`)).json()) as { part: { stock: number } }).part.stock;
  const left = await stock();
  await order(page).getByText('Something came back').focus();
  await key(page, 'Enter');
  // As it left it would be paid back, less what the shop keeps for restocking.
  await expect(order(page)).toContainText(/.\d+\.\d\d paid back/);
  await order(page).getByLabel('How it came back').selectOption('bad');
  await order(page)
    .getByRole('button', { name: `${number} came back` })
    .focus();
  await key(page, 'Enter');
  await saved(page);
  // The bad one does not go back on the shelf; another is put aside if there is one.
  await expect
    .poll(async () => (await read(request, view.id)).docket.returned?.[0])
    .toMatchObject({ opened: true, bad: true });
  expect(await stock()).toBe(Math.max(0, left - 1));
  expect(['hand-over', 'order']).toContain((await read(request, view.id)).order?.next);
});

test('what was advised and declined is printed with its reason; what was left out is said', async ({
  page,
  request,
}) => {
  await compared(page, request);
  const row = page.getByRole('row', { name: /wheel speed sensor, cheapest/ });
  await row.getByRole('button', { name: /Take/ }).focus();
  await key(page, 'Enter');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(/both sides/).fill('wants one side only');
  await dialog.getByRole('button', { name: 'Put it on the order' }).focus();
  await key(page, 'Enter');
  await expect(order(page)).toBeVisible();
  await order(page).getByRole('button', { name: 'Leave out the lead clips, set of three' }).focus();
  await key(page, 'Enter');
  await expect(order(page)).toContainText('it stands on the sheet');
  await saved(page);
  await key(page, 'p');
  const sheet = page.getByRole('article', { name: /wheel speed sensor/i });
  await expect(sheet).toContainText(/Advised and declined:.*both sides \(wants one side only\)/);
  await expect(sheet).toContainText(/Left out at the customer.s wish: 1 lead clips/);
  await key(page, 'l');
  await expect(page.getByRole('article', { name: /Raddrehzahlsensor, vorn links/ })).toContainText(
    'Geraten und abgelehnt',
  );
});

test('a quote by keyboard: ways picked, made, kept, with tax, until a day; a price from elsewhere beside it', async ({
  page,
  request,
}) => {
  const view = await compared(page, request);
  const elsewhere = page.getByRole('region', { name: 'Prices from elsewhere' });
  await elsewhere.getByLabel('What').fill('sensor fitted, Quay Motors');
  await elsewhere.getByLabel('Price').fill('310');
  await elsewhere.getByLabel('Fee for finding out').fill('90');
  await key(page, 'Enter');
  await expect(elsewhere).toContainText(/dealer: sensor fitted.*400 sure.*dearer than our/);
  await page.getByRole('link', { name: /^Quote/ }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('checkbox').nth(1)).toBeChecked();
  await key(page, '2');
  await key(page, 'n');
  const paper = page.getByRole('article', { name: `Quote ${view.number}-1` });
  await expect(paper).toContainText('Valid until');
  await expect(paper).toContainText('Tax');
  await expect(paper).toContainText('From elsewhere: sensor fitted');
  await expect.poll(async () => (await read(request, view.id)).docket.quotes?.[0]?.ways.length).toBe(1);
});

test('a routine docket, from the first word to the sheet: at most 25 keys beside the words', async ({
  page,
}) => {
  let keys = 0;
  const press = async (name: string) => {
    keys++;
    await key(page, name);
  };
  await page.goto('/');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toBeFocused();
  await page.keyboard.type('minibus B-07 abs light, C0037-13 rear left active');
  await press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('look inside the connector');
  // The connector is sound; then what is asked next, until it says what to sell.
  for (let step = 0; step < 4; step++) {
    const verdict = page.getByRole('region', { name: 'Verdict' });
    if (!(await verdict.innerText()).includes('Check first')) break;
    const before = await page.getByTestId('verdict').innerText();
    await press('1');
    await expect(page.getByTestId('verdict')).not.toHaveText(before);
    await page.waitForTimeout(300);
  }
  await press('o');
  await press('Enter');
  await expect(order(page)).toBeVisible();
  await saved(page);
  await press('h');
  await expect(next(page)).toContainText('Handed over');
  await press('p');
  await expect(page.getByRole('article').first()).toContainText('Order of work');
  expect(keys).toBeLessThanOrEqual(25);
});

test('erased on request: who it was is nowhere, the job is still there', async ({ page, request }) => {
  const view = await made(
    request,
    'tolvane haven 2015, abs light front left. Name is Sunniva Gangway, phone 555 0166',
  );
  await onDocket(page, view.id);
  const customer = page.getByRole('region', { name: 'Customer' });
  await customer.getByRole('button', { name: /erase this customer/ }).focus();
  await key(page, 'Enter');
  await page.getByRole('dialog').getByRole('button', { name: 'Erase for good' }).focus();
  await key(page, 'Enter');
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).focus();
  await key(page, 'Enter');
  await expect(page.locator('.docket-head')).not.toContainText('Gangway');
  await expect(page.getByTestId('verdict')).toBeVisible();
  const text = JSON.stringify(await read(request, view.id));
  expect(text).not.toMatch(/Sunniva|Gangway|0166/);
  expect(text).toContain('lamp.abs');
});

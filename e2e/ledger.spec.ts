import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { takeOffer } from '@hardy/core/words';
import type { Comeback, DocketView } from '@hardy/core/contract';
import { changed, made, read } from './dockets.ts';
import { scan } from './wedge.ts';

const TODAY = new Date().toLocaleDateString('sv-SE');
const opened: string[] = [];
const begun = async (request: APIRequestContext, words: string): Promise<DocketView> => {
  const view = await made(request, words);
  opened.push(view.id);
  return view;
};
/** A sale that went out: taken, put aside, handed over. */
const soldTo = async (request: APIRequestContext, words: string): Promise<DocketView> => {
  const view = await begun(request, words);
  const offer = view.advice.offers.find(({ lines }) => (lines[0]?.stock ?? 0) > 0);
  if (!offer) throw new Error('nothing of it is on the shelf');
  const chosen = takeOffer(offer, TODAY);
  const [main] = chosen.lines ?? [];
  const taken = await changed(request, view, { chosen: { ...chosen, lines: main ? [main] : [] } });
  return changed(request, taken, {
    handed: [{ partNumber: main?.partNumber ?? '', quantity: 1, on: TODAY }],
  });
};
const grave = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
};

const closedJobs = async (request: APIRequestContext): Promise<number> =>
  ((await (await request.get('/api/ledger')).json()) as { figures: { jobs: number } }).figures.jobs;
let before = 0;
test.beforeAll(async ({ request }) => {
  before = await closedJobs(request);
});
// What these jobs taught is taken back: the other tests stand on what was there before them.
test.afterAll(async ({ request }) => {
  for (const id of opened) await changed(request, await read(request, id), { outcome: null });
  expect(await closedJobs(request)).toBe(before);
});

test('what came of it is entered by a scan, in words, by keyboard alone, and the ledger counts it', async ({
  page,
  request,
}) => {
  const sale = await soldTo(
    request,
    'merrowby shoal 2018, abs light, C0037-13 rear left, plug dry, no play. Name is Ruth Holm, phone 555 0177',
  );
  await page.goto('/');
  await expect(page.getByRole('table')).toBeVisible();
  await scan(page, `HSD${sale.number}`);
  await expect(page).toHaveURL(new RegExp(sale.id));
  await expect(page.getByTestId('next')).toBeVisible();
  await page.keyboard.press('x');
  const dialog = page.getByRole('dialog', { name: 'What happened?' });
  await expect(dialog).toBeVisible();
  expect(await grave(page)).toEqual([]);
  await page.getByRole('textbox', { name: /^In words/ }).focus();
  await page.keyboard.type(
    'all good now, ring was cracked, we could see it, sensor snapped, drilled out, 3 hours',
  );
  await expect(dialog.getByRole('button', { name: /Cured$/ }).first()).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.keyboard.press('Enter');
  await expect(dialog).toHaveCount(0);
  await expect
    .poll(async () => (await read(request, sale.id)).docket.outcome)
    .toMatchObject({
      result: 'cured',
      trueCause: 'ring',
      knownBy: 'seen',
      snapped: true,
      gotOut: 'drilled',
      hours: 3,
      on: TODAY,
    });
  await page.goto('/ledger?show=figures');
  await page.getByLabel('Cause').selectOption('ring');
  await expect(page.getByRole('heading', { name: /closed jobs/ })).toContainText(/[1-9]/);
  await expect(page.getByRole('row', { name: /cured first time/ }).first()).toContainText(/[1-9] of [1-9]/);
});

test('an order nobody was heard of is asked for, and answered by one key', async ({ page, request }) => {
  const sale = await soldTo(
    request,
    'tolvane cove 2015, abs light, C0031-13 front left, no play. Name is Nils Reed, phone 555 0166',
  );
  await page.goto('/ledger');
  const row = page.getByRole('row', { name: new RegExp(`${sale.number}.*Nils Reed.*555 0166`) });
  await expect(row).toBeVisible();
  expect(await grave(page)).toEqual([]);
  for (let i = 0; i < 30 && (await row.getAttribute('aria-selected')) !== 'true'; i++)
    await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/Is it gone: anti-lock lamp/)).toBeVisible();
  await page.keyboard.press('8');
  await expect(page.getByText(`Noted: ${sale.number}: never heard.`)).toBeVisible();
  await expect(row).toHaveCount(0);
  expect((await read(request, sale.id)).docket.outcome).toMatchObject({ result: 'never-heard' });
});

test('a vehicle that is back is recognised, linked, and the earlier outcome corrected', async ({
  page,
  request,
}) => {
  const words = 'quillon pebble 2016, abs light, C0034-13 front right, no play';
  const plated = (view: DocketView) =>
    changed(request, view, { vehicle: { ...view.docket.vehicle, plate: 'HB 9931' } });
  const first = await plated(await soldTo(request, words));
  await changed(request, first, { outcome: { result: 'cured', on: TODAY } });
  const again = await plated(await begun(request, words));
  await page.goto(`/docket/${again.id}`);
  const panel = page.getByRole('region', { name: 'Sold before to this vehicle' });
  await expect(panel).toContainText(String(first.number));
  await expect(panel).toContainText(/0 days ago/);
  await expect(panel).toContainText(/under warranty until|no warranty known/);
  await expect(panel).toContainText('advised then:');
  await panel.getByRole('button', { name: `This is ${first.number} come back` }).focus();
  await page.keyboard.press('Enter');
  await expect(panel).toContainText('This docket came back from it.');
  const linked = await read(request, again.id);
  expect(linked.docket.comebackOf).toBe(first.number);
  expect(linked.docket.history?.[0]).toMatchObject({ wheelEnd: 'A1R', cured: 'no' });
  expect((await read(request, first.id)).docket.outcome).toMatchObject({
    result: 'came-back',
    backOn: again.number,
  });
  const [sale] = (await (await request.get(`/api/dockets/${again.id}/comebacks`)).json()) as Comeback[];
  expect(sale?.linked).toBe(true);
});

test('a part bad from the box is claimed: metered, sent, answered, on a page of its own without the customer', async ({
  page,
  request,
}) => {
  const sale = await soldTo(
    request,
    'osterhaal quay 2010, abs light, C0031-13 front left, no play. Name is Ulla Sound, phone 555 0155',
  );
  await changed(request, sale, { vehicle: { ...sale.docket.vehicle, plate: 'HB 4711' } });
  await page.goto(`/docket/${sale.id}`);
  await page.getByText('Something came back').click();
  await page.getByLabel('How it came back').selectOption('bad');
  await page
    .getByRole('button', { name: /came back$/ })
    .first()
    .click();
  const claim = page.getByRole('region', { name: /^Claim on/ });
  await expect(claim).toContainText('raised, not sent yet');
  await claim.getByRole('button', { name: 'Sent to the supplier' }).click();
  await expect(claim).toContainText('sent to the supplier');
  await claim.getByRole('button', { name: 'Accepted: exchange' }).click();
  await expect(claim).toContainText('accepted');
  await expect(page.getByText('not saved yet')).toHaveCount(0);
  await claim.getByRole('link', { name: 'page' }).click();
  await expect(page.getByRole('heading', { name: 'Claim: bad from the box' })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('exchange');
  await expect(page.getByRole('main')).not.toContainText(/Ulla|HB 4711/);
  expect(await grave(page)).toEqual([]);
  await page.emulateMedia({ media: 'print' });
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
});

test('what was said and what was so: a chart, its words, and what was learned in Setup, held and let go', async ({
  page,
  request,
}) => {
  for (const result of ['cured', 'cured', 'not-cured'] as const) {
    const sale = await soldTo(request, 'merrowby gannet 2013, abs light, C0037-13 rear left, no play');
    await changed(request, sale, { outcome: { result, trueCause: 'sensor', knownBy: 'metered', on: TODAY } });
  }
  await page.goto('/ledger');
  await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByRole('figure', { name: /Cures: what was said/ })).toBeVisible();
  await expect(page.getByRole('figure', { name: /Cures/ })).toContainText(/\d of \d: \d+ in 100, between/);
  await expect(page.getByRole('table', { name: 'Scores' })).toContainText('Causes');
  expect(await grave(page)).toEqual([]);
  await page.goto('/setup');
  const learned = page.getByRole('region', { name: 'What closed jobs taught' });
  await learned.getByRole('button', { name: 'only what is further than luck' }).click();
  await learned.getByRole('textbox', { name: 'Find a learned number' }).fill('how often sensor');
  const grid = learned.getByRole('grid', { name: 'Learned numbers' });
  await expect(grid.getByRole('row').nth(1)).toContainText('as judged');
  await grid
    .getByRole('button', { name: /back to judgement/ })
    .first()
    .click();
  await expect(grid.getByRole('row').nth(1)).toContainText('frozen');
  await grid
    .getByRole('button', { name: /^Let .* go$/ })
    .first()
    .click();
  await expect(grid.getByRole('row').nth(1)).toContainText('as judged');
  expect(await grave(page)).toEqual([]);
});

import { expect, test, type Page } from '@playwright/test';
import { takeOffer } from '@hardy/core/words';
import type { DocketView } from '@hardy/core/contract';
import { openDocket } from './openDocket.ts';
import { join } from 'node:path';

const FOLDER = join(import.meta.dirname, '../docs/screenshots');
const shoot = async (page: Page, name: string, fullPage = false) => {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(FOLDER, `${name}.png`), fullPage });
};

test('pictures of the main views', async ({ page, request }) => {
  test.setTimeout(180_000);
  await page.goto('/');
  await page.keyboard.type(
    'merrowby 2018 minibus, abs light, C0A31-13, front left: plug green, no play, squeaky mat',
  );
  await expect(page.getByRole('list', { name: 'How this was read' })).toContainText('front left');
  await shoot(page, 'counter');
  await page.getByRole('textbox', { name: 'Counter line' }).fill('');
  await openDocket(page, 'Merrowby Mercy');
  await shoot(page, 'docket');
  await page.goto('/trace');
  await page.getByRole('button', { name: 'once every turn' }).click();
  await expect(page.getByRole('button', { name: /front right once every turn/ })).toBeVisible();
  await page.waitForTimeout(600);
  await shoot(page, 'trace');
  await page.goto('/shelf?q=tern&part=TR39024');
  await expect(page.getByRole('region', { name: 'Part TR39024' })).toBeVisible();
  await shoot(page, 'shelf');
  await page.goto('/shelf?match=1&class=tone-ring');
  await page.getByRole('textbox', { name: /^inside diameter/ }).fill('71.0');
  await expect(page.getByText(/Measure the teeth next/)).toBeVisible();
  await shoot(page, 'shelf-match');
  await page.goto('/ledger?show=figures');
  await expect(page.getByRole('heading', { name: /closed jobs/ })).toBeVisible();
  await shoot(page, 'ledger');
  await page.keyboard.press('s');
  await expect(page.getByRole('figure', { name: /Cures/ })).toBeVisible();
  await shoot(page, 'calibration');
  await page.goto('/setup');
  await expect(page.getByRole('grid', { name: 'Learned numbers' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Labour › rate, EUR/h' })).toBeVisible();
  await shoot(page, 'setup');
  await page.goto('/');
  await page.keyboard.type(
    'merrowby tern 2012, abs light, C0037-2F rear left, very salty, iron knuckle, 190000 km',
  );
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.getByRole('slider').first()).toBeVisible({ timeout: 15000 });
  await shoot(page, 'compare');
  await page.keyboard.press('p');
  await expect(page.getByRole('article', { name: 'Ways to fix it' })).toBeVisible();
  await shoot(page, 'ways', true);
  await openDocket(page, 'Fennick Otter');
  await shoot(page, 'docket-stop');
  await openDocket(page, 'Osterhaal Quay');
  await shoot(page, 'order');
  await page.keyboard.press('p');
  await expect(page.getByRole('article').first()).toBeVisible();
  await shoot(page, 'sheet', true);
  await openDocket(page, 'Merrowby Mercy');
  await page.keyboard.press('q');
  await expect(page.getByRole('checkbox').nth(1)).toBeVisible({ timeout: 15000 });
  await page.keyboard.press('n');
  await expect(page.getByRole('article')).toContainText('Valid until');
  await shoot(page, 'quote');
  await page.goBack();
  await expect(page.getByTestId('verdict')).toBeVisible();
  for (const words of [
    'fennick otter 2018 rear right abs light C003A-13',
    'osterhaal brine 2014 gritter abs light C0037-13 rear left',
    'quillon dragnet 2017 front right abs light C0034-13',
  ]) {
    const view = (await (await request.post('/api/dockets', { data: { words } })).json()) as DocketView;
    const offer = view.advice.offers[0] as DocketView['advice']['offers'][number];
    const chosen = takeOffer(offer, '2026-11-26');
    const lines = chosen.lines?.map((line) => (line.companion ? line : { ...line, quantity: 9 })) ?? [];
    await request.put(`/api/dockets/${view.id}`, {
      data: {
        version: view.version,
        docket: { ...view.docket, chosen: { ...chosen, lines } },
        label: 'taken',
      },
    });
  }
  await page.goto('/orders');
  await page
    .getByRole('button', { name: /^Order \d/ })
    .first()
    .click();
  await expect(page.getByRole('article', { name: /^Order/ })).toBeVisible();
  await page.getByRole('button', { name: 'ask their stock' }).first().click();
  await expect(page.getByText(/harbour depot \d/)).toBeVisible();
  await shoot(page, 'orders');

  // The bench with a vehicle on it, read, then watched as it drives.
  const bench = (await (
    await request.post('/api/dockets', {
      data: { words: 'merrowby 2018 minibus 12, abs light, C0034-13 front right' },
    })
  ).json()) as DocketView;
  await page.goto(`/docket/${bench.id}/devices`);
  await expect(page.getByRole('region', { name: 'Bench' })).toBeVisible();
  await page.keyboard.press('i');
  await expect(page.getByText('218 parts')).toBeVisible();
  await request.post('/api/devices/bench/vehicle', { data: { docketId: bench.id, seed: 4 } });
  await page.waitForTimeout(400);
  await page.keyboard.press('r');
  await expect(page.getByRole('table', { name: 'Codes as read' })).toBeVisible();
  await page.getByLabel('Side of the plug').selectOption('loom');
  await page.getByLabel('Pins').selectOption('feed to ground');
  await page.getByRole('button', { name: 'Volts DC' }).click();
  await expect(page.getByRole('button', { name: 'Put it on the docket' })).toBeVisible();
  await shoot(page, 'devices');

  // The practice counter: somebody who has answered a little, and a customer dealt with not too well.
  await page.goto('/practice/hall');
  await page.getByLabel('A new name').fill('Ada Loom');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'What Ada Loom can do' })).toBeVisible();
  const learnerId = await page.evaluate(() => sessionStorage.getItem('hardy.practice.learner'));
  const post = async (path: string, data: object) =>
    (await (await request.post(`/api/practice${path}`, { data })).json()) as Record<string, never>;
  for (const skill of ['corner', 'root', 'meter', 'speeds', 'picture', 'look-alike'])
    for (let i = 0; i < 9; i++) {
      const asked = await post('/exercises', { learnerId, skill });
      const [first] = asked.choices as unknown as Array<{ key: string }>;
      await post('/answers', {
        learnerId,
        skill,
        variant: asked.variant,
        seed: asked.seed,
        answer: first?.key ?? '',
        ms: 4000,
      });
    }
  await page.reload();
  await expect(page.locator('.skill-bars')).toContainText('in 100');
  await shoot(page, 'practice-hall');
  const visit = await post('/visits', { learnerId, level: 3 });
  const deeds = [
    { kind: 'question', about: 'history' },
    { kind: 'read' },
    { kind: 'check', check: 'visual.connector', at: 'A1L' },
    { kind: 'parts', parts: ['hub-assembly'], at: 'A2R' },
    { kind: 'check', check: 'live', at: null },
    { kind: 'refer' },
  ];
  for (const [after, deed] of deeds.entries())
    await post(`/visits/${String(visit.id)}/deeds`, { after, deed, sent: { sheet: true, stop: false } });
  await page.goto(`/practice/hall/account/${String(visit.id)}`);
  await expect(page.getByTestId('sum')).toBeVisible();
  await shoot(page, 'practice-account');
  await page.goto('/practice/hall/exercise/speeds');
  await expect(page.locator('.exercise-choices')).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.locator('.exercise-told')).toContainText(/Right|No:/);
  await shoot(page, 'practice-exercise');
});

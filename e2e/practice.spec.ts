import AxeBuilder from '@axe-core/playwright';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';

/** A key alone is a command: a hand rests between two. */
const key = async (page: Page, name: string) => {
  await page.keyboard.press(name);
  if (name.length === 1) await page.waitForTimeout(250);
};
const serious = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => [id, nodes[0]?.html]);
};
const came = (page: Page) => page.getByTestId('came');
/** Somebody new says who they are in the hall. */
const arrive = async (page: Page, name: string) => {
  await page.goto('/practice/hall');
  await page.getByLabel('A new name').fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: `What ${name} can do` })).toBeVisible();
};
/** Writes down what the customer said and opens their docket. */
const openDocket = async (page: Page): Promise<string> => {
  await expect(page.getByText('Type what matters of it into the line')).toBeVisible();
  await key(page, 'F2');
  await expect(page.getByLabel('Counter line')).not.toHaveValue('');
  await key(page, 'Enter');
  await expect(page.getByRole('region', { name: 'Verdict, covered' })).toBeVisible();
  await page.getByLabel('Add what you hear').blur();
  await expect(page.getByRole('button', { name: /^Ask/ })).toBeVisible();
  return /docket\/([^/]+)/.exec(page.url())?.[1] ?? '';
};
/** Types the first letters of a line of a list that has the focus, as people do. */
const pick = async (page: Page, label: string, words: string) => {
  await page.getByLabel(label, { exact: true }).focus();
  await page.keyboard.type(words, { delay: 15 });
};
const sendAway = async (page: Page, what: string, where: 'last wheel' | null) => {
  const before = await came(page).textContent();
  await key(page, 's');
  await expect(page.getByRole('dialog')).toBeVisible();
  await pick(page, 'With', what);
  if (where === 'last wheel') {
    await page.getByLabel('For', { exact: true }).focus();
    await page.keyboard.press('End');
  }
  await page.getByLabel('They have the sheet, and its cautions were said').press('Space');
  await key(page, 'Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(came(page)).not.toHaveText(before ?? '', { timeout: 60_000 });
  await expect(came(page)).not.toHaveText('One moment\u2026', { timeout: 60_000 });
};

interface Verdict {
  action: 'sell' | 'check' | 'no-part';
  check: string | null;
  part: string | null;
  wheelEnd: string | null;
}
const adviceOf = async (request: APIRequestContext, docketId: string) => {
  const answer = await request.get(`/practice/api/dockets/${docketId}`);
  expect(answer.status()).toBe(200);
  return ((await answer.json()) as { advice: { verdict: Verdict } }).advice;
};

test('a round of five customers by keyboard, well and badly: the account says the true mistake', async ({
  page,
  request,
}) => {
  test.setTimeout(400_000);
  // Which dockets there are, and how they stand: what is said of them another test may have turned.
  const shop = async () => {
    const list = (await (await request.get('/api/dockets?state=all&limit=500')).json()) as {
      dockets: Array<{ id: string; state: string }>;
    };
    return list.dockets.map(({ id, state }) => `${id} ${state}`).sort();
  };
  const before = await shop();
  const name = `Round ${Date.now()}`;
  await arrive(page, name);
  await key(page, 'm');
  await expect(page.getByRole('heading', { name: 'Team' })).toBeVisible();
  await page.getByLabel('Name of the round').fill(name);
  await pick(page, 'Level', 'level 2');
  await page.getByLabel('Customers').fill('5');
  await page.keyboard.press('Enter');
  await expect(page.getByText(`${name}: 5 customers of level 2`)).toBeVisible();
  await page.getByLabel('Customers').blur();
  await key(page, 'b');
  const line = page.getByRole('listitem').filter({ hasText: `${name}, level 2` });
  await line.getByRole('button').focus();
  await key(page, 'Enter');

  const regrets: number[] = [];
  for (let customer = 0; customer < 5; customer++) {
    const docketId = await openDocket(page);
    const badly = customer % 2 === 1;
    if (badly) {
      await sendAway(page, 'hub assembly', 'last wheel');
      if (!page.url().includes('account')) await sendAway(page, 'to a workshop', null);
    } else {
      // As somebody who knows: asks, reads, looks where it tells most, and sells what it comes to.
      for (const question of ['1', '3']) {
        const said = await came(page).textContent();
        await key(page, 'a');
        await key(page, question);
        await expect(came(page)).not.toHaveText(said ?? '');
        await expect(came(page)).not.toHaveText('One moment\u2026');
      }
      await key(page, 'g');
      await expect(came(page)).toContainText('read every controller', { timeout: 20_000 });
      for (let step = 0; step < 12 && !page.url().includes('account'); step++) {
        const { verdict } = await adviceOf(request, docketId);
        const visit = await page.evaluate(() => sessionStorage.getItem('hardy.practice.visit'));
        const { steps } = (await (await request.get(`/api/practice/visits/${visit}`)).json()) as {
          steps: unknown[];
        };
        const act = (deed: object) =>
          request.post(`/api/practice/visits/${visit}/deeds`, {
            data: { after: steps.length, deed, sent: { sheet: true, stop: true } },
          });
        if (verdict.action === 'check' && verdict.check && step < 8)
          expect((await act({ kind: 'check', check: verdict.check, at: verdict.wheelEnd })).status()).toBe(
            200,
          );
        else if (verdict.action === 'sell' && verdict.part && step < 10)
          await act({ kind: 'parts', parts: [verdict.part], at: verdict.wheelEnd });
        else await act({ kind: 'refer' });
        const now = (await (await request.get(`/api/practice/visits/${visit}`)).json()) as { over: boolean };
        if (now.over) await page.goto(`/practice/hall/account/${visit}`);
      }
    }
    await expect(page.getByTestId('sum')).toBeVisible({ timeout: 60_000 });
    const visit = /account\/([^/]+)/.exec(page.url())?.[1];
    const { account } = (await (await request.get(`/api/practice/visits/${visit}`)).json()) as {
      account: { regret: number; steps: Array<{ words: string; regret: number; better: string | null }> };
    };
    regrets.push(account.regret);
    if (badly) {
      // The hub at a wheel nobody had looked at is the mistake, and what was better stands beside it.
      const worst = account.steps.reduce((most, step) => (step.regret > most.regret ? step : most));
      expect(worst.words).toMatch(/^fit hub assembly, (rear|axle \d) right$/);
      expect(worst.better).toBeTruthy();
      await expect(page.locator('.account-steps')).toContainText('Better, by what was known');
      await expect(
        page.getByText('Nobody asked').or(page.getByText('the controller was never asked')).first(),
      ).toBeVisible();
    }
    if (customer === 0) expect(await serious(page)).toEqual([]);
    if (customer < 4) {
      await key(page, 'n');
      await expect(page).toHaveURL(/practice\/?$/, { timeout: 60_000 });
    }
  }
  const [well, badly] = [0, 1].map((odd) => regrets.filter((_, i) => i % 2 === odd)) as [number[], number[]];
  const mean = (list: number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
  expect(mean(badly)).toBeGreaterThan(mean(well));
  await page.goto('/practice/hall/team');
  await expect(page.getByRole('region', { name })).toContainText('5 of 5 seen to');
  expect(await serious(page)).toEqual([]);
  // The shop's own books know nothing of it.
  expect(await shop()).toEqual(before);
});

test('practice is plainly practice: words, stripes and every sheet; the advice is covered until it is asked for', async ({
  page,
}) => {
  await arrive(page, `Sheet ${Date.now()}`);
  expect(await serious(page)).toEqual([]);
  await key(page, '1');
  await openDocket(page);
  await expect(page.getByTestId('verdict')).toHaveCount(0);
  await key(page, 'w');
  await expect(page.getByRole('heading', { name: 'Covered' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('region', { name: 'Verdict, covered' })).toBeVisible();
  await page.getByRole('button', { name: 'Take', exact: true }).first().focus();
  await key(page, 'Enter');
  await expect(page.getByRole('region', { name: 'Order', exact: true })).toBeVisible();
  await expect(page.getByText('not saved yet')).toHaveCount(0);
  await key(page, 'p');
  await expect(page.locator('.papers')).toBeVisible();
  await expect(page.locator('.watermark')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.watermark')).toBeVisible();
  await page.emulateMedia({ media: null });
  await page.goBack();
  await key(page, 'v');
  await expect(page.getByRole('region', { name: 'Verdict', exact: true })).toBeVisible();
  // At the shop's own counter there is no sign of it.
  await page.getByRole('link', { name: 'Leave practice' }).focus();
  await key(page, 'Enter');
  await expect(page).toHaveURL(/\/$/);
  await expect(page.getByRole('region', { name: 'Practice' })).toHaveCount(0);
});

test('exercises by keyboard: every skill asks, judges and says why; a reload loses nothing', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const name = `Skills ${Date.now()}`;
  await arrive(page, name);
  for (const skill of ['corner', 'root', 'meter', 'speeds', 'picture', 'look-alike']) {
    await page.goto(`/practice/hall/exercise/${skill}`);
    await expect(page.locator('.exercise-prompt')).toBeVisible();
    if (skill === 'speeds') expect(await serious(page)).toEqual([]);
    await key(page, '1');
    await expect(page.locator('.exercise-told')).toContainText(/Right|No:/);
    await key(page, 'Enter');
    await expect(page.locator('.exercise-told')).not.toContainText(/Right|No:/);
  }
  await page.goto('/practice/hall/exercise/price');
  await page.getByLabel('Your answer').fill('12');
  await page.keyboard.press('Enter');
  await expect(page.locator('.exercise-told')).toContainText(/Right|No:/);
  await page.goto('/practice/hall');
  await expect(page.getByLabel('Your name')).not.toHaveValue('');
  await expect(page.locator('.skill-bars')).toContainText('in 100');
  await page.getByRole('link', { name: 'Certificate page' }).focus();
  await key(page, 'Enter');
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.getByText('nothing yet that 20 answers would bear out')).toBeVisible();
  await expect(page.locator('.watermark')).toBeVisible();
});

test('words of the trade, on any screen: by the mouse resting on one, and by one key', async ({ page }) => {
  await page.goto('/setup');
  await expect(page.getByRole('heading', { name: 'Setup' })).toBeVisible();
  await key(page, 'F1');
  const dialog = page.getByRole('dialog', { name: 'Words of the trade' });
  await expect(dialog).toBeVisible();
  await page.getByLabel('Find a word').fill('brake lamp');
  await expect(dialog.getByRole('article').first()).toContainText('fluid, pads or park brake first');
  expect(await serious(page)).toEqual([]);
  await key(page, 'Escape');
  await expect(dialog).toHaveCount(0);
  await page.goto('/devices');
  const word = page.getByRole('heading', { name: 'Reader' }).first();
  await expect(word).toBeVisible();
  const box = await word.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 12, (box?.y ?? 0) + (box?.height ?? 0) / 2);
  await expect(page.getByRole('tooltip')).toContainText('Asks controllers for their codes');
  await key(page, 'F1');
  await expect(dialog.getByRole('article').first()).toContainText('reader');
});

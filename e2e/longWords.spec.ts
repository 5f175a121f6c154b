import { expect, test } from '@playwright/test';

const LONG = 'Wheelspeedsensor'.repeat(25);

test('words of four hundred letters widen no screen and no sheet', async ({ page, request }) => {
  const made = (await (
    await request.post('/api/dockets', {
      data: { words: 'merrowby 2018 minibus, abs light, C0A31-13 front left' },
    })
  ).json()) as { id: string; version: number; docket: { vehicle: object; codes: object[] } };
  const docket = {
    ...made.docket,
    customer: { name: LONG.slice(0, 120), phone: LONG.slice(0, 40), firm: LONG.slice(0, 120) },
    elsewhere: [{ kind: 'dealer', what: LONG.slice(0, 300), cents: 100, withWork: true }],
    vehicle: {
      ...made.docket.vehicle,
      name: LONG.slice(0, 200),
      plate: LONG.slice(0, 40),
      fleetNumber: LONG.slice(0, 40),
    },
    codes: [...made.docket.codes, { code: LONG.slice(0, 60), module: LONG.slice(0, 80), text: LONG }],
    leftOver: [LONG],
    wants: [LONG.slice(0, 200)],
    words: LONG.repeat(3),
  };
  const put = await request.put(`/api/dockets/${made.id}`, {
    data: { version: made.version, docket, label: LONG.slice(0, 200) },
  });
  expect(put.ok()).toBe(true);
  await page.goto('/');
  await page.getByRole('textbox', { name: 'Counter line' }).fill(LONG);
  for (const path of [
    '/',
    `/docket/${made.id}`,
    `/docket/${made.id}/compare`,
    `/docket/${made.id}/ways`,
    `/docket/${made.id}/sheet`,
    `/docket/${made.id}/sheet?language=de`,
    `/docket/${made.id}/quote`,
    '/orders',
    '/trace',
    '/shelf',
  ]) {
    if (path !== '/') await page.goto(path);
    await expect(page.locator('.sheet, .paper, main').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    const { wide, out } = await page.evaluate(() => {
      const most = document.documentElement.clientWidth;
      const out = [...document.querySelectorAll('main *, .paper *')]
        .filter((element) => element.getBoundingClientRect().right > most + 1 && element.textContent !== '')
        .map((element) => `${element.tagName}.${element.className.toString().slice(0, 40)}`);
      // Nothing is cut off inside a column of its own either.
      const cut = [...document.querySelectorAll('.facts, .middle, .offers, .dockets, .order')]
        .filter((element) => element.scrollWidth > element.clientWidth + 1)
        .map((element) => `cut ${element.className.toString().slice(0, 40)}`);
      return { wide: document.documentElement.scrollWidth - most, out: [...out, ...cut].slice(0, 5) };
    });
    expect([path, wide, out]).toEqual([path, 0, []]);
  }
});

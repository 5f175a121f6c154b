import { expect, test } from '@playwright/test';
import { generateLog } from '../packages/core/src/signal/generate/generateLog.ts';
import { logToCsv } from '../packages/core/src/signal/logToCsv.ts';

const cracked = (seconds: number, rateHz: number) =>
  logToCsv(
    generateLog({
      seed: 8,
      drive: 'yard',
      seconds,
      rateHz,
      faults: [{ wheelEnd: 'A1R', pattern: 'once-per-turn', severity: 0.7 }],
    }),
  );

test('a log is dropped, its finding seen and put on the docket, and the verdict changes', async ({
  page,
}) => {
  await page.goto('/');
  await page.keyboard.type('quillon 2012 pickup, pedal pulses when stopping, C0035 front right');
  await page.keyboard.press('Enter');
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toBeVisible();
  const before = await verdict.innerText();
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: 'Trace bench' })).toBeVisible();

  // Dropped as a file from the desktop would be.
  const data = await page.evaluateHandle(
    (csv) => {
      const transfer = new DataTransfer();
      transfer.items.add(new File([csv], 'drive.csv', { type: 'text/csv' }));
      return transfer;
    },
    cracked(180, 20),
  );
  await page.dispatchEvent('.trace-sheet', 'drop', { dataTransfer: data });

  const finding = page.getByRole('button', { name: /front right once every turn/ });
  await expect(finding).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('.finding.chosen')).toContainText(/Disturbed once every turn at the same place/);
  await expect(page.locator('.finding.chosen')).toContainText('tone ring');
  await expect(
    page.getByRole('img', { name: /events lie within a tenth of a turn of one place/ }),
  ).toBeVisible();
  for (const other of ['front left', 'rear left', 'rear right'])
    await expect(
      page.getByRole('button', { name: new RegExp(`${other} runs with the others`) }),
    ).toBeVisible();
  // Closer and back by the buttons; the plot says what it shows.
  await page.getByRole('button', { name: 'Closer' }).click();
  await expect(page.getByRole('img', { name: /Speeds of 4 wheels from 45 to 135 seconds/ })).toBeVisible();

  await page.getByRole('button', { name: 'Put A1R on the docket' }).click();
  await expect(page).toHaveURL(/\/docket\/[^/]+$/);
  await expect(page.getByLabel('compare live wheel speeds: result')).toHaveValue('once-per-turn');
  await expect(verdict).not.toHaveText(before);
  await expect(page.getByRole('main')).toContainText(/the tone ring front right: about \d in 10/);
});

test('columns nobody can guess are asked for once and remembered', async ({ page }) => {
  await page.goto('/trace');
  const odd = cracked(60, 10).replace(/^.*\n/, 'stamp;ch1;ch2;ch3;ch4\n').replace(/(\d),/g, '$1;');
  const give = () =>
    page.setInputFiles('input[type=file]', {
      name: 'odd.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(odd),
    });
  await give();
  const dialog = page.getByRole('dialog', { name: 'Which column is what?' });
  await expect(dialog).toContainText('which columns are wheel speeds');
  await expect(dialog.getByRole('button', { name: 'Read the log' })).toBeDisabled();
  await dialog.getByLabel('What stamp is').selectOption('time');
  for (const [heading, end] of [
    ['ch1', 'A1L'],
    ['ch2', 'A1R'],
    ['ch3', 'A2L'],
    ['ch4', 'A2R'],
  ] as const)
    await dialog.getByLabel(`What ${heading} is`).selectOption(end);
  await dialog.getByRole('button', { name: 'Read the log' }).click();
  await expect(page.getByRole('button', { name: /front right once every turn/ })).toBeVisible();
  await page.reload();
  await give();
  await expect(page.getByRole('button', { name: /front right once every turn/ })).toBeVisible();
  // Another circumference is another study of the same columns.
  await page.getByLabel(/Metres a turn/).fill('2.1');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(1500);
  await expect(page.getByText('2.100 m (6.89 ft)')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('button', { name: /front right once every turn/ })).toBeVisible();
});

test('a reading is judged by the limits of the shop', async ({ page, request }) => {
  const put = async (overrides: Record<string, number | null>) => {
    const { version } = (await (await request.get('/api/shop')).json()) as { version: number };
    return request.patch('/api/shop', { data: { version, change: { overrides } } });
  };
  const made = (await (
    await request.post('/api/dockets', {
      data: {
        docket: {
          format: 'hardy-spoke/docket',
          version: 1,
          vehicle: { axles: 2, wheelEnds: { A1: { sensor: 'passive', mounting: 'separate' } } },
          codes: [{ module: 'ABS', code: 'C0031-13', status: 'active' }],
        },
      },
    })
  ).json()) as { id: string };
  try {
    await put({ 'resistance.passive.high': 1100 });
    await page.goto(`/docket/${made.id}`);
    await expect(page.getByTestId('verdict')).toBeVisible();
    await page.keyboard.press('c');
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'meter the resistance' }).click();
    await dialog.getByLabel('reading, ohm').fill('1500');
    await expect(dialog).toContainText(/above 800 ohm to 1,100 ohm/);
  } finally {
    await put({ 'resistance.passive.high': null });
  }
});

test('a long study is stopped, the page answers meanwhile, and a bad log loses nothing', async ({ page }) => {
  await page.goto('/trace');
  const long = cracked(4000, 100);
  await page.setInputFiles('input[type=file]', {
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(long),
  });
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(page.getByText('Drop a wheel-speed log here.')).toBeVisible();

  await page.setInputFiles('input[type=file]', {
    name: 'zeros.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `time_s,A1L,A1R\n${Array.from({ length: 100 }, (_, i) => `${i / 10},0,0`).join('\n')}`,
    ),
  });
  await expect(page.getByRole('alert')).toContainText('the vehicle never moved');
  // Learn on a made-up one instead.
  await page.getByRole('button', { name: 'weak when slow' }).click();
  await expect(page.getByRole('button', { name: /front right weak when slow/ })).toBeVisible();
});

test('a coil read in kilohms is asked about, tyres and teeth are compared', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type('quillon 2012 pickup, abs light, C0035 front right');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  const checks = page.getByRole('region', { name: 'Checks' });
  const dialog = page.getByRole('dialog');
  await page.keyboard.press('c');
  await dialog.getByRole('button', { name: 'meter the resistance' }).click();
  await dialog.getByLabel('reading, ohm').fill('1.2');
  await expect(dialog).toContainText('Was it 1200 ohm (1.2 kilohm), or really 1.2 ohm?');
  await expect(dialog.getByRole('button', { name: 'Add', exact: true })).toBeDisabled();
  await dialog.getByRole('button', { name: '1200 ohm (1.2 kilohm)', exact: true }).click();
  await expect(checks).toContainText('meter the resistance');
  await expect(page.getByLabel('meter the resistance: reading')).toHaveValue('1200');

  await page.keyboard.press('c');
  await dialog.getByRole('button', { name: 'count the teeth of the ring' }).click();
  await dialog.getByLabel('teeth counted, teeth').fill('47');
  await dialog.getByLabel(/across the axle/).fill('48');
  await expect(dialog).toContainText('2.08 % low');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(checks).toContainText(/wrong .*likelier/);

  await page.keyboard.press('c');
  await dialog.getByRole('button', { name: 'compare the tyre sizes' }).click();
  await dialog.getByLabel('front left').fill('245/70 R16');
  await dialog.getByRole('button', { name: 'the rest are the same' }).click();
  await dialog.getByLabel('rear right').fill('265/70 R16');
  await expect(dialog).toContainText(/rear right .* slow at every speed/);
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(checks).toContainText('A2R 265/70 R16');

  await page.keyboard.press('f');
  await expect(dialog).toContainText('to be expected at 30 km/h');
  await dialog.getByLabel('Teeth or poles').fill('50');
  await expect(dialog).toContainText(/\d+\.\d Hz/);
});

test('the speeds before and after the fix are kept and stand side by side', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.type('quillon 2012 pickup, pedal pulses when stopping, C0035 front right');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  const picture = page.getByRole('figure', { name: 'Wheel speeds before and after the fix' });
  for (const [as, csv] of [
    ['before', cracked(60, 20)],
    ['after', logToCsv(generateLog({ seed: 8, drive: 'yard', seconds: 60, rateHz: 20, faults: [] }))],
  ] as const) {
    await page.keyboard.press('t');
    await page
      .getByLabel('Wheel-speed log')
      .setInputFiles({ name: `${as}.csv`, mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await page.getByRole('button', { name: `keep as ${as}` }).click();
    await expect(picture).toContainText(`${as}.csv`);
  }
  await expect(picture.getByText(/front right: at most \d+\.\d km\/h from the others/)).toHaveCount(2);
  const apart = (await picture.getByText(/at most/).allInnerTexts()).map((text) =>
    Number(/[\d.]+(?= km)/.exec(text)?.[0]),
  );
  expect(apart[0]).toBeGreaterThan(apart[1] ?? 0);
});

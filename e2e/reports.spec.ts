import { expect, test } from '@playwright/test';

const REPORT = `Vehicle report, 25 November, operator 7

[Park brake]
U0415-81  Invalid data received from anti-lock controller  active
[Transfer case]
U0415-86  Invalid data received from anti-lock controller  active
[ABS]
C0B07-31  Wheel speed sensor, right front: no signal  active
[Camera]
U0415-92  Invalid data received from anti-lock controller  stored
[Instruments]
U0121  Lost communication with ABS  stored
Page 1 of 1`;

test('a pasted report with one root and four echoes reaches the right corner', async ({ page }) => {
  await page.goto('/');
  const line = page.getByRole('textbox', { name: 'Counter line' });
  await line.focus();
  await page.evaluate((text) => navigator.clipboard?.writeText(text).catch(() => undefined), REPORT);
  await line.fill(REPORT);
  await expect(page.getByRole('list', { name: 'How this was read' })).toContainText('C0B07-31');
  await line.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('Front right');
  const codes = page.getByRole('region', { name: 'Codes' });
  await expect(codes).toContainText('1 root');
  await expect(codes).toContainText(
    '4 echoes of the brake controller in other modules, explained by C0B07-31',
  );
  await codes.getByText('4 echoes').click();
  await expect(codes).toContainText('lost communication with the anti-lock controller: an echo');
});

test('a dropped file is read, in an old encoding too; a picture is refused and nothing typed is lost', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('textbox', { name: 'Counter line' }).fill('minibus, abs light');
  const pick = page.getByLabel('Take a scan report from a file');
  await pick.setInputFiles({
    name: 'report.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(
      '\uFEFFABS\r\nC0037-13 Wheel speed sensor rear left, caf\u00E9: open, active\r\n',
      'utf16le',
    ),
  });
  await expect(page.getByRole('list', { name: 'How this was read' })).toContainText('C0037-13');
  await pick.setInputFiles({
    name: 'photo.png',
    mimeType: 'image/png',
    buffer: Buffer.from(Array.from({ length: 3000 }, (_, i) => (i * 7) % 32)),
  });
  await expect(page.locator('.look-here').first()).toContainText('photo.png: is not text');
  await expect(page.getByRole('textbox', { name: 'Counter line' })).toHaveValue(/minibus, abs light/);
});

test('a chip is dropped, another is changed by typing over its words', async ({ page }) => {
  await page.goto('/');
  const line = page.getByRole('textbox', { name: 'Counter line' });
  await line.fill('minibus, abs light, front left, squeaky mat');
  await page.getByRole('button', { name: 'Drop squeaky mat' }).click();
  await expect(line).toHaveValue('minibus, abs light, front left');
  await page.getByRole('button', { name: /^corner front left/ }).click();
  await page.keyboard.type('rear right');
  await expect(line).toHaveValue('minibus, abs light, rear right');
  await expect(page.getByRole('list', { name: 'How this was read' })).toContainText('rear right');
});

test('echoes alone: the brake controller must be read', async ({ page }) => {
  await page.goto('/');
  await page
    .getByRole('textbox', { name: 'Counter line' })
    .fill(
      '[Camera]\nU0415-92  Invalid data received from anti-lock controller  stored\n[Park brake]\nU0415-81  Invalid data received from anti-lock controller  active',
    );
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('Read the brake controller itself');
});

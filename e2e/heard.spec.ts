import { expect, test } from '@playwright/test';

const LINE = 'tolvane ferry 2016, abs light, front left: plug green, ring fine. rear right reads open';

test('a chip shows its wheel and how it is known, and one key moves it', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Counter line').fill(LINE);
  const chips = page.getByRole('list', { name: 'How this was read' });
  const plug = chips.getByRole('listitem').filter({ hasText: 'look inside the connector' });
  await expect(plug).toContainText('front left');
  await expect(plug).toContainText('carried over');
  const open = chips.getByRole('listitem').filter({ hasText: 'meter the resistance: open' });
  await expect(open).toContainText('rear right');
  await expect(open).not.toContainText('carried over');
  await expect(open.getByRole('button').first()).toHaveAttribute('title', /said in .rear right reads open/);

  // Front left, then front right: one step to the right.
  await plug.getByRole('button').first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(plug).toContainText('front right');
  await expect(plug).toContainText('moved by hand');
  // Typing elsewhere keeps what was moved.
  await page.getByLabel('Counter line').press('End');
  await page.keyboard.type(', speedo dead');
  await expect(chips).toContainText('speedometer dead');
  await expect(plug).toContainText('front right');

  await page.getByLabel('Counter line').press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Facts' }).or(page.locator('main'))).toContainText(
    'front right',
  );
});

test('the sentence to say stands beneath the line before Enter, and Enter opens the docket with it', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByLabel('Counter line').fill('fennick otter 2014, wheel wobbles rear left, abs light on');
  const answer = page.getByTestId('answer');
  await expect(answer).toContainText('Do not drive it');
  const said = ((await answer.textContent()) ?? '').replace(/^[!?\u25B6\u00D7]\s*/, '').trim();
  await page.getByLabel('Counter line').press('Enter');
  await expect(page.getByTestId('verdict')).toHaveText(said);
});

test('a word of danger that was not surely meant is asked once, and its answer becomes a fact', async ({
  page,
}) => {
  await page.goto('/');
  await page
    .getByLabel('Counter line')
    .fill('tolvane ferry 2016, C0037 rear left, there might be a bit of play but not sure');
  await expect(page.getByText(/does a wheel rock or have play\?/)).toHaveCount(1);
  await page.getByLabel('Counter line').press('Enter');
  const question = page.getByRole('region', { name: 'Question' });
  await expect(question.first()).toContainText('does a wheel rock or have play?');
  await question
    .first()
    .getByRole('button', { name: /clear play/ })
    .click();
  await expect(page.getByTestId('verdict')).toContainText('Do not drive it');
  await expect(page.getByText(/does a wheel rock or have play\?/)).toHaveCount(0);
});

test('two wheels that may be meant are asked, and nothing is put on one of them', async ({ page }) => {
  await page.goto('/');
  await page
    .getByLabel('Counter line')
    .fill('tolvane ferry 2016, either the front right or the rear right has play');
  const play = page
    .getByRole('list', { name: 'How this was read' })
    .getByRole('listitem')
    .filter({ hasText: 'rock the wheel for play' });
  await expect(play).toContainText('which wheel?');
});

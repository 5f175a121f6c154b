import type { Page } from '@playwright/test';

/**
 * A barcode gun that stands in for one: a keyboard that types the bars at once, wherever the focus is, and Enter.
 * @param apartMs so far apart are its keys: guns differ
 */
export const scan = async (page: Page, bars: string, apartMs = 4): Promise<void> => {
  await page.keyboard.type(bars, { delay: apartMs });
  await page.keyboard.press('Enter');
};

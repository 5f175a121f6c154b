import { expect, test } from '@playwright/test';
import type { Docket } from '@hardy/core';
import type { DocketView } from '@hardy/core/contract';

/** What is left of a sheet of paper between margins of 12 mm, in CSS pixels at 96 to the inch. */
const PAPERS = {
  A4: { width: 703, height: 1032 },
  Letter: { width: 725, height: 965 },
} as const;
const LINE = 16;
const JOBS = 60;
const WHEELS = ['front left', 'rear right', 'rear left', 'front right'];
const FAULTS = [
  'C0031-13 active',
  'connector corroded',
  'tone ring cracked, high salt',
  'clear bearing play and a growl',
  'new tyre of another size here, reads low',
  'battery was flat, many codes',
];

/** Sixty jobs of the demo's vehicles: what each ends in, taken or not. */
const words = (vehicles: ReadonlyArray<{ name: string; builtFrom: string }>): string[] =>
  Array.from({ length: JOBS }, (_, i) => {
    const vehicle = vehicles[(i * 7) % vehicles.length];
    return `${vehicle?.name} ${vehicle?.builtFrom.slice(0, 4)}, abs light, ${WHEELS[i % 4]}, ${FAULTS[i % 6]}`;
  });

test('the sheets of sixty jobs, on A4 and Letter, in both languages: nothing is clipped, no page holds three lines', async ({
  page,
  request,
}) => {
  test.setTimeout(600_000);
  const vehicles = (await (await request.get('/api/vehicles')).json()) as Array<{
    name: string;
    builtFrom: string;
  }>;
  const kinds = new Map<string, number>();
  await page.emulateMedia({ media: 'print' });
  for (const [i, text] of words(vehicles).entries()) {
    let view = (await (await request.post('/api/dockets', { data: { words: text } })).json()) as DocketView;
    const offer = view.advice.offers[i % Math.max(1, Math.min(3, view.advice.offers.length))];
    // Every other job is taken, whatever the verdict.
    if (offer && i % 2 === 0) {
      const chosen: Docket['chosen'] = {
        part: offer.part,
        wheelEnd: offer.wheelEnd,
        partNumber: offer.lines[0]?.partNumber ?? null,
        parts: [offer.part, ...offer.with].map((part) => ({ part, wheelEnd: offer.wheelEnd })),
        lines: offer.lines.map((line) => ({
          partNumber: line.partNumber,
          description: line.description,
          brand: line.brand,
          tier: line.tier,
          quantity: line.quantity,
          unitCents: Math.round(line.unitPrice * 100),
          listCents: Math.round(line.listPrice * 100),
          depositCents: Math.round(line.deposit * 100),
          bin: line.bin,
          why: line.why,
          wheelEnd: line.wheelEnd,
          companion: line.companion,
        })),
        priceCents: 100,
        allInMeanCents: 100,
        cures: offer.cures,
      };
      view = (await (
        await request.put(`/api/dockets/${view.id}`, {
          data: { version: view.version, docket: { ...view.docket, chosen }, label: 'taken' },
        })
      ).json()) as DocketView;
    }
    const language = i % 3 === 0 ? 'de' : 'en';
    await page.goto(`/docket/${view.id}/sheet?language=${language}`);
    // A docket whose corner nobody knows has a check to take home at least.
    await expect(page.getByRole('article').first()).toBeVisible();
    for (const [name, { width, height }] of Object.entries(PAPERS)) {
      await page.setViewportSize({ width, height });
      const found = await page.getByRole('article').evaluateAll((papers) =>
        (papers as HTMLElement[]).map((paper) => ({
          kind: paper.className.replace(/.*paper-(stop|fit|check|no-part).*/, '$1'),
          // The blocks of a sheet stay whole, the foot with the last of them: pages fill one after the other.
          blocks: [...paper.children].map((block) => {
            const { marginTop, marginBottom } = getComputedStyle(block);
            return block.getBoundingClientRect().height + parseFloat(marginTop) + parseFloat(marginBottom);
          }),
          // Nothing runs off to the side, in the paper or in a cell of it.
          clipped:
            [...paper.querySelectorAll('*')].filter(
              (node) =>
                node.scrollWidth > node.clientWidth + 1 &&
                node.clientWidth > 0 &&
                getComputedStyle(node).display !== 'inline',
            ).length + (paper.scrollWidth > paper.clientWidth + 1 ? 1 : 0),
        })),
      );
      for (const sheet of found) {
        const where = `${text} ${language} ${name} ${sheet.kind}`;
        expect([where, sheet.clipped]).toEqual([where, 0]);
        const [foot = 0, last = 0, ...others] = sheet.blocks.reverse();
        const filled = [...others.reverse(), last + foot].reduce<number[]>(
          (pagesSofar, block) => {
            const sofar = pagesSofar.at(-1) ?? 0;
            return sofar + block <= height
              ? [...pagesSofar.slice(0, -1), sofar + block]
              : [...pagesSofar, block];
          },
          [0],
        );
        expect([where, (filled.at(-1) ?? 0) > 4 * LINE]).toEqual([where, true]);
        // A stop, a check and a cure without a part are one page each; fitting two parts may take two.
        expect([where, filled.length <= (sheet.kind === 'fit' ? 2 : 1)]).toEqual([where, true]);
        kinds.set(sheet.kind, (kinds.get(sheet.kind) ?? 0) + 1);
      }
    }
    // Chromium's own print agrees, on some of them.
    if (i % 12 === 0)
      for (const format of ['A4', 'Letter'] as const) {
        const pdf = (
          await page.pdf({ format, margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })
        ).toString('latin1');
        const count = pdf.match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0;
        expect(count).toBeGreaterThanOrEqual(view.advice.sheets.length);
        expect(count).toBeLessThanOrEqual(view.advice.sheets.length * 2);
      }
  }
  for (const kind of ['stop', 'fit', 'check'])
    expect([kind, (kinds.get(kind) ?? 0) > 0]).toEqual([kind, true]);
});

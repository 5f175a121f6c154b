import type { Cause } from '../vocabulary/words.ts';
import { parseTyreSize, readsAgainst } from '../vocabulary/tyreSize.ts';

/** What is known of the wheel that reads off, and of the others. */
export interface RatioContext {
  /** Tyre said to be on the wheels that read right. */
  readonly tyre?: string | null;
  /** Tyre said to be on the wheel that reads off. */
  readonly fitted?: string | null;
  /** Teeth or pole pairs the controller expects. */
  readonly teeth?: number | null;
}

/** One way a reading can be off by a constant ratio. */
export interface RatioExplanation {
  readonly cause: Cause;
  readonly because: string;
  /** What it predicts, in percent of the true speed, and what is left unexplained. */
  readonly predictedPercent: number;
  readonly leftPercent: number;
  /** Weight of this way before the figure is looked at: the rarer ways need the better fit. */
  readonly weight: number;
}

/** Wear and pressure explain up to about so much, in percent. Rule of thumb. */
const WEAR_PERCENT = 2;
/** How unlike two tyres usually are by wear and pressure, and a pair of sizes besides, in percent. */
const WEAR_USUAL = 0.8;
const PAIRS_WITHIN = 0.5;
/** How well a log or a reader tells a ratio, in percent: one standard deviation. */
const TOLD_WITHIN = 0.25;

/** Tooth counts in use: road cars, then heavy axles. Rule of thumb. */
const USUAL_TEETH = [
  29, 30, 32, 36, 38, 40, 41, 42, 43, 44, 45, 46, 47, 48, 50, 52, 54, 56, 58, 60, 80, 90, 100,
];
const COMMON_TEETH = new Set([43, 44, 47, 48]);

/** Tyre sizes in common use, smallest to largest; neighbours get mixed up. ISO 4000-1 and ISO 4223-1 notation. */
const USUAL_TYRES = [
  '165/70 R14',
  '175/65 R14',
  '185/65 R14',
  '185/65 R15',
  '195/55 R15',
  '195/65 R15',
  '205/55 R16',
  '205/60 R16',
  '205/65 R16',
  '215/60 R16',
  '215/65 R16',
  '215/70 R16',
  '225/45 R17',
  '225/50 R17',
  '225/55 R17',
  '225/65 R17',
  '235/45 R18',
  '235/60 R18',
  '235/65 R17',
  '245/70 R16',
  '255/55 R18',
  '265/65 R17',
  '265/70 R16',
];

const signed = (percent: number): string =>
  `${percent > 0 ? '+' : '\u2212'}${Math.abs(percent).toFixed(2)} %`;

const toothPairs = (teeth: number | null | undefined): Array<{ expected: number; fitted: number }> => {
  if (teeth)
    return [-5, -4, -3, -2, -1, 1, 2, 3, 4, 5].map((more) => ({ expected: teeth, fitted: teeth + more }));
  return USUAL_TEETH.flatMap((expected) =>
    USUAL_TEETH.filter((fitted) => fitted !== expected && Math.abs(fitted / expected - 1) < 0.12).map(
      (fitted) => ({ expected, fitted }),
    ),
  );
};

const tyrePairs = (context: RatioContext): Array<{ right: string; odd: string; known: boolean }> => {
  if (context.tyre && context.fitted) return [{ right: context.tyre, odd: context.fitted, known: true }];
  const rights = context.tyre ? [context.tyre] : USUAL_TYRES;
  return rights.flatMap((right) => {
    const rim = parseTyreSize(right)?.rim;
    return USUAL_TYRES.filter((odd) => odd !== right && parseTyreSize(odd)?.rim === rim).map((odd) => ({
      right,
      odd,
      known: false,
    }));
  });
};

/**
 * Ranks what explains a constant ratio: tyre pairs on one rim, tooth counts, wear or pressure, with what each leaves over.
 *
 * A larger tyre turns slower: the reading is off by the ratio of diameters. A ring with other teeth than the controller
 * expects is off by fitted over expected: 47 for 48 is -2.08 %. Wear makes a tyre smaller, so the wheel reads high; low
 * pressure likewise. Ranked by weight times the likelihood of what is left over.
 */
export const explainRatio = (percent: number, context: RatioContext = {}, most = 8): RatioExplanation[] => {
  const fits = (left: number, width = TOLD_WITHIN) => Math.exp(-0.5 * (left / width) ** 2);
  const all: RatioExplanation[] = [];
  for (const { right, odd, known } of tyrePairs(context)) {
    const a = parseTyreSize(right);
    const b = parseTyreSize(odd);
    if (!a || !b) continue;
    const predictedPercent = readsAgainst(b, a);
    if (Math.abs(predictedPercent) < 0.3) continue;
    const leftPercent = percent - predictedPercent;
    all.push({
      cause: 'tyre',
      because: known
        ? `${odd} on this wheel and ${right} on the others make ${signed(predictedPercent)}`
        : `a ${odd} tyre where the others are ${right} makes ${signed(predictedPercent)}`,
      predictedPercent,
      leftPercent,
      // New and worn tyres differ: a pair may be off by half the wear there can be.
      weight: (known ? 20 : context.tyre ? 1.2 : 0.5) * fits(leftPercent, PAIRS_WITHIN),
    });
  }
  for (const { expected, fitted } of toothPairs(context.teeth)) {
    const predictedPercent = (fitted / expected - 1) * 100;
    const leftPercent = percent - predictedPercent;
    const common = COMMON_TEETH.has(expected) && COMMON_TEETH.has(fitted) ? 1 : 0.25;
    all.push({
      cause: 'mismatched-part',
      because: `a ring of ${fitted} teeth where ${expected} are expected makes ${signed(predictedPercent)}`,
      predictedPercent,
      leftPercent,
      weight: (context.teeth ? 1.5 : common) * fits(leftPercent),
    });
  }
  if (Math.abs(percent) <= WEAR_PERCENT * 1.5)
    all.push({
      cause: 'tyre',
      because:
        percent > 0
          ? 'a worn tyre or low pressure makes the wheel smaller: it reads high by up to about 2 %'
          : 'a new tyre beside worn ones is larger: it reads low by up to about 2 %',
      predictedPercent: percent,
      leftPercent: 0,
      weight: 2 * fits(percent, WEAR_USUAL),
    });
  return all
    .sort((a, b) => b.weight - a.weight)
    .filter((e) => e.weight > 0.01)
    .slice(0, most);
};

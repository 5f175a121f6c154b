import type { ComparedWay, Comparison } from '../vocabulary/comparison.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import type { Elsewhere } from '../vocabulary/sale.ts';

const KIND_IN_WORDS: Readonly<Record<Elsewhere['kind'], string>> = {
  dealer: 'dealer',
  garage: 'garage',
  part: 'part from elsewhere',
  used: 'used part',
  brought: 'part the customer brings',
};

/** What of a way is paid for work, and for the part itself. */
const shareOf = ({ costs }: ComparedWay, kinds: readonly string[]): number =>
  costs.reduce((sum, { kind, amount }) => (kinds.includes(kind) ? sum + amount : sum), 0);

/**
 * Prices the customer was named elsewhere, beside our best way. A price with work takes the place of all that is certain to
 * be paid; a part alone takes the place of the part, and is fitted at our price. What may come on top (a snap, a comeback,
 * wear) is reckoned as on our own best way: nobody knows it better there.
 */
export const elsewhereWays = (
  docket: Docket,
  ways: readonly ComparedWay[],
  currency: string,
): Comparison['elsewhere'] => {
  const best = ways.find(({ kind }) => kind === 'parts') ?? ways[0];
  if (!best) return [];
  const risks = best.allIn.mean - best.sure;
  return (docket.elsewhere ?? []).map(({ kind, what, cents, feeCents, withWork }) => {
    const asked = (cents + (feeCents ?? 0)) / 100;
    const sure = withWork ? asked : asked + Math.max(0, best.sure - shareOf(best, ['parts']));
    const mean = sure + risks;
    const gap = mean - best.allIn.mean;
    const money = (amount: number) => moneyInWords(Math.abs(amount), currency);
    return {
      label: `${KIND_IN_WORDS[kind]}: ${what}`,
      sure,
      mean,
      gap,
      sentence:
        Math.abs(gap) < 1
          ? 'About what ours comes to.'
          : `${gap > 0 ? `${money(gap)} dearer` : `${money(gap)} cheaper`} than our ${best.label}${withWork ? '' : ', fitted at our price'}.`,
    };
  });
};

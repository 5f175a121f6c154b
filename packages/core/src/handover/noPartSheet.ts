import type { Verdict } from '../vocabulary/advice.ts';
import type { Line, Sheet, SheetSection } from '../vocabulary/sheet.ts';
import type { Cause, Caution } from '../vocabulary/words.ts';
import { figure, say, section } from './line.ts';
import { proofOf, provedAfter, type Means } from './proof.ts';

/** Why nothing from the shelf cures it, and what does. */
const CURES: Partial<Readonly<Record<Cause, { readonly why: string; readonly cure: readonly string[] }>>> = {
  tyre: { why: 'tyre-why', cure: ['tyre-size', 'tyre-pressure', 'tyre-wear', 'tyre-learn'] },
  supply: { why: 'supply-why', cure: ['supply-charge', 'supply-clear'] },
  seating: { why: 'seating-why', cure: ['seating-clean', 'seating-keep'] },
  'none-present': { why: 'none-why', cure: ['none-clear'] },
  module: { why: 'module-why', cure: ['module-feed', 'module-specialist'] },
  wiring: { why: 'wiring-why', cure: ['wiring-mend'] },
};

/** The page for the customer who leaves without a part. */
export const noPartSheet = (verdict: Verdict, means: Means, cautions: readonly Caution[]): Sheet => {
  const known = verdict.cause ? CURES[verdict.cause] : undefined;
  const limits = {
    percent: figure(means.a.get('tyres.differ-percent')),
    resting: figure(means.a.get('battery.resting')),
    cranking: figure(means.a.get('battery.cranking')),
  };
  const cure: Line[] = known
    ? known.cure.map((name) => say(`noPart/${name}`, limits))
    : [say('noPart/other-cure')];
  return {
    kind: 'no-part',
    title: say('frame/title-no-part'),
    part: null,
    check: null,
    wheelEnd: verdict.wheelEnd,
    sections: [
      section(
        'cautions',
        cautions.map((caution) => say(`cautions/${caution}`)),
        'warn',
      ),
      section('why', [say(`noPart/${known?.why ?? 'other-why'}`)]),
      section('cure', cure, 'steps'),
      section('prove', proofOf(means, provedAfter(verdict.cause)), 'steps'),
      section('until', [say('noPart/care'), say('frame/call')]),
    ].filter((each): each is SheetSection => each !== null),
    torques: [],
    results: [],
  };
};

import { kindOf } from '../checkKinds/checkTypes.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import { partsThat } from '../partKinds/partData.ts';
import type { Dangers } from '../safety/dangers.ts';
import { complaintsNow } from '../vocabulary/complaints.ts';
import type { Offer, Verdict } from '../vocabulary/advice.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Caution, PartClass } from '../vocabulary/words.ts';

const SINGLE_USE = partsThat('singleUse');
const MOVES_KNUCKLE = partsThat('movesKnuckle');

/** What cautions are called for by. */
export interface Cautioned {
  readonly docket: Docket;
  readonly dangers: Dangers;
  readonly codes: readonly UnderstoodCode[];
  readonly offers: readonly Offer[];
  readonly verdict: Pick<Verdict, 'part' | 'with' | 'check'>;
  /** Whether a magnetic encoder may be at the corner. */
  readonly encoder: boolean;
  readonly a: Assumptions;
  /** Whether judgement alone, without what was learned, says that an old sensor may snap. */
  readonly mayStick: boolean;
}

/** Every caution this docket calls for, the gravest first. */
export const cautionsFor = ({
  docket,
  dangers,
  codes,
  offers,
  verdict,
  encoder,
  a,
  mayStick,
}: Cautioned): Caution[] => {
  const parts = new Set<PartClass>([
    ...(verdict.part ? [verdict.part, ...verdict.with] : []),
    ...(docket.chosen ? [docket.chosen.part] : []),
  ]);
  const any = (set: ReadonlySet<PartClass>, from: Iterable<PartClass>) =>
    [...from].some((part) => set.has(part));
  const out: Array<[Caution, boolean]> = [
    ['stop-driving', dangers.stop],
    [
      'abs-inactive',
      complaintsNow(docket).some((s) => s === 'lamp.abs' || s === 'lamp.rear-abs') ||
        codes.some((c) => c.role === 'root' && c.status === 'active'),
    ],
    ['lifting', offers.length > 0 || (verdict.check !== null && kindOf(verdict.check).lifts)],
    [
      'seizure-risk',
      mayStick || offers.some((offer) => (offer.seizure ?? 0) > a.get('caution.seizure-above')),
    ],
    [
      'single-use-fasteners',
      any(
        SINGLE_USE,
        offers.flatMap((offer) => [offer.part, ...offer.with]),
      ) || any(SINGLE_USE, parts),
    ],
    ['encoder-magnets', encoder && offers.length > 0],
    ['alignment', any(MOVES_KNUCKLE, parts)],
    ['high-voltage', docket.vehicle?.electric === true],
    ['licensed-work', true],
  ];
  return out.filter(([, shown]) => shown).map(([caution]) => caution);
};

import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../../codes/readCodes.ts';
import type { BuiltPlan, FixOutcome } from '../../plan/buildPlan.ts';
import { isAlone } from '../../plan/fixesAt.ts';
import type { Dangers } from '../../safety/dangers.ts';
import type { PlanNode, RankedCause, Verdict } from '../../vocabulary/advice.ts';
import type { CheckName } from '../../vocabulary/check.ts';
import type { Docket, School } from '../../vocabulary/docket.ts';
import { CAUSE_IN_WORDS, CHECK_IN_WORDS, chanceInWords } from '../../vocabulary/inWords.ts';
import { wheelEndInWords, type WheelNames } from '../../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';

/** All that a verdict is made from. */
export interface Situation {
  readonly docket: Docket;
  readonly wheelEnd: WheelEnd | null;
  readonly names: WheelNames;
  readonly causes: readonly RankedCause[];
  readonly shared: { readonly module: number; readonly supply: number };
  readonly dangers: Dangers;
  /** The plan at the wheel that matters most: an unsafe one, else the corner. */
  readonly plan: BuiltPlan | null;
  /** The same corner under the other school. */
  readonly other: BuiltPlan | null;
  readonly school: School;
  readonly conflicts: ReadonlyArray<{ because: string }>;
  readonly echoesOnly: boolean;
  readonly codes: readonly UnderstoodCode[];
  readonly currency: string;
  readonly a: Assumptions;
}

/** What a rule says, and the step the plan begins with. */
export interface Said {
  readonly verdict: Verdict;
  readonly step: PlanNode | null;
  readonly worth?: number;
}
export interface Rule {
  readonly name: string;
  /** It speaks of the wheel that may be unsafe itself: that is not said a second time. */
  readonly saysSafety?: true;
  /** What it says, or null where it does not apply. */
  readonly says: (s: Situation) => Said | null;
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const tens = (amount: number): number => Math.max(10, Math.round(amount / 10) * 10);

export const wordedCauses = ({ causes, names }: Situation, at: WheelEnd | null): string =>
  causes
    .filter(({ wheelEnd }) => at === null || wheelEnd === null || wheelEnd === at)
    .slice(0, 2)
    .filter(({ probability }) => probability >= 0.05)
    .map(
      ({ cause, wheelEnd, probability }) =>
        `${CAUSE_IN_WORDS[cause]}${wheelEnd ? ` ${wheelEndInWords(wheelEnd, names)}` : ''}: ${chanceInWords(probability)}`,
    )
    .join('; ');

/** A step that a rule asks for, outside any plan: what follows is planned when its result is known. */
export const stepFor = (check: CheckName, wheelEnd: WheelEnd | null): PlanNode => ({
  do: 'check',
  check,
  wheelEnd,
  label: CHECK_IN_WORDS[check],
  chance: 1,
  expectedCost: 0,
  then: [],
});

export const verdict = (
  s: Situation,
  over: Partial<Verdict> & Pick<Verdict, 'action' | 'sentence'>,
): Verdict => ({
  part: null,
  with: [],
  wheelEnd: s.wheelEnd,
  check: null,
  cause: s.causes[0]?.cause ?? null,
  because: [],
  also: [],
  ...over,
});

export const place = (s: Situation, end: WheelEnd | null): string =>
  end ? wheelEndInWords(end, s.names) : '';
export const curesInWords = ({ cures }: FixOutcome): string => `${Math.round(cures * 100)} of 100 such cases`;
export const isHub = ({ fix }: FixOutcome): boolean => isAlone(fix) && fix.part === 'hub-assembly';

/** A number a check asks for, with the limits outside which it is a slip. */
interface NumberField {
  readonly is: 'number' | 'count' | 'number-or-result';
  readonly least: number;
  readonly most: number;
  readonly unit: string;
  /** How it is asked for; absent where a form of its own asks. */
  readonly ask?: string;
  /** How it stands on a chip, `{}` for the number; empty: it does not. */
  readonly shown: string;
  readonly optional?: true;
  /** What stands in the field to begin with. */
  readonly start?: string;
}

/** What is written down of a check beside its wheel. `result` is one of the kind's `results`. */
export type CheckField =
  | NumberField
  | { readonly is: 'result' }
  | { readonly is: 'choice'; readonly of: readonly string[]; readonly otherwise: string }
  | { readonly is: 'wheel' | 'yes-no'; readonly optional: true }
  | { readonly is: 'sizes' };

/** Chances of each result; brought to a sum of one when used. */
type Row = Readonly<Record<string, number>>;

/** How often each result is seen: on vehicles where the link is sound, and under each fault that shows. */
export interface CheckTable {
  /** The result that says that nothing is wrong here. */
  readonly sound: string;
  readonly nothing: Row;
  /** Reason and row for each fault that shows in this check. */
  readonly rows: Readonly<Record<string, readonly [reason: string, row: Row]>>;
  /** Two faults that bring this about together by one mechanism, `one+other`: more than each by itself would. */
  readonly together?: Readonly<Record<string, readonly [reason: string, row: Row]>>;
  /** Faults that leave this check as it is on a sound vehicle: stated, so that none is forgotten. */
  readonly unmoved: readonly string[];
}

/** What must be so for a check to be worth proposing at a wheel end; `plan/availableChecks.ts` knows each. */
export type CheckNeed =
  | 'wheel'
  | 'ring-seen'
  | 'separate'
  | 'not-in-hub'
  | 'passive'
  | 'active'
  | 'reader'
  | 'joint-not-fresh'
  | 'tyres-not-known'
  | 'not-a-trailer';

/** How a look is heard: which result each way of looking (`intake/words/looks.ts`) means when said of this thing. */
interface HeardLooks {
  readonly results: Readonly<Record<string, string>>;
  /** Ways of looking that mean this thing when none is named. */
  readonly alone: readonly string[];
}

/**
 * One kind of check, all of it, as plain data: what it is called, how it is made, what is written down, what the results
 * mean and how often each is seen under each fault. What it computes, if anything, is one more file in `checks/kinds/`.
 */
export interface CheckKind {
  readonly name: string;
  /** As one would ask for it: `look at the tone ring`. */
  readonly words: string;
  /** How it is done, in two lines. */
  readonly how: readonly [string, string];
  /** Time the look itself takes, once what it needs is set up. */
  readonly minutes: number;
  /** What must be set up first; paid once for all looks that need it. */
  readonly setup: 'wheel' | 'plug' | 'reader' | null;
  /** How often it draws a seized sensor out of its bore. */
  readonly draws?: number;
  /** What it tells of: a wheel end's chain, or something of the whole vehicle. */
  readonly speaksOf: 'wheel' | 'supply' | 'tyres' | 'brakes';
  /** Whether the vehicle is lifted or a wheel is off for it. */
  readonly lifts: boolean;
  /** Whether the vehicle is driven or rolled for it. */
  readonly driven: boolean;
  /** What must hold for the plan to propose it; null: it never does. */
  readonly needs: readonly CheckNeed[] | null;
  /** Checks that come before it, where they can be made. */
  readonly after?: readonly string[];
  readonly fields: Readonly<Record<string, CheckField>>;
  /** What stands between its numbers on a chip, where that is no space. */
  readonly between?: string;
  /** Results one can pick, with what each suggests; none for a check that is only measured. */
  readonly results: Readonly<Record<string, string>>;
  /** Results a measurement amounts to, with what each suggests. */
  readonly amounts?: Readonly<Record<string, string>>;
  /** Its results tell how things stand now: none of them is a fault found at a wheel. */
  readonly tellsHowItStands?: true;
  /** Results that say nothing. */
  readonly silent?: readonly string[];
  /** Results from harmless to worst, where of several readings the worse stands. */
  readonly worst?: readonly string[];
  /** Whether what it amounts to is worked out, in `checks/kinds/`; else the result is what was picked. */
  readonly computed: boolean;
  readonly looks?: Readonly<Record<string, HeardLooks>>;
  /** Phrases by which a result is heard. */
  readonly said?: Readonly<Record<string, string>>;
  /** Ends of phrases that begin with coming back: `back at once`, `came back at once`. */
  readonly comesBack?: Readonly<Record<string, string>>;
  readonly tables: Readonly<Record<string, CheckTable>>;
  /** Limits by which a measurement becomes a result: value, unit, range outside which it is a slip, reason. */
  readonly limits?: Readonly<
    Record<string, readonly [value: number, unit: string, range: readonly [number, number], reason: string]>
  >;
}

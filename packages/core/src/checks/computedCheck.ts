import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Check, CheckName } from '../vocabulary/check.ts';
import type { SensorType } from '../vocabulary/words.ts';

/** What a check's result amounts to: the table and the result its likelihood is kept under. */
export interface CheckReading {
  readonly table: string;
  readonly result: string;
}

/** The maker's range of a coil at 20 degC, ohm. */
export interface OhmRange {
  readonly low: number;
  readonly high: number;
}

/** What is known of the wheel a check was made at. */
export interface CheckSetting {
  /** Null: not known which kind of sensor it is. */
  readonly sensor: SensorType | null;
  readonly axles: number;
  readonly driveline?: string | null;
  /** Resistance in ohm the maker gives for this part at 20 degC, when the catalogue has it. */
  readonly range?: OhmRange | null;
  readonly tyre?: string | null;
}

/** The arithmetic of a check done for the person, in a few lines, and whether it says anything. */
export interface ToldCheck {
  readonly lines: string[];
  readonly says: 'sound' | 'faulty' | 'nothing';
}

/** A reading that looks like a slip of unit or decimal point, with what it would be otherwise. */
export interface UnitDoubt {
  readonly ask: string;
  readonly because: string;
  /** The check with the likelier reading. */
  readonly instead: Check;
  /** Both readings in words, the likelier one first. */
  readonly labels: readonly [instead: string, asRead: string];
}

/** A check of one kind. */
export type CheckOf<N extends CheckName> = Extract<Check, { check: N }>;

/** How a doubt about a unit is put: why, the check as it would be otherwise, and both readings in words. */
export type Doubting = (what: string, instead: Check, likelier: string, asRead: string) => UnitDoubt;

/** What a kind of check computes. */
export interface ComputedKind<N extends CheckName> {
  /** What it amounts to on a sensor of this kind; null when the reading says nothing there. */
  readonly reads: (
    check: CheckOf<N>,
    sensor: SensorType,
    a: Assumptions,
    range: OhmRange | null,
  ) => CheckReading | null;
  /** Its arithmetic in words. */
  readonly tells?: (check: CheckOf<N>, setting: CheckSetting, a: Assumptions) => ToldCheck;
  /** Whether the reading looks like a slip of unit or decimal point. */
  readonly doubts?: (check: CheckOf<N>, a: Assumptions, doubt: Doubting) => UnitDoubt | null;
}

/** A figure as it is read aloud: six digits at most. */
export const figureInWords = (value: number): string => String(Number(value.toPrecision(6)));

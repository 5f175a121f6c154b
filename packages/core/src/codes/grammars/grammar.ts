import type { CodeStatus } from '../../vocabulary/words.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import type { FailureType } from '../codeMeaning.ts';

/** A code as read by one grammar, with all that its grammar says of it. */
export interface ParsedCode {
  readonly grammar: string;
  readonly code: string;
  /** What was forgiven, as `CO031 read as C0031`. */
  readonly corrected: string | null;
  /** Under what a dictionary may hold it, the most exact first. */
  readonly lookUps: readonly string[];
  /** The public standard that explains it; a maker's own number has none. */
  readonly standard: string | null;
  /** What the standard calls it. */
  readonly words?: string;
  readonly failure?: FailureType | null;
  /** The wheel the standard reserves it for; `firm`: whatever the words beside it say. */
  readonly reserved?: { readonly wheelEnd: WheelEnd; readonly firm: boolean } | null;
  /**
   * An echo of what another controller found; the supply; a controller that failed itself, or does so where it is the
   * brakes' own.
   */
  readonly says?: 'echo' | 'voltage' | 'self' | 'self-of-brakes' | null;
  /** Whether it is of the chassis or of another part of the vehicle, where the code tells. */
  readonly system?: 'chassis' | 'other' | null;
}

/** Tells of a code found in a line: from, to, and what it is, if anything. */
export type Found = (start: number, end: number, parsed: ParsedCode | null, status?: CodeStatus) => void;

/** One way to write codes. */
export interface Grammar {
  readonly name: string;
  /** A text that is a code and nothing else. */
  readonly parse: (text: string) => ParsedCode | null;
  /** Codes in running text. `known`: whether a dictionary has a number. */
  readonly scan: (line: string, found: Found, known: (code: string) => boolean) => void;
}

export const digitsIn = (text: string): number => (text.match(/\d/g) ?? []).length;

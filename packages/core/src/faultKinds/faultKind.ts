/** Where a fault can be: at a wheel of its own or at a sender, with a ring or an encoder, with a sensor that is held in a bore. */
export type FaultNeed = 'wheel' | 'centre' | 'ring' | 'encoder' | 'held-sensor';

/** A number of judgement as plain data: value, unit, range outside which it is a slip, reason. */
type NumberOf = readonly [value: number, unit: string, range: readonly [number, number], reason: string];

/**
 * One thing that may be wrong, as the reasoning tells it apart. A new one needs no other file: what it shows in checks and
 * its numbers (`prior.<fault>`, `silent.<fault>`, `code.<meaning>.<fault>`, `cures.<part>.<fault>` and so on) stand here;
 * those of the first fourteen stand in the tables of their rooms.
 */
export interface FaultKind {
  readonly fault: string;
  /** The contract's word: finer faults that one word covers are told apart where different work cures them. */
  readonly cause: string;
  /** As a counter person would say it, and short. Faults of one cause share them. */
  readonly words: string;
  readonly short: string;
  /** At a wheel end, shared by all of them, or a past event that leaves nothing wrong. */
  readonly of: 'wheel-end' | 'shared' | 'past';
  readonly needs: readonly FaultNeed[];
  /** Which of a wrong part it is. */
  readonly wrong?: 'sensor' | 'target';
  /** What it shows in a check, by table; checks it does not name are left as on a sound vehicle. */
  readonly shows?: Readonly<Record<string, readonly [reason: string, row: Readonly<Record<string, number>>]>>;
  readonly numbers?: Readonly<Record<string, NumberOf>>;
}

import type { Cause } from './words.ts';

/**
 * What may be wrong, as the reasoning tells it apart. It is finer than the contract's causes where different work cures
 * it: wiring is the joint (a kit) or the loom (a repair of its own), a wrong part is the sensor or its target.
 */
export const FAULTS = [
  'sensor',
  'ring',
  'encoder',
  'bearing',
  'joint',
  'loom',
  'seating',
  'tyre',
  'wrong-sensor',
  'wrong-target',
  'sender',
  'none-present',
  'module',
  'supply',
] as const;
export type Fault = (typeof FAULTS)[number];

const CAUSE_OF: Readonly<Partial<Record<Fault, Cause>>> = {
  joint: 'wiring',
  loom: 'wiring',
  'wrong-sensor': 'mismatched-part',
  'wrong-target': 'mismatched-part',
};

/** The contract's word for a fault. */
export const causeOf = (fault: Fault): Cause => CAUSE_OF[fault] ?? (fault as Cause);

/** Which of a wrong part it is, where the fault is one. */
export const kindOf = (fault: Fault): 'sensor' | 'target' | null =>
  fault === 'wrong-sensor' ? 'sensor' : fault === 'wrong-target' ? 'target' : null;

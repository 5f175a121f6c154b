import type { End } from '../vehicle/build.ts';

/** What a controller found wrong, by the byte that SAE J2012-DA gives it. */
export type Failure = '11' | '13' | '1C' | '1F' | '2F' | '31' | '62';

/** One code: of a wheel end, or of the supply or the controller itself. */
export interface Trouble {
  readonly of: End | 'supply' | 'controller';
  readonly failure: Failure;
  /** It is there now; else it was. */
  active: boolean;
}

/** What controllers remember until it is cleared. */
export interface Memory {
  troubles: Trouble[];
  /** The lamp is lit. */
  lamp: boolean;
  /** Brakes were let off for a slip that was none, in a drive since the codes were cleared. */
  falseAction: boolean;
}

export const emptyMemory = (): Memory => ({ troubles: [], lamp: false, falseAction: false });

/** Writes a trouble down, or finds it active again. */
export const record = (memory: Memory, of: Trouble['of'], failure: Failure): void => {
  const known = memory.troubles.find((each) => each.of === of && each.failure === failure);
  if (known) known.active = true;
  else memory.troubles.push({ of, failure, active: true });
  memory.lamp = true;
};

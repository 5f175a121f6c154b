/**
 * One number that is judgement, not measurement. Each has a unit, a range outside which it is a typing mistake,
 * and the reason it was set so.
 */
export interface Judgement {
  readonly value: number;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly reason: string;
}

export type JudgementTable = Readonly<Record<string, Judgement>>;

/** A single judgement with its unit and range. */
export const judgement = (
  value: number,
  unit: string,
  range: readonly [number, number],
  reason: string,
): Judgement => ({ value, unit, min: range[0], max: range[1], reason });

/** A row of numbers that share unit, range and reason: `prefix.name` for each. */
export const row = (
  prefix: string,
  unit: string,
  range: readonly [number, number],
  reason: string,
  values: Readonly<Record<string, number>>,
): JudgementTable =>
  Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      `${prefix}.${name}`,
      judgement(value, unit, range, reason),
    ]),
  );

/** A row of probabilities. */
export const chances = (
  prefix: string,
  reason: string,
  values: Readonly<Record<string, number>>,
): JudgementTable => row(prefix, 'probability', [0, 1], reason, values);

/** A row of factors on odds. */
export const factors = (
  prefix: string,
  reason: string,
  values: Readonly<Record<string, number>>,
): JudgementTable => row(prefix, 'times', [0.001, 1000], reason, values);

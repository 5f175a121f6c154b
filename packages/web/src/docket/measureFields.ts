import { numbersOf, type Check, type CheckName, type WheelEnd } from '@hardy/core/words';

/**
 * A number as people type it: decimal comma, thousands apart, a unit behind: `1.2k` and `1,2 kohm` are 1200 ohm,
 * `300 mV` is 0.3 V, `68F` is 20 degC. Null when it is no number.
 */
export const numberTyped = (text: string, unit: string): number | null => {
  const match = /^\s*([-+]?[\d\s]*[.,]?\d+)\s*([a-z\u00B0\u03A9/]*)\s*$/i.exec(text);
  if (!match) return null;
  const value = Number((match[1] as string).replace(/\s/g, '').replace(',', '.'));
  if (!Number.isFinite(value)) return null;
  const said = (match[2] ?? '').toLowerCase();
  if (unit === 'ohm' && said.startsWith('k')) return value * 1000;
  if (unit === 'ohm' && /^m(eg|o)/.test(said)) return value * 1e6;
  if (unit === 'V' && said.startsWith('mv')) return value / 1000;
  if (unit === '\u00B0C' && said.endsWith('f')) return Number((((value - 32) * 5) / 9).toFixed(1));
  return value;
};

/** The check the fields make, or what is wrong with them; null while nothing is filled in. */
export const measuredCheck = (
  check: CheckName,
  values: Readonly<Record<string, string>>,
  more: Readonly<Record<string, unknown>>,
  wheelEnd: WheelEnd | null,
): Check | string | null => {
  const numbers: Record<string, number> = {};
  for (const { key, field } of numbersOf(check)) {
    const { ask: label = key, unit, optional } = field;
    // What a person meters does not fall below nothing, except in degrees.
    const least = unit === '\u00B0C' || field.is === 'count' ? field.least : Math.max(0, field.least);
    const text = (values[key] ?? '').trim();
    if (text === '') {
      // What can be left out of a file is asked for here where a usual value stands in the field.
      if (optional && field.start === undefined) continue;
      return null;
    }
    const value = numberTyped(text, unit);
    if (value === null) return `${label}: "${text}" is no number; give ${unit}`;
    if (value < least || value > field.most) return `${label}: from ${least} to ${field.most} ${unit}`;
    if (field.is === 'count' && !Number.isInteger(value)) return `${label}: a whole number`;
    numbers[key] = value;
  }
  if (Object.keys(numbers).length === 0) return null;
  return { check, wheelEnd, ...more, ...numbers } as Check;
};

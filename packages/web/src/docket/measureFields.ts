import type { Check, CheckName, WheelEnd } from '@hardy/core/plain';

/** One number a check asks for. */
export interface MeasureField {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly max: number;
  readonly optional?: boolean;
  readonly start?: string;
}

/** The numbers each measured check takes, with their units. */
export const MEASURE_FIELDS: Readonly<Partial<Record<CheckName, readonly MeasureField[]>>> = {
  'meter.resistance': [
    { key: 'ohms', label: 'reading', unit: 'ohm', max: 1e9 },
    { key: 'temperatureC', label: 'temperature', unit: '\u00B0C', max: 200, optional: true },
  ],
  'meter.supply': [{ key: 'volts', label: 'at the open plug', unit: 'V', max: 60 }],
  'meter.ac': [
    { key: 'volts', label: 'AC', unit: 'V', max: 200 },
    { key: 'turnsPerSecond', label: 'turned by hand', unit: 'turns/s', max: 50, start: '1' },
  ],
  battery: [
    { key: 'restingVolts', label: 'at rest', unit: 'V', max: 60, optional: true },
    { key: 'crankingVolts', label: 'cranking', unit: 'V', max: 60, optional: true },
  ],
  'ring.teeth': [
    { key: 'counted', label: 'teeth counted', unit: 'teeth', max: 400 },
    { key: 'expected', label: 'across the axle, or by the book', unit: 'teeth', max: 400 },
  ],
};

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
  const fields = MEASURE_FIELDS[check] ?? [];
  const numbers: Record<string, number> = {};
  for (const { key, label, unit, max, optional } of fields) {
    const text = (values[key] ?? '').trim();
    if (text === '') {
      if (optional) continue;
      return null;
    }
    const value = numberTyped(text, unit);
    if (value === null) return `${label}: "${text}" is no number; give ${unit}`;
    const least = unit === '\u00B0C' ? -60 : unit === 'teeth' ? 4 : 0;
    if (value < least || value > max) return `${label}: from ${least} to ${max} ${unit}`;
    if (unit === 'teeth' && !Number.isInteger(value)) return `${label}: a whole number`;
    numbers[key] = value;
  }
  if (Object.keys(numbers).length === 0) return null;
  return { check, wheelEnd, ...more, ...numbers } as Check;
};

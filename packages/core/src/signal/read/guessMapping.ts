import Papa from 'papaparse';
import { BadInput } from '../../vocabulary/badInput.ts';
import { roleOfHeading, wheelEndOf, type ColumnRole } from './headings.ts';
import type { LogMapping, MappingGuess } from './mapping.ts';
import { speedUnitIn, timeUnitIn } from './units.ts';

const LOOK_AT_LINES = 60;
const PREVIEW_ROWS = 6;
const NUMBER = /^\s*[-+]?(\d+([.,]\d*)?|[.,]\d+)(e[-+]?\d+)?\s*$/i;
const CLOCK = /\d{1,2}:\d{2}(:\d{2})?/;

const isSample = (row: readonly string[]): boolean => {
  const numbers = row.filter((field) => NUMBER.test(field)).length;
  return (
    row.length >= 3 &&
    numbers >= 2 &&
    numbers + row.filter((f) => CLOCK.test(f) || !f.trim()).length >= row.length * 0.6
  );
};

/** Delimiter by which the lines agree best on a number of fields. */
const delimiterOf = (lines: readonly string[]): string => {
  let best = { delimiter: ',', score: -1 };
  for (const delimiter of ['\t', ';', ',', '|', ' ']) {
    const widths = lines.map((line) => line.split(delimiter).length).slice(-30);
    const width = widths.at(-1) ?? 1;
    if (width < 3) continue;
    const score =
      (widths.filter((w) => w === width).length / widths.length) * 10 + (delimiter === ' ' ? 0 : 1);
    if (score > best.score) best = { delimiter, score };
  }
  return best.delimiter;
};

/** The usual step of a numeric time column tells its unit where no heading does. */
const timeUnitFrom = (values: readonly string[], comma: boolean): LogMapping['timeUnit'] => {
  if (values.some((value) => CLOCK.test(value))) return 'clock';
  const numbers = values
    .map((value) => Number(comma ? value.replace(',', '.') : value))
    .filter(Number.isFinite);
  const steps = numbers
    .slice(1)
    .map((value, i) => value - (numbers[i] as number))
    .filter((step) => step > 0);
  if (steps.length === 0) return null;
  const step = steps.sort((a, b) => a - b)[steps.length >> 1] as number;
  const whole = numbers.every(Number.isInteger);
  if (step < 1e-3 && (numbers[0] as number) > 20000) return 'days';
  if (step >= 5000 && whole) return 'us';
  if (step >= 5 && whole) return 'ms';
  return 's';
};

/**
 * Guesses from the first lines of a log which column is what. Lines before the headings and a row of units below them
 * are passed over.
 * @throws BadInput when the text has no table of numbers at all.
 */
export const guessMapping = (text: string): MappingGuess => {
  const lines = text.split(/\r\n|\n|\r/, LOOK_AT_LINES);
  const delimiter = delimiterOf(lines.filter((line) => line.trim()));
  const rows = lines.map((line) =>
    line.trim() ? (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []) : [],
  );
  const first = rows.findIndex(isSample);
  if (first < 0)
    throw new BadInput(
      'log',
      'has no table of numbers; give a CSV with a time column and one speed column per wheel, headings in the first row',
    );
  const samples = rows.slice(first).filter(isSample);
  const width = (samples[0] as string[]).length;
  const above = rows.slice(0, first).reverse();
  const named = above.find((row) => row.filter((field) => roleOfHeading(field).kind !== 'other').length >= 2);
  const headings = named ?? above.find((row) => row.length === width) ?? [];
  const unitRow =
    named === undefined
      ? undefined
      : above.slice(0, above.indexOf(named)).find((row) => row.length >= width - 1);
  const full = Array.from({ length: width }, (_, c) => (headings[c] ?? '').trim());
  const roles: ColumnRole[] = full.map(roleOfHeading);
  const decimalComma = samples.some((row) => row.some((field) => /^\s*-?\d+,\d+\s*$/.test(field)));

  const time = roles.findIndex((role) => role.kind === 'time');
  const timeRole = roles[time];
  const places = roles.flatMap((role) => (role.kind === 'wheel' ? [role.place] : []));
  const wheels = roles.flatMap((role, column) =>
    role.kind === 'wheel'
      ? [
          {
            column,
            wheelEnd: wheelEndOf(role.place, places),
            unit: role.unit ?? speedUnitIn(unitRow?.[column] ?? ''),
          },
        ]
      : [],
  );
  const distinct = wheels.filter((wheel, i) => wheels.findIndex((w) => w.wheelEnd === wheel.wheelEnd) === i);
  const vehicleAt = roles.findIndex((role) => role.kind === 'vehicle');
  const vehicleRole = roles[vehicleAt];
  const steeringAt = roles.findIndex((role) => role.kind === 'steering');
  const timeUnit =
    time < 0
      ? null
      : samples.some((row) => CLOCK.test(row[time] ?? ''))
        ? 'clock'
        : ((timeRole?.kind === 'time' ? timeRole.unit : null) ??
          timeUnitIn(unitRow?.[time] ?? '') ??
          timeUnitFrom(
            samples.map((row) => row[time] ?? ''),
            decimalComma,
          ));
  const missing: string[] = [];
  if (time < 0) missing.push('which column is the time');
  if (distinct.length < 2)
    missing.push(
      distinct.length === 0
        ? 'which columns are wheel speeds'
        : 'a second wheel speed: wheels are judged against each other',
    );
  const assumed: string[] = [];
  if (distinct.length > 0 && distinct.every((wheel) => wheel.unit === null))
    assumed.push(
      'no unit is given for the wheel speeds: km/h is assumed; only ratios and limits in km/h depend on it',
    );
  if (time >= 0 && timeUnit === null) assumed.push('no unit is given for the time: seconds are assumed');
  return {
    mapping: {
      delimiter,
      decimalComma,
      skip: first,
      time: time < 0 ? null : time,
      timeUnit,
      rateHz: null,
      wheels: distinct,
      vehicle:
        vehicleAt < 0 || distinct.length === 0
          ? null
          : { column: vehicleAt, unit: vehicleRole?.kind === 'vehicle' ? vehicleRole.unit : null },
      ...(steeringAt < 0 ? {} : { steering: steeringAt }),
    },
    headings: full,
    preview: samples.slice(0, PREVIEW_ROWS),
    missing,
    assumed,
  };
};

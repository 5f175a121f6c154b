import { parseDocket, type Docket } from '@hardy/core';
import { EventName, Symptom } from '../packages/core/src/vocabulary/words.ts';
import { nineAxles } from './nineAxles.ts';

const ENDS = Array.from({ length: 9 }, (_, i) => [`A${i + 1}L`, `A${i + 1}R`]).flat();

/** Every check that is entered as a result or as one measure, at every wheel. */
const checks = ENDS.flatMap((wheelEnd, i) => [
  { check: 'visual.connector', wheelEnd, result: i % 2 ? 'sound' : 'corroded' },
  { check: 'visual.ring', wheelEnd, result: i % 3 ? 'sound' : 'cracked' },
  { check: 'visual.sensor', wheelEnd, result: 'sound' },
  { check: 'visual.harness', wheelEnd, result: 'sound' },
  { check: 'bearing.play', wheelEnd, result: 'none' },
  { check: 'clear-and-drive', wheelEnd, result: 'back-when-driven' },
  { check: 'meter.resistance', wheelEnd, of: 'sensor', ohms: 1000 + i * 37, temperatureC: 15 },
  { check: 'meter.ac', wheelEnd, volts: 0.3 + i / 100, turnsPerSecond: 1 },
  { check: 'meter.supply', wheelEnd, volts: 11 + i / 10 },
  { check: 'ring.teeth', wheelEnd, counted: 47 + (i % 3), expected: 48 },
]);
const history = Array.from({ length: 100 }, (_, i) => ({
  event: EventName.options[i % EventName.options.length],
  wheelEnd: ENDS[i % ENDS.length],
  daysAgo: 3 + 7 * i,
}));
const alone = {
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: { axles: 9 },
  symptoms: ['lamp.abs'],
};

/** Dockets of nine axles of unknown build with one list full, and with all of them full. */
export const fullLists: Readonly<Record<string, Docket>> = {
  'a check of every kind on every wheel': parseDocket({ ...alone, checks }),
  'every complaint there is': parseDocket({ ...alone, symptoms: Symptom.options }),
  '100 events of history': parseDocket({ ...alone, history }),
  '100 events of nobody knows which wheel': parseDocket({
    ...alone,
    history: history.map((event) => ({ ...event, wheelEnd: null })),
  }),
  'every list full at once': parseDocket({ ...nineAxles, checks, history, symptoms: Symptom.options }),
};

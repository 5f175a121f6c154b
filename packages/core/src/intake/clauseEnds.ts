import type { Unit } from './unit.ts';

/** Stands where a tyre size was read: a clause may consist of it alone. */
export const SIZE_MARK = '\u0003';

/** Words and marks that begin another clause, and how it is tied to the one before. */
export const BREAKS: ReadonlyMap<string, Unit['opener']> = new Map([
  ['and', 'and'],
  ['plus', 'and'],
  ['&', 'and'],
  ['but', 'but'],
  ['while', 'but'],
  ['whereas', 'but'],
  ['though', 'but'],
  ['although', 'but'],
  ['however', 'but'],
  ['yet', 'but'],
  ['then', 'comma'],
  ['so', 'comma'],
  ['because', 'comma'],
  ['which', 'comma'],
  ['where', 'comma'],
  ['now', 'comma'],
  [',', 'comma'],
  ['(', 'comma'],
  [')', 'comma'],
  ['|', 'comma'],
  ['/', 'comma'],
  ['\u2013', 'comma'],
  ['\u2014', 'comma'],
  [':', 'colon'],
  ['=', 'colon'],
  ['since', 'since'],
]);
/** What ends a sentence. */
export const STOPS = new Set(['.', ';', '!', '?', '\n']);

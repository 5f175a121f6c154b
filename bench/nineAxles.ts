import { parseDocket, type Docket } from '@hardy/core';

const ENDS = Array.from({ length: 9 }, (_, i) => [`A${i + 1}L`, `A${i + 1}R`]).flat();
const FAILURES = '11 12 13 14 15 16 1A 1B 31 2F 1F 62 64 4A 96 55 01 02 03 08 09 54 07 00 29'.split(' ');

/** The most that a docket can ask: nine axles of unknown build and hundreds of different codes on every wheel. */
export const nineAxles: Docket = parseDocket({
  format: 'hardy-spoke/docket',
  version: 1,
  symptoms: ['lamp.abs'],
  vehicle: { axles: 9 },
  codes: ENDS.flatMap((wheelEnd, i) =>
    FAILURES.map((failure) => ({ code: `C00${40 + (i % 8)}-${failure}`, module: 'EBS', wheelEnd })),
  ).slice(0, 440),
});

/** The same with every wheel loose: each must be offered its hub. */
export const allLoose: Docket = parseDocket({
  ...nineAxles,
  checks: ENDS.map((wheelEnd) => ({ check: 'bearing.play', wheelEnd, result: 'clear' })),
});

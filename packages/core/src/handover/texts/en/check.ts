/** The page that goes home where a check comes before any part. */
export const check = {
  why: 'This costs {{minutes}} minutes and may save the wrong part.',
  'lift-first': 'The vehicle is lifted for it: level ground, rated points, stands and chocks.',
  'not-driven-home': 'If you cannot do it safely, have it done: it is a quarter of an hour in a workshop.',
  enter: 'Type docket {{number}} or scan the bars, then press the key beside what you saw.',
  nothing: 'Nothing is bought until then. If a lamp goes out by itself, call as well: that is a result.',
  measured: 'Write the figure here, with its unit: ______________   temperature of the part: ________',
} as const;

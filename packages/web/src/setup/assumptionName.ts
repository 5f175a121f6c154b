import { CAUSE_SHORT, CHECK_IN_WORDS, CHECK_NAMES, PART_IN_WORDS } from '@hardy/core/words';

/** What the first word of a key stands for, as a person at a counter would say it. */
const GROUPS: Readonly<Record<string, string>> = {
  prior: 'How often it is wrong',
  age: 'Age',
  salt: 'Road salt',
  distance: 'Distance driven',
  oversize: 'Oversize tyres',
  target: 'Where the ring sits',
  architecture: 'How it is built',
  code: 'What a code says',
  silent: 'No code there',
  symptom: 'Complaints',
  history: 'Work done before',
  check: 'Checks',
  claim: 'The corner as named',
  cures: 'What a part cures',
  seizure: 'Seized sensor',
  work: 'Work without a part',
  labour: 'Labour',
  comeback: 'Coming back',
  refer: 'Another workshop',
  school: 'Schools',
  plan: 'Plan',
  offer: 'Offers',
  dial: 'Dials',
  safety: 'Safety',
  hearing: 'Hearing words',
  diy: 'Own work',
  'idle-day': 'A day off the road',
  trade: 'Trade',
  tax: 'Tax',
  horizon: 'How long it is kept',
  quote: 'A quote holds',
  return: 'What comes back',
  life: 'How long a part lives',
  build: 'By how the sensor is built',
  line: 'A vehicle line',
  pace: 'Hours against the book',
  learning: 'Learning',
  practice: 'Practice',
  tier: 'Tier',
};

const plain = (word: string): string => word.replace(/-/g, ' ');
const called: Readonly<Record<string, string>> = {
  ...CAUSE_SHORT,
  ...PART_IN_WORDS,
  joint: 'connector joint',
  loom: 'loom',
  'wrong-sensor': 'wrong sensor fitted',
  'wrong-target': 'wrong ring fitted',
  nothing: 'nothing wrong',
};

/** A check named by the first words of a key, longest first, with what is left of them. */
const checkIn = (rest: string): { check: string; rest: string } | null => {
  const name = [...CHECK_NAMES]
    .sort((x, y) => y.length - x.length)
    .find((each) => rest === each || rest.startsWith(`${each}.`));
  return name ? { check: CHECK_IN_WORDS[name], rest: rest.slice(name.length + 1) } : null;
};

/** An assumption's key in words: `seizure.salt.high` is `Seized sensor > salt > high`. The key itself is for files. */
export const assumptionName = (key: string): string => {
  const [first = '', ...others] = key.split('.');
  const steps = [GROUPS[first] ?? plain(first).replace(/^./, (c) => c.toUpperCase())];
  let rest = others.join('.');
  if (first === 'check') {
    const [kind = ''] = others;
    const found =
      checkIn(rest) ?? (kind === 'minutes' || kind === 'draws' ? checkIn(others.slice(1).join('.')) : null);
    if (found) {
      steps.push(found.check);
      rest = kind === 'minutes' ? 'minutes' : kind === 'draws' ? 'draws the sensor' : found.rest;
    }
  }
  return [
    ...steps,
    ...rest
      .split('.')
      .filter(Boolean)
      .map((word) => called[word] ?? plain(word)),
  ].join(' \u203A ');
};

/** A unit in the shop's own currency: `money/h` is `EUR/h`. */
export const unitInWords = (unit: string, currency: string): string => unit.replace(/^money/, currency);

/** A value as one says it, where that is not the number itself: a chance is so many in 100. */
export const valueInWords = (value: number, unit: string): string | null => {
  if (unit !== 'probability') return null;
  const hundred = value * 100;
  return hundred >= 0.1
    ? `${Number(hundred.toPrecision(3))} in 100`
    : `${Number((value * 1e4).toPrecision(2))} in 10,000`;
};

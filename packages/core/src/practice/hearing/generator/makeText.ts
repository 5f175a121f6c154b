import { randomFrom } from '../../../chance/random.ts';
import {
  COMPLAINTS,
  FINDINGS,
  PLACES,
  WEATHER,
  WHEELS,
  WORK,
  type Phrasing,
  type Wheel,
} from './phrasings.ts';

/** A text with the facts it says, in short form. */
export interface GeneratedText {
  readonly words: string;
  readonly facts: readonly string[];
}

interface Said {
  readonly wheel: Wheel;
  readonly phrasing: Phrasing;
  readonly number: number;
}

/** What makes a thing one thing: two findings of it at one wheel would speak against each other. */
const subject = ({ fact }: Phrasing): string => fact.split(' ')[0] ?? '';

export const textMaker = (seed: number) => {
  const stream = randomFrom(seed);
  const random = () => stream.next();
  const below = (n: number) => stream.below(n);
  const pick = <T>(items: readonly T[]): T => stream.pick(items);
  const shuffled = <T>(list: readonly T[]): T[] =>
    list
      .map((item) => [random(), item] as const)
      .sort((a, b) => a[0] - b[0])
      .map(([, item]) => item);

  const fill = (words: string, { phrasing, number }: Said): string =>
    phrasing.fact.includes(' K')
      ? words.replace('K', (number / 1000).toFixed(2))
      : words.replace('N', String(number)).replace('V', String(number)).replace('D', String(number));
  const factOf = ({ phrasing, wheel, number }: Said): string =>
    phrasing.fact
      .replace('#', wheel)
      .replace(/ N$| K$| V$/, ` ${number}`)
      .replace('Dd', `${number * 7}d`);
  const numberFor = ({ fact }: Phrasing): number =>
    fact.endsWith('K') || fact.endsWith('N')
      ? 800 + 10 * below(150)
      : fact.endsWith('V')
        ? 5 + below(8)
        : 2 + below(8);
  const article = (place: string): string =>
    /^[A-Z]{2}$/.test(place) || random() < 0.5 ? place : `the ${place}`;

  const clause = (said: Said): string => {
    const place = pick(PLACES[said.wheel]);
    if (random() < 0.5) return `${article(place)} ${fill(pick(said.phrasing.after), said)}`;
    const words = fill(pick(said.phrasing.before), said);
    const lead = /\b(?:at|from) the$/.test(words)
      ? words.replace(/ the$/, '')
      : random() < 0.5
        ? words
        : `${words} at`;
    return `${lead} ${article(place)}`;
  };
  const labelled = (wheel: Wheel, said: readonly Said[]): string =>
    `${pick(PLACES[wheel])}: ${said.map((one) => fill(pick(one.phrasing.label), one)).join(', ')}`;

  /** The next text: 1 to 4 wheels, one or two facts each, in an order and with joining words of its own. */
  const nextText = (): GeneratedText => {
    const wheels = shuffled(WHEELS).slice(0, 1 + below(4));
    const perWheel = wheels.map((wheel) => {
      const first = pick([...FINDINGS, ...WORK]);
      const second = random() < 0.35 ? pick(FINDINGS) : null;
      const chosen = second && subject(second) !== subject(first) ? [first, second] : [first];
      return {
        wheel,
        said: chosen.map((phrasing): Said => ({ wheel, phrasing, number: numberFor(phrasing) })),
      };
    });
    const parts: string[] = [];
    const labels = random() < 0.3;
    if (labels) parts.push(...perWheel.map(({ wheel, said }) => labelled(wheel, said)));
    else {
      const all = shuffled(perWheel.flatMap(({ said }) => said));
      for (let i = 0; i < all.length; i++) {
        const here = clause(all[i] as Said);
        const following = all[i + 1];
        if (following && random() < 0.4) {
          parts.push(`${here}${pick([', ', ' and ', ' but ', ', and '])}${clause(following)}`);
          i++;
        } else parts.push(here);
      }
    }
    const facts = perWheel.flatMap(({ said }) => said.map(factOf));
    const extras: string[] = [];
    if (random() < 0.5) {
      const [fact, words] = pick(COMPLAINTS);
      extras.push(pick(words));
      if (fact) facts.push(fact);
    }
    if (random() < 0.2) extras.push(pick(WEATHER));
    const separator = labels ? pick(['. ', '\n', '; ']) : pick(['. ', '. ', '; ', '\n']);
    const words = [...extras, ...parts].join(separator);
    return { words: random() < 0.1 ? words.toUpperCase() : words, facts: [...new Set(facts)] };
  };
  return { next: nextText };
};

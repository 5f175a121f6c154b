import type { IntakeContext } from '../../intake/context.ts';
import { bareIntake } from '../../intake/context.ts';
import { readIntake } from '../../intake/readIntake.ts';
import { readCodes } from '../../codes/readCodes.ts';
import type { CatalogueVehicle, FleetVehicle } from '../../vocabulary/catalogue.ts';
import { factsOf } from './readingFacts.ts';

/** A sentence with what it says, in short facts. */
export interface LabelledSentence {
  readonly context: string;
  readonly words: string;
  readonly facts: readonly string[];
}

/** Sentences of a data file: `context | words => fact; fact`. Lines that begin with # are headings. */
export const parseSentences = (file: string): LabelledSentence[] =>
  file
    .split('\n')
    .filter((line) => line.includes('=>') && !line.startsWith('#'))
    .map((line) => {
      const [head = '', labels = ''] = line.split('=>');
      const bar = head.indexOf('|');
      return {
        context: head.slice(0, bar).trim(),
        words: head
          .slice(bar + 1)
          .trim()
          .replace(/\\n/g, '\n'),
        facts: labels
          .split(';')
          .map((fact) => fact.trim())
          .filter(Boolean),
      };
    });

const TODAY = '2026-11-25';

/** What is known of the vehicle, by the letter a sentence is written for. `V` looks names up in a catalogue. */
export const contextFor = (
  letter: string,
  catalogue: { vehicles: readonly CatalogueVehicle[]; fleet: readonly FleetVehicle[] },
): IntakeContext => {
  const bare = bareIntake(TODAY);
  const left = { ...bare, steeringSide: 'left' as const, trafficSide: 'right' as const, axles: 2 };
  switch (letter) {
    case 'R':
      return { ...bare, steeringSide: 'right', trafficSide: 'left', axles: 2 };
    case 'G':
      return { ...left, axles: 3 };
    case 'T':
      return { ...bare, trafficSide: 'right', axles: 3 };
    case 'N':
      return bare;
    case 'V':
      return { ...bare, trafficSide: 'right', ...catalogue };
    default:
      return left;
  }
};

/** How a sentence was heard: right, with something missing, with something that was not said, or worse. */
export interface HeardSentence {
  readonly sentence: LabelledSentence;
  readonly missing: readonly string[];
  readonly extra: readonly string[];
  readonly wrongWheel: boolean;
  readonly turned: boolean;
  readonly dangerLost: boolean;
}

const POSITION = /^(corner|denied|past) /;
const DETAIL_OF_CODE = /^code (.*?)( @A\d[LRC])?( active| stored| pending| history)?$/;
/** Facts that speak of a wheel or a brake that may fail. */
const DANGER =
  /^(play \S+ (clear|slight)|noise \S+ growl|noise\.wheel$|pedal\.soft$|fluid (low|leaking)|wheel\.hot$)/;
const OPPOSITES: ReadonlyArray<readonly [RegExp, string]> = [
  [/^(play \S+) (clear|slight)$/, '$1 none'],
  [/^(noise \S+) growl$/, '$1 none'],
  [/^(ring|tip|plug|loom) (\S+) (?!sound).*$/, '$1 $2 sound'],
  [/^([a-z]+\.[a-z.-]+)$/, '$1=yes'],
];
const opposed = (a: string, b: string): boolean =>
  OPPOSITES.some(([from, to]) => from.test(a) && a.replace(from, to) === b);
const withoutWheel = (fact: string): string => fact.replace(/\bA\d[LRC]\b/, '*');

const near = (said: string, wanted: string): boolean => {
  const [a, b] = [/(\d+)d\b/.exec(said), /(\d+)d\b/.exec(wanted)];
  if (!a || !b) return said === wanted;
  const [x, y] = [Number(a[1]), Number(b[1])];
  return (
    said.replace(/\d+d\b/, '') === wanted.replace(/\d+d\b/, '') && Math.abs(x - y) <= Math.max(4, 0.2 * y)
  );
};

/** Reads a sentence and holds it against its label. Days since something was done may differ by a fifth. */
export const hear = (sentence: LabelledSentence, context: IntakeContext): HeardSentence => {
  const reading = readIntake(sentence.words, context);
  const codes = readCodes(reading.codes, {
    steeringSide: context.steeringSide,
    trafficSide: context.trafficSide,
    axles: context.axles,
    trailer: false,
    dictionary: null,
    entries: [],
    centreAxles: new Set(),
    namedCorner: null,
  });
  const codeDetails = new Map(
    reading.codes.map((code, i) => [
      code.code,
      { status: code.status ?? null, ends: code.wheelEnd ? [code.wheelEnd] : (codes[i]?.wheelEnds ?? []) },
    ]),
  );
  const wanted = sentence.facts.filter((fact) => fact !== 'ask vehicle');
  const places = wanted.some((fact) => POSITION.test(fact));
  const named = wanted.filter((fact) => POSITION.test(fact)).map((fact) => fact.split(' ')[0]);
  const said = factsOf(reading).filter(
    (fact) => !POSITION.test(fact) || (places && named.includes(fact.split(' ')[0])),
  );
  const left = [...said];
  const missing: string[] = [];
  for (const fact of wanted) {
    const code = DETAIL_OF_CODE.exec(fact);
    const plain = code ? `code ${code[1]}` : fact;
    const at = left.findIndex((other) => near(other, plain));
    const details = codeDetails.get(code?.[1] ?? '');
    const detailRight =
      !code ||
      ((!code[2] || (details?.ends.length === 1 && details.ends[0] === code[2].slice(2))) &&
        (!code[3] || details?.status === code[3].trim()));
    if (at < 0 || !detailRight) missing.push(fact);
    if (at >= 0) left.splice(at, 1);
  }
  return {
    sentence,
    missing,
    extra: left,
    wrongWheel: left.some(
      (fact) =>
        /\bA\d[LRC]\b/.test(fact) &&
        !POSITION.test(fact) &&
        missing.some((lost) => lost !== fact && withoutWheel(lost) === withoutWheel(fact)),
    ),
    turned: left.some((fact) => missing.some((lost) => opposed(fact, lost) || opposed(lost, fact))),
    dangerLost: missing.some(
      (fact) =>
        DANGER.test(fact) &&
        !left.some((other) => other.split(' ')[0] === fact.split(' ')[0] && !/none|=yes/.test(other)) &&
        !(reading.asks ?? []).some((ask) => ask.about === 'danger'),
    ),
  };
};

/** Whether everything was heard, and nothing that was not said. */
export const isRight = (heard: HeardSentence): boolean =>
  heard.missing.length === 0 && heard.extra.length === 0;

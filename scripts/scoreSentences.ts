import { readFileSync } from 'node:fs';
import { readTable } from '../packages/core/src/catalogueFiles/readTable.ts';
import { FLEET, VEHICLES } from '../packages/core/src/catalogueFiles/tables.ts';
import {
  contextFor,
  hear,
  isRight,
  parseSentences,
} from '../packages/core/src/practice/hearing/labelledSentences.ts';
import { hearJourney, parseJourneys } from '../packages/core/src/practice/hearing/labelledJourneys.ts';

/*
 * Scores labelled sentences or journeys: `npm run score-sentences -- open [--quiet]`, or `journeys/open`. With --quiet
 * only the sums are printed: so a sealed set is scored.
 */
const root = new URL('..', import.meta.url).pathname;
const demo = (file: string) => readFileSync(`${root}demo/${file}`, 'utf8');
const vehicles = readTable(VEHICLES, demo(VEHICLES.file));
const fleet = readTable(FLEET, demo(FLEET.file));

const [name = 'open', quiet] = process.argv.slice(2);
const HEARING = `${root}packages/core/src/practice/hearing/`;
if (name.startsWith('journeys/')) {
  const journeys = parseJourneys(readFileSync(`${HEARING}${name}.txt`, 'utf8')).map((journey) =>
    hearJourney(journey, contextFor(journey.context, { vehicles, fleet })),
  );
  if (quiet !== '--quiet')
    for (const { journey, wrong } of journeys)
      for (const { words, missing, extra, has } of wrong)
        console.log(
          `${journey.name}: ${words}\n    missing: ${missing.join('; ')}\n    extra:   ${extra.join('; ')}\n    has:     ${has.join('; ')}`,
        );
  const sum = (of: (each: (typeof journeys)[number]) => number) =>
    journeys.reduce((total, each) => total + of(each), 0);
  console.log(
    `${name}: ${journeys.filter(({ wrong }) => wrong.length === 0).length} of ${journeys.length} journeys right, ${sum(({ right }) => right)} of ${sum(({ marked }) => marked)} marked lines`,
  );
  process.exit(0);
}
const sentences = parseSentences(readFileSync(`${HEARING}sentences/${name}.txt`, 'utf8'));
const heard = sentences.map((sentence) => hear(sentence, contextFor(sentence.context, { vehicles, fleet })));
if (quiet !== '--quiet')
  for (const h of heard.filter((h) => !isRight(h)))
    console.log(
      `${h.wrongWheel ? 'WHEEL ' : ''}${h.turned ? 'TURNED ' : ''}${h.dangerLost ? 'DANGER ' : ''}${h.sentence.words.replace(/\n/g, '\\n')}\n    missing: ${h.missing.join('; ')}\n    extra:   ${h.extra.join('; ')}`,
    );
const right = heard.filter(isRight).length;
console.log(
  `${name}: ${right} of ${heard.length} right (${((100 * right) / heard.length).toFixed(1)} %), wrong wheel ${heard.filter((h) => h.wrongWheel).length}, turned round ${heard.filter((h) => h.turned).length}, danger lost ${heard.filter((h) => h.dangerLost).length}, something added ${heard.filter((h) => h.extra.length > 0).length}`,
);

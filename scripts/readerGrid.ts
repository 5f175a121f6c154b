import { contextFor } from '../packages/core/src/practice/hearing/labelledSentences.ts';
import { textMaker } from '../packages/core/src/practice/hearing/generator/makeText.ts';
import { emptyTally, tallyText } from '../packages/core/src/practice/hearing/generator/tally.ts';
import { readFileSync, writeFileSync } from 'node:fs';

/* Generated texts against the reader: `npm run reader-grid -- [texts] [seed] [--show N] [--write]`. */
const [texts = '10000', seed = '1'] = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
const shown = process.argv.includes('--show') ? 40 : 0;
const maker = textMaker(Number(seed));
const context = contextFor('L', { vehicles: [], fleet: [] });
const tally = emptyTally();
for (let i = 0; i < Number(texts); i++) tallyText(maker.next(), context, tally);

for (const { words, missing, extra } of tally.worst.slice(0, shown))
  console.log(
    `${words.replace(/\n/g, '\\n')}\n    missing: ${missing.join('; ')}\n    extra:   ${extra.join('; ')}`,
  );
const share = (n: number, of: number) => `${((100 * n) / of).toFixed(2)} %`;
const rows = [...tally.byKind]
  .sort(([a], [b]) => a.localeCompare(b))
  .map(([kind, row]) => `| ${kind} | ${row.said} | ${share(row.heard, row.said)} | ${row.wrongWheel} |`);
const table = [
  `${tally.texts} texts (seed ${seed}), ${tally.said} facts: heard ${share(tally.heard, tally.said)}, on a wrong wheel ${tally.wrongWheel}, heard though not said ${tally.added}.`,
  '',
  '| kind | said | heard | wrong wheel |',
  '| --- | --- | --- | --- |',
  ...rows,
].join('\n');
console.log(table);
if (process.argv.includes('--write')) {
  const file = new URL('../docs/reasoning.md', import.meta.url).pathname;
  const text = readFileSync(file, 'utf8');
  const [from, to] = ['<!-- reader-grid -->', '<!-- /reader-grid -->'];
  const [before, rest = ''] = text.split(from);
  writeFileSync(file, `${before}${from}\n\n${table}\n\n${to}${rest.split(to)[1] ?? ''}`);
}

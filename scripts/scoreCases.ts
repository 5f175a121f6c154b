/* Scores folders of example dockets: `npm run score-cases -- cases/unseen/open [--total]`. `--total` says how many and no more. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { advise, bareKnowledge, parseDocket } from '../packages/core/src/index.ts';
import { judgeCase, type ExampleCase } from '../packages/core/src/practice/judgeCase.ts';

const TODAY = '2026-11-25';
const quiet = process.argv.includes('--total');
const folders = process.argv.slice(2).filter((each) => !each.startsWith('--'));

const problemsOf = ({ docket, expect }: ExampleCase): string[] => {
  try {
    return judgeCase(advise(parseDocket(docket), bareKnowledge(TODAY)), expect);
  } catch (error) {
    return [`not read: ${error instanceof Error ? error.message : String(error)}`];
  }
};

for (const folder of folders) {
  const files = readdirSync(folder).filter((file) => file.endsWith('.json'));
  const results = files.map((file) => ({
    file,
    wrong: problemsOf(JSON.parse(readFileSync(join(folder, file), 'utf8')) as ExampleCase),
  }));
  if (!quiet)
    for (const { file, wrong } of results) if (wrong.length > 0) console.log(`${file}: ${wrong.join('; ')}`);
  console.log(`${folder}: ${results.filter(({ wrong }) => wrong.length === 0).length} of ${files.length}`);
}

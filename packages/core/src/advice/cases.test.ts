import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { advise, Advice, bareKnowledge, parse, parseDocket } from '../index.ts';
import { judgeCase, type ExampleCase } from '../practice/judgeCase.ts';

const FOLDER = join(__dirname, '../../../../cases');
const TODAY = '2026-11-25';

const casesIn = (folder: string): Array<readonly [string, ExampleCase]> =>
  readdirSync(join(FOLDER, folder))
    .filter((file) => file.endsWith('.json'))
    .map((file) => [file, JSON.parse(readFileSync(join(FOLDER, folder, file), 'utf8')) as ExampleCase]);

describe.each(['.', 'unseen/open'])('example dockets in %s', (folder) => {
  test.each(casesIn(folder))('%s', (_, { docket, expect: wanted }) => {
    const advice = advise(parseDocket(docket), bareKnowledge(TODAY));
    parse(Advice, advice);
    expect(judgeCase(advice, wanted)).toEqual([]);
  });
});

import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { hearJourney, parseJourneys } from './labelledJourneys.ts';
import { contextFor } from './labelledSentences.ts';

const context = contextFor('L', { vehicles: [], fleet: [] });

test('a journey is read line by line, and what is missing or too much is told', () => {
  const [journey] = parseJourneys(
    `## ring | L
> rear right drops out on live
= live A2R drops-out
! ring A2R cracked
> had a look at the ring, its split
= ring A2R cracked; ring A2L sound
`,
  );
  if (!journey) throw new Error('no journey was read');
  expect(journey.steps.map(({ words }) => words)).toEqual([
    'rear right drops out on live',
    'had a look at the ring, its split',
  ]);
  const heard = hearJourney(journey, context);
  expect([heard.marked, heard.right]).toEqual([2, 1]);
  expect(heard.wrong[0]).toMatchObject({ missing: ['ring A2L sound'], extra: [] });
});

/** As measured when the reader changed last; it is raised with each change. */
const MARKED_LINES_RIGHT = 20;

test('of the open journeys no fewer marked lines are right than before', () => {
  const journeys = parseJourneys(readFileSync(join(__dirname, 'journeys', 'open.txt'), 'utf8'));
  expect(journeys).toHaveLength(20);
  const heard = journeys.map((each) =>
    hearJourney(each, contextFor(each.context, { vehicles: [], fleet: [] })),
  );
  expect(heard.reduce((sum, { right }) => sum + right, 0)).toBeGreaterThanOrEqual(MARKED_LINES_RIGHT);
});

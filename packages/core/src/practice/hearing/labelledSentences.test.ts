import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { VEHICLES } from '../../catalogueFiles/tables.ts';
import type { FleetVehicle } from '../../vocabulary/catalogue.ts';
import { contextFor, hear, isRight, parseSentences } from './labelledSentences.ts';

const root = join(__dirname, '../../../../..');
const rows = (file: string) =>
  Papa.parse<Record<string, string>>(readFileSync(join(root, 'demo', file), 'utf8'), {
    header: true,
    skipEmptyLines: true,
  }).data;
const catalogue = {
  vehicles: rows('vehicles.csv').map((row) => VEHICLES.read(row)),
  fleet: rows('fleet.csv').map(
    (row) =>
      ({ ...row, plate: row.plate || null, vin: row.vin || null, distanceKm: 1 }) as unknown as FleetVehicle,
  ),
};

/* The sentences were written before the reader; those read wrong are named so that a run shows them. */
test.each([
  ['open', 0.95],
  ['sealed', 0.95],
  ['later', 0.92],
  ['last', 0.95],
  ['final', 0.9],
] as const)('of the %s sentences at least %d are read right', (name, share) => {
  const sentences = parseSentences(readFileSync(join(__dirname, 'sentences', `${name}.txt`), 'utf8'));
  expect(sentences.length).toBeGreaterThanOrEqual(60);
  const heard = sentences.map((sentence) => hear(sentence, contextFor(sentence.context, catalogue)));
  const wrong = heard.filter((h) => !isRight(h)).map((h) => [h.sentence.words, h.missing, h.extra]);
  expect(wrong.length / heard.length <= 1 - share ? [] : wrong).toEqual([]);
  expect(heard.filter((h) => h.wrongWheel).map((h) => h.sentence.words)).toEqual([]);
  expect(heard.filter((h) => h.turned).map((h) => h.sentence.words)).toEqual([]);
  expect(heard.filter((h) => h.dangerLost).map((h) => h.sentence.words)).toEqual([]);
});

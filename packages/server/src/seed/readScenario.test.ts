import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { APPLICATIONS, COMPANIONS, DICTIONARY, FLEET, JOBS, PARTS, SENSING, VEHICLES } from '@hardy/core';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../tests/openScenario.ts';
import { readScenario, scenarioRows } from './readScenario.ts';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-scenario-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The demo scenario with one file changed. */
const changed = (file: string, edit: (text: string) => string): string => {
  const copy = mkdtempSync(join(folder, 'copy-'));
  cpSync(join(ROOT, 'demo'), copy, { recursive: true });
  writeFileSync(join(copy, file), edit(readFileSync(join(copy, file), 'utf8')));
  return copy;
};

describe('the demo scenario', () => {
  test('has the variety a counter needs', async () => {
    const scenario = await readScenario(join(ROOT, 'demo'));
    const [vehicles, parts] = [scenarioRows(scenario, VEHICLES), scenarioRows(scenario, PARTS)];
    const fitted = parts.filter((part) => part.partClass !== 'companion');
    expect(vehicles.length).toBeGreaterThanOrEqual(40);
    expect(new Set(vehicles.map((v) => v.make)).size).toBe(6);
    expect(fitted.length).toBeGreaterThanOrEqual(400);
    expect(new Set(fitted.map((part) => part.tier))).toEqual(new Set(['dealer', 'good', 'budget']));
    expect(scenarioRows(scenario, DICTIONARY).length).toBeGreaterThanOrEqual(80);
    expect(scenario.dockets).toHaveLength(12);
    const ends = scenarioRows(scenario, SENSING);
    for (const [key, values] of Object.entries({
      sensor: ['passive', 'active'],
      mounting: ['separate', 'in-hub', 'centre'],
      target: ['ring-on-shaft', 'ring-on-hub', 'encoder-in-bearing', 'ring-in-differential'],
    }))
      expect(new Set(ends.flatMap((end) => end[key as 'sensor'] ?? []))).toEqual(new Set(values));
  });

  test('refers to nothing that is not there', async () => {
    const scenario = await readScenario(join(ROOT, 'demo'));
    const ids = new Set(scenarioRows(scenario, VEHICLES).map((v) => v.id));
    const numbers = new Set(scenarioRows(scenario, PARTS).map((p) => p.number));
    expect(numbers.size).toBe(scenarioRows(scenario, PARTS).length);
    const naming = [
      ...scenarioRows(scenario, SENSING),
      ...scenarioRows(scenario, FLEET),
      ...scenarioRows(scenario, APPLICATIONS),
      ...scenarioRows(scenario, JOBS),
    ];
    for (const row of naming) expect(ids).toContain(row.vehicleId);
    for (const row of scenarioRows(scenario, APPLICATIONS)) expect(numbers).toContain(row.partNumber);
    for (const rule of scenarioRows(scenario, COMPANIONS)) expect(numbers).toContain(rule.companionNumber);
  });
});

describe('a scenario with a mistake names its file, line and column', () => {
  test.each([
    [
      'parts.csv',
      (text: string) => text.replace('sensor,dealer', 'sensor,deluxe'),
      /^parts\.csv line 2\.tier: "deluxe" is not known here/,
    ],
    [
      'parts.csv',
      (text: string) => text.replace(/,\d+\.\d\d,/, ',about forty,'),
      /^parts\.csv line 2\.price/,
    ],
    [
      'vehicles.csv',
      (text: string) => text.replace(',2013-01,', ',2013-31,'),
      /^vehicles\.csv line 2\.builtFrom: "2013-31" is not a date/,
    ],
    [
      'applications.csv',
      (text: string) => text.replace(',A1L,', ',left,'),
      /^applications\.csv line 2\.wheelEnds\[0\]: "left" is not a wheel end/,
    ],
    [
      'shop.json',
      (text: string) => text.replace('EUR', 'euro'),
      /^shop\.json\.currency: "euro" is not a currency/,
    ],
  ])('%s', async (file, edit, wanted) => {
    await expect(readScenario(changed(file, edit))).rejects.toThrow(wanted);
  });
});

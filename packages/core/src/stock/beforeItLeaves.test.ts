import { describe, expect, test } from '@jest/globals';
import type { Docket } from '../vocabulary/docket.ts';
import { faceDamagedAt } from '../vocabulary/oldSensor.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { beforeItLeaves } from './beforeItLeaves.ts';

type Ends = Parameters<typeof beforeItLeaves>[2]['wheelEnds'];
const seen = (...results: string[]): Docket =>
  parseDocket({
    format: 'hardy-spoke/docket',
    version: 1,
    checks: results.map((result) => ({ check: 'visual.sensor', wheelEnd: 'A1L', result })),
  });
const said = (docket: Docket, parts: PartClass[], mounting: 'separate' | 'in-hub' = 'separate') => {
  const wheelEnds: Ends = [
    { wheelEnd: 'A1L', sensing: '', mounting, sensor: 'passive', ohms: { low: 900, high: 1300 } },
  ];
  const chosen = {
    part: parts[0] as PartClass,
    wheelEnd: 'A1L',
    parts: parts.map((part) => ({ part, wheelEnd: 'A1L' })),
    priceCents: 0,
    allInMeanCents: 0,
    cures: 1,
  };
  return beforeItLeaves(docket, chosen, {
    name: null,
    axles: 2,
    steeringSide: null,
    driveline: null,
    wheelEnds,
    tyre: null,
  }).join('\n');
};

describe('before it leaves', () => {
  test('a ruined face does not go back in: an order of the ring alone says so, one with a sensor does not', () => {
    expect(said(seen('rubbed'), ['tone-ring'])).toMatch(/A1L: the old sensor.s face is damaged/);
    expect(said(seen('rubbed'), ['tone-ring', 'sensor'])).not.toContain('face');
    expect(said(seen('rubbed'), ['hub-assembly'], 'in-hub')).not.toContain('face');
    expect(said(seen('sound'), ['tone-ring'])).not.toContain('face');
  });

  test('of two looks the later counts', () => {
    expect(faceDamagedAt(seen('rubbed', 'sound'), 'A1L')).toBe(false);
    expect(faceDamagedAt(seen('sound', 'broken'), 'A1L')).toBe(true);
    expect(faceDamagedAt(seen('broken'), 'A1R')).toBe(false);
  });

  test('a coil is metered with its lead within its own range; an active one never', () => {
    expect(said(seen(), ['sensor'])).toContain('900 to 1300 ohm');
    expect(said(seen(), ['tone-ring'])).toContain('Count its teeth');
  });
});

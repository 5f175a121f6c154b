import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { readIntake } from './readIntake.ts';

const context = { ...bareIntake('2026-11-25'), axles: 2 };
const read = (words: string) => readIntake(words, context);

describe('what was not said is not heard', () => {
  test.each([
    'short drive home and it was back on',
    'open road it is fine, in town it comes on',
    'I ordered the wrong one last time, it was too short',
    'short lead on that one front left',
    'no signal on my phone down here so text me',
    'reader shows nothing at all, will not connect',
    'does rr ring need to come off before you do the sensor',
    'does the wheel get play when they go like this',
    'could the ring on the left rear be cracked do you think',
  ])('no finding in: %s', (words) => {
    expect(read(words).checks.filter(({ check }) => check !== 'lamps')).toEqual([]);
  });

  test.each([
    'my neighbour will drop it off',
    'drive it round the front for me, right, and I will come out',
    'so theres nothing left in the back room then, right?',
  ])('no wheel in: %s', (words) => {
    expect(read(words).positions.flatMap(({ wheelEnds }) => wheelEnds)).toEqual([]);
  });
});

describe('what looks like it is still heard', () => {
  test.each([
    ['front left sensor open', 'open'],
    ['front left reads short', 'short'],
    ['sensor short circuit front left', 'short'],
    ['open front left', 'open'],
    ['front left is open and the ring is fine', 'open'],
    ['dead short front left', 'short'],
  ])('%s', (words, ohms) => {
    expect(read(words).checks).toContainEqual(
      expect.objectContaining({ check: 'meter.resistance', wheelEnd: 'A1L', ohms }),
    );
  });

  test.each([
    'front left no signal',
    'sensor rear left reads nothing on the scanner',
    'no signal on the scan tool front right',
  ])('%s', (words) => {
    expect(read(words).checks).toContainEqual(
      expect.objectContaining({ check: 'live', pattern: 'no-signal' }),
    );
  });

  test('its neighbour is the wheel across', () => {
    expect(read('not the front left, its neighbour').positions.at(-1)?.wheelEnds).toEqual(['A1R']);
  });
});

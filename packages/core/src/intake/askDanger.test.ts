import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { readIntake } from './readIntake.ts';

const read = (words: string) =>
  readIntake(words, { ...bareIntake('2026-11-25'), steeringSide: 'left', trafficSide: 'right', axles: 2 });

describe('words of danger', () => {
  test.each([
    ['is there play in the rear left? not checked yet', 'play'],
    ['there might be a bit of play front left', 'play'],
    ["I can't say there is no play", 'play'],
    ['he thinks the rear left bearing might be noisy', 'growl'],
    ['if the wheel growls I bring it back', 'growl'],
    ['rear left wheel locked up and smoked', 'heat'],
    ['could the pedal be spongy? might be', 'pedal'],
    ['something drips at the rear left, maybe a leak', 'fluid'],
  ])('a doubtful one is asked, not placed: %s', (words, about) => {
    const reading = read(words);
    expect(reading.doubts?.map((doubt) => doubt.about)).toContain(about);
    expect(reading.checks.filter(({ check }) => check.startsWith('bearing'))).toEqual([]);
  });

  test.each([
    'rear left is neither noisy nor loose',
    'no growling, humming or play at any wheel',
    'pedal is not soft, no brake fluid leak',
    'plays up in the rain',
    'a loose mirror and a noisy radio',
  ])('what is denied or of something else is no danger: %s', (words) => {
    const reading = read(words);
    expect(reading.doubts ?? []).toEqual([]);
    expect(reading.symptoms).toEqual([]);
    expect(
      reading.checks.filter((c) => 'result' in c && !['none', 'sound', 'full'].includes(c.result)),
    ).toEqual([]);
  });
});

import { describe, expect, test } from '@jest/globals';
import type { PositionContext } from './placePhrase.ts';
import { readPositions } from './readPositions.ts';

const left: PositionContext = { steeringSide: 'left', trafficSide: 'right', axles: 2, trailer: false };
const right: PositionContext = { steeringSide: 'right', trafficSide: 'left', axles: 2, trailer: false };
const bare: PositionContext = { steeringSide: null, trafficSide: null, axles: null, trailer: false };

const short = (text: string, context: PositionContext): string =>
  readPositions(text, context)
    .positions.map((p) => [p.wheelEnds.join('+') || `?${p.needs}`, p.role].filter(Boolean).join(' '))
    .join(', ');

describe('readPositions', () => {
  test.each([
    ['front left', left, 'A1L'],
    ["driver's side front", left, 'A1L'],
    ["driver's side front", right, 'A1R'],
    ["driver's front", bare, '?steeringSide'],
    ['n/s/f', right, 'A1L'],
    ['O.S.R.', right, 'A2R'],
    ['OSR', left, 'A2L'],
    ['nearside front', bare, '?trafficSide'],
    ['LR', left, 'A2L'],
    ['RL', left, 'A2L'],
    ['the left one at the back', left, 'A2L'],
    ['both fronts', left, 'A1L+A1R'],
    ['all four', left, 'A1L+A1R+A2L+A2R'],
    ['on top of the rear diff', left, 'A2C'],
    ["not the front left, it's the rear left", left, 'A1L denied, A2L'],
    ['front right was done last year, now rear right', left, 'A1R past, A2R'],
    ['front left as you look at it from the front', left, 'A1R'],
    ['sitting in it, left front', left, 'A1L'],
    ['middle axle left', { ...left, axles: 3 }, 'A2L'],
    ['2nd axle, right hand side', { ...left, axles: 3 }, 'A2R'],
    ['axle 2 left', { ...bare, axles: 3, trailer: true }, 'A2L'],
    ['passenger side', left, '?axle'],
    ['rear', left, '?side'],
    ['rear left', { ...bare, trailer: true }, '?axle'],
    ['front left and right', left, 'A1L+A1R'],
    ['the light came back on, rear wheel left', left, 'A2L'],
    ['all wheel drive, right hand drive', left, ''],
  ] as Array<[string, PositionContext, string]>)('%s', (text, context, wanted) => {
    expect(short(text, context)).toBe(wanted);
  });

  test('two phrases that disagree on this vehicle are both shown with the reason', () => {
    const { conflicts } = readPositions("driver's front, so the right-hand one", left);
    expect(conflicts).toHaveLength(1);
    expect(conflicts[0]?.because).toContain('steered from the left');
    expect(readPositions("driver's front, so the right-hand one", right).conflicts).toHaveLength(0);
  });

  test('two corners joined by "and" are two corners, not a disagreement', () => {
    expect(readPositions('front left and rear right', left).conflicts).toHaveLength(0);
  });
});

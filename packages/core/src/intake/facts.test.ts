import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { readIntake } from './readIntake.ts';
import { agoIn, durationAt } from './when.ts';
import { tokenise } from '../text/tokens.ts';
import type { Symptom } from '../vocabulary/words.ts';

const context = {
  ...bareIntake('2026-11-25'),
  steeringSide: 'left' as const,
  trafficSide: 'right' as const,
  axles: 2,
};
const read = (text: string) => readIntake(text, context);

describe('complaints', () => {
  test.each<[string, Symptom[]]>([
    ['abs light on', ['lamp.abs']],
    ['anti-lock lamp came on', ['lamp.abs']],
    ['abs and traction lights', ['lamp.abs', 'lamp.traction']],
    ['rear abs light', ['lamp.rear-abs']],
    ['handbrake light and abs warning light', ['lamp.brake', 'lamp.abs']],
    ['awd light', ['lamp.awd']],
    ['driver assist message', ['message.driver-assist']],
    ['tyre pressure light', ['message.tyre-monitor']],
    ['pedal grinds when coming to a stop', ['abs.activates-when-stopping']],
    ['speedo dead', ['speedometer.dead']],
    ['speedo jumps about', ['speedometer.erratic']],
    ['gearbox shifts badly', ['shifting.bad']],
    ['growling from the back', ['noise.wheel']],
    ['steering heavy', ['steering.heavy']],
    ['wants a price for wipers', []],
  ])('%s', (text, wanted) => {
    expect([...read(text).symptoms].sort()).toEqual([...wanted].sort());
  });
});

describe('checks made already', () => {
  test.each([
    ['ring cracked front right', { check: 'visual.ring', result: 'cracked', wheelEnd: 'A1R' }],
    ['the tone ring is badly rusted', { check: 'visual.ring', result: 'rusted' }],
    ['missing teeth on the ring', { check: 'visual.ring', result: 'missing-teeth' }],
    ['plug full of green', { check: 'visual.connector', result: 'corroded' }],
    ['connector looks fine', { check: 'visual.connector', result: 'sound' }],
    ['pin pushed back in the plug', { check: 'visual.connector', result: 'loose-pins' }],
    ['loom chafed', { check: 'visual.harness', result: 'chafed' }],
    ['swarf on the sensor tip', { check: 'visual.sensor', result: 'metal-on-tip' }],
    ['no play', { check: 'bearing.play', result: 'none' }],
    ['lots of play rear left', { check: 'bearing.play', result: 'clear', wheelEnd: 'A2L' }],
    ['growls when spun', { check: 'bearing.noise', result: 'growl' }],
    ['meter reads open', { check: 'meter.resistance', of: 'sensor', ohms: 'open' }],
    ['1.2k', { check: 'meter.resistance', of: 'sensor', ohms: 1200 }],
    ['950 ohms', { check: 'meter.resistance', of: 'sensor', ohms: 950 }],
    ['0.3 V AC', { check: 'meter.ac', volts: 0.3 }],
    ['11.8 V at the plug', { check: 'meter.supply', volts: 11.8 }],
    ['no supply at the plug', { check: 'meter.supply', volts: 0 }],
    ['reads 6 % low', { check: 'live', pattern: 'reads-low', percent: 6 }],
    ['live data shows zero', { check: 'live', pattern: 'no-signal' }],
    ['changes when wiggled', { check: 'wiggle', result: 'changes' }],
    ['fault moved with the sensor', { check: 'swap', result: 'fault-followed' }],
    ['came back at once', { check: 'clear-and-drive', result: 'back-at-once' }],
    ['battery 11.9', { check: 'battery', restingVolts: 11.9 }],
  ])('%s', (text, wanted) => {
    expect(read(text).checks).toEqual([wanted]);
  });

  test('a denied look is a sound one, and what is wanted is none', () => {
    expect(read('ring not cracked').checks).toEqual([{ check: 'visual.ring', result: 'sound' }]);
    expect(read('new connector please').checks).toEqual([]);
  });
});

describe('what was done', () => {
  test.each([
    [
      'new sensor front left at Easter, good for a week',
      { event: 'sensor-replaced', wheelEnd: 'A1L', daysAgo: 234, cured: 'for-a-while', daysUntilReturn: 7 },
    ],
    ['hub replaced rear right 2 months ago', { event: 'hub-replaced', wheelEnd: 'A2R', daysAgo: 60 }],
    ['had the tyres changed last week', { event: 'tyre-replaced', wheelEnd: null, daysAgo: 8 }],
    ['battery went flat yesterday', { event: 'battery-flat', wheelEnd: null, daysAgo: 1 }],
    ['new battery fitted', { event: 'battery-replaced', wheelEnd: null, daysAgo: null }],
    ['ball joint done front left in October', { event: 'suspension-work', wheelEnd: 'A1L', daysAgo: 41 }],
    ['brake pads changed', { event: 'brake-work', wheelEnd: null, daysAgo: null }],
    ['driveshaft replaced front right', { event: 'axle-shaft-work', wheelEnd: 'A1R', daysAgo: null }],
    ['wiring repaired rear left', { event: 'connector-repaired', wheelEnd: 'A2L', daysAgo: null }],
    [
      'new sender on the rear diff, made no difference',
      { event: 'sender-replaced', wheelEnd: 'A2C', daysAgo: null, cured: 'no' },
    ],
  ])('%s', (text, wanted) => {
    expect(read(text).history).toEqual([wanted]);
  });
});

describe('when', () => {
  const ago = (text: string) => agoIn(tokenise(text), '2026-11-25')?.days ?? null;
  test('stretches and dates', () => {
    expect(
      [
        '3 weeks ago',
        'a fortnight ago',
        'a couple of months ago',
        'half a year ago',
        'yesterday',
        'last year',
        'at Christmas',
        'in March',
        'next week',
      ].map(ago),
    ).toEqual([21, 14, 60, 183, 1, 365, 335, 255, null]);
    expect(durationAt(tokenise('10 days'), 0)).toEqual({ days: 10, to: 2 });
    expect(durationAt(tokenise('days'), 0)).toBeNull();
  });

  test('Easter of this year and, before it, of the last', () => {
    expect(agoIn(tokenise('at Easter'), '2026-04-06')?.days).toBe(1);
    expect(agoIn(tokenise('at Easter'), '2026-04-04')?.days).toBe(349);
  });
});

describe('how far and where it was driven', () => {
  const read = (words: string) => readIntake(words, bareIntake('2026-11-25')).vehicle;
  test.each([
    ['van 190000 km', 190000],
    ['van, 190 000km on it', 190000],
    ['van 120k miles', 193121],
    ['van 85.500 km', 85500],
  ])('%s', (words, km) => {
    expect(read(words).distanceKm).toBe(km);
  });

  test.each([
    'comes on above 40 km/h',
    'drops out at 30 mph',
    'after 5 km it is back',
    'resistance 1200 ohm',
  ])('no distance driven in: %s', (words) => {
    expect(read(words).distanceKm).toBeUndefined();
  });

  test('salt and knuckle in the words people use', () => {
    expect(read('very salty van with an alloy knuckle')).toMatchObject({
      saltExposure: 'high',
      knuckle: 'aluminium',
    });
    expect(read('never saw salt')).toMatchObject({ saltExposure: 'none' });
  });
});

describe('words of danger', () => {
  test.each([
    ['pedal goes to the floor since yesterday', 'pedal.soft'],
    ['brakes are spongy and the abs light is on', 'pedal.soft'],
    ['the pedal sinks', 'pedal.soft'],
  ])('%s', (text, symptom) => {
    expect(readIntake(text, bareIntake('2026-11-25')).symptoms).toContain(symptom);
  });

  test.each([
    ['brake fluid low', 'brake.fluid', 'low'],
    ['losing brake fluid somewhere', 'brake.fluid', 'leaking'],
    ['caliper leaking rear left', 'brake.fluid', 'leaking'],
    ['sensor snapped off in the knuckle rear left', 'visual.sensor', 'snapped'],
    ['plug in pieces front right', 'visual.connector', 'shell-broken'],
    ['the lamp went out by itself', 'lamps', 'out-by-itself'],
  ])('%s', (text, check, result) => {
    expect(readIntake(text, bareIntake('2026-11-25')).checks).toContainEqual(
      expect.objectContaining({ check, result }),
    );
  });
});

import { factors, judgement, type JudgementTable } from './judgement.ts';

/** What was done lately, as factors on the odds of each cause at that wheel end, before fading with time. */
export const HISTORY_FACTORS: JudgementTable = {
  ...factors('history.tyre-replaced', 'A tyre of another size, or a wheel bolted over a lead.', {
    tyre: 9,
    loom: 1.3,
  }),
  ...factors(
    'history.sensor-replaced',
    'A new sensor is seldom the next to fail; a wrong or ill-seated one often is.',
    { sensor: 0.35, 'wrong-sensor': 10, seating: 1.8, joint: 1.3 },
  ),
  ...factors(
    'history.sensor-replaced.no',
    'A new sensor changed nothing: it was not the sensor, or the new one is wrong.',
    { sensor: 0.05, 'wrong-sensor': 8, seating: 1.6 },
  ),
  ...factors(
    'history.sensor-replaced.for-a-while',
    'The same code again within weeks: wiring, target, seating or a poor part, not another bad sensor.',
    { sensor: 0.1, joint: 1.9, loom: 1.5, 'wrong-sensor': 3, seating: 1.6 },
  ),
  ...factors(
    'history.sensor-replaced.yes',
    'A new sensor cured what it was fitted for: a code left over is of the past.',
    {
      'none-present': 10,
      sensor: 0.1,
      'wrong-sensor': 0.3,
    },
  ),
  ...factors('history.ring-replaced', 'A new ring may have the wrong count or sit askew.', {
    ring: 0.4,
    'wrong-target': 16,
    seating: 1.5,
  }),
  ...factors('history.hub-replaced', 'A new hub may carry another target, and the sensor was disturbed.', {
    bearing: 0.3,
    encoder: 0.5,
    'wrong-target': 30,
    'wrong-sensor': 2,
    seating: 2.2,
    sensor: 1.6,
    joint: 1.4,
    loom: 1.3,
  }),
  ...factors(
    'history.ring-replaced.no',
    'A new ring changed nothing: the same again would cure one in ten.',
    {
      ring: 0.06,
      'wrong-target': 5,
      seating: 1.6,
    },
  ),
  ...factors('history.hub-replaced.no', 'A new hub changed nothing: the same again would cure one in ten.', {
    bearing: 0.05,
    encoder: 0.05,
    'wrong-target': 6,
    seating: 1.6,
    sensor: 1.2,
  }),
  ...factors('history.axle-shaft-work.no', 'The shaft changed nothing.', {
    ring: 0.1,
    'wrong-target': 5,
    sensor: 1.2,
  }),
  ...factors('history.connector-repaired', 'Repairs in the loom are where it fails next.', {
    joint: 2,
    loom: 1.5,
  }),
  ...factors('history.connector-repaired.no', 'The joint was made new and nothing changed.', {
    joint: 0.25,
    loom: 0.8,
  }),
  ...factors('history.sender-replaced', 'Senders may be open out of the box, and there are two kinds.', {
    sender: 0.5,
    'wrong-sensor': 8,
  }),
  ...factors('history.sender-replaced.no', 'A new sender changed nothing.', {
    sender: 0.15,
    joint: 1.5,
    loom: 1.5,
  }),
  ...factors('history.connector-repaired.yes', 'A new joint cured what it was made for.', {
    'none-present': 10,
    joint: 0.1,
    loom: 0.5,
  }),
  ...factors('history.hub-replaced.yes', 'A new hub cured what it was fitted for.', {
    'none-present': 10,
    bearing: 0.05,
    encoder: 0.05,
    'wrong-target': 0.3,
  }),
  ...factors('history.ring-replaced.yes', 'A new ring cured what it was fitted for.', {
    'none-present': 10,
    ring: 0.05,
    'wrong-target': 0.3,
  }),
  ...factors('history.sender-replaced.yes', 'A new sender cured what it was fitted for.', {
    'none-present': 10,
    sender: 0.08,
    'wrong-sensor': 0.3,
  }),
  ...factors('history.suspension-work', 'Leads are stretched and pinched when the knuckle is moved.', {
    joint: 1.8,
    loom: 2.5,
    sensor: 1.6,
    seating: 1.4,
  }),
  ...factors('history.brake-work', 'Leads are left unclipped; swarf and dust gather.', {
    joint: 1.5,
    loom: 1.8,
    sensor: 1.3,
    seating: 1.4,
  }),
  ...factors(
    'history.axle-shaft-work',
    'The ring travels with the shaft: another count, or one that cracked in pressing.',
    { ring: 2.5, 'wrong-target': 14, sensor: 1.3 },
  ),
  ...factors('history.battery-replaced', 'The supply was cut: codes remain that mean nothing.', {
    supply: 2,
    'none-present': 3,
  }),
  ...factors('history.battery-flat', 'Low voltage leaves a trail of codes.', {
    supply: 10,
    'none-present': 5,
  }),
  'history.fade-days': judgement(
    120,
    'days',
    [5, 2000],
    'Recent work loses about two thirds of its weight in this time.',
  ),
  'history.unknown-when': judgement(0.6, 'share', [0, 1], 'Weight of work done nobody knows when.'),
  'history.short-return-days': judgement(
    60,
    'days',
    [1, 1000],
    'A part that lasted less than this did not wear out.',
  ),
};

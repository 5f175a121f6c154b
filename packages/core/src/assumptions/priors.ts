import { chances, factors, judgement, type JudgementTable } from './judgement.ts';

/** How often each link has failed at one wheel end before anything else is known, and what moves it. */
export const PRIORS: JudgementTable = {
  ...chances(
    'prior',
    'Chance that this is wrong at one given wheel end of a vehicle that comes to the counter, all else unknown. Sensors lead, wiring is about half of that, targets and bearings follow. Counter judgement.',
    {
      sensor: 0.021,
      ring: 0.006,
      encoder: 0.0045,
      bearing: 0.005,
      wiring: 0.0095,
      seating: 0.0045,
      tyre: 0.002,
      'mismatched-part': 0.0006,
      sender: 0.021,
      'none-present': 0.004,
      module: 0.006,
      supply: 0.008,
    },
  ),
  'prior.most': judgement(
    0.3,
    'probability',
    [0.05, 0.9],
    'However old and salty, a link is sound more often than not before anything is found.',
  ),
  'prior.pair': judgement(
    2,
    'times',
    [1, 20],
    'Two faults at one wheel end are likelier than chance alone: the same salt, age and knocks reach both.',
  ),
  'prior.pair.ring-and-sensor': judgement(
    5,
    'times',
    [1, 60],
    'A rust-swollen ring rubs the sensor tip, so the two go bad together.',
  ),
  'prior.pair.bearing-and-encoder': judgement(
    15,
    'times',
    [1, 60],
    'A worn bearing tears or tilts the encoder in its seal.',
  ),
  ...factors('salt.high', 'Years on salted roads or by the sea.', {
    ring: 2.2,
    seating: 2.5,
    wiring: 1.7,
    sensor: 1.2,
    encoder: 1.3,
    bearing: 1.2,
    sender: 1.2,
  }),
  ...factors('salt.none', 'Roads without salt.', { ring: 0.5, seating: 0.4, wiring: 0.7, encoder: 0.8 }),
  ...factors('age.per-decade', 'For each ten years of age: corrosion and wear add up.', {
    ring: 1.8,
    seating: 1.6,
    wiring: 1.5,
    bearing: 1.6,
    encoder: 1.3,
    sensor: 1.2,
  }),
  'age.typical': judgement(
    8,
    'years',
    [0, 40],
    'Age at which the priors above hold; used when the build date is not known.',
  ),
  ...factors('distance.per-100000km', 'For each 100,000 km beyond the usual of its age: what turns wears.', {
    bearing: 1.6,
    encoder: 1.2,
    sensor: 1.05,
    wiring: 1.05,
  }),
  'distance.per-year': judgement(
    15000,
    'km',
    [1000, 150000],
    'Distance of a usual year; the priors hold for it.',
  ),
  'oversize.percent': judgement(
    3,
    '%',
    [1, 20],
    'Tyres larger than built by this much load the bearings with a longer lever.',
  ),
  ...factors('oversize', 'Oversize tyres wear integrated hubs and bearings out.', {
    bearing: 1.8,
    encoder: 1.3,
  }),
  ...factors('target.on-shaft', 'A ring pressed on a rusting shaft cracks more often than one on a hub.', {
    ring: 1.6,
  }),
  ...chances(
    'architecture',
    'Odds of each kind of sensing where the vehicle is not known. Counter judgement.',
    {
      passive: 0.3,
      'active.in-hub': 0.25,
      'active.encoder': 0.8,
      'passive.ring-on-shaft': 0.45,
      'passive.ring-on-hub': 0.55,
      'passive.in-hub': 0.1,
      'ring-sold-alone': 0.5,
    },
  ),
};

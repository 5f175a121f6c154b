import { chances, factors, judgement, row, type JudgementTable } from './judgement.ts';

/** What a whole job costs beside parts and labour: taxes, deposits, quality, what comes later. Money in the shop's currency. */
export const OFFER_COSTS: JudgementTable = {
  'tax.percent': judgement(
    0,
    '%',
    [0, 40],
    'Tax on parts and labour. Zero where prices and rates hold it already.',
  ),
  'supplies.percent': judgement(
    3,
    '%',
    [0, 30],
    'Shop supplies (cleaner, rags, grease) as a share of labour.',
  ),
  'diagnosis.fee': judgement(
    0,
    'money',
    [0, 1000],
    'What a visit is charged for reading codes; again on every comeback.',
  ),
  'core.not-returned': judgement(
    0.12,
    'probability',
    [0, 1],
    'Old parts that never come back, so that the deposit is lost.',
  ),
  'trade.discount': judgement(15, '%', [0, 60], 'Off the list price for garages and fleets.'),
  'trade.further.dealer': judgement(
    0,
    'percent points',
    [-60, 60],
    'A price list of its own for this tier: that much more (or less) than the trade discount comes off.',
  ),
  'trade.further.good': judgement(
    0,
    'percent points',
    [-60, 60],
    'As for the dealer\u2019s own parts: a maker of this tier may leave more, or less, to give away.',
  ),
  'trade.further.budget': judgement(
    0,
    'percent points',
    [-60, 60],
    'As for the dealer\u2019s own parts; a cheap part may leave nothing to give away.',
  ),
  'horizon.years': judgement(
    3,
    'years',
    [0, 20],
    'How long this customer cares: next month for one who sells, eight years for a fleet.',
  ),
  'idle-day.fleet': judgement(
    140,
    'money/day',
    [0, 5000],
    'What a day off the road costs a fleet: a hired vehicle, a driver without one.',
  ),

  'diy.hour-value': judgement(
    22,
    'money/h',
    [0, 1000],
    'What an hour of their own is worth to one who fixes it themselves.',
  ),
  'diy.slower': judgement(1.8, 'times', [1, 10], 'Without a lift the same job takes longer.'),
  'diy.worth-it-from': judgement(
    60,
    'money',
    [0, 5000],
    '"I do it myself if it saves more than this." Below it the garage is the better answer.',
  ),

  'overlap.same-wheel': judgement(
    0.6,
    'probability',
    [0, 1],
    'Share of the shorter job that the longer one at the same wheel has done already: wheel off, caliper off.',
  ),
  'overlap.other-side': judgement(
    0.25,
    'probability',
    [0, 1],
    'Share of the second side that the first has done: vehicle up, tools out, way known.',
  ),

  ...chances('tier.bad-out-of-box', 'New parts that do not work from the start.', {
    dealer: 0.005,
    good: 0.015,
    budget: 0.06,
    unknown: 0.02,
  }),
  ...row('tier.life', 'years', [0.1, 40], 'Mean life of a new part in salt and water.', {
    dealer: 14,
    good: 11,
    budget: 5,
    unknown: 10,
  }),
  'quote.days': judgement(
    14,
    'days',
    [1, 365],
    'So long a quote holds, and what was taken is put aside: longer, and it lies there for nobody.',
  ),
  'return.restocking': judgement(
    0,
    '%',
    [0, 100],
    'Kept of the price of a piece that comes back as it left, for booking it in and putting it away.',
  ),
  'life.used-left': judgement(
    0.4,
    'share',
    [0.05, 1],
    'a used part has most of its life behind it; how much nobody knows',
  ),
  'life.shape': judgement(
    2,
    'none',
    [1, 6],
    'Weibull shape of the life of parts: above one they wear out rather than fail by chance.',
  ),
  'bearing.life-km': judgement(
    400000,
    'km',
    [10000, 2000000],
    'Distance at which half the bearings are due: most outlive the vehicle they came with.',
  ),
  'bearing.life-shape': judgement(2.5, 'none', [1, 8], 'Weibull shape: bearings wear out with distance.'),
  ...factors('bearing.salt', 'Salt water finds the seals: counts as so much more distance.', {
    high: 1.15,
    some: 1.05,
    none: 1,
    unknown: 1.05,
  }),
  'bearing.growl-years': judgement(
    0.8,
    'years',
    [0.05, 10],
    'A growling bearing is due within about so long, by an exponential law.',
  ),
  'other-side.per-year': judgement(
    0.05,
    'probability',
    [0, 1],
    'Chance a year that the same part on the other side fails too, as old and as salty.',
  ),

  'wait.branch-days': judgement(0.5, 'day', [0, 10], 'Days until a part from the branch is here.'),
  'meanwhile.per-day': judgement(
    12,
    'money/day',
    [0, 5000],
    'What a day of driving without anti-lock is worth in added risk, where the customer decides to. A guess that says it is not nothing.',
  ),
  'spread.wait.low': judgement(0.6, 'times', [0, 1], 'The part comes early.'),
  'spread.wait.high': judgement(2.2, 'times', [1, 10], 'The part comes late.'),

  'compare.rival-from': judgement(
    0.1,
    'probability',
    [0, 1],
    'A way that cures more rarely is no rival to hold the best one against.',
  ),
  'compare.work-from': judgement(
    0.02,
    'probability',
    [0, 1],
    'Work without a part that cures more rarely is not worth a line.',
  ),
  'compare.snap-said-from': judgement(
    0.08,
    'probability',
    [0, 1],
    'A sensor that snaps more rarely is not worth a word to the customer.',
  ),
  ...row('dial.times', 'times', [1, 20], 'Up to how many times more, or less, one must reckon with.', {
    seizure: 2,
    'hub-price': 1.25,
    'labour-rate': 1.25,
    'idle-day': 3,
    comeback: 2,
  }),
  'dial.horizon.low': judgement(0.5, 'years', [0, 20], 'One who sells soon.'),
  'dial.horizon.high': judgement(8, 'years', [0, 20], 'A fleet that keeps it.'),

  ...factors('seizure.housing', 'Plastic swells and breaks; a metal body can be turned and pulled.', {
    plastic: 1.15,
    metal: 0.7,
    unknown: 1,
  }),
  'seizure.coated': judgement(0.3, 'times', [0, 1], 'The bore was greased when this one was fitted.'),
  'seizure.soak-most': judgement(0.55, 'times', [0.05, 1], 'Penetrating oil, left as long as one likes.'),
  'seizure.soak-hours': judgement(
    6,
    'h',
    [0.1, 100],
    'Soaking time after which two thirds of what oil can do is done.',
  ),
  ...row('seizure.parts', 'money', [0, 2000], 'What is spent or broken on the way when it snaps.', {
    picked: 0,
    drilled: 6,
    'knuckle-off': 45,
  }),
};

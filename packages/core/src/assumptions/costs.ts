import { chances, factors, judgement, row, type JudgementTable } from './judgement.ts';

const CURES = 'Chance that this part, fitted well, takes the cause away.';

/** What parts cure, what work takes, what waiting and coming back cost. Money in the shop's currency. */
export const COSTS: JudgementTable = {
  ...chances('cures.sensor', CURES, { sensor: 0.96, seating: 0.5, 'mismatched-part': 0.5, wiring: 0.03 }),
  ...chances('cures.tone-ring', CURES, { ring: 0.94, seating: 0.25, 'mismatched-part': 0.3 }),
  ...chances('cures.hub-assembly', CURES, { bearing: 0.97, encoder: 0.97, seating: 0.4, 'mismatched-part': 0.3 }),
  ...chances('cures.hub-assembly.in-hub', 'With the sensor built in, the hub brings a new one.', { sensor: 0.97, seating: 0.9, 'mismatched-part': 0.5 }),
  ...chances('cures.hub-assembly.ring-on-hub', 'A new hub mostly brings its ring.', { ring: 0.9 }),
  ...chances('cures.axle-shaft', CURES, { ring: 0.95, 'mismatched-part': 0.3 }),
  ...chances('cures.connector-kit', CURES, { wiring: 0.8 }),
  ...chances('cures.sender', CURES, { sender: 0.92, seating: 0.5, 'mismatched-part': 0.5 }),
  ...chances('cures.no-part', 'Chance that the work without a part takes its own cause away.', { seating: 0.85, tyre: 0.95, supply: 0.85, 'none-present': 0.95 }),

  ...row('price', 'money', [0, 100000], 'Price where the catalogue has none: a good aftermarket part. Counter judgement.', {
    sensor: 42, 'tone-ring': 24, 'hub-assembly': 165, 'axle-shaft': 190, 'connector-kit': 19, sender: 38,
  }),
  ...row('labour', 'h', [0, 40], 'Working time where the catalogue has none.', {
    sensor: 0.8, 'tone-ring': 2.2, 'hub-assembly': 1.9, 'axle-shaft': 1.8, 'connector-kit': 0.9, sender: 0.7,
  }),
  ...row('companions', 'money', [0, 1000], 'Bolts, clips, seals and grease where the catalogue has none.', {
    sensor: 3, 'tone-ring': 9, 'hub-assembly': 16, 'axle-shaft': 14, 'connector-kit': 2, sender: 4,
  }),
  'labour.rate': judgement(78, 'money/h', [0, 1000], 'Workshop rate by the hour.'),
  'comeback.cost': judgement(85, 'money', [0, 5000], 'A fix that did not cure: second visit, second strip-down, goodwill.'),
  'return.cost': judgement(12, 'money', [0, 1000], 'Handling a returned part.'),
  'refer.cost': judgement(520, 'money', [0, 20000], 'Sending it to a workshop for full diagnosis and repair.'),
  'idle-day.cost': judgement(35, 'money/day', [0, 5000], 'What a day off the road costs.'),
  'wait.days': judgement(1, 'day', [0, 60], 'Days until a part that is not on the shelf arrives, where the catalogue has none.'),

  ...chances('seizure', 'Chance that a separate sensor breaks when drawn from its bore, at the typical age on some salt.', {
    iron: 0.16, aluminium: 0.07, unknown: 0.12,
  }),
  ...factors('seizure.salt', 'Salt swells the rust around the housing.', { high: 2, some: 1, none: 0.4, unknown: 1 }),
  'seizure.per-decade': judgement(2, 'times', [1, 10], 'Ten more years in the bore.'),
  'seizure.centre': judgement(0.3, 'times', [0, 1], 'A sender in an oily axle housing rusts far less.'),
  'seizure.most': judgement(0.8, 'probability', [0.1, 1], 'Some come out even of the worst.'),
  ...row('seizure.hours', 'h', [0, 20], 'Extra time when it snaps.', { picked: 0.7, drilled: 1.6, 'knuckle-off': 3.2 }),
  ...chances('seizure.way', 'How a snapped one is got out.', { picked: 0.55, drilled: 0.3, 'knuckle-off': 0.15 }),

  ...row('work', 'h', [0, 20], 'Working time of putting it right without a part.', { seating: 0.8, tyre: 0.5, supply: 0.7, 'none-present': 0.4, module: 1.5 }),
  ...row('work.extra', 'money', [0, 5000], 'What else it costs: a tyre, a charge, a referral.', { seating: 4, tyre: 110, supply: 60, 'none-present': 0, module: 480 }),

  ...row('check.minutes', 'min', [0, 240], 'Time a check takes, tools at hand.', {
    'visual.ring': 12, 'visual.sensor': 15, 'visual.connector': 8, 'visual.harness': 12, 'bearing.play': 6, 'bearing.noise': 6, wiggle: 8, swap: 45, 'meter.resistance': 8, 'meter.supply': 8, 'meter.ac': 8, live: 12, 'clear-and-drive': 15, battery: 4, tyres: 4,
  }),
  'spread.labour.low': judgement(0.8, 'times', [0.1, 1], 'A good day: one job in four.'),
  'spread.labour.high': judgement(1.45, 'times', [1, 5], 'A bad day: one job in four.'),
  'spread.continuation.low': judgement(0.55, 'times', [0.1, 1], 'What comes after a failed fix, at the cheap end.'),
  'spread.continuation.high': judgement(1.7, 'times', [1, 5], 'What comes after a failed fix, at the dear end.'),

  'school.test-first.check': judgement(1, 'times', [0, 10], 'On the lift, checks cost their minutes.'),
  'school.sell-likely.check': judgement(1, 'times', [0, 10], 'Checks cost their minutes here too.'),
  'school.test-first.check-trip': judgement(0, 'money', [0, 500], 'The vehicle is here: no trip for a check.'),
  'school.sell-likely.check-trip': judgement(30, 'money', [0, 500], 'The customer must go away, check and come again.'),
  'school.test-first.comeback': judgement(1, 'times', [0, 10], 'A comeback at its full cost.'),
  'school.sell-likely.comeback': judgement(0.7, 'times', [0, 10], 'Unopened parts come back at little cost.'),
  'plan.depth': judgement(3, 'steps', [1, 5], 'How far ahead the plan looks.'),
  'plan.ignore-below': judgement(0.002, 'probability', [0, 0.05], 'States rarer than this are left out of the plan, not of the answer.'),
  'offer.exists-at-least': judgement(0.1, 'probability', [0, 1], 'A part is offered when the vehicle has it with at least this chance.'),
  'offer.corner-at-least': judgement(0.3, 'probability', [0, 1], 'Offers are made for a second wheel end from this chance of a fault on.'),
  'caution.seizure-above': judgement(0.2, 'probability', [0, 1], 'Warn of a snapping sensor above one in five.'),
};

import type { PartKind } from '../partKinds/partKind.ts';
import { PART_KINDS } from '../partKinds/partKinds.ts';
import { BOLTS_SETTLE_DAYS } from '../safety/dangers.ts';
import { chances, factors, judgement, row, type JudgementTable } from './judgement.ts';

const KINDS: readonly PartKind[] = PART_KINDS;

const CURES: JudgementTable = Object.assign(
  {},
  ...KINDS.flatMap(({ part, cures, curesWhy, brings = [] }) => [
    chances(
      `cures.${part}`,
      curesWhy ?? 'Chance that this part, fitted well, takes the cause away.',
      cures as Record<string, number>,
    ),
    ...brings.map((built) =>
      chances(`cures.${part}.${built.when}`, built.why, built.cures as Record<string, number>),
    ),
  ]),
) as JudgementTable;

const ofParts = (figure: 'price' | 'hours' | 'companions'): Record<string, number> =>
  Object.fromEntries(KINDS.map((kind) => [kind.part, kind[figure]]));

/** What parts cure, what work takes, what waiting and coming back cost. Money in the shop's currency. */
export const COSTS: JudgementTable = {
  ...CURES,
  ...chances('cures.no-part', 'Chance that the work without a part takes its own cause away.', {
    seating: 0.85,
    loom: 0.85,
    tyre: 0.95,
    supply: 0.85,
    'none-present': 0.95,
  }),
  'cures.loom-repair.joint': judgement(
    0.3,
    'probability',
    [0, 1],
    'One who repairs the loom finds a bad joint in it now and then.',
  ),

  ...row(
    'price',
    'money',
    [0, 100000],
    'Price where the catalogue has none: a good aftermarket part. Counter judgement.',
    ofParts('price'),
  ),
  ...row('labour', 'h', [0, 40], 'Working time where the catalogue has none.', ofParts('hours')),
  ...row(
    'companions',
    'money',
    [0, 1000],
    'Bolts, clips, seals and grease where the catalogue has none.',
    ofParts('companions'),
  ),
  'labour.rate': judgement(78, 'money/h', [0, 1000], 'Workshop rate by the hour.'),
  'comeback.cost': judgement(
    85,
    'money',
    [0, 5000],
    'A fix that did not cure: second visit, second strip-down, goodwill.',
  ),
  ...row(
    'refer',
    'h',
    [0, 20],
    'Hours of diagnosis in another workshop: with nothing known, and with the cause all but proven.',
    {
      'hours-unknown': 3,
      'hours-known': 0.8,
    },
  ),
  'refer.tier': judgement(
    1.25,
    'times',
    [1, 3],
    'The same repair in another workshop: its rate, its dearer parts.',
  ),
  'refer.cures-from': judgement(
    0.3,
    'probability',
    [0.01, 1],
    'Another workshop does the cheapest repair that cures at least so often.',
  ),
  'refer.wait-days': judgement(2, 'day', [0, 30], 'Days until another workshop has room and is done.'),
  'refer.module': judgement(650, 'money', [0, 20000], 'A controller or pump renewed or repaired elsewhere.'),
  'refer.elsewhere': judgement(
    260,
    'money',
    [0, 20000],
    'A repair nobody here has thought of: what it costs on average.',
  ),

  'idle-day.cost': judgement(35, 'money/day', [0, 5000], 'What a day off the road costs.'),
  'wait.days': judgement(
    1,
    'day',
    [0, 60],
    'Days until a part that is not on the shelf arrives, where the catalogue has none.',
  ),

  ...chances(
    'seizure',
    'Chance that a separate sensor breaks when drawn from its bore, at the typical age on some salt.',
    {
      iron: 0.16,
      aluminium: 0.07,
      unknown: 0.12,
    },
  ),
  ...factors('seizure.salt', 'Salt swells the rust around the housing.', {
    high: 2,
    some: 1,
    none: 0.4,
    unknown: 1,
  }),
  'seizure.per-decade': judgement(2, 'times', [1, 10], 'Ten more years in the bore.'),
  'seizure.heavy': judgement(
    0.25,
    'times',
    [0, 1],
    'Sensors of heavy vehicles and trailers sit in a spring bush and are pushed out by hand: they rarely seize.',
  ),
  'seizure.centre': judgement(0.3, 'times', [0, 1], 'A sender in an oily axle housing rusts far less.'),
  'seizure.settling-years': judgement(
    2,
    'years',
    [0.1, 20],
    'A sensor in its bore for less than this has not had time to seize fully; the chance grows with its share.',
  ),
  'seizure.most': judgement(0.8, 'probability', [0.1, 1], 'Some come out even of the worst.'),
  ...row('seizure.hours', 'h', [0, 20], 'Extra time when it snaps.', {
    picked: 0.7,
    drilled: 1.6,
    'knuckle-off': 3.2,
  }),
  ...chances('seizure.way', 'How a snapped one is got out.', {
    picked: 0.55,
    drilled: 0.3,
    'knuckle-off': 0.15,
  }),

  ...row('work', 'h', [0, 20], 'Working time of putting it right without a part.', {
    seating: 0.8,
    loom: 1.5,
    tyre: 0.5,
    supply: 0.7,
    'none-present': 0.4,
  }),
  ...row('work.extra', 'money', [0, 5000], 'What else it costs: a tyre, a charge, a referral.', {
    seating: 4,
    loom: 14,
    tyre: 110,
    supply: 60,
    'none-present': 0,
  }),

  ...row(
    'check.setup',
    'min',
    [0, 120],
    'Lifting it and taking the wheel off; finding and opening the plug; connecting the reader. Once for all looks that need it.',
    {
      wheel: 8,
      plug: 6,
      reader: 4,
    },
  ),
  'ask.minutes': judgement(2, 'min', [0, 60], 'Asking how it is built, or looking it up.'),
  'check.setup-lost': judgement(
    0.4,
    'share',
    [0, 1],
    'The fix that follows mostly needs the same set-up: only this share of it is spent on the look.',
  ),
  'spread.labour.low': judgement(0.75, 'times', [0.1, 1], 'The best day, against the usual one.'),
  'spread.labour.high': judgement(1.8, 'times', [1, 5], 'The worst day, against the usual one.'),
  'spread.continuation.low': judgement(
    0.45,
    'times',
    [0.1, 1],
    'What comes after a failed fix, at the cheap end.',
  ),
  'spread.continuation.high': judgement(
    2.2,
    'times',
    [1, 5],
    'What comes after a failed fix, at the dear end.',
  ),

  'school.test-first.check': judgement(1, 'times', [0, 10], 'On the lift, checks cost their minutes.'),
  'school.sell-likely.check': judgement(1, 'times', [0, 10], 'Checks cost their minutes here too.'),
  'school.test-first.check-trip': judgement(
    0,
    'money',
    [0, 500],
    'The vehicle is here: no trip for a check.',
  ),
  'school.sell-likely.check-trip': judgement(
    30,
    'money',
    [0, 500],
    'The customer must go away, check and come again.',
  ),
  'school.test-first.comeback': judgement(1, 'times', [0, 10], 'A comeback at its full cost.'),
  'school.sell-likely.comeback': judgement(0.7, 'times', [0, 10], 'Unopened parts come back at little cost.'),
  'school.lift-at-hand.check': judgement(
    0.6,
    'times',
    [0, 10],
    'The wheel is off already: looking costs little.',
  ),
  'school.lift-at-hand.check-trip': judgement(0, 'money', [0, 500], 'The vehicle is on the lift.'),
  'school.lift-at-hand.comeback': judgement(1, 'times', [0, 10], 'A comeback at its full cost.'),
  'school.far-away.check': judgement(1, 'times', [0, 10], 'Checks cost their minutes.'),
  'school.far-away.check-trip': judgement(
    15,
    'money',
    [0, 500],
    'Checks are made far away, with a call back.',
  ),
  'school.far-away.comeback': judgement(1.8, 'times', [0, 10], 'Coming back means the long way twice.'),
  'plan.depth': judgement(
    3,
    'steps',
    [1, 5],
    'How far ahead the plan looks. A fourth and a fifth step count as the third: they would take ten times as long and are worth under one part in a hundred of a job.',
  ),
  'plan.deep-ends': judgement(
    2,
    'wheel ends',
    [1, 18],
    'At so many wheel ends, the likeliest, the plan looks so far ahead; the others are priced with one step until they are named: nobody begins at the third.',
  ),
  'plan.build-decides': judgement(
    0.6,
    'probability',
    [0, 1],
    'Where a wheel end would be handed on, one asks first how it is built if the answer lets so many be mended here.',
  ),
  'plan.check-floor': judgement(
    20,
    'money',
    [0, 500],
    'A check is put before the sale only if it saves at least this: less is about even. Never asked of a safety check.',
  ),
  'plan.robust.tables': judgement(
    32,
    'tables',
    [0, 200],
    'Wrong tables a check must stay worth its time under.',
  ),
  'plan.robust.factor': judgement(
    1.5,
    'times',
    [1, 5],
    'How wrong they are: each chance by a log-normal factor of this.',
  ),
  'plan.robust.share': judgement(0.8, 'share', [0, 1], 'In at least this share of them.'),
  'plan.joint-fresh-days': judgement(
    30,
    'days',
    [0, 365],
    'A joint made new within this time is not looked into first.',
  ),
  'plan.tie': judgement(
    5,
    'money',
    [0, 100],
    'First checks that differ by less are as good: the one earlier in the order of the work is made.',
  ),
  'plan.close-call': judgement(
    20,
    'money',
    [0, 500],
    'Two parts that differ by less are a close call, and said to be one.',
  ),
  'safety.bolts-days': judgement(
    BOLTS_SETTLE_DAYS,
    'days',
    [1, 120],
    'Within so long after a wheel was off, loose bolts are the first thing that play means.',
  ),
  'verdict.proven': judgement(
    0.8,
    'probability',
    [0.5, 1],
    'From these odds on a cause is said to be it, and needs no lamp explained first.',
  ),
  'safety.rock-from': judgement(
    0.15,
    'probability',
    [0.01, 0.5],
    'From this chance of a bearing on the wheel is rocked before anything is driven.',
  ),
  'plan.ignore-below': judgement(
    0.002,
    'probability',
    [0, 0.05],
    'States rarer than this are left out of the plan, not of the answer.',
  ),
  'plan.settled': judgement(
    0.8,
    'probability',
    [0.5, 1],
    'From these odds on a way of building is taken as given when a check is chosen.',
  ),
  'question.open-from': judgement(
    0.1,
    'probability',
    [0, 0.5],
    'A way of building, or a tyre, less likely than this is not worth a question.',
  ),
  'offer.least-cure': judgement(
    0.02,
    'probability',
    [0, 0.2],
    'A part that cures more rarely is no offer, unless safety calls for it.',
  ),
  'offer.pair-from': judgement(
    0.1,
    'probability',
    [0, 1],
    'Two parts are offered as one job from this chance on that both are bad: less would be covering a guess.',
  ),
  'offer.pair-cures': judgement(
    0.5,
    'probability',
    [0, 1],
    'A part counts as needed for a fault that it mostly takes away.',
  ),
  'offer.folded-below': judgement(
    0.05,
    'probability',
    [0, 0.5],
    'An offer that cures more rarely is folded away: nobody would read it out.',
  ),
  'offer.exists-at-least': judgement(
    0.1,
    'probability',
    [0, 1],
    'A part is offered when the vehicle has it with at least this chance.',
  ),
  'offer.corner-at-least': judgement(
    0.3,
    'probability',
    [0, 1],
    'Offers are made for a second wheel end from this chance of a fault on.',
  ),
  'offer.most-ends': judgement(
    4,
    'wheel ends',
    [1, 18],
    'Offers are made for so many wheel ends, the likeliest, and for unsafe ones in any case: more than four at once are one cause that they share.',
  ),
  'caution.seizure-above': judgement(
    0.2,
    'probability',
    [0, 1],
    'Warn of a snapping sensor above one in five.',
  ),
};

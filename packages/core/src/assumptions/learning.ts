import { factors, judgement, row, type JudgementTable } from './judgement.ts';

const AT_A_WHEEL = {
  sensor: 1,
  ring: 1,
  encoder: 1,
  bearing: 1,
  joint: 1,
  loom: 1,
  seating: 1,
  tyre: 1,
  'wrong-sensor': 1,
  'wrong-target': 1,
} as const;

/** What learning from the ledger may move beside the judgement numbers, and how much weight the judgement has against it. */
export const LEARNING: JudgementTable = {
  ...factors(
    'build.passive',
    'How much oftener than judged this fails where the sensor is a coil. Learned.',
    AT_A_WHEEL,
  ),
  ...factors(
    'build.active',
    'How much oftener than judged this fails where the sensor is active. Learned.',
    AT_A_WHEEL,
  ),
  ...factors(
    'line.front',
    'How much oftener than judged this fails at the front of this vehicle line. Learned.',
    AT_A_WHEEL,
  ),
  ...factors(
    'line.rear',
    'How much oftener than judged this fails behind the front axle of this vehicle line. Learned.',
    AT_A_WHEEL,
  ),
  ...row(
    'pace',
    'times',
    [0.2, 5],
    'How long this job really takes against the book’s hours. Learned from hours told.',
    {
      sensor: 1,
      'tone-ring': 1,
      'hub-assembly': 1,
      'axle-shaft': 1,
      'connector-kit': 1,
      sender: 1,
    },
  ),
  ...row(
    'learning.weight',
    'jobs',
    [1, 5000],
    'How many closed jobs the judgement is worth against what came back. A shop sees few of each: the finer the question, the more it leans on the one above it.',
    { causes: 30, build: 160, line: 120, checks: 40, cures: 40, box: 60, part: 40, seizure: 40, pace: 2 },
  ),
  'learning.least-jobs': judgement(
    40,
    'jobs',
    [1, 5000],
    'Of fewer closed jobs than this nothing counts yet: an answer that turned would have been turned by luck.',
  ),
  'learning.half-life': judgement(
    36,
    'months',
    [1, 600],
    'After so long an outcome counts for half: parts, roads and people change.',
  ),
  'learning.never-heard': judgement(
    0.1,
    'share',
    [0, 1],
    'What an order nobody was heard of counts for: most were cured and saw no reason to call, some went elsewhere.',
  ),
  'learning.untold': judgement(
    0.25,
    'share',
    [0, 1],
    'What a job counts for, towards what fails how often, where nobody told its cause: it is believed by the very tables it should correct.',
  ),
  'learning.part-spread': judgement(
    0.4,
    'log steps',
    [0, 2],
    'How far part numbers of one tier lie apart in how often they are bad from the box: a few numbers tell little of the tier.',
  ),
  'learning.never-heard-after': judgement(
    90,
    'days',
    [7, 1000],
    'After so long without a word an order is taken as never heard of.',
  ),
  ...row(
    'learning.sure',
    'probability',
    [0.5, 1],
    'How sure a told cause is, by how it is known: seen on the bench, metered, swapped over, or told by the cure alone; "told" where nobody said how.',
    { seen: 0.97, metered: 0.93, swapped: 0.9, cured: 0.85, told: 0.8 },
  ),
  'learning.elsewhere-cured': judgement(
    0.05,
    'probability',
    [0, 0.5],
    'Chance that the lamp stays out after a part that has nothing to do with the fault: clearing and moving leads heal for a while.',
  ),
  'learning.tell-from': judgement(
    3,
    'pieces',
    [1, 50],
    'From so many bad ones on, a part is told of when the next is about to be sold.',
  ),
  'learning.weak-from': judgement(
    4,
    'jobs',
    [2, 50],
    'From so many jobs of a line at a place on, its weak place is told of at the counter.',
  ),
  'learning.weak-share': judgement(
    0.5,
    'share',
    [0.1, 1],
    'A cause is a weak place of a line where it was so much of the jobs there.',
  ),
  'learning.small-cell': judgement(
    3,
    'jobs',
    [1, 50],
    'Counts of fewer jobs than this do not leave the shop: they could tell of one customer.',
  ),
};

import { judgement, row, type JudgementTable } from './judgement.ts';

/** What practice is judged by: what a step that was not taken would have been worth, and what is spoken of. */
export const PRACTICE: JudgementTable = {
  'read.minutes': judgement(2, 'min', [0, 60], 'Reading every controller, once the reader is connected.'),
  'read.tells': judgement(
    0.75,
    'probability',
    [0, 1],
    'That codes nobody has read yet name the wheel: what not reading them first is worth.',
  ),
  'practice.comes-for-something': judgement(
    0.85,
    'probability',
    [0, 1],
    'Whoever comes with a complaint has something wrong at a wheel, however little they said of it.',
  ),
  'practice.hardly-it': judgement(
    0.5,
    'probability',
    [0, 1],
    'At a wheel less likely than this a part that fails tells little: the job is where it was.',
  ),
  'practice.same-part': judgement(
    2,
    'times',
    [1, 10],
    'A new part that did not help may be the wrong one: so often it is fitted, then it is spent.',
  ),
  'practice.as-good': judgement(3, 'money', [0, 100], 'A step dearer than the best by less is as good.'),
  'practice.wasted-from': judgement(
    5,
    'money',
    [0, 100],
    'A look that costs so much more than it can save is told as not worth it.',
  ),
  'practice.speaks-from': judgement(
    10,
    'money',
    [0, 500],
    'From so much on a step is what the account says to practise next.',
  ),
  'practice.success': judgement(
    0.75,
    'probability',
    [0.5, 0.95],
    'Questions are as hard as leaves people right so often: bored above, lost below.',
  ),
  'practice.slow-seconds': judgement(30, 's', [1, 600], 'A right answer that took longer was hard.'),
  'practice.says-from': judgement(
    8,
    'answers',
    [2, 200],
    'With fewer answers nobody is told that a skill is their weakest.',
  ),
  'practice.certifies-from': judgement(20, 'answers', [5, 500], 'With fewer answers nothing is certified.'),
  'practice.certifies-at': judgement(
    0.6,
    'probability',
    [0.3, 0.95],
    'The lower end of the interval is at least this where a skill is certified.',
  ),
  ...row('practice.minutes', 'min', [5, 600], 'What a customer of a level has.', {
    'level-1': 120,
    'level-2': 100,
    'level-3': 90,
    'level-4': 100,
    'level-5': 60,
  }),
  'practice.budget-least': judgement(200, 'money', [0, 10000], 'What a customer would spend, at least.'),
  'practice.budget-most': judgement(700, 'money', [0, 10000], 'What a customer would spend, at most.'),
};

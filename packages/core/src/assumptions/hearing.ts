import { judgement, type JudgementTable } from './judgement.ts';

/** What is taken for what in words. */
export const HEARING: JudgementTable = {
  'hearing.never-cured': judgement(
    60,
    'days',
    [1, 1000],
    'What is there again within so many days of the work was not cured by it; later, it was for a while.',
  ),
  'hearing.bare-ohms.least': judgement(
    200,
    'ohm',
    [50, 2000],
    'A bare number that is read off something is ohms from here: speeds and voltages are lower.',
  ),
  'hearing.bare-ohms.most': judgement(
    5000,
    'ohm',
    [1000, 100000],
    'And up to here: coils have less, and larger bare numbers are distances or part numbers.',
  ),
  'hearing.speed-rounding': judgement(
    1,
    'km/h',
    [0, 5],
    'Two speeds read off a screen are the same when they differ by so much: it shows whole numbers.',
  ),
  'hearing.reference.off-by': judgement(
    2,
    'times',
    [1.2, 10],
    'A plausible reading is the reference, and its wheel not the corner, where another wheel reads this many times more or less.',
  ),
  'hearing.reference.least-ohms': judgement(
    500,
    'ohm',
    [50, 2000],
    'A sensor is metered as a reference from here: less is a short.',
  ),
  'hearing.reference.most-ohms': judgement(
    3000,
    'ohm',
    [1000, 100000],
    'And up to here: more is a bad contact, or an active sensor that cannot be metered so.',
  ),
};

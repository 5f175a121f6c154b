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
};

import { judgement, row, type JudgementTable } from './judgement.ts';

/** How well things are measured on the counter. */
export const MEASURING: JudgementTable = {
  'live.apart-share': judgement(
    0.35,
    'share',
    [0.05, 0.9],
    'A wheel so far off the middle of the others is told while one watches: in the tightest bend sound wheels differ by less, a log tells finer.',
  ),
  'live.apart-from': judgement(
    3,
    'km/h',
    [1, 30],
    'Slower than this a sound coil may show nothing: no wheel is told to be off while one watches.',
  ),
  ...row(
    'tool',
    'mm',
    [0.005, 50],
    'Standard deviation of a length taken with this tool by a practised hand.',
    {
      caliper: 0.08,
      ruler: 0.5,
      tape: 1.5,
      eye: 4,
    },
  ),
  'proof.speeds-within': judgement(
    1,
    '%',
    [0.1, 5],
    'After the fix the two wheels of an axle agree within so much on a straight road: wear and pressure alone leave less.',
  ),
  'proof.bolts-from': judgement(
    50,
    'km',
    [5, 500],
    'Wheel bolts settle: from here on they are tightened again. The maker\u2019s figure comes first.',
  ),
  'proof.bolts-to': judgement(100, 'km', [5, 1000], 'And no later than here.'),
  'tool.part-varies': judgement(
    0.05,
    'mm',
    [0, 1],
    'Parts of one number differ by so much; wear and rust besides.',
  ),
  'tool.lead-share': judgement(
    0.01,
    'times',
    [0, 0.1],
    'A lead is bent and never quite straight: a length off by so much of itself besides.',
  ),
  'count.right': judgement(0.93, 'probability', [0.5, 1], 'A count of teeth or splines is right so often.'),
  'count.off-by-one': judgement(0.06, 'probability', [0, 0.5], 'And off by one so often, up or down.'),
  'look.right': judgement(
    0.95,
    'probability',
    [0.5, 1],
    'A colour or form is seen right so often; dirt misleads.',
  ),
  'match.sure': judgement(0.9, 'probability', [0.5, 1], 'From here on a match is called one.'),
  'match.prior-fits': judgement(
    20,
    'times',
    [1, 1000],
    'A part the catalogue gives for this vehicle is so much likelier the one on the counter than any other.',
  ),
};

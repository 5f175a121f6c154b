export { CAUSE_IN_WORDS, CAUSE_SHORT } from '../faultKinds/faultData.ts';
export { CHECK_IN_WORDS } from '../checkKinds/checkData.ts';
export { PART_IN_WORDS } from '../partKinds/partData.ts';
import { RENEWED_IN_WORDS } from '../partKinds/partData.ts';
import type { School } from './docket.ts';
import type { Caution, EventName, Symptom } from './words.ts';

export const SYMPTOM_IN_WORDS: Readonly<Record<Symptom, string>> = {
  'lamp.abs': 'anti-lock lamp on',
  'lamp.brake': 'brake lamp on',
  'lamp.traction': 'traction lamp on',
  'lamp.awd': 'all-wheel-drive lamp on',
  'lamp.rear-abs': 'rear anti-lock lamp on',
  'message.driver-assist': 'driver-assist message',
  'message.tyre-monitor': 'tyre monitor message',
  'abs.activates-when-stopping': 'pedal pulses when stopping',
  'speedometer.dead': 'speedometer dead',
  'speedometer.erratic': 'speedometer jumps',
  'shifting.bad': 'gearbox shifts badly',
  'noise.wheel': 'wheel growls',
  'steering.heavy': 'steering heavy',
  'pedal.soft': 'brake pedal soft or sinking',
  'wheel.hot': 'wheel hot or smoking',
};

export const EVENT_IN_WORDS: Readonly<Record<EventName, string>> = {
  'tyre-replaced': 'new tyre',
  ...RENEWED_IN_WORDS,
  'suspension-work': 'suspension work',
  'brake-work': 'brake work',
  'battery-replaced': 'new battery',
  'battery-flat': 'battery went flat',
};

/** Each school as the counter calls it, and what it holds. */
export const SCHOOL_IN_WORDS: Readonly<Record<School, string>> = {
  'test-first': 'test first',
  'sell-likely': 'sell the likely part',
  'lift-at-hand': 'lift at hand',
  'far-away': 'customer far away',
};

export const SCHOOL_HOLDS: Readonly<Record<School, string>> = {
  'test-first': 'the vehicle is here: checks cost only their minutes',
  'sell-likely': 'returns unopened are cheap; a check means another trip',
  'lift-at-hand': 'the wheel is off already: looking costs little',
  'far-away': 'coming back is dear, and every check needs a call',
};

/** The words of each caution. They defer to the maker's data and to licensed people. */
export const CAUTION_IN_WORDS: Readonly<Record<Caution, string>> = {
  'stop-driving':
    'Do not drive. A wheel with play or a growl can come off, and brakes with a soft pedal or lost fluid can fail. Refer to a workshop now.',
  'abs-inactive':
    'Anti-lock and stability control may be off: longer stops, and the vehicle can skid. Drive accordingly and have it fixed soon.',
  lifting:
    'Lift only on rated points, on level ground, with stands and chocks. Never work under a vehicle held by a jack.',
  'single-use-fasteners':
    'Fit new single-use bolts and nuts. Tighten by torque wrench to the maker\u2019s figure; wheel bolts crosswise.',
  'seizure-risk':
    'The old sensor may snap in its bore. Soak it first and allow time. Penetrating oil and brake cleaner need fresh air and no flame.',
  'encoder-magnets':
    'Keep swarf and magnets away from the encoder. Do not wash a bearing, and keep a split bearing pressed together.',
  alignment: 'Have the wheel alignment checked after the knuckle or strut was disturbed.',
  'high-voltage': 'Orange cables are for trained people only.',
  'licensed-work':
    'Reference only: the maker\u2019s service data and local law come first. Where brake work is reserved for licensed people, they do it. Do not hang a caliper by its hose; keep grease off discs and pads; do not breathe or blow brake dust.',
};

/** A probability as counter people say it: `about 7 in 10`. */
export const chanceInWords = (p: number): string => {
  if (p >= 0.985) return 'almost certain';
  if (p < 0.015) return 'hardly ever';
  if (p < 0.095 || p > 0.905) return `about ${Math.round(p * 100)} in 100`;
  return `about ${Math.round(p * 10)} in 10`;
};

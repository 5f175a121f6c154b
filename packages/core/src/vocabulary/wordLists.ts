/* The contract's word lists without the schemas, so that a page can use them and ship no validator. */

export { CAUSES } from '../faultKinds/faultData.ts';
import { RENEWED } from '../partKinds/partData.ts';

export { PART_CLASSES } from '../partKinds/partData.ts';

export const SYMPTOMS = [
  'lamp.abs',
  'lamp.brake',
  'lamp.traction',
  'lamp.awd',
  'lamp.rear-abs',
  'message.driver-assist',
  'message.tyre-monitor',
  'abs.activates-when-stopping',
  'speedometer.dead',
  'speedometer.erratic',
  'shifting.bad',
  'noise.wheel',
  'steering.heavy',
  'pedal.soft',
  'wheel.hot',
] as const;

export const EVENTS = [
  'tyre-replaced',
  ...Object.values(RENEWED),
  'suspension-work',
  'brake-work',
  'battery-replaced',
  'battery-flat',
] as const;

/** Ways a shop likes to work: cost policies over the same reasoning. */
export const SCHOOLS = ['test-first', 'sell-likely', 'lift-at-hand', 'far-away'] as const;

/** How far a reader reaches. */
export const READERS = ['full', 'engine', 'none'] as const;

/** Dangers that may have been meant: a loose wheel, a growl, a soft pedal, heat, brake fluid. */
export const DOUBTS = ['play', 'growl', 'pedal', 'heat', 'fluid'] as const;

/** What became of a sale. `never-heard` counts for little: no news is mostly good news. */
export const OUTCOME_RESULTS = [
  'cured',
  'partly',
  'not-cured',
  'came-back',
  'wrong-part',
  'returned-unused',
  'returned-opened',
  'never-heard',
] as const;

/** How it is known what was really wrong, the surest first. */
export const KNOWN_BY = ['seen', 'metered', 'swapped', 'cured'] as const;

/** How a snapped sensor was got out. */
export const GOT_OUT = ['picked', 'drilled', 'knuckle-off'] as const;

/** Where a claim on a part stands. */
export const CLAIM_STATES = ['raised', 'sent', 'accepted', 'refused'] as const;

/** How the old sensor is, where it is not simply in its bore. */
export const OLD_SENSOR = ['out', 'snapped'] as const;

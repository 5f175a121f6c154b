import type { Doubt } from './docket.ts';

/** What to ask where a word of danger was heard and not surely meant. */
export const DOUBT_ASKS: Readonly<Record<Doubt['about'], string>> = {
  play: 'does a wheel rock or have play?',
  growl: 'does a wheel growl?',
  pedal: 'is the brake pedal soft, or does it sink?',
  heat: 'is a wheel hot or smoking?',
  fluid: 'is brake fluid low or leaking?',
};

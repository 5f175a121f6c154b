/** How to clear the code and prove the fix, the same whatever was fitted. */
export const PROOF_OF_FIX: readonly string[] = [
  'Before the liner goes back: key on, read all wheel speeds, turn this wheel by hand and see its speed.',
  'Clear the codes in every module that stored one, even if the lamps are out.',
  'Key off for half a minute, key on: the lamps must come on and go out.',
  'Roll a few metres, then drive straight above 20 km/h; some lamps only clear after a short drive.',
  'Brake once gently to a stop: the pedal must stay smooth to the end.',
  'Read the codes again. If one is back, note when it came back and bring the old part.',
];

/** The old sensor was touched by what turns under it: the new one would be too. */
export const face = {
  why: 'Something turned against it. Find what before the new part goes in, or it happens again.',
  look: 'Rock the wheel for play. Turn the target once round by hand: run-out, lifted rust, a shifted ring, metal on it. Look at the seat: rust under the pad holds a sensor away or tilts it.',
  never: 'It does not go back in, not even with a new ring: its winding or chip may be open.',
} as const;

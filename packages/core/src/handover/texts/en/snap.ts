/** The branch nobody wants: the sensor snapped in its bore. */
export const snap = {
  never: 'The stub comes out. Leaving it and fitting the new sensor alongside or on top is never an option.',
  soak: 'Soak it again and wait. Scoop or pick the rest out through the bore from above.',
  cover: 'Before any drill: cover the ring or the encoder with rag and grease against swarf.',
  drill:
    'By hand, small first, then larger, right through, so that the rest falls or is pushed out. Stop short of the target.',
  knuckle: 'Last of all the knuckle comes off and the stub is pressed out; the wheels are aligned after.',
  clean:
    'Look through the bore: nothing stays in it, no swarf on the target. Bright metal, dry-fit, coat, seat home, look at the gap.',
} as const;

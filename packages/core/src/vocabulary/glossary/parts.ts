import { look, part, type GlossaryEntry } from './glossaryEntry.ts';

/** Parts. */
export const PART_WORDS: readonly GlossaryEntry[] = [
  {
    term: 'wheel speed sensor',
    also: ['sensor', 'abs sensor', 'speed sensor'],
    kind: 'part',
    lines: [
      'Counts teeth or poles that pass its tip, and so the turns of one wheel.',
      'A passive one is a coil; an active one is fed and switches.',
      'It rusts into its bore: soak it first, and allow for one that snaps.',
    ],
    drawing: part('sensor'),
  },
  {
    term: 'passive sensor',
    also: ['passive', 'inductive'],
    kind: 'part',
    lines: [
      'A coil and a magnet: it makes a voltage when teeth pass, more the faster they pass.',
      'An ohmmeter judges its coil; near standstill it gives nothing.',
      'A wide gap loses it first when slow.',
    ],
    drawing: look('visual.sensor', 'sound'),
  },
  {
    term: 'active sensor',
    also: ['hall sensor', 'magnetoresistive'],
    kind: 'part',
    lines: [
      'An element that is fed and switches its current: it works down to standstill.',
      'An ohmmeter says nothing about it, and may harm it: meter its supply.',
      'It often reads poles in a seal, which nobody sees.',
    ],
    drawing: look('visual.sensor', 'sound'),
  },
  {
    term: 'tone ring',
    also: ['reluctor ring', 'abs ring', 'toothed ring', 'ring'],
    kind: 'part',
    lines: [
      'The toothed ring that turns with the wheel; its teeth are what the sensor counts.',
      'A crack or a lost tooth dips the speed once a turn.',
      'It sits on the hub or on the shaft: that decides what else must come off.',
    ],
    drawing: look('visual.ring', 'sound'),
  },
  {
    term: 'encoder',
    also: ['magnetic encoder', 'poles', 'encoder in bearing'],
    kind: 'part',
    lines: [
      'North and south poles in the seal of a bearing, in place of teeth.',
      'Pressed in wrong side in, it gives no signal at all.',
      'Its damage is not seen by eye: a magnetic card shows the poles.',
    ],
    drawing: look('encoder', 'sound'),
  },
  {
    term: 'hub assembly',
    also: ['hub', 'wheel hub', 'hub unit'],
    kind: 'part',
    lines: [
      'Flange and bearing in one, often with the target or the sensor in it.',
      'Play or a growl settles it; a dead signal alone does not.',
      'Its nut is new, and tightened as the maker says.',
    ],
    drawing: part('hub-assembly'),
  },
  {
    term: 'drive shaft',
    also: ['axle shaft', 'half shaft'],
    kind: 'part',
    lines: [
      'Carries the ring on many vehicles: a cracked ring may be sold alone, or only with the shaft.',
      'The dearer way is not always needed: ask whether the ring is sold alone.',
      'Its nut is new each time.',
    ],
    drawing: part('axle-shaft'),
  },
  {
    term: 'connector repair kit',
    also: ['connector kit', 'repair kit', 'plug repair'],
    kind: 'part',
    lines: [
      'A new plug with its pins and seals, joined to the loom.',
      'Cures what is green, loose or broken in the joint: it comes and goes, or is wet.',
      'Cut back to bright copper; a joint on a green strand fails again.',
    ],
    drawing: part('connector-kit'),
  },
  {
    term: 'sender',
    also: ['centre sender'],
    kind: 'part',
    lines: [
      'One sensor for a whole axle, in the differential or the gearbox.',
      'With it there is no left or right: the corner is the axle.',
      'The speedometer often reads it too.',
    ],
    drawing: part('sender'),
  },
];

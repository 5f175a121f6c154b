/** What is drawn beside a word: a part, what a look finds, or a lamp. */
export type GlossaryDrawing =
  | { readonly as: 'part'; readonly part: string }
  | { readonly as: 'look'; readonly check: string; readonly result: string }
  | { readonly as: 'lamp'; readonly lit: boolean }
  | { readonly as: 'sketch'; readonly of: string };

/** A word of the trade, in three lines. */
export interface GlossaryEntry {
  readonly term: string;
  /** Other words for it, as they stand on screens or are said. */
  readonly also: readonly string[];
  readonly kind: 'lamp' | 'reader' | 'code' | 'part' | 'tool' | 'word';
  readonly lines: readonly [string, string, string];
  readonly drawing: GlossaryDrawing;
}

const look = (check: string, result: string): GlossaryDrawing => ({ as: 'look', check, result });
const sketch = (of: string): GlossaryDrawing => ({ as: 'sketch', of });
const part = (name: string): GlossaryDrawing => ({ as: 'part', part: name });

/** Words of lamps, readers, codes, parts and tools. What a lamp alone means comes first in its lines. */
export const GLOSSARY: readonly GlossaryEntry[] = [
  {
    term: 'anti-lock lamp',
    also: ['abs lamp', 'abs light', 'anti-lock', 'abs'],
    kind: 'lamp',
    lines: [
      'Alone and steady: the controller has switched itself off; the brakes work, without anti-lock.',
      'It says that something is wrong, never where: read the brake controller before anything is sold.',
      'It may go out only after a drive, once the controller has seen every wheel turn.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'brake lamp',
    also: ['brake warning', 'red brake lamp', 'brake light on the dash'],
    kind: 'lamp',
    lines: [
      'Alone: fluid, pads or park brake first. It takes a minute to look, and no wheel speed part cures it.',
      'With the anti-lock lamp: the share of braking front to rear may be lost; be gentle, and do not put it off.',
      'If the pedal is soft or sinks, the vehicle must not be driven.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'traction lamp',
    also: ['traction', 'stability lamp', 'skid lamp'],
    kind: 'lamp',
    lines: [
      'Traction and stability need the wheel speeds: they go out with them.',
      'Together with the anti-lock lamp it is one fault, not two.',
      'Alone it may be switched off by a button: look there first.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'tyre monitor',
    also: ['tyre pressure', 'message.tyre-monitor'],
    kind: 'lamp',
    lines: [
      'Alone: pressures and sizes all round, before anything is read.',
      'Some monitors count wheel turns: another size on one wheel lights them.',
      'Those take the same speeds as the anti-lock controller.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'active',
    also: ['present', 'current code'],
    kind: 'reader',
    lines: [
      'A code that is there now: the controller finds the fault as you read.',
      'It can be chased with a meter: it will not hide.',
      'Not to be mixed up with an active sensor.',
    ],
    drawing: sketch('one line'),
  },
  {
    term: 'stored',
    also: ['history', 'passive code', 'memory'],
    kind: 'reader',
    lines: [
      'A code that was there and is not now: it may come and go, or be long mended.',
      'Clear it, drive, and see whether it comes back.',
      'What comes and goes is more often a joint than a part.',
    ],
    drawing: sketch('lines'),
  },
  {
    term: 'pending',
    also: [],
    kind: 'reader',
    lines: [
      'Seen once, not yet often enough for the controller to be sure.',
      'No lamp need be lit.',
      'Drive on and read again before anything is sold.',
    ],
    drawing: sketch('lines'),
  },
  {
    term: 'live speeds',
    also: ['live data', 'live', 'wheel speeds', 'actual values'],
    kind: 'reader',
    lines: [
      'Each wheel\u2019s speed as the controller has it, while it turns.',
      'One at nought among three that run: that corner is dead.',
      'All run, and one dips once a turn: one bad place on its ring.',
    ],
    drawing: sketch('curves'),
  },
  {
    term: 'clear codes',
    also: ['clear', 'cleared', 'erase codes'],
    kind: 'reader',
    lines: [
      'Deletes what the controller remembers; what is wrong stays wrong.',
      'Write the codes down first: they are gone.',
      'After a repair it is the proof: cleared, driven, and still out.',
    ],
    drawing: sketch('wiped'),
  },
  {
    term: 'root',
    also: ['root code'],
    kind: 'code',
    lines: [
      'The code of what is really wrong, in the controller that measures it.',
      'For a wheel speed that is the brake controller.',
      'All others may be echoes of it.',
    ],
    drawing: sketch('one line'),
  },
  {
    term: 'echo',
    also: ['knock-on', 'echoes'],
    kind: 'code',
    lines: [
      'Another controller says that it misses what the brakes should tell it.',
      'It goes when the root goes: nothing is sold for it.',
      'Echoes alone mean that the brakes were not read yet.',
    ],
    drawing: sketch('echo'),
  },
  {
    term: 'failure byte',
    also: ['failure type', 'sub-code'],
    kind: 'code',
    lines: [
      'The two figures after the code say how it failed (SAE J2012): 13 is open, 11 shorted to ground.',
      'Open and shorted are seen standing; erratic and no signal only when it turns.',
      'It tells sensor and wiring from ring and bearing.',
    ],
    drawing: sketch('one line'),
  },
  {
    term: 'SPN',
    also: ['FMI'],
    kind: 'code',
    lines: [
      'Codes of trucks and trailers (SAE J1939): SPN says what, FMI says how.',
      'SPN 789 to 794 are the wheel speeds of axles one to three, left before right.',
      'FMI 5 is open, 4 shorted low, 2 comes and goes.',
    ],
    drawing: sketch('lines'),
  },
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
  {
    term: 'ohmmeter',
    also: ['meter', 'resistance', 'multimeter'],
    kind: 'tool',
    lines: [
      'Judges a coil when the plug is off: within the range for its temperature.',
      'Cold copper has less, warm copper more: 0.39 % a degree.',
      'On the k range the figure is in thousands; OL is open.',
    ],
    drawing: sketch('meter'),
  },
  {
    term: 'caliper',
    also: ['vernier'],
    kind: 'tool',
    lines: [
      'Tells look-alikes apart: tip, reach, bolt hole.',
      'Wipe the part, close on it lightly, read it twice.',
      'A tenth of a millimetre matters at the tip, not at the lead.',
    ],
    drawing: sketch('caliper'),
  },
  {
    term: 'torque wrench',
    also: ['torque'],
    kind: 'tool',
    lines: [
      'Hub nut and wheel bolts are tightened to the maker\u2019s figure, not by feel.',
      'Wheel bolts again after the first kilometres the maker says.',
      'A hub run in with a loose nut is ruined.',
    ],
    drawing: sketch('wrench'),
  },
  {
    term: 'reader',
    also: ['scan tool', 'code reader'],
    kind: 'tool',
    lines: [
      'Asks controllers for their codes and live values.',
      'Many cheap ones reach the engine alone: they never see a wheel speed.',
      'Read every controller, and write down which answered.',
    ],
    drawing: sketch('reader'),
  },
  {
    term: 'corner',
    also: ['wheel end'],
    kind: 'word',
    lines: [
      'One wheel with all that belongs to it: front left is left as one sits in it.',
      'Every part is for one corner: settle it before selling.',
      'Who stands before the vehicle and points has it mirrored.',
    ],
    drawing: sketch('corner'),
  },
  {
    term: 'nearside',
    also: ['kerb side'],
    kind: 'word',
    lines: [
      'The side of the kerb: left where one drives on the left, right where one drives on the right.',
      'It changes with the country, not with the steering wheel.',
      'Ask which side of the road if a vehicle came over by ferry.',
    ],
    drawing: sketch('road'),
  },
  {
    term: 'offside',
    also: ['road side'],
    kind: 'word',
    lines: [
      'The side of the oncoming traffic: the other one than nearside.',
      'Mostly, not always, the driver\u2019s side.',
      'Say front left or front right on the order, never offside.',
    ],
    drawing: sketch('road'),
  },
  {
    term: 'air gap',
    also: ['gap'],
    kind: 'word',
    lines: [
      'Between the sensor\u2019s tip and its target: about a millimetre, and not to be set by hand on most.',
      'Rust under the foot widens it: lost when slow, there when fast.',
      'Cleaning the bore costs nothing and cures that.',
    ],
    drawing: look('visual.sensor', 'corroded'),
  },
  {
    term: 'once a turn',
    also: ['once-per-turn', 'once per turn'],
    kind: 'word',
    lines: [
      'The speed dips at the same place of every turn.',
      'One bad place on the target: a crack, a lost tooth, a damaged pole.',
      'The sensor is sound: it shows what passes it.',
    ],
    drawing: look('visual.ring', 'cracked'),
  },
  {
    term: 'seized',
    also: ['seizure', 'rusted in', 'snapped'],
    kind: 'word',
    lines: [
      'A sensor rusted into its bore: salt and iron do it.',
      'Soak it the day before, turn it, do not pull by its lead.',
      'Say before what a snapped one costs: drilling, or the hub.',
    ],
    drawing: look('visual.sensor', 'broken'),
  },
  {
    term: 'comeback',
    also: ['came back', 'back again'],
    kind: 'word',
    lines: [
      'The vehicle is back with the same complaint.',
      'It costs a second visit, a second strip-down, and the customer\u2019s trust.',
      'Meter what was fitted before another is sold.',
    ],
    drawing: sketch('again'),
  },
  {
    term: 'core deposit',
    also: ['core', 'deposit', 'exchange part'],
    kind: 'word',
    lines: [
      'Paid with a part, paid back when the old one comes in.',
      'Write it on the order as a line of its own.',
      'The old one must be whole: do not cut it out.',
    ],
    drawing: sketch('money'),
  },
  {
    term: 'companion',
    also: ['goes along', 'companions'],
    kind: 'word',
    lines: [
      'What a job needs beside the part: nut, bolt, seal, paste, clips.',
      'Left out, the vehicle stands on the ramp for a nut.',
      'What is renewed each time is said on the order.',
    ],
    drawing: sketch('together'),
  },
];

/** An entry by a word as it stands on a screen; null where it is no word of the trade. */
export const glossaryOf = (words: string): GlossaryEntry | null => {
  const wanted = words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\- ]/gu, '')
    .trim();
  if (!wanted) return null;
  const names = (entry: GlossaryEntry) => [entry.term, ...entry.also].map((each) => each.toLowerCase());
  return (
    GLOSSARY.find((entry) => names(entry).includes(wanted)) ??
    // One of several forms: rings, sensors.
    GLOSSARY.find((entry) => names(entry).includes(wanted.replace(/s$/, ''))) ??
    null
  );
};

/** The longest word of the trade in a text around a place in it: `tone ring` before `ring`. */
export const glossaryAt = (text: string, place: number): GlossaryEntry | null => {
  const words = [...text.matchAll(/[\p{L}\p{N}\-\u2019']+/gu)];
  const at = words.findIndex((word) => place >= word.index && place <= word.index + word[0].length);
  if (at < 0) return null;
  for (const length of [4, 3, 2, 1])
    for (let from = Math.max(0, at - length + 1); from <= at; from++) {
      const run = words.slice(from, from + length);
      if (run.length < length) continue;
      const entry = glossaryOf(run.map((word) => word[0]).join(' '));
      if (entry) return entry;
    }
  return null;
};

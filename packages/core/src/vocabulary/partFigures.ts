import type { PartClass } from './words.ts';

/** How a figure of a part is taken: with a length tool, by counting, or by looking. */
export type FigureKind = 'length' | 'count' | 'look';

/** One figure of an old part one can take on the counter. Lengths in millimetres. */
export interface PartFigure {
  readonly key: string;
  readonly words: string;
  readonly kind: FigureKind;
  /** For a look: the words it may have. */
  readonly values?: readonly string[];
  /** How to take it. */
  readonly how: string;
}

const length = (key: string, words: string, how: string): PartFigure => ({ key, words, kind: 'length', how });
const count = (key: string, words: string, how: string): PartFigure => ({ key, words, kind: 'count', how });
const look = (key: string, words: string, values: readonly string[], how: string): PartFigure => ({
  key,
  words,
  kind: 'look',
  values,
  how,
});

const COLOURS = ['black', 'grey', 'brown', 'blue', 'green', 'white', 'yellow'] as const;
const connectorLooks: readonly PartFigure[] = [
  count('cavities', 'cavities', 'Count the pin holes, empty ones too.'),
  length('pitch', 'pitch', 'Caliper from the middle of one pin to the next.'),
  look('colour', 'colour', COLOURS, 'Look at the shell; wipe it first.'),
  look('keying', 'keying', ['A', 'B', 'C'], 'Where the rib stands: A left, B middle, C right, lock up.'),
  look('sex', 'pins or sockets', ['pins', 'sockets'], 'Look into the half on the part.'),
  look('seal', 'seal', ['yes', 'no'], 'A rubber ring inside the shell?'),
];

/** What can be measured or seen on a part of each class, in the order one would take it. */
export const PART_FIGURES: Readonly<Record<PartClass, readonly PartFigure[]>> = {
  'tone-ring': [
    count('teeth', 'teeth', 'Mark one with chalk and count round.'),
    length('insideDiameter', 'inside diameter', 'Caliper across the bore, twice at right angles.'),
    length('outsideDiameter', 'outside diameter', 'Caliper over the tips of the teeth.'),
    length('height', 'height', 'Caliper from face to face.'),
    look(
      'form',
      'tooth form',
      ['teeth', 'slots', 'magnetic'],
      'Teeth stick out; slots are windows; a magnetic one is smooth.',
    ),
  ],
  sensor: [
    length('reach', 'reach', 'From the face of the flange to the tip.'),
    length('tipDiameter', 'tip diameter', 'Caliper across the tip.'),
    length('holeOffset', 'hole offset', 'From the middle of the tip to the middle of the bolt hole.'),
    length('leadLength', 'lead length', 'Along the lead from body to plug, pulled straight.'),
    count('clips', 'clips on the lead', 'Count the clips and grommets.'),
    ...connectorLooks,
  ],
  'hub-assembly': [
    length('flange', 'flange diameter', 'Across the wheel flange.'),
    length('boltCircle', 'bolt circle', 'Across the middles of opposite studs; for five, see the drawing.'),
    count('studs', 'wheel studs', 'Count them.'),
    count('splines', 'splines', 'Count the splines in the bore; none on a dead axle is 0.'),
    length('pilot', 'pilot diameter', 'Caliper over the spigot that centres the wheel.'),
  ],
  'axle-shaft': [
    count('splines', 'splines', 'Count the splines of the wheel end.'),
    count('teeth', 'teeth of the ring', 'Mark one with chalk and count round.'),
    length('length', 'length', 'From the shoulder to the end, joint straight.'),
  ],
  'connector-kit': connectorLooks,
  sender: [
    length('reach', 'reach', 'From the face of the flange to the tip.'),
    length('tipDiameter', 'tip diameter', 'Caliper across the tip.'),
    length('leadLength', 'lead length', 'Along the pigtail; 0 where the plug is on the body.'),
    ...connectorLooks,
  ],
};

/** Every figure by its key. */
export const FIGURE_BY_KEY: ReadonlyMap<string, PartFigure> = new Map(
  Object.values(PART_FIGURES)
    .flat()
    .map((figure) => [figure.key, figure]),
);

/** Tools on the counter. */
export const TOOLS = ['caliper', 'ruler', 'tape', 'eye'] as const;
export type Tool = (typeof TOOLS)[number];

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

export const length = (key: string, words: string, how: string): PartFigure => ({
  key,
  words,
  kind: 'length',
  how,
});
export const count = (key: string, words: string, how: string): PartFigure => ({
  key,
  words,
  kind: 'count',
  how,
});
export const look = (key: string, words: string, values: readonly string[], how: string): PartFigure => ({
  key,
  words,
  kind: 'look',
  values,
  how,
});

const COLOURS = ['black', 'grey', 'brown', 'blue', 'green', 'white', 'yellow'] as const;
export const CONNECTOR_LOOKS: readonly PartFigure[] = [
  count('cavities', 'cavities', 'Count the pin holes, empty ones too.'),
  length('pitch', 'pitch', 'Caliper from the middle of one pin to the next.'),
  look('colour', 'colour', COLOURS, 'Look at the shell; wipe it first.'),
  look('keying', 'keying', ['A', 'B', 'C'], 'Where the rib stands: A left, B middle, C right, lock up.'),
  look('sex', 'pins or sockets', ['pins', 'sockets'], 'Look into the half on the part.'),
  look('seal', 'seal', ['yes', 'no'], 'A rubber ring inside the shell?'),
];

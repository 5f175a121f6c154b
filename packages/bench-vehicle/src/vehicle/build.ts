import type { TyreSize } from '../laws/tyreCircle.ts';

/** A wheel end: A1L is the left of the first axle. */
export type End = `A${1 | 2 | 3}${'L' | 'R'}`;

/** How the sensing of one axle is built; both sides are alike. */
export interface Sensing {
  readonly sensor: 'passive' | 'active';
  readonly mounting: 'separate' | 'in-hub';
  readonly target: 'ring-on-shaft' | 'ring-on-hub' | 'encoder-in-bearing';
  readonly ringSoldAlone: boolean;
  /** Teeth, or pole pairs. */
  readonly count: number;
  /** Gap as it left the works, mm. */
  readonly gapMm: number;
  /** Winding at 20 degC, ohm; of a passive one. */
  readonly ohms: number;
}

/** How a vehicle was built. */
export interface Build {
  readonly axles: 2 | 3;
  readonly trackM: number;
  readonly wheelbaseM: number;
  readonly driven: 'fwd' | 'rwd' | 'awd' | 'trailer';
  readonly knuckle: 'iron' | 'aluminium';
  readonly tyre: TyreSize;
  readonly sensing: readonly Sensing[];
  /** Whether the maker's codes carry what failed, or only where. */
  readonly detailedCodes: boolean;
}

export const endsOf = ({ axles }: Pick<Build, 'axles'>): End[] =>
  Array.from({ length: axles }, (_, i) => [`A${i + 1}L`, `A${i + 1}R`] as End[]).flat();
export const axleOf = (end: End): number => Number(end[1]);
export const sensingAt = (build: Build, end: End): Sensing => build.sensing[axleOf(end) - 1] as Sensing;
export const across = (end: End): End => `${end.slice(0, 2)}${end.endsWith('L') ? 'R' : 'L'}` as End;

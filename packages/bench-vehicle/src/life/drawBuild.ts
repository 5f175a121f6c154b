import type { Random } from '@hardy/core/chance';
import type { TyreSize } from '../laws/tyreCircle.ts';
import type { Build, Sensing } from '../vehicle/build.ts';

const TYRES: readonly TyreSize[] = [
  { width: 185, aspect: 65, rim: 15 },
  { width: 205, aspect: 60, rim: 15 },
  { width: 205, aspect: 55, rim: 16 },
  { width: 215, aspect: 65, rim: 16 },
  { width: 225, aspect: 75, rim: 16 },
  { width: 235, aspect: 65, rim: 16 },
];
/** Passive coils went out of road vehicles over about these years of age. */
const PASSIVE_FROM = 6;
const PASSIVE_TO = 16;

const drawSensing = (random: Random, ageYears: number, driven: boolean): Sensing => {
  const passive = random.chance(
    Math.max(0.1, Math.min(0.9, (ageYears - PASSIVE_FROM) / (PASSIVE_TO - PASSIVE_FROM))),
  );
  if (passive)
    return {
      sensor: 'passive',
      mounting: random.chance(0.08) ? 'in-hub' : 'separate',
      target: driven && random.chance(0.75) ? 'ring-on-shaft' : 'ring-on-hub',
      ringSoldAlone: random.chance(0.65),
      count: random.pick([43, 44, 47, 48, 52]),
      gapMm: random.between(0.5, 0.9),
      ohms: random.between(1000, 1900),
    };
  const target = random.chance(0.72) ? 'encoder-in-bearing' : driven ? 'ring-on-shaft' : 'ring-on-hub';
  return {
    sensor: 'active',
    mounting: target === 'encoder-in-bearing' && random.chance(0.35) ? 'in-hub' : 'separate',
    target,
    ringSoldAlone: target !== 'encoder-in-bearing' && random.chance(0.6),
    count: random.pick([43, 44, 46, 48]),
    gapMm: random.between(0.7, 1.1),
    ohms: 4_000_000,
  };
};

/** How a made-up road vehicle of an age was built. */
export const drawBuild = (random: Random, ageYears: number): Build => {
  const driven = random.pick(['fwd', 'fwd', 'rwd', 'awd'] as const);
  const drives = (axle: number) => driven === 'awd' || (driven === 'fwd' ? axle === 1 : axle === 2);
  return {
    axles: 2,
    trackM: random.between(1.45, 1.75),
    wheelbaseM: random.between(2.5, 3.6),
    driven,
    knuckle: random.pick(['iron', 'iron', 'aluminium'] as const),
    tyre: random.pick(TYRES),
    sensing: [1, 2].map((axle) => drawSensing(random, ageYears, drives(axle))),
    detailedCodes: random.chance(0.75),
  };
};

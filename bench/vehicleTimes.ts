import { drawLife, testDrive } from '../packages/bench-vehicle/src/index.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { measure, type Timing } from './measure.ts';

/** A bench vehicle's life until it brings a complaint, and a test drive of it: another seed each time. */
export const vehicleTimes = (): Timing => {
  let seed = 500;
  return measure(() => testDrive(drawLife(seed++).vehicle, randomFrom(seed)), 40);
};

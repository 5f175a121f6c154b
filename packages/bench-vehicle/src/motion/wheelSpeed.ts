import { axleOf, type Build, type End } from '../vehicle/build.ts';
import type { Drive } from './drive.ts';

/** A driven wheel slips about so much for each m/s2 of pull, a braked one likewise: far below the limit of the tyre. */
const SLIP_PER_PUSH = 0.004;
/** Share of the braking that the wheels of the first axle do. */
const FRONT_BRAKES = 0.65;

const isDriven = ({ driven, axles }: Build, axle: number): boolean =>
  driven === 'awd' || (driven === 'fwd' && axle === 1) || (driven === 'rwd' && axle === axles);

/**
 * True speed over the ground of one wheel's rim, m/s, sample by sample: the inner wheel of a bend is slower by half the
 * track times the turning, the steered axle runs a wider circle than the rear one, and a wheel that pulls or brakes slips.
 */
export const rimSpeed = (build: Build, end: End, drive: Drive): Float32Array => {
  const axle = axleOf(end);
  const side = end.endsWith('L') ? -1 : 1;
  const ahead = axle === 1 ? build.wheelbaseM : 0;
  const out = new Float32Array(drive.steps);
  const brakes = axle === 1 ? FRONT_BRAKES : 1 - FRONT_BRAKES;
  for (let i = 0; i < out.length; i++) {
    const v = drive.speed[i] as number;
    const yaw = drive.yaw[i] as number;
    const push = drive.push[i] as number;
    const along = v + (side * yaw * build.trackM) / 2;
    const ground = Math.hypot(along, ahead * yaw) * (v === 0 ? 0 : 1);
    const slip =
      push > 0 ? (isDriven(build, axle) ? SLIP_PER_PUSH * push : 0) : 2 * brakes * SLIP_PER_PUSH * push;
    out[i] = ground * (1 + slip);
  }
  return out;
};

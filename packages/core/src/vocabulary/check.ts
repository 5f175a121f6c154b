import { z } from 'zod';
import { WheelEnd } from './wheelEnd.ts';
import { CHECK_RESULTS } from './wordLists.ts';
import { TyreSizes } from './tyreSizes.ts';

/** `confirmed`: the reading was asked about as a likely slip of unit and is as it stands. */
const at = { wheelEnd: WheelEnd.nullish(), confirmed: z.boolean().nullish() };

export const RingLook = z.enum(CHECK_RESULTS['visual.ring']);
export const SensorLook = z.enum(CHECK_RESULTS['visual.sensor']);
export const ConnectorLook = z.enum(CHECK_RESULTS['visual.connector']);
export const HarnessLook = z.enum(CHECK_RESULTS['visual.harness']);
export const BearingPlay = z.enum(CHECK_RESULTS['bearing.play']);
export const BearingNoise = z.enum(CHECK_RESULTS['bearing.noise']);
export const WiggleResult = z.enum(CHECK_RESULTS.wiggle);
export const SwapResult = z.enum(CHECK_RESULTS.swap);
export const LivePattern = z.enum(CHECK_RESULTS.live);
export type LivePattern = z.infer<typeof LivePattern>;
export const DriveResult = z.enum(CHECK_RESULTS['clear-and-drive']);
export const FluidResult = z.enum(CHECK_RESULTS['brake.fluid']);
export const LampsResult = z.enum(CHECK_RESULTS.lamps);
export const ResistanceOf = z.enum(['sensor', 'harness', 'new-part']);

/** One check made on the vehicle or on the counter, with its result. Units: ohm, V, degC, turns/s, %. */
export const Check = z.discriminatedUnion('check', [
  z.object({
    check: z.literal('meter.resistance'),
    ...at,
    of: ResistanceOf.default('sensor'),
    ohms: z.union([z.number().min(0).max(1e9), z.enum(CHECK_RESULTS['meter.resistance'])]),
    temperatureC: z.number().min(-60).max(200).nullish(),
  }),
  z.object({ check: z.literal('meter.supply'), ...at, volts: z.number().min(-1).max(60) }),
  z.object({
    check: z.literal('meter.ac'),
    ...at,
    volts: z.number().min(0).max(200),
    turnsPerSecond: z.number().min(0).max(50).nullish(),
  }),
  z.object({ check: z.literal('wiggle'), ...at, result: WiggleResult }),
  z.object({ check: z.literal('swap'), ...at, with: WheelEnd.nullish(), result: SwapResult }),
  z.object({ check: z.literal('visual.ring'), ...at, result: RingLook }),
  z.object({ check: z.literal('visual.sensor'), ...at, result: SensorLook }),
  z.object({ check: z.literal('visual.connector'), ...at, result: ConnectorLook }),
  z.object({ check: z.literal('visual.harness'), ...at, result: HarnessLook }),
  z.object({
    check: z.literal('ring.teeth'),
    ...at,
    counted: z.number().int().min(4).max(400),
    expected: z.number().int().min(4).max(400),
  }),
  z.object({ check: z.literal('bearing.play'), ...at, result: BearingPlay }),
  z.object({ check: z.literal('bearing.noise'), ...at, result: BearingNoise }),
  z.object({ check: z.literal('tyres'), ...at, sizes: TyreSizes }),
  z.object({
    check: z.literal('live'),
    ...at,
    pattern: LivePattern,
    percent: z.number().min(-100).max(1000).nullish(),
    growsWithSpeed: z.boolean().nullish(),
  }),
  z.object({ check: z.literal('clear-and-drive'), ...at, result: DriveResult }),
  z.object({
    check: z.literal('battery'),
    ...at,
    restingVolts: z.number().min(0).max(60).nullish(),
    crankingVolts: z.number().min(0).max(60).nullish(),
  }),
  z.object({ check: z.literal('brake.fluid'), ...at, result: FluidResult }),
  z.object({ check: z.literal('lamps'), ...at, result: LampsResult }),
]);
export type Check = z.infer<typeof Check>;
export type CheckName = Check['check'];
export const CHECK_NAMES: readonly CheckName[] = Check.options.map((option) => option.shape.check.value);

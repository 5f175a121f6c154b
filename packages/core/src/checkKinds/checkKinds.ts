import { battery } from './battery.ts';
import { bearingNoise } from './bearingNoise.ts';
import { bearingPlay } from './bearingPlay.ts';
import { brakeFluid } from './brakeFluid.ts';
import { clearAndDrive } from './clearAndDrive.ts';
import { lamps } from './lamps.ts';
import { live } from './live.ts';
import { meterAc } from './meterAc.ts';
import { meterResistance } from './meterResistance.ts';
import { meterSupply } from './meterSupply.ts';
import { ringTeeth } from './ringTeeth.ts';
import { swap } from './swap.ts';
import { tyres } from './tyres.ts';
import { visualConnector } from './visualConnector.ts';
import { visualHarness } from './visualHarness.ts';
import { visualRing } from './visualRing.ts';
import { visualSensor } from './visualSensor.ts';
import { wiggle } from './wiggle.ts';

/** Every kind of check, in the order of the work at the counter. What is not here does not exist. */
export const CHECK_KINDS = [
  visualConnector,
  visualRing,
  ringTeeth,
  visualSensor,
  visualHarness,
  bearingPlay,
  bearingNoise,
  wiggle,
  live,
  meterResistance,
  meterSupply,
  meterAc,
  clearAndDrive,
  swap,
  tyres,
  battery,
  lamps,
  brakeFluid,
] as const;

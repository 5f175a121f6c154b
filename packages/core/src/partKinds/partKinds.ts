import { axleShaft } from './axleShaft.ts';
import { connectorKit } from './connectorKit.ts';
import { hubAssembly } from './hubAssembly.ts';
import { sender } from './sender.ts';
import { sensor } from './sensor.ts';
import { toneRing } from './toneRing.ts';

/** Every class of parts, in the order they are offered. What is not here does not exist. */
export const PART_KINDS = [sensor, toneRing, hubAssembly, axleShaft, connectorKit, sender] as const;

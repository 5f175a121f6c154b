import { axleOf, type End, type Failure, type Memory } from '@hardy/bench-vehicle';
import { framesOfCodes, writeFrameLog, type BusCode } from '@hardy/devices';

/** Address of the anti-lock controller of a towing vehicle's bus, SAE J1939 appendix. */
const BRAKES = 0x0b;
/** SAE J1939-71: the wheel speed sensors of axles 1 to 3, left before right. */
const spnOf = (end: End): number => 789 + 2 * (axleOf(end) - 1) + (end.endsWith('R') ? 1 : 0);
/** SAE J1939-73 failure modes by the byte of what failed: shorted low, open, supply low, intermittent, jumps, none, ratio. */
const MODE: Readonly<Record<Failure, number>> = {
  '11': 4,
  '13': 5,
  '1C': 1,
  '1F': 2,
  '2F': 10,
  '31': 8,
  '62': 7,
};
const SUPPLY = 168;
const CONTROLLER = 629;

/** What a bus says of a controller's memory: DM1 with what stands, DM2 with what stood, as a frame log. */
export const busLogOf = ({ troubles }: Memory): string => {
  const codes = troubles.map(({ of, failure, active }): BusCode => ({
    source: BRAKES,
    spn: of === 'supply' ? SUPPLY : of === 'controller' ? CONTROLLER : spnOf(of),
    fmi: of === 'controller' ? 12 : MODE[failure],
    count: 1,
    status: active ? 'active' : 'stored',
  }));
  return writeFrameLog([
    ...framesOfCodes(codes, BRAKES, 'active'),
    ...framesOfCodes(codes, BRAKES, 'stored', 1),
  ]);
};

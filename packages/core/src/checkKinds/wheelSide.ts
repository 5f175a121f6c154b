/** Faults on the wheel's side of the sensor, and a past event: none of them is met by a look at the wires. */
export const WHEEL_SIDE = ['ring', 'encoder', 'bearing', 'seating', 'tyre', 'none-present'] as const;

import type { GlossaryEntry } from './glossaryEntry.ts';

/** Lamps. What a lamp alone means comes first in its lines. */
export const LAMP_WORDS: readonly GlossaryEntry[] = [
  {
    term: 'anti-lock lamp',
    also: ['abs lamp', 'abs light', 'anti-lock', 'abs'],
    kind: 'lamp',
    lines: [
      'Alone and steady: the controller has switched itself off; the brakes work, without anti-lock.',
      'It says that something is wrong, never where: read the brake controller before anything is sold.',
      'It may go out only after a drive, once the controller has seen every wheel turn.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'brake lamp',
    also: ['brake warning', 'red brake lamp', 'brake light on the dash'],
    kind: 'lamp',
    lines: [
      'Alone: fluid, pads or park brake first. It takes a minute to look, and no wheel speed part cures it.',
      'With the anti-lock lamp: the share of braking front to rear may be lost; be gentle, and do not put it off.',
      'If the pedal is soft or sinks, the vehicle must not be driven.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'traction lamp',
    also: ['traction', 'stability lamp', 'skid lamp'],
    kind: 'lamp',
    lines: [
      'Traction and stability need the wheel speeds: they go out with them.',
      'Together with the anti-lock lamp it is one fault, not two.',
      'Alone it may be switched off by a button: look there first.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
  {
    term: 'tyre monitor',
    also: ['tyre pressure', 'message.tyre-monitor'],
    kind: 'lamp',
    lines: [
      'Alone: pressures and sizes all round, before anything is read.',
      'Some monitors count wheel turns: another size on one wheel lights them.',
      'Those take the same speeds as the anti-lock controller.',
    ],
    drawing: { as: 'lamp', lit: true },
  },
];

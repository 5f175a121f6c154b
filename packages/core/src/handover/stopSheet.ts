import type { Dangers, UnsafeWheel } from '../safety/dangers.ts';
import type { Line, Sheet, SheetSection } from '../vocabulary/sheet.ts';
import { at, named, say, section } from './line.ts';

const dangerOf = ({ play, growl }: UnsafeWheel): string =>
  play === 'none'
    ? named('stop/growl')
    : growl
      ? named(`stop/${play}-and-growl`)
      : named(`stop/play/${play}`);

const wheelLines = (wheel: UnsafeWheel): Line[] => [
  wheel.wheelEnd
    ? say('stop/wheel', { where: at(wheel.wheelEnd), danger: dangerOf(wheel) })
    : say('stop/wheel-unnamed', { danger: dangerOf(wheel) }),
  ...(wheel.boltsFirst ? [say('stop/bolts')] : []),
];

/** The page that prints first wherever the vehicle may not be driven, whatever else is printed. */
export const stopSheet = (dangers: Dangers): Sheet => ({
  kind: 'stop',
  title: say('frame/title-stop'),
  part: null,
  check: null,
  wheelEnd: dangers.wheels.find(({ wheelEnd }) => wheelEnd !== null)?.wheelEnd ?? null,
  sections: [
    section('cautions', [say('stop/lead')], 'warn'),
    section('found', [
      ...dangers.wheels.flatMap(wheelLines),
      dangers.brakes && say(`stop/${dangers.brakes.kind}`),
    ]),
    section('fetch', [say('stop/flatbed'), say('stop/workshop')]),
    section('until', [say('stop/stand'), say('stop/lifted'), say('stop/order'), say('frame/call')]),
  ].filter((each): each is SheetSection => each !== null),
  torques: [],
  results: [],
});

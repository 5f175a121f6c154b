import { across, endsOf, type BenchVehicle, type End } from '@hardy/bench-vehicle';
import type { Random } from '@hardy/core/chance';
import type { DocketCode } from '@hardy/core/trial';
import { wheelEndInWords, type Symptom } from '@hardy/core/words';

/** How a customer tells it. */
export const MANNERS = [
  'plain',
  'vague',
  'wrong corner',
  'mirrored',
  'sure of the part',
  'in a hurry',
  'has bought one',
] as const;
export type Manner = (typeof MANNERS)[number];

/** What a customer believes and says at first. */
export interface Told {
  readonly words: string;
  /** The corner they name or would name when asked; null: they cannot tell. */
  readonly corner: End | null;
  /** Whether it was named unasked. */
  readonly named: boolean;
  /** What they complain of before they are asked. */
  readonly symptoms: readonly Symptom[];
}

const cornerWords = (end: End, { build }: BenchVehicle): string =>
  wheelEndInWords(end, { axles: build.axles, driveline: build.driven });

/** The words a customer comes in with. They believe them. */
export const tell = (
  manner: Manner,
  vehicle: BenchVehicle,
  /** The wheel that is sore; null where none is. */
  sore: End | null,
  given: { readonly vehicleWords: string; readonly codes: readonly DocketCode[]; readonly minutes: number },
  random: Random,
): Told => {
  const grinds = vehicle.memory.falseAction;
  const lamp = vehicle.memory.lamp || !grinds;
  const symptoms: Symptom[] = [
    ...(lamp ? (['lamp.abs'] as const) : []),
    ...(grinds ? (['abs.activates-when-stopping'] as const) : []),
  ];
  const plain = [
    ...(lamp ? ['abs light is on'] : []),
    ...(grinds ? ['the pedal grinds when I come to a stop'] : []),
  ].join(' and ');
  const others = endsOf(vehicle.build).filter((end) => end !== sore && (!sore || end !== across(sore)));
  const corner: End | null = !sore
    ? null
    : manner === 'mirrored'
      ? across(sore)
      : manner === 'wrong corner'
        ? random.pick(others)
        : random.chance(0.75)
          ? sore
          : null;
  const where = corner ? cornerWords(corner, vehicle) : '';
  const { vehicleWords: it, codes, minutes } = given;
  const read = codes.length > 0 ? `, my reader says ${codes.map(({ code }) => code).join(' and ')}` : '';
  const say = (words: string, named: boolean, known: readonly Symptom[] = symptoms): Told => ({
    words: `${words.replace(/\s+/g, ' ').trim()}${read}`,
    corner,
    named: named && corner !== null,
    symptoms: known,
  });
  switch (manner) {
    case 'plain':
      return say(`${it}, ${plain}`, false);
    case 'vague':
      return say(`${it}, some yellow light came on, something with the wheels I suppose`, false, []);
    case 'wrong corner':
    case 'mirrored':
      return say(`${it}, ${plain}, ${where}, I am sure of it`, true);
    case 'sure of the part':
      return say(`${it}, ${plain}, I need a wheel speed sensor ${where}`, true);
    case 'in a hurry':
      return say(`${it}, ${plain}, quick please, the ferry goes in ${minutes} minutes`, false);
    case 'has bought one':
      return say(`${it}, ${plain}, I bought a sensor already, it is in the car, ${where}`, true);
  }
};

import { readPositions } from '../../positions/readPositions.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { speedUnitIn, timeUnitIn, type SpeedUnit, type TimeUnit } from './units.ts';

/** What a column of a log holds, as far as its heading tells. */
export type ColumnRole =
  | { readonly kind: 'time'; readonly unit: TimeUnit | null }
  | { readonly kind: 'wheel'; readonly place: WheelPlace; readonly unit: SpeedUnit | null }
  | { readonly kind: 'vehicle'; readonly unit: SpeedUnit | null }
  | { readonly kind: 'steering' }
  | { readonly kind: 'other' };

/** A wheel as a heading names it: the axle may be a number, or front, middle or rear of a number not known yet. */
export interface WheelPlace {
  readonly axle: number | 'front' | 'middle' | 'rear';
  readonly side: 'L' | 'R';
}

/** Words in a heading that say nothing of the place. */
const NOISE =
  /\b(wheel|wheels|whl|whls|speed|spd|speeds|velocity|vel|sensor|sens|wss|abs|signal|sig|value|val|raw|can|obd|km ?\/ ?h|kmh|kph|mph|m ?\/ ?s|mps|rpm|rad ?\/ ?s|ft ?\/ ?s|v|w|n|corner)\b/g;

const SHORT: Readonly<Record<string, WheelPlace>> = {
  fl: { axle: 'front', side: 'L' },
  lf: { axle: 'front', side: 'L' },
  fr: { axle: 'front', side: 'R' },
  rf: { axle: 'front', side: 'R' },
  rl: { axle: 'rear', side: 'L' },
  lr: { axle: 'rear', side: 'L' },
  bl: { axle: 'rear', side: 'L' },
  rr: { axle: 'rear', side: 'R' },
  br: { axle: 'rear', side: 'R' },
  ml: { axle: 'middle', side: 'L' },
  mr: { axle: 'middle', side: 'R' },
};

/** A heading as words: `WheelSpeed_FL[km/h]` is `wheel speed fl km/h`. */
const wordsOf = (heading: string): string =>
  heading
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/([A-Z]{2,})([A-Z][a-z])/g, '$1 $2')
    .replace(/[_()[\]{}:#.\-|]+/g, ' ')
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .trim();

const placeIn = (words: string): WheelPlace | null => {
  const rest = words.replace(NOISE, ' ').replace(/\s+/g, ' ').trim();
  const numbered =
    /^(?:a|ax|axle)? ?([1-9]) ?(l|r|left|right|lh|rh)$/.exec(rest) ??
    /^(?:a|ax|axle) ?([1-9]) ?(l|r|left|right|lh|rh)\b/.exec(rest);
  if (numbered)
    return { axle: Number(numbered[1]), side: (numbered[2] as string).startsWith('l') ? 'L' : 'R' };
  const turned = /^(l|r|left|right|lh|rh) ?(?:a|ax|axle)? ?([1-9])$/.exec(rest);
  if (turned) return { axle: Number(turned[2]), side: (turned[1] as string).startsWith('l') ? 'L' : 'R' };
  const short =
    SHORT[rest.replace(/ /g, '')] ??
    rest
      .split(' ')
      .map((word) => SHORT[word])
      .find(Boolean);
  if (short) return short;
  const { positions } = readPositions(rest, {
    steeringSide: null,
    trafficSide: null,
    axles: 2,
    trailer: false,
  });
  const end = positions[0]?.wheelEnds[0];
  if (positions.length !== 1 || positions[0]?.wheelEnds.length !== 1 || !end || end[2] === 'C') return null;
  const axle = Number(end[1]);
  return { axle: axle === 1 ? 'front' : axle === 2 ? 'rear' : axle, side: end[2] as 'L' | 'R' };
};

/** What a heading says its column holds. */
export const roleOfHeading = (heading: string): ColumnRole => {
  const words = wordsOf(heading);
  const place = placeIn(words);
  if (place && !/steer|angle|pressure|temp|brake|torque/.test(words))
    return { kind: 'wheel', place, unit: speedUnitIn(heading) };
  if (
    /^(t|time|elapsed|timestamp|time ?stamp|clock|zeit|date ?time|sample time|secs?|seconds|ms|millis)\b/.test(
      words,
    )
  )
    return { kind: 'time', unit: timeUnitIn(words.replace(/^time ?stamp|^t\b|^time/, '')) };
  if (/\bsteer(ing)?\b.*\b(deg|degrees|angle|wheel angle)\b|^(steering|swa|steering angle|sas)\b/.test(words))
    return { kind: 'steering' };
  if (
    /^(vehicle|veh|gps|car|reference|ref|true|ground)\b.*(speed|spd|vel|v\b)|^(speed|velocity|vss)\b/.test(
      words,
    )
  )
    return { kind: 'vehicle', unit: speedUnitIn(heading) };
  return { kind: 'other' };
};

/** Wheel ends of the places named: rear is axle 2, or axle 3 where a middle axle is named too. */
export const wheelEndOf = (place: WheelPlace, all: readonly WheelPlace[]): WheelEnd => {
  if (typeof place.axle === 'number') return `A${place.axle}${place.side}`;
  const threeAxles = all.some((other) => other.axle === 'middle');
  const axle = place.axle === 'front' ? 1 : place.axle === 'middle' ? 2 : threeAxles ? 3 : 2;
  return `A${axle}${place.side}`;
};

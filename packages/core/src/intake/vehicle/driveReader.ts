import { lexicon } from '../../text/lexicon.ts';
import type { DocketVehicle } from '../../vocabulary/docket.ts';
import type { VehicleReader } from './vehicleReading.ts';

/** The ways people say on which side the steering wheel is. */
const steeringOn = (side: string): string =>
  ['steering', 'steering wheel', 'steerin', 'steerin wheel', 'steering whl']
    .flatMap((wheel) => [wheel, `${wheel}s`, `${wheel} is`])
    .flatMap((wheel) => [`${wheel} on ${side}`, `${wheel} on the ${side}`, `${wheel} in the ${side}`])
    .concat(`driver sits on the ${side}`, `driver sits on ${side}`)
    .join('|');

/** What is said of a vehicle beside its name. */
const DRIVE = lexicon<Partial<DocketVehicle>>([
  [
    'left hand drive|lhd|lefthand drive|left hooker|steering on the left|wheel on the left|' +
      steeringOn('left'),
    { steeringSide: 'left' },
  ],
  [
    'right hand drive|rhd|righthand drive|right hooker|steering on the right|wheel on the right|' +
      steeringOn('right'),
    { steeringSide: 'right' },
  ],
  ['drives on the left|we drive on the left|traffic on the left|traffic keeps left', { trafficSide: 'left' }],
  [
    'drives on the right|we drive on the right|traffic on the right|traffic keeps right',
    { trafficSide: 'right' },
  ],
  ['front wheel drive|fwd', { driveline: 'fwd' }],
  ['rear wheel drive|rwd', { driveline: 'rwd' }],
  ['all wheel drive|four wheel drive|awd|4x4|4wd', { driveline: 'awd' }],
  ['trailer|semitrailer|semi trailer|box trailer', { driveline: 'trailer' }],
  ['two axle|2 axle|twin axle|tandem axle|two axles|2 axles', { axles: 2 }],
  ['three axle|3 axle|tri axle|triaxle|three axles|3 axles|six wheeler', { axles: 3 }],
  ['four axle|4 axle|four axles|4 axles|eight wheeler', { axles: 4 }],
  ['single axle|one axle|1 axle', { axles: 1 }],
  [
    'very salty|salted every winter|salt every year|salty winters|winter salt|drives in salt|plenty of road salt|always in salt|always salted|in salt all winter|salty|salted roads|road salt|lots of salt|by the sea|on the coast|rust bucket|salt every winter|gritted roads|salty roads|slipway work|plenty of salt|lives by the sea|island car|salted all winter',
    { saltExposure: 'high' },
  ],
  ['some salt|a little salt|bit of salt', { saltExposure: 'some' }],
  [
    'no salt|never salted|never saw salt|salt free|never seen salt|dry country|no road salt',
    { saltExposure: 'none' },
  ],
  ['iron knuckle|steel knuckle|cast iron knuckle|cast knuckle|iron knuckles', { knuckle: 'iron' }],
  [
    'aluminium knuckle|aluminum knuckle|alloy knuckle|aluminium knuckles|alloy knuckles',
    { knuckle: 'aluminium' },
  ],
  [
    'electric car|electric van|electric one|fully electric|all electric|its electric|is electric|electric|hybrid|plug in hybrid|battery electric|ev|bev|phev|its a hybrid',
    { electric: true },
  ],
]);
/** What makes `awd` a lamp and `electric` a window. */
const ANOTHER_THING =
  /^(light|lights|lamp|lamps|warning|message|fault|window|windows|seat|mirror|mirrors|handbrake|steering|fan|tailgate|drill|gun|door|doors|fault_lamp|system)$/;

/** Sides, drive, axles, salt, knuckle: what was said first stands. */
export const readDriveWords: VehicleReader = (reading) => {
  const { source, vehicle } = reading;
  const { tokens } = source;
  for (const hit of DRIVE.all(tokens)) {
    if (source.taken(hit.from) || ANOTHER_THING.test(tokens[hit.to]?.norm ?? '')) continue;
    for (const [key, value] of Object.entries(hit.meaning))
      (vehicle as Record<string, unknown>)[key] ??= value;
    reading.chip(source.words(hit.from, hit.to), tokens[hit.from]?.start ?? 0, tokens[hit.to - 1]?.end ?? 0);
  }
};

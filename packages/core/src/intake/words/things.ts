import { PART_KINDS } from '../../partKinds/partKinds.ts';
import type { EventName } from '../../vocabulary/words.ts';
import type { ItemLine, Thing } from './item.ts';

const thing = (names: string, what: Thing, event?: EventName): ItemLine => [
  names,
  { is: 'thing', thing: what, ...(event ? { event } : {}) },
];

/** Parts and other things people name, and the event it is when they are renewed. */
export const THINGS: readonly ItemLine[] = [
  ...PART_KINDS.map((kind) => thing(kind.heardAs, kind.thing, kind.renewed)),
  thing('teeth|tooth|ring teeth', 'teeth', 'ring-replaced'),
  thing(
    'lead|sensor lead|sensor cable|pigtail|sensor wire|lead of the sensor|sensors lead|flying lead',
    'lead',
    'sensor-replaced',
  ),
  thing(
    'loom|looms|harness|wiring|wires|wire|cable|cables|wiring loom|wiring harness|body loom|wire to the sensor|abs wiring|sensor wiring',
    'loom',
    'connector-repaired',
  ),
  thing('wheel|wheels|corner|that corner|wheel itself|wheel end', 'wheel'),
  thing('wheel nuts|wheel bolts|lug nuts|nuts|wheel studs', 'bolts'),
  thing('tyre|tyres|tire|tires|set of tyres|rubber|pair of tyres', 'tyre', 'tyre-replaced'),
  thing('battery|batteries', 'battery', 'battery-replaced'),
  thing(
    'pads|discs|brake pads|brake discs|brakes|calipers|caliper|brake caliper|brake shoes|shoes|drums|pads and discs|discs and pads|front pads|rear pads|disc|brake hose|hand brake cable|front brakes|rear brakes|pads all round',
    'brakes',
    'brake-work',
  ),
  thing(
    'ball joint|ball joints|shock|shocks|shock absorber|shock absorbers|strut|struts|spring|springs|coil spring|wishbone|lower arm|lower arms|suspension|knuckle|track rod end|track rod ends|control arm|control arms|drop link|drop links|top mount|anti roll bar|lower arm and track rod end|trailing arm|dampers|damper|bushes',
    'suspension',
    'suspension-work',
  ),
  thing(
    'live data|live speeds|live speed|live|wheel speeds|wheel speed|speeds|speed|signal|graph|scope|trace|live readings|live graph|live values',
    'speed',
  ),
  thing('supply|feed|power|voltage|volts|supply voltage|power supply', 'supply'),
  thing(
    'brake fluid|fluid|the level|level in the reservoir|brake level|reservoir|fluid level|brake fluid level|fluid reservoir|brake pipe|brake line|wheel cylinder',
    'fluid',
  ),
  thing('meter|multimeter|ohmmeter|resistance|ohms|ohm|reading|readings', 'meter'),
  thing('pedal|brake pedal', 'pedal'),
  thing('speedo|speedometer|speedometer needle|speedo needle', 'speedo'),
  thing('gearbox|box shifting|transmission', 'gearbox'),
  thing('steering|power steering|steering wheel', 'steering'),
  thing('code|codes|fault code|fault codes|dtc|trouble code', 'code'),
  thing(
    'steering fluid|power steering fluid|washer fluid|coolant|engine oil|oil|fuel|mirror|exhaust|window|door|radio|engine noise|wind noise|road noise|roof rack|trailer hitch|clutch|clutch pedal|seat|bumper|rattle|tailgate|fan|alternator|turbo|ring binder|earring|engine light|engine lamp|airbag light|oil light|glow plug|spark plug|spark plugs|spare wheel|spare key|bonnet|handbrake lever|gear lever|drain plug|sump plug|steering assist|power assist|park assist|parking assist|parking sensor|parking sensors|reversing sensor|oxygen sensor|lambda sensor|crank sensor|cam sensor|temperature sensor|pressure sensor|rain sensor|light sensor|door handle|horn|air conditioning|heater|exhaust bracket|gearbox mount',
    'other',
  ),
];

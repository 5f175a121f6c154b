/**
 * How a generated text words its facts. These tables are the generator's own: they share no list with the reader, so
 * that what it understands is put to the test and not repeated.
 */

export const WHEELS = ['A1L', 'A1R', 'A2L', 'A2R'] as const;
export type Wheel = (typeof WHEELS)[number];

/** Places as said on a vehicle steered from the left where traffic keeps right. */
export const PLACES: Readonly<Record<Wheel, readonly string[]>> = {
  A1L: [
    'front left',
    'left front',
    'FL',
    'LF',
    'left-hand front',
    "driver's side front",
    'front left wheel',
    'offside front',
    'L/H front',
  ],
  A1R: [
    'front right',
    'right front',
    'FR',
    'RF',
    'right-hand front',
    'passenger side front',
    'front right wheel',
    'nearside front',
    'R/H front',
  ],
  A2L: [
    'rear left',
    'left rear',
    'RL',
    'LR',
    'back left',
    "driver's side rear",
    'rear left wheel',
    'offside rear',
    'left back',
  ],
  A2R: [
    'rear right',
    'right rear',
    'RR',
    'back right',
    'right-hand rear',
    'passenger side rear',
    'rear right wheel',
    'nearside rear',
    'right back',
  ],
};

/** One finding: what it must be heard as (`#` is the wheel), and how it is said. `{p}` is the place. */
export interface Phrasing {
  readonly fact: string;
  /** Said after the place: "front left has play". */
  readonly after: readonly string[];
  /** Said before the place: "play at the front left". */
  readonly before: readonly string[];
  /** Under a label: "front left: play". */
  readonly label: readonly string[];
}

export const FINDINGS: readonly Phrasing[] = [
  {
    fact: 'play # clear',
    after: ['has play', 'wobbles', 'rocks top and bottom', 'has a lot of play'],
    before: ['clear play at the', 'play in the bearing', 'lots of play', 'wheel loose'],
    label: ['clear play', 'wheel rocks', 'lots of play'],
  },
  {
    fact: 'play # slight',
    after: ['has slight play', 'has a bit of play'],
    before: ['slight play at the', 'a little play'],
    label: ['slight play', 'a bit of play'],
  },
  {
    fact: 'play # none',
    after: ['has no play', 'is tight'],
    before: ['no play at the', 'no play', "can't feel any play at the"],
    label: ['no play', 'no play at all'],
  },
  {
    fact: 'noise # growl',
    after: ['growls when spun', 'hums', 'bearing is noisy', 'rumbles'],
    before: ['growl from the', 'noisy bearing', 'bearing growls'],
    label: ['growls', 'bearing noisy', 'rumbles when spun'],
  },
  {
    fact: 'noise # none',
    after: ['does not growl', 'is quiet when spun', 'makes no noise'],
    before: ['no growl from the', 'no noise at the'],
    label: ['no noise', 'quiet when spun', "doesn't growl"],
  },
  {
    fact: 'ring # cracked',
    after: ['ring is cracked', 'tone ring split'],
    before: ['cracked ring', 'ring cracked at the', 'crack in the ring'],
    label: ['ring cracked', 'the ring has a crack in it'],
  },
  {
    fact: 'ring # rusted',
    after: ['ring is rusty', 'tone ring swollen with rust'],
    before: ['rusty ring', 'ring badly rusted'],
    label: ['ring rusted', 'rust on the ring'],
  },
  {
    fact: 'ring # missing-teeth',
    after: ['ring has teeth missing', 'ring is missing a tooth'],
    before: ['missing teeth on the ring', 'two teeth gone from the ring'],
    label: ['teeth missing', 'ring has a tooth missing'],
  },
  {
    fact: 'ring # sound',
    after: ['ring is fine', 'ring looks good', "ring isn't cracked"],
    before: ['ring clean', 'nothing wrong with the ring'],
    label: ['ring ok', 'ring is sound', 'ring not cracked'],
  },
  {
    fact: 'tip # rubbed',
    after: ['sensor tip is rubbed', 'sensor tip ground away'],
    before: ['sensor rubbed', 'tip of the sensor worn away'],
    label: ['tip rubbed', 'sensor tip scored'],
  },
  {
    fact: 'tip # metal-on-tip',
    after: ['sensor is covered in filings', 'tip has metal on it'],
    before: ['swarf on the sensor tip', 'metal on the tip'],
    label: ['swarf on the tip', 'filings on the sensor'],
  },
  {
    fact: 'plug # corroded',
    after: ['plug is green inside', 'connector full of water', 'plug corroded'],
    before: ['green plug', 'corrosion in the connector'],
    label: ['plug corroded', 'pins green', 'water in the plug'],
  },
  {
    fact: 'plug # broken-lock',
    after: ['plug has a broken lock', 'connector clip snapped'],
    before: ['lock broken on the plug', 'broken clip on the connector'],
    label: ['plug lock broken', 'connector clip gone'],
  },
  {
    fact: 'plug # sound',
    after: ['plug is clean and dry', 'connector looks fine', 'plug is not corroded'],
    before: ['plug clean', 'no corrosion in the plug'],
    label: ['plug clean', 'connector ok'],
  },
  {
    fact: 'loom # chafed',
    after: ['loom is chafed', 'wiring rubbed through'],
    before: ['chafed loom', 'wires frayed'],
    label: ['loom chafed', 'wires rubbed through'],
  },
  {
    fact: 'ohms # N',
    after: ['reads N ohms', 'sensor reads N ohm', 'metered at N ohms'],
    before: ['N ohms', 'measured N ohm'],
    label: ['N ohms', 'sensor N ohm'],
  },
  {
    fact: 'ohms # K',
    after: ['reads Kk', 'sensor measures K kohm'],
    before: ['K kohm', 'Kk ohms'],
    label: ['Kk', 'K kohm'],
  },
  {
    fact: 'ohms # open',
    after: ['reads open', 'sensor is open circuit', 'shows OL on the meter'],
    before: ['open circuit', 'no continuity'],
    label: ['reads open', 'open circuit', 'no continuity'],
  },
  {
    fact: 'live # no-signal',
    after: ['shows no speed', 'reads zero on live data', 'gives no signal'],
    before: ['no signal', 'no speed reading'],
    label: ['no signal', 'live data zero'],
  },
  {
    fact: 'live # once-per-turn',
    after: ['dips once a turn', 'has one dip every turn'],
    before: ['a dip every turn', 'one dip a turn'],
    label: ['one dip every turn', 'dips once a turn'],
  },
  {
    fact: 'supply # V',
    after: ['has V volts at the plug', 'plug has V V supply'],
    before: ['V volts at the plug', 'supply V V'],
    label: ['V V at the plug', 'supply V volts'],
  },
];

/** Work done: `D` is how many weeks ago. */
export const WORK: readonly Phrasing[] = [
  {
    fact: 'sensor-replaced # Dd',
    after: ['sensor was replaced D weeks ago', 'got a new sensor D weeks ago'],
    before: ['sensor renewed D weeks ago', 'new sensor fitted D weeks ago'],
    label: ['sensor changed D weeks ago', 'new sensor D weeks ago'],
  },
  {
    fact: 'hub-replaced # Dd',
    after: ['hub was changed D weeks ago', 'bearing renewed D weeks ago'],
    before: ['hub replaced D weeks ago', 'new wheel bearing fitted D weeks ago'],
    label: ['hub done D weeks ago', 'bearing replaced D weeks ago'],
  },
];

/** Complaints of the whole vehicle, and what must be heard. Null: nothing, for it is denied. */
export const COMPLAINTS: ReadonlyArray<readonly [fact: string | null, words: readonly string[]]> = [
  ['lamp.abs', ['abs light on', 'anti-lock lamp is lit', 'the abs lamp came on']],
  ['lamp.traction', ['traction light on', 'esp lamp lit']],
  [null, ['no traction light', 'brake lamp is not on', 'gearbox shifts fine']],
  ['lamp.traction=yes', ['traction light has gone out since']],
  ['speedometer.dead', ['speedo dead', 'the speedometer is not working']],
  ['abs.activates-when-stopping', ['pedal pulses just before it stops', 'abs kicks in at walking pace']],
  ['pedal.soft', ['the pedal is spongy', 'brake pedal goes to the floor']],
];

/** What says nothing. */
export const WEATHER: readonly string[] = [
  'it rained all week',
  'he is in a hurry',
  'lovely weather today',
  'the ferry was late again',
  'my wife says hello',
];

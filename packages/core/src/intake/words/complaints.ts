import type { Symptom } from '../../vocabulary/words.ts';
import { lexicon } from '../../text/lexicon.ts';
import type { ItemLine } from './item.ts';

const lamp = (names: string, symptom: Symptom): ItemLine => [names, { is: 'lampName', symptom }];
/** The same complaint of a thing under its other names. */
const OTHER_NAMES: ReadonlyArray<readonly [RegExp, string]> = [
  [/^pedal\b/, 'brake pedal'],
  [/^(.* )?speedo\b/, '$1speedometer'],
  [/^speedo\b/, 'speedometer needle'],
];
const complaint = (words: string, symptom: Symptom): ItemLine => [
  words
    .split('|')
    .flatMap((spelling) => [
      spelling,
      ...OTHER_NAMES.flatMap(([name, other]) => (name.test(spelling) ? [spelling.replace(name, other)] : [])),
    ])
    .join('|'),
  { is: 'complaint', symptom },
];

/** Names of lamps: a complaint only where it is said to be lit. */
export const LAMPS: readonly ItemLine[] = [
  lamp('abs|anti lock|antilock|anti lock brake|anti lock brakes|anti skid|abs brake|a b s', 'lamp.abs'),
  lamp('rear abs|rear anti lock|rear antilock', 'lamp.rear-abs'),
  lamp(
    'brake|park brake|parking brake|handbrake|hand brake|brake system|red brake|brake system warning',
    'lamp.brake',
  ),
  lamp(
    'traction|traction control|stability|stability control|esp|esc|tc|skid|asr|tcs|dsc|vsc|skidding car|slippery road|hill start|hill hold|hill start assist|hill descent|stability system|traction system|electronic stability|vehicle stability',
    'lamp.traction',
  ),
  lamp('awd|4wd|4x4|all wheel drive|four wheel drive|4 wheel drive', 'lamp.awd'),
  lamp(
    'driver assist|drivers assist|driver assistance|lane assist|lane keeping|lane keep assist|assist|camera|front camera|radar|front radar|cruise|cruise control|adaptive cruise|driver aids|assist systems|emergency brake|emergency brake assist|brake support|emergency braking|collision|collision warning|forward collision|lane departure|blind spot|front assist|city brake|brake assist|auto brake|automatic braking|driver support|pre collision',
    'message.driver-assist',
  ),
  lamp(
    'tyre pressure|tyre pressure system|tyre pressure monitor|tire pressure|tyre monitor|run flat|runflat|tpms|tyre pressure monitoring|run flat tyre|tyre pressures|low tyre|tyre pressure loss|tyre deflation',
    'message.tyre-monitor',
  ),
];

/** The lamp itself, of whatever name. */
export const LAMP_THINGS: readonly ItemLine[] = [
  [
    'light|lights|lamp|lamps|warning|warnings|warning light|warning lights|warning lamp|warning lamps|telltale|telltales|lite|message|messages|fault light|fault lamp|fault message|warning message|symbol|icon|indicator light|light on the dash|dash light|dash lights|dashboard light',
    { is: 'thing', thing: 'lamp' },
  ],
];

/** What makes a lamp's name a complaint; heard only beside such a name. */
export const LIT_WORDS = lexicon<true>([
  [
    'on|lit|is on|are on|comes on|came on|come on|stays on|stayed on|stays lit|lit up|up|came up|come up|pops up|popped up|shows|showing|flashing|flashes|blinking|unavailable|not available|is out of action|fault|faulty|failed|failure|off|disabled|switched off|not working|out|blocked|glowing|illuminated|burning|inactive|inoperative|deactivated|malfunction|error|limited|did|does|too|one|ones|goes on|gone on|has come on|have come on|appears|appeared|keeps coming on|coming on|wont go out|permanently on|unavailable came on|unavailable came up|came on together|comes and goes|come and go|coming and going',
    true,
  ],
]);

/** Complaints told without a lamp. */
export const FELT: readonly ItemLine[] = [
  complaint(
    'red brake light|red brake lamp|red brake warning|red light|red lamp|red warning light|brake fluid warning|brake fluid warning lamp|brake fluid warning light|brake fluid light|brake fluid lamp|fluid warning|fluid light|fluid warning light|fluid level warning',
    'lamp.brake',
  ),
  complaint('light for the abs|abs fault|abs failure', 'lamp.abs'),
  complaint('traction off|esp off|esc off|stability off|traction control off', 'lamp.traction'),
  complaint(
    'pedal pulses|pedal pulsing|pedal grinds|pedal grinding|pedal kicks|pedal judders|pedal shudders|pedal juddering|brake pedal pulses|grinds when stopping|pulses when stopping|grinding when stopping|abs kicks in|abs cuts in|abs comes in|abs activates|false activation|abs activation|pedal vibrates|brakes grab at walking pace|abs kicking in|abs working when stopping|last few feet|last metres|last few metres|pedal chatters|abs cutting in|abs goes off when stopping|abs engages|pedal buzzes|pedal pulse|pulsing pedal|pedal shakes just before it stops|pedal kicking|brakes shudder|brakes grab|brakes judder|pedal kicks back|abs grinds|pedal throbs|pedal growls|pedal rattles|just before it stops|pedal grind|abs triggers|abs fires|pedal kickback|brakes pulse|brakes pulsing|abs comes in too early|grinding pedal|juddering pedal|pedal shudder|coming to a stop the pedal|grinds when braking|grinding when braking|grinds when i brake|grinding under braking|grinds under braking|grinds as it stops|grinds to a stop|grind when braking|judders when braking|pulses when braking|grinding noise when braking|grinding noise when stopping|judders when stopping|grinds just before it stops|grinds before it stops|shudders when stopping|shudders when braking|vibrates when stopping|kicks when stopping|pulses under braking',
    'abs.activates-when-stopping',
  ),
  complaint(
    'no speedo|no speedometer|no speed on the clock|speedo dead|speedometer dead|speedo not working|speedo doesnt work|speedometer not working|dead speedo|dead speedometer|speedo stopped|speedometer doesnt work|speedo at zero|speedo out|speedometer is dead|speedo is dead|speedo stuck|speedo has died|speedometer stopped|speedo stays at zero|speedo reads zero|speedo reads nothing|speedometer reads zero|speedo broken|speedometer out|speedo gone|speedo has gone|speedo still dead|speedo isnt working|speedo doesnt move|speedometer doesnt move|needle stays at zero|no reading on the speedo|speedo died|speedometer died|speedo shows nothing|speedo not reading|speedometer stuck|speedometer has stopped|speedo has stopped|speedo wont work|speedometer is out',
    'speedometer.dead',
  ),
  complaint(
    'speedo jumps|speedometer jumps|jumpy speedo|speedo erratic|speedo jumping|speedometer jumping|speedo all over the place|speedometer erratic|jumping speedo|needle jumps|speedo bounces|speedo flickers|erratic speedo|erratic speedometer|speedo comes and goes|speedometer comes and goes|speedo coming and going|speedometer coming and going|needle dances|speedometer needle dances|speedo needle dances|speedo dances|speedo cuts in and out|speedo cuts out|speedometer cuts out|speedo waves about|speedo drops out|speedometer drops out|speedometer flickers|speedo sticks now and then|speedo jump|speedometer jump|speedo wavers|needle waves|needle flickers|speedo hops about|speedometer bounces|speedo works when it wants|speedo intermittent|intermittent speedo|speedo jumpy|speedometer swings|speedo swings',
    'speedometer.erratic',
  ),
  complaint(
    'bad shifting|shifts badly|shifted badly|bad shift|shifting badly|shifts hard|harsh shifts|hard shifting|wont change up|wont shift up|gearbox hunting|gearbox hunts|changes gear badly|rough shifting|stuck in gear|late shifts|gearbox plays up|gearbox playing up|shifting rough|erratic shifting|gearbox shifts badly|gearbox shifting badly|shifts rough|jerky shifting|gearbox jerks|jerky gear changes|shifts late|changes late|gearbox wont change up|gearbox wont change|wont change gear|harsh gear changes|bad gear changes|gearbox thumps|gearbox shifts hard|shifting hard|gearbox shifts rough|bangs into gear|stays in third|stuck in third',
    'shifting.bad',
  ),
  complaint(
    'soft pedal|pedal soft|pedal is soft|pedal has gone soft|pedal went soft|pedal gone soft|spongy pedal|pedal spongy|pedal is spongy|spongy brakes|brakes spongy|brakes are spongy|soft brakes|brakes soft|pedal sinks|pedal sinking|sinking pedal|pedal goes to the floor|pedal to the floor|pedal went to the floor|pedal goes down|pedal drops|pedal sinks to the floor|long pedal|no brakes|brakes failed|brakes gone|brakes have gone|pedal goes right down|pedal feels soft|pedal feels spongy|pedal goes soft|pedal gone long|brakes feel soft|brakes feel spongy|pedal is sinking|pedal creeps down|pedal slowly sinks|pedal slowly goes down|pedal is long|pedal went down|pedal falls|pedal sank|pedal travel is long|brakes dont bite|have to pump the pedal|pump the brakes|pumping the pedal|spongy|brakes barely work|hardly any brakes|pedal mushy|mushy pedal|pedal isnt firm|pedal has no pressure|no pedal|pedal is on the floor',
    'pedal.soft',
  ),
  complaint(
    'heavy steering|steering heavy|steering is heavy|power steering out|steering gone heavy|no power steering|stiff steering|steering stiff|steering has gone heavy|steering feels heavy|steering went heavy|steering is stiff|steering hard to turn|power steering gone|power steering failed|power steering has gone',
    'steering.heavy',
  ),
  complaint(
    'smoke|smoking|smoke from|smoking hot|red hot|too hot to touch|burning hot|burning smell|smells of burning|smelling of burning|very hot|glowing red|wheel hot|hot wheel|smokes|on fire|hot to touch|boiling hot|wheel is hot|gets hot|getting hot|runs hot|smoked|smouldering|smelt hot|smelled hot|stinks of burning|stank of burning',
    'wheel.hot',
  ),
];

type Level = 'low' | 'leaking' | 'full';

/** Small words inside a phrase: `down to the minimum`. */
const SMALL: ReadonlySet<string> = new Set(['the', 'a', 'is', 'was', 'very', 'quite', 'now']);

/** How the brake fluid stands; heard only beside the fluid. */
export const FLUID_LEVELS = lexicon<Level>(
  [
    [
      'low|is low|below the mark|below minimum|below min|under the mark|under min|empty|all gone|nearly empty|near the bottom|at the minimum|on minimum|down to min|down to minimum|at minimum|on the minimum|to the minimum|needs topping up|keeps dropping|dropping|dropped|going down|goes down|gone down',
      'low',
    ],
    [
      'on the inside|on the tyre|on the disc|on the backplate|all over|inside the wheel|inside the tyre|over the wheel|leak|leaks|leaking|losing|dripping|drips|weeping|weeps|leaked|running down|down the wheel|on the wheel|wet with|running out|seeping|pouring out|spraying|leaking fluid|losing fluid|losing brake fluid|leaking brake fluid',
      'leaking',
    ],
    ['full|up to the mark|at max|on max|at the mark|up to max|fine|ok|okay|good|right', 'full'],
  ],
  SMALL,
);

/** The brake fluid in whole phrases. */
export const FLUID: readonly ItemLine[] = [
  [
    'low on fluid|low on brake fluid|low brake fluid|low fluid',
    { is: 'check', check: { check: 'brake.fluid', result: 'low' } },
  ],
  [
    'wheel wet with fluid|caliper leaking|brake pipe leaking|wheel cylinder leaking|brake line leaking|leaking caliper|caliper leaks|brake hose leaking|leaking wheel cylinder|caliper is leaking|brake leak|brakes leaking|fluid everywhere|fluid on the floor|fluid on the ground|puddle of fluid|puddle under the wheel|wet inside the wheel|brake pipe has gone|brake pipe burst|burst brake pipe|brake hose burst',
    { is: 'check', check: { check: 'brake.fluid', result: 'leaking' } },
  ],
];

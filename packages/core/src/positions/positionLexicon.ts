import { lexicon, type LexiconLine } from '../text/lexicon.ts';

export type AxleWord = 'front' | 'rear' | 'middle' | number;
export type SideWord = 'left' | 'right' | 'driver' | 'passenger' | 'near' | 'off' | 'both' | 'same';

/** What a word or phrase says of a position. `plural` alone means both sides: `the fronts`. */
export interface Element {
  readonly axle?: AxleWord;
  readonly side?: SideWord;
  readonly both?: true;
  readonly all?: true;
  readonly centre?: true;
  readonly plural?: true;
  /** Weak words are positions only beside another element: `back`, `r`, `driver`. */
  readonly weak?: true;
}

const axle = (n: AxleWord, more: Element = {}): Element => ({ axle: n, ...more });
const side = (s: SideWord, more: Element = {}): Element => ({ side: s, ...more });
const spot = (a: AxleWord, s: SideWord): Element => ({ axle: a, side: s });

const ORDINALS = ['first|1st', 'second|2nd', 'third|3rd', 'fourth|4th', 'fifth|5th', 'sixth|6th'];
const CARDINALS = ['one|1', 'two|2', 'three|3', 'four|4', 'five|5', 'six|6'];

const spread = (words: string, to: (word: string) => string): string => words.split('|').map(to).join('|');

const numberedAxles: LexiconLine<Element>[] = [0, 1, 2, 3, 4, 5].flatMap((i) => {
  const n = i + 1;
  return [
    [
      spread(ORDINALS[i] ?? '', (w) => `${w} axle|${w} axle back|${w} axle from the front|${w} axles`),
      axle(n),
    ],
    [
      spread(
        CARDINALS[i] ?? '',
        (w) =>
          `axle ${w}|axle no ${w}|axle no . ${w}|axle number ${w}|axle nr ${w}|axle # ${w}|ax ${w}|axle${w}`,
      ),
      axle(n),
    ],
  ] satisfies LexiconLine<Element>[];
});

/** Words that say where, as data. Order does not matter: the longest phrase wins. */
const LINES: readonly LexiconLine<Element>[] = [
  ['front|frnt|frt|foremost|leading axle|steer axle|steering axle', axle('front')],
  ['fronts', axle('front', { plural: true })],
  [
    'front wheels|front ones|front sensors|front hubs|front brakes|front end',
    axle('front', { plural: true }),
  ],
  ['rear|rearmost|hind|hindmost|last axle|trailing axle|rear axle|back axle|rearmost axle', axle('rear')],
  ['rears', axle('rear', { plural: true })],
  ['two fronts|front two|front pair|pair of fronts|two front', axle('front', { plural: true })],
  [
    'two rears|rear two|back two|rear pair|back pair|pair of rears|two rear|two back',
    axle('rear', { plural: true }),
  ],
  [
    'rear wheels|rear sensors|rear hubs|back wheels|back ones|rear ones|rear brakes',
    axle('rear', { plural: true }),
  ],
  ['back', axle('rear', { weak: true })],
  ['middle axle|mid axle|centre axle|center axle|middle', axle('middle')],
  ...numberedAxles,

  [
    'left|left hand|left handside|lh|l h|lhs|lefthand|left side|lefthand side|left hand side|lh side',
    side('left'),
  ],
  [
    'right|right hand|right handside|rh|r h|rhs|righthand|right side|righthand side|right hand side|rh side',
    side('right'),
  ],
  ['same side|that same side', side('same')],
  ['l', side('left', { weak: true })],
  ['r', side('right', { weak: true })],
  [
    'drivers|drivers side|driver side|driverside|driversside|ds|d s|steering wheel side|drv side|drivers hand side|drivers door side',
    side('driver'),
  ],
  ['driver', side('driver', { weak: true })],
  [
    'passengers|passengers side|passenger side|passengerside|passengersside|pass side|p s|passenger door side|codrivers side|co drivers side',
    side('passenger'),
  ],
  ['passenger|ps|pass', side('passenger', { weak: true })],
  [
    'nearside|near side|ns|n s|kerb|kerb side|kerbside|curb side|curbside|curb|pavement side|gutter side|verge side|ns side|sidewalk side|nearhand side|near hand side',
    side('near'),
  ],
  [
    'offside|off side|os|o s|road side|roadside|traffic side|os side|offhand side|off hand side|middle of the road side',
    side('off'),
  ],

  ['frontleft|leftfront|fl|lf|lhf|lfr|lfw|flh|f l|l f|flw', spot('front', 'left')],
  ['frontright|rightfront|fr|rf|rhf|frh|f r|r f|frw|rfw', spot('front', 'right')],
  ['rearleft|leftrear|backleft|rl|lr|lhr|rlh|r l|l r|lrw|rlw|bl|lb', spot('rear', 'left')],
  ['rearright|rightrear|backright|rr|rhr|rrh|r r|rrw|rb', spot('rear', 'right')],
  ['nsf|n s f|fns|f n s|nf', spot('front', 'near')],
  ['osf|o s f|fos|f o s', spot('front', 'off')],
  ['nsr|n s r|rns|r n s', spot('rear', 'near')],
  ['osr|o s r|ros|r o s', spot('rear', 'off')],
  ['dsf|d s f|dfs', spot('front', 'driver')],
  ['dsr|d s r', spot('rear', 'driver')],
  ['psf|p s f|pfs', spot('front', 'passenger')],
  ['psr|p s r', spot('rear', 'passenger')],

  ['both|both sides|the two|pair|pair of|either side|both of the|left and right', { both: true }],
  [
    'all four|all 4|all six|all 6|all wheels|all four wheels|all four corners|all corners|every wheel|every corner|each corner|each wheel|all round|all around|all the wheels|all of them|the lot',
    { all: true },
  ],

  [
    'rear diff|rear differential|diff|differential|back diff|back differential|rear axle centre|rear axle center|rear axle sender|centre of the rear axle|center of the rear axle|middle of the rear axle|middle of the back axle|rear axle casing|axle casing|gearbox output|gearbox sender|final drive|diff housing|diff casing|rear diff housing',
    { centre: true },
  ],
  ['front diff|front differential|centre of the front axle', { centre: true, axle: 'front' }],
];

export const POSITION_LEXICON = lexicon(LINES);

/** Phrases with position words that are no position. They are passed over. */
export const NOT_A_POSITION = lexicon<true>([
  [
    'all right|alright|right away|right now|right ok|right okay|right first time|right through|right up',
    true,
  ],
  [
    'up front|front desk|front of house|front end noise|in front of|behind the wheel|back to front|front to back|right at the front of the queue',
    true,
  ],
  [
    'come back|came back|comes back|coming back|came right back|come right back|comes right back|came straight back|right back again|is back|its back|be right back|back on|back again|bring back|brought back|back in|back to|back at once|back after|back when|back within|call back|ring back|rang back|phone back|back when driven|goes back|went back|sent back|send back|get back|take back|back up|light back|back for|back soon|be back|back tomorrow|was back|were back|lamp back|back yesterday|back today|code back|code is back|back over|back as|came back as|weeks back|months back|days back|years back|while back|pushed back|push back|money back|backed out|straight back|cut back|pulled back|back down|back out|back off|back where|back once|back before|back since|back then|lights back|lamps back|back by|turned back|back cleared|back now|back home',
    true,
  ],
  [
    'driver says|driver said|driver reports|driver reported|driver complains|driver told|driver noticed|driver thinks|the driver is|driver feels|driver assist|drivers assist|driver assistance|driver was|driver rang|driver hears|driver has|screwdriver|drivers licence|driver brought|driver left|driver aids|driver support|driver will|driver can|driver cant|driver came|co driver says|driver display|driver information',
    true,
  ],
  [
    'all wheel drive|rear wheel drive|front wheel drive|four wheel drive|right hand drive|left hand drive|rhd|lhd|righthand drive|lefthand drive|right hooker|left hooker|right hand thread|left hand thread',
    true,
  ],
  [
    'offside rule|off the road|on the road|road side assistance|roadside assistance|roadside recovery|one pair|offside goal',
    true,
  ],
  [
    'passenger lift|passengers on|passengers said|passenger seat|passenger door|passengers in|passengers complain|passengers were|passenger complained|passenger said|passenger says|passenger noticed|passenger airbag|passenger transport',
    true,
  ],
  [
    'every wheel turn|each wheel turn|every wheel revolution|per wheel turn|each wheel revolution|turning left|turning right|turned right|turned left|turn left|turn right|turns left|turns right|turn to the left|turn to the right|pull to the left|pull to the right|pulls to the left|pulls to the right|pulling to the left|pulling to the right|pulls left|pulls right|bends to the left|bends to the right|bend to the left|bend to the right|left hand bend|right hand bend|left hand bends|right hand bends|left bend|right bend|left turn|right turn|left hand corner|right hand corner|left hand corners|right hand corners|left bends|right bends|steering left|steering right|steer left|steer right|lock to the left|lock to the right|left lock|right lock|drifts left|drifts right',
    true,
  ],
  [
    'middle of the week|middle of the road|in the middle of|middle of nowhere|middle of the night|middle of town',
    true,
  ],
]);

/** Nouns that make a place word speak of another part of the vehicle: `front camera`, `rear door`. */
export const OTHER_PLACES = new Set(
  'camera cameras radar door doors seat seats bumper panel headlamp headlamps headlight headlights taillight taillights light lights lamp screen windscreen window view fog washer wiper wipers mirror plate number indicator bonnet grille sensor_bar parking park assist assistance exhaust silencer suspension_arm shelf desk counter page'.split(
    ' ',
  ),
);

/** Parts whose own front or back is meant in `the back of the bearing`. */
export const PARTS_WITH_A_BACK = new Set(
  'bearing hub sensor ring plug connector disc drum plate backplate knuckle caliper wheel tyre dash dashboard shop house queue counter box shelf drawer cab seat engine gearbox lamp light head book manual report invoice'.split(
    ' ',
  ),
);

/** Words that may stand inside a phrase between its axle and its side. */
export const FILLERS = new Set(
  'the a an of on at in to side sides hand wheel wheels corner corners one ones end is its it my axle axles s hub tyre tire sensor sensors abs wss speed brake that thats this very over by from with up position pos - / : ( )'.split(
    ' ',
  ),
);

/** The few fillers that bind so tightly that the phrase is one word to the speaker: `left-hand front`. */
export const TIGHT = new Set('side sides hand wheel wheels s axle axles - /'.split(' '));

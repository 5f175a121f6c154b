import type { ItemLine } from './item.ts';

/** Rocked and spun: play and noise of a wheel. Every word here may be a word of danger. */
export const FEELS: readonly ItemLine[] = [
  [
    'play|free play|bearing play|wheel play|movement|slop|end float|some give|play in it|play in the bearing|play in the wheel|play in the hub|free movement',
    { is: 'play' },
  ],
  [
    'rocks|rock|wobbles|wobble|wobbling|rocking|loose top and bottom|rocks about|wags|wobbles about|loose on the axle|loose on its axle|clunks when rocked|knocks when rocked|clonks when rocked|loose on the hub|tilts|flops about|waggles',
    { is: 'rocking' },
  ],
  [
    'when rocked|when i rock it|when you rock it|rocked|rock it|i rock it|top and bottom|twelve and six|six and twelve|12 and 6|three and nine|by rocking|when you pull it|pull it|pulled top and bottom|pull the wheel|push and pull|push it|when lifted|jacked up|with the wheel up',
    { is: 'spun' },
  ],
  [
    'moves|shakes|shake|move|shaking|shaky|clunks|knocks|clonks|knocking|clunking|wobbly|waggle|waggled|be moved',
    { is: 'moves' },
  ],
  [
    'tight|solid|rock solid|firm|no movement|no slack|dead tight|nice and tight|solid as a rock',
    { is: 'tight' },
  ],
  [
    'growl|growls|growling|growled|hum|hums|humming|drone|drones|droning|rumble|rumbles|rumbling|grumble|grumbles|grumbling|noise|noisy|grinding|grinds|grind|grinding drone|grinding noise|roars|roaring|roar|howl|howls|howling|whine|whines|whining|rough when spun|rough|feels rough|growling noise|humming noise|droning noise|rumbling noise|bearing noise|wheel noise|growly|grumbly|gravelly|noise when spun|scrapes|grating|grates|hum from|crunches|crunchy|noises',
    { is: 'noise' },
  ],
  ['squeak|squeaks|squeaking|squeaky|squeal|squealing|clicks|clicking|ticks|ticking', { is: 'squeak' }],
  [
    'quiet|silent|spins free|spins quietly|spins silently|spins free and quiet|no sound|smooth and quiet|quiet when spun|runs quiet|dead quiet|turns quietly|spins smooth|spins smoothly|spins nicely|turns smoothly|runs true|silently|quietly',
    { is: 'quiet' },
  ],
  [
    'when spun|spun|spin it|spinning|spinning it|when i spin it|when you spin it|by hand|when turned|turned by hand|spun by hand|when turning|turning it|off the ground',
    { is: 'spun' },
  ],
  [
    'hardly any|barely any|next to no|almost no|virtually no|a trace of|slight|slightly|little|a little|bit of|a bit of|bit|tiny|small|hint of|a hint of|touch of|a touch of|tiny bit of|a tiny bit of|minimal|a little bit of|very little|trace of|the slightest|barely any|a smidge of|small amount of|faint',
    { is: 'amount', amount: 'slight' },
  ],
  [
    'clear|plenty|lots|loads|heaps|lots of|plenty of|loads of|obvious|heavy|massive|a lot of|big|bad|terrible|excessive|considerable|definite|huge|really|too much|serious|proper|a fair bit of|masses of|tons of',
    { is: 'amount', amount: 'clear' },
  ],
  [
    'road speed|the road speed|with speed|at speed|with road speed|as speed rises|with the speed|in spring|in the spring|last spring|this spring|since spring|playing up|plays up|play up|player|played up|play ball|at play|fair play|plays the|hum and haw|played|radio playing|rock up|rocked up|rough idea|roughly|rough price|rough guess|rough estimate|rough cost|road noise|bit of a|noise on the line|wind noise|small print|drum and bass|grind to a halt|big enough|bad luck|bad line|little one|little van|small van|small car|little car|big van|not bad|move on|move it|moved on|moves off|moving off|heavy vehicle|rough road|rough roads|rough ground',
    { is: 'nothingSaid' },
  ],
];

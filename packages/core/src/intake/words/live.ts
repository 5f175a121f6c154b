import type { ItemLine } from './item.ts';

/** `back at once`, `came back at once`, `comes back at once`: what comes back, in every form. */
const back = (ends: string): string =>
  ends
    .split('|')
    .flatMap((end) =>
      [
        'back',
        'came back',
        'comes back',
        'come back',
        'coming back',
        'came back on',
        'comes back on',
        'is back',
        'was back',
        'back on',
      ].map((start) => `${start} ${end}`),
    )
    .join('|');

/** What a live graph shows, and what a meter says in words. */
export const LIVE: readonly ItemLine[] = [
  [
    'no pulses|no pulse|sends nothing|sends no signal|gives no signal|gives no reading|no signal|no reading|reads nothing|reading nothing|stays at zero|stuck at zero|reads zero|shows zero|shows nothing|showing nothing|reads 0|shows 0|no speed|flat line|flatlines|flatlined|not reading|no reading live|no live speed|no speed reading|dead|at zero|zero speed|no speed signal|no live reading|gives nothing|doesnt register|not registering|no output|zero on live data|doesnt read|does not read|no speed on live data|is zero|showing zero|no speed on that wheel|no wheel speed|sits at zero|flat at zero|shows no speed|stays flat|flat|missing on live data',
    { is: 'live', pattern: 'no-signal' },
  ],
  [
    'drops at bumps|drops over bumps|drops on bumps|drops at every bump|drops when it hits|drops on rough|drops to zero|drops to nothing|falls to zero|goes to zero|drops to 0|drops away|drops out|dropping out|drop outs|dropouts|drop out|cuts out|cutting out|cuts in and out|dropped out|loses signal|signal lost|goes dead|goes dead now and then|falls out|cut out|dropouts on',
    { is: 'live', pattern: 'drops-out' },
  ],
  [
    'once per turn|once a turn|once per wheel turn|every turn of the wheel|once every turn|dip a turn|dip every turn|one dip a turn|one dip every turn|a dip each turn|dips each turn|dips every turn|dip each turn|once per revolution|once a revolution|once each turn|one dip every turn of the wheel|a dip every turn|dips once a turn|one drop a turn|every revolution|each revolution|each turn of the wheel|per wheel turn|one gap a turn|a gap every turn',
    { is: 'live', pattern: 'once-per-turn' },
  ],
  [
    'weak at low speed|below walking pace|at walking pace|at low speed|under walking pace|only below walking pace|at crawling speed|below 5|below 8|below 10|under 5|under 8|under 10|at slow speed|at very low speed|at crawl|when crawling|below five|under five',
    { is: 'live', pattern: 'weak-at-low-speed' },
  ],
  [
    'jumps about|jumps around|jumping about|jumping around|all over the place|restless|jittery|spiky|spikes|noisy signal|jitters|hops about|dances about|ragged',
    { is: 'live', pattern: 'noisy' },
  ],
  [
    'all the same|all four the same|all four speeds the same|all speeds the same|all four match|all match|all four agree|live speeds normal|all speeds match|all four speeds match|live data normal|live data fine|all four the same on|smooth|agree|agrees|match|matches|the same speed|same speed|reads the same|all agree|all equal|all four equal|normal|reads normal|reads with the others|with the others|track together|all track',
    { is: 'live', pattern: 'normal' },
  ],
  [
    'reads high|reads fast|reading high|reading fast|too fast|reads too high|over reads|runs high',
    { is: 'live', pattern: 'reads-high' },
  ],
  [
    'reads low|reads slow|reading low|reading slow|too slow|reads too low|under reads|runs low|lags',
    { is: 'live', pattern: 'reads-low' },
  ],
  [
    'open|open circuit|open-circuit|ol|o l|infinite|infinity|no continuity|reads open|meter reads open|reads ol|no resistance reading|infinite resistance|off the scale|over limit|overload|over range|overrange|metered open|meters open|measures open|shows ol|no circuit|infinite ohms',
    { is: 'open' },
  ],
  [
    'dead short|shorted|short circuit|shorted out|reads short|zero ohms|zero resistance|reads shorted|short to earth|shorted to earth|reads as a short|short to ground|shorted to ground|earthed',
    { is: 'short' },
  ],
  [
    'reading jumps|reading unstable|meter jumps|resistance jumps|resistance unstable|unstable reading|meter unsteady|reading wanders|wanders|unstable|jumps when touched|reading moves about|reading wont settle|wont settle|fluctuates|jumps|jump|jumping|jumpy|changes|unsteady',
    { is: 'jumps' },
  ],
  ['nothing|zero|none|nil|not a thing|nowt', { is: 'nothing' }],
  [
    'wiggled|wiggle|wiggling|wiggled it|when wiggled|when i wiggle it|when moved|wiggle it|when i move it|waggle|waggled|when i wiggle|moving the lead|move the lead|when i move the lead|wiggle test|bending the lead|touch the lead|when touched|flexing the lead|tugging the lead|touching the lead|touching it|touching the plug|moving it|moving the plug|wiggling it|wiggling the lead|wiggling the plug|bending it|pulling the lead|pulling on the lead|pressing the plug|when bent|when flexed',
    { is: 'check', check: { check: 'wiggle', result: 'changes' } },
  ],
  [
    'no change|nothing changed|nothing changes|nothing happens|stays steady|steady|no difference|makes no difference|didnt change|does not change|doesnt change|unchanged|nothing happened|stays the same',
    { is: 'same' },
  ],
  [
    'fault followed|fault moved|fault moved with it|fault moved with the sensor|fault moved to the other side|fault follows the sensor|fault went with it|moved with the sensor|fault followed it|it moved with the sensor|fault went across|the fault moved across|code moved|code followed|fault follows|moved across with it|followed the sensor|fault moved over|fault swapped sides|fault has moved|code moved across',
    { is: 'check', check: { check: 'swap', result: 'fault-followed' } },
  ],
  [
    'fault stayed|fault stayed put|fault stayed where it was|fault did not move|fault stayed on the same side|fault stays|fault didnt move|code stayed|code stayed put|stayed where it was|fault is still on the same side|fault stays put|fault remained',
    { is: 'check', check: { check: 'swap', result: 'fault-stayed' } },
  ],
  [
    `${back('at once|straight away|immediately|as soon as|instantly|at key on|before moving|before it moved|the moment|right away|straight off|as soon as the key|the second|within seconds')}|came straight back|comes straight back|came right back|comes right back|come right back|straight back on|light came straight back|come straight back|came straight back on|comes straight back on`,
    { is: 'check', check: { check: 'clear-and-drive', result: 'back-at-once' } },
  ],
  [
    back(
      'as soon as we drove|as soon as we drive|as soon as i drove|as soon as he drove|as soon as she drove|as soon as it moved|as soon as we moved|as soon as we set off|as soon as i set off|as soon as driven|when driven|on moving off|when moving|on driving|on the road|as i drive|after a mile|down the road|after driving|once driven|after a few miles|once rolling|after a short drive|when i drive|when i drove|on the test drive|above|once moving|when rolling|as it rolls|after a drive|after a test drive|at speed|after a few metres|after moving off|when it moves|as soon as it moves|as soon as it rolls|as soon as i drive|as soon as we drive|while driving|when driving|after a kilometre|after a few kilometres',
    ),
    { is: 'check', check: { check: 'clear-and-drive', result: 'back-when-driven' } },
  ],
  [
    `${back('on bumps|over bumps|on rough roads|on a bump|over a bump|over potholes')}|over bumps|on bumps|at bumps|when it hits a bump|on rough roads|on rough road|over potholes|on potholes|on cobbles|over cobbles|over rough ground|on rough ground|on speed bumps|over speed bumps|when i hit a bump|hitting a bump|on a bump|on bumpy roads|over a bump|at every bump|on rough surfaces`,
    { is: 'check', check: { check: 'clear-and-drive', result: 'back-on-bumps' } },
  ],
  [
    'stays away|stayed away|cleared and stayed out|did not come back|hasnt come back|has not come back|stayed off|stays off|stayed out|stays out|not come back|never came back|didnt come back|has stayed off|has stayed out|gone for good',
    { is: 'check', check: { check: 'clear-and-drive', result: 'stays-away' } },
  ],
];

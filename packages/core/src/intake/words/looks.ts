import type { CheckKind } from '../../checkKinds/checkKind.ts';
import { CHECK_KINDS } from '../../checkKinds/checkKinds.ts';
import type { ItemLine, Look, Looked } from './item.ts';

/** Ways a thing can look, in the words people use; which result each means is said by the kind of check. */
const LOOK_WORDS: Readonly<Record<string, string>> = {
  cracked:
    'cracked|crack|cracks|split|has split|is split|splits|hairline crack|cracked through|crack in it|crack in',
  broken: 'broke|broken|broke in two|smashed|crushed|destroyed|bust|busted|damaged|bent|knocked off|mangled',
  'in-pieces':
    'melted|burnt|burned|in pieces|in bits|shattered|fell apart|falls apart|fallen apart|crumbled|crumbles|crumbling|shell broken|housing broken|broken shell|broken housing|came apart in my hand|shell in pieces|disintegrated',
  snapped: 'snapped|sheared',
  'snapped-coming-out':
    'snapped coming out|snapped off|snapped when pulled|snapped on the way out|broke coming out|broke on the way out|broke off|snapped in the bore|came out in bits|came out in two|came out in pieces|broke off in the knuckle|sheared off|broke when pulled|snapped when i pulled it|snapped when pulling it|still in the knuckle|left in the bore|stuck in the bore|snapped flush|broke when i pulled it|snapped taking it out|broke taking it out|broke in half|in the bore still|stays in the bore|stay in the bore|stayed in the bore|remains in the bore|piece in the bore|tip in the bore|stuck in the knuckle|left in the knuckle|stayed in the knuckle|stays in the knuckle|half in the bore|half in the knuckle|rest is in the bore|head stayed behind|came apart coming out|had to drill it out|had to be drilled out|drilled it out|drilled out',
  'missing-teeth':
    'missing teeth|teeth missing|tooth missing|missing a tooth|missing tooth|teeth gone|tooth gone|teeth have gone|tooth has gone|chipped|chipped teeth|teeth broken off|teeth chipped|teeth broken|broken teeth|teeth worn away|a tooth off|teeth off|teeth are missing|tooth is missing|teeth are gone|lost a tooth|lost teeth|has lost two teeth|teeth worn off|gap in the teeth',
  missing: 'missing',
  rusted:
    'rusted|rusty|rust|swollen|swelled|swollen with rust|rotten|scabby|flaking|rusted solid|rust jacked|rust jacking|lifted by rust|swollen from rust|badly rusted|rusted away|blown up with rust|pitted',
  corroded: 'corroded|corrosion',
  green:
    'green|green inside|full of green|verdigris|white powder|green crud|furred up|gone green|green in it|green powder|crusty|black and green|gone black',
  wet: 'full of water|wet inside|water in it|water inside|water in|water|wet|damp|damp inside|waterlogged|water ran out of|moisture|soaked',
  dirty:
    'dirty|full of dirt|clogged|caked|full of brake dust|caked in mud|caked in dirt|full of mud|packed with mud|filthy|brake dust|muddy|clogged up',
  metal:
    'metal on it|swarf|filings|metal filings|covered in swarf|covered in filings|metal dust|full of metal|furry with metal|full of metal dust|metal stuck to it|iron filings|metal fur|furry|metal shavings|metal bits on it|hairy with metal|metal on the end|bits of metal on it|metal paste|metal all over it|metal',
  'metal-on-tip':
    'metal on tip|metal on the tip|metal on the sensor|metal on the sensor tip|metal stuck to the tip',
  rubbed:
    'rubbed|rubbing|rub|rubs|worn away|ground down|ground away|scored|shiny from rubbing|shiny|polished|worn flat|touching the ring|touched the ring|ground off|scraped|been rubbing|worn down|rubbed away|ground by the ring|has ground|ground the|ground into|rubs on|rubs against|rubbing on|rubbing against|rubbed against|has rubbed|worn by the ring',
  chafed:
    'chafed|frayed|worn through|rubbed through|bare|chafing|chafed through|insulation gone|rubbed bare|worn bare|insulation worn|strands showing|copper showing|bare copper|nicked',
  cut: 'cut|severed|torn|pulled apart|torn off|torn out|ripped|ripped off|ripped out|cut through|cut clean through|hanging off|pulled out|in two|pulled off|broken through|parted',
  'broken-lock':
    'broken lock|lock broken|locks broken|lock snapped|lock gone|locks gone|clip broken|clip snapped|broken clip|latch broken|broken latch|tab broken|clip gone|lock tab broken|clip missing|lock missing|does not lock|doesnt lock|wont lock|no lock|wont clip|wont latch|lock has gone|clip has gone|clip is broken|lock is broken',
  'loose-pins':
    'loose pins|loose pin|pin pushed back|pins pushed back|pin backed out|pins backed out|pins loose|pin loose|pins spread|spread pins|spread|pushed back|backed out|pin bent|pins bent|bent pin|bent pins|loose terminal|terminal loose|terminals loose|terminal pushed back|terminals spread|pin has pushed back|pins have pushed back|pin pushed out',
  'earlier-repair':
    'earlier repair|old repair|previous repair|been repaired before|spliced|soldered before|bodged|taped up|repaired before|choc block|choc blocks|twisted together|insulating tape|been joined before|joined before|old splice|old bodge|bodge|someone has been at it|been got at',
  loose:
    'loose|slack|not seated|half out|bolt loose|bolt missing|bolt was loose|bolt has gone|not bolted|working loose|worked loose|spins|moved on the shaft|slipped|spins on the shaft|come loose|come away|came loose|hanging loose|fallen out|fell out|not pushed home|not in all the way|not pushed in|not pushed in all the way|not fully in|not all the way in|sits proud|stands proud|coming off|nearly came off|came off|come off|falling off|fell off|about to come off|nearly off|almost came off|nearly fell off',
};

const KINDS: readonly CheckKind[] = CHECK_KINDS;

/** What one way of looking means, by what it is said of. */
const meaningOf = (way: string): Look => {
  const heard = KINDS.flatMap(({ looks }) => Object.entries(looks ?? {}));
  const alone = heard.find(([, look]) => look.alone.includes(way))?.[0];
  return {
    of: Object.fromEntries(
      heard.flatMap(([thing, { results }]) => (results[way] ? [[thing, results[way]]] : [])),
    ),
    ...(alone ? { alone: alone as Looked } : {}),
  };
};

/** How things look, by what they are said of. `loose` of a wheel is play, and no look. */
export const LOOKS: readonly ItemLine[] = [
  ...Object.entries(LOOK_WORDS).map(([way, words]): ItemLine => [
    words,
    { is: 'look', look: meaningOf(way), ...(way === 'loose' ? { loose: true } : {}) },
  ]),
  [
    'sound|fine|good|ok|okay|intact|clean|perfect|like new|undamaged|dry|all there|no damage|looks new|as new|alright|clean and dry|spotless|clean as a whistle|in one piece|healthy|unmarked|not marked|looks the part|bright|clear|all good|all ok|all fine|all clean|well|nothing wrong with|in good nick|in good order|as it should be',
    { is: 'sound' },
  ],
  [
    'cant see|cannot see|not visible|cant be seen|hidden|couldnt see|could not see|out of sight|cant get to|couldnt get to|no way to see|cant see past|behind the backplate|not seen|havent seen|not looked at|couldnt get a look at',
    { is: 'unseen' },
  ],
  [
    'couldnt check|could not check|not checked|not tried|havent checked|havent looked|didnt check|not tested|not metered|not measured|not rocked|not spun|havent metered|didnt meter|didnt look|did not check|havent tried|couldnt tell|cant tell|not measured|havent measured|didnt measure|no idea|dont know|not sure about|unknown|havent rocked|didnt try',
    { is: 'unchecked' },
  ],
];

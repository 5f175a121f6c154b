import type { ItemLine, Look } from './item.ts';

const look = (words: string, of: Look['of'], alone?: Look['alone']): ItemLine => [
  words,
  { is: 'look', look: { of, ...(alone ? { alone } : {}) } },
];

/** How things look, in the words people use, by what they are said of. */
export const LOOKS: readonly ItemLine[] = [
  look(
    'cracked|crack|cracks|split|has split|is split|splits|hairline crack|cracked through|crack in it|crack in',
    {
      ring: 'cracked',
      teeth: 'cracked',
      sensor: 'broken',
      plug: 'shell-broken',
      loom: 'chafed',
      lead: 'lead-damaged',
    },
  ),
  look('broke|broken|broke in two|smashed|crushed|destroyed|bust|busted|damaged|bent|knocked off|mangled', {
    ring: 'cracked',
    teeth: 'missing-teeth',
    sensor: 'broken',
    plug: 'shell-broken',
    loom: 'cut',
    lead: 'lead-damaged',
  }),
  look(
    'melted|burnt|burned|in pieces|in bits|shattered|fell apart|falls apart|fallen apart|crumbled|crumbles|crumbling|shell broken|housing broken|broken shell|broken housing|came apart in my hand|shell in pieces|disintegrated',
    { plug: 'shell-broken', ring: 'cracked', sensor: 'broken' },
  ),
  look('snapped|sheared', {
    sensor: 'snapped',
    ring: 'cracked',
    teeth: 'missing-teeth',
    plug: 'shell-broken',
    loom: 'cut',
    lead: 'lead-damaged',
  }),
  look(
    'snapped coming out|snapped off|snapped when pulled|snapped on the way out|broke coming out|broke on the way out|broke off|snapped in the bore|came out in bits|came out in two|came out in pieces|broke off in the knuckle|sheared off|broke when pulled|snapped when i pulled it|snapped when pulling it|still in the knuckle|left in the bore|stuck in the bore|snapped flush|broke when i pulled it|snapped taking it out|broke taking it out|broke in half|in the bore still|stays in the bore|stay in the bore|stayed in the bore|remains in the bore|piece in the bore|tip in the bore|stuck in the knuckle|left in the knuckle|stayed in the knuckle|stays in the knuckle|half in the bore|half in the knuckle|rest is in the bore|head stayed behind|came apart coming out|had to drill it out|had to be drilled out|drilled it out|drilled out',
    { sensor: 'snapped', lead: 'lead-damaged' },
    'sensor',
  ),
  look(
    'missing teeth|teeth missing|tooth missing|missing a tooth|missing tooth|teeth gone|tooth gone|teeth have gone|tooth has gone|chipped|chipped teeth|teeth broken off|teeth chipped|teeth broken|broken teeth|teeth worn away|a tooth off|teeth off|teeth are missing|tooth is missing|teeth are gone|lost a tooth|lost teeth|has lost two teeth|teeth worn off|gap in the teeth',
    { ring: 'missing-teeth', teeth: 'missing-teeth' },
    'ring',
  ),
  look('missing', { ring: 'missing-teeth', teeth: 'missing-teeth' }),
  look(
    'rusted|rusty|rust|swollen|swelled|swollen with rust|rotten|scabby|flaking|rusted solid|rust jacked|rust jacking|lifted by rust|swollen from rust|badly rusted|rusted away|blown up with rust|pitted',
    {
      ring: 'rusted',
      teeth: 'rusted',
      sensor: 'corroded',
      plug: 'corroded',
      loom: 'corroded',
      lead: 'lead-damaged',
    },
  ),
  look('corroded|corrosion', {
    plug: 'corroded',
    loom: 'corroded',
    sensor: 'corroded',
    ring: 'rusted',
    teeth: 'rusted',
    lead: 'lead-damaged',
  }),
  look(
    'green|green inside|full of green|verdigris|white powder|green crud|furred up|gone green|green in it|green powder|crusty|black and green|gone black',
    { plug: 'corroded', loom: 'corroded', sensor: 'corroded' },
    'plug',
  ),
  look(
    'full of water|wet inside|water in it|water inside|water in|water|wet|damp|damp inside|waterlogged|water ran out of|moisture|soaked',
    { plug: 'corroded', loom: 'corroded' },
  ),
  look(
    'dirty|full of dirt|clogged|caked|full of brake dust|caked in mud|caked in dirt|full of mud|packed with mud|filthy|brake dust|muddy|clogged up',
    { ring: 'dirty', teeth: 'dirty', sensor: 'metal-on-tip' },
  ),
  look(
    'metal on it|swarf|filings|metal filings|covered in swarf|covered in filings|metal dust|full of metal|furry with metal|full of metal dust|metal stuck to it|iron filings|metal fur|furry|metal shavings|metal bits on it|hairy with metal|metal on the end|bits of metal on it|metal paste|metal all over it|metal',
    { sensor: 'metal-on-tip', ring: 'dirty', teeth: 'dirty' },
  ),
  look(
    'metal on tip|metal on the tip|metal on the sensor|metal on the sensor tip|metal stuck to the tip',
    { sensor: 'metal-on-tip' },
    'sensor',
  ),
  look(
    'rubbed|rubbing|rub|rubs|worn away|ground down|ground away|scored|shiny from rubbing|shiny|polished|worn flat|touching the ring|touched the ring|ground off|scraped|been rubbing|worn down|rubbed away|ground by the ring|has ground|ground the|ground into|rubs on|rubs against|rubbing on|rubbing against|rubbed against|has rubbed|worn by the ring',
    { sensor: 'rubbed', loom: 'chafed', lead: 'lead-damaged' },
  ),
  look(
    'chafed|frayed|worn through|rubbed through|bare|chafing|chafed through|insulation gone|rubbed bare|worn bare|insulation worn|strands showing|copper showing|bare copper|nicked',
    { loom: 'chafed', lead: 'lead-damaged', plug: 'corroded' },
    'loom',
  ),
  look(
    'cut|severed|torn|pulled apart|torn off|torn out|ripped|ripped off|ripped out|cut through|cut clean through|hanging off|pulled out|in two|pulled off|broken through|parted',
    { loom: 'cut', lead: 'lead-damaged', plug: 'shell-broken' },
  ),
  look(
    'broken lock|lock broken|locks broken|lock snapped|lock gone|locks gone|clip broken|clip snapped|broken clip|latch broken|broken latch|tab broken|clip gone|lock tab broken|clip missing|lock missing|does not lock|doesnt lock|wont lock|no lock|wont clip|wont latch|lock has gone|clip has gone|clip is broken|lock is broken',
    { plug: 'broken-lock' },
    'plug',
  ),
  look(
    'loose pins|loose pin|pin pushed back|pins pushed back|pin backed out|pins backed out|pins loose|pin loose|pins spread|spread pins|spread|pushed back|backed out|pin bent|pins bent|bent pin|bent pins|loose terminal|terminal loose|terminals loose|terminal pushed back|terminals spread|pin has pushed back|pins have pushed back|pin pushed out',
    { plug: 'loose-pins' },
  ),
  look(
    'earlier repair|old repair|previous repair|been repaired before|spliced|soldered before|bodged|taped up|repaired before|choc block|choc blocks|twisted together|insulating tape|been joined before|joined before|old splice|old bodge|bodge|someone has been at it|been got at',
    { plug: 'earlier-repair', loom: 'earlier-repair', lead: 'lead-damaged' },
    'loom',
  ),
  [
    'loose|slack|not seated|half out|bolt loose|bolt missing|bolt was loose|bolt has gone|not bolted|working loose|worked loose|spins|moved on the shaft|slipped|spins on the shaft|come loose|come away|came loose|hanging loose|fallen out|fell out|not pushed home|not in all the way|not pushed in|not pushed in all the way|not fully in|not all the way in|sits proud|stands proud|coming off|nearly came off|came off|come off|falling off|fell off|about to come off|nearly off|almost came off|nearly fell off',
    {
      is: 'look',
      loose: true,
      look: {
        of: { ring: 'loose', teeth: 'loose', sensor: 'loose', plug: 'loose-pins', lead: 'lead-damaged' },
      },
    },
  ],
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

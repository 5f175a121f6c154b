import { lexicon, type Lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import type { Check } from '../vocabulary/check.ts';
import { CHECK_IN_WORDS } from '../vocabulary/inWords.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import type { LocatedPosition } from '../positions/readPositions.ts';
import { clausesOf, type SourceText } from './sourceText.ts';

type Looked = 'visual.ring' | 'visual.sensor' | 'visual.connector' | 'visual.harness';

const THINGS = lexicon<Looked>([
  ['ring|tone ring|abs ring|reluctor|reluctor ring|toothed ring|rings|teeth', 'visual.ring'],
  ['sensor|tip|sensor tip|sensor head|sensor lead|sensor cable|sensor itself', 'visual.sensor'],
  ['connector|plug|terminals|pins|joint|connection|multiplug|crimp|crimps|socket', 'visual.connector'],
  ['loom|harness|wiring|wires|wire|cable|lead', 'visual.harness'],
]);

const LOOKS: Readonly<Record<Looked, Lexicon<string>>> = {
  'visual.ring': lexicon([
    ['cracked|crack|split|broken', 'cracked'],
    ['loose|spins|moved', 'loose'],
    ['missing teeth|teeth missing|missing|missing a tooth|tooth missing|chipped|worn away', 'missing-teeth'],
    ['rusted|rusty|rust|corroded|swollen|rotten', 'rusted'],
    ['dirty|full of dirt|clogged|caked|full of brake dust', 'dirty'],
    ['sound|fine|good|ok|looks good|looks fine|looks ok|intact|clean', 'sound'],
    ['cant see|cannot see|not visible|cant be seen|hidden', 'not-visible'],
  ]),
  'visual.sensor': lexicon([
    [
      'snapped coming out|snapped off|snapped when pulled|broke coming out|broke off|snapped in the bore|came out in bits|came out in two|broke off in the knuckle|torn off|sheared off|snapped',
      'snapped',
    ],
    ['broken|smashed|cracked|crushed|destroyed|in bits', 'broken'],
    ['corroded|rusty|rusted|rotten', 'corroded'],
    ['rubbed|rubbing|worn away|ground down|ground away|scored', 'rubbed'],
    [
      'metal on tip|swarf|filings|covered in swarf|metal filings|metal on it|metal on the tip',
      'metal-on-tip',
    ],
    ['loose|not seated|bolt loose|bolt missing', 'loose'],
    ['lead damaged|lead cut|lead chafed|cable damaged|lead split', 'lead-damaged'],
    ['sound|looks fine|looks good|looks ok|clean', 'sound'],
  ]),
  'visual.connector': lexicon([
    [
      'corroded|corrosion|green|green inside|full of green|verdigris|white powder|rotten|full of water|green crud|furred up|wet inside',
      'corroded',
    ],
    ['broken lock|lock broken|clip broken|lock snapped|broken clip', 'broken-lock'],
    [
      'in pieces|shell broken|broken shell|shell in pieces|housing broken|broken housing|shattered|smashed|fell apart|falls apart|in bits|crumbled',
      'shell-broken',
    ],
    ['loose pins|loose pin|pin pushed back|pins loose|spread|pin backed out', 'loose-pins'],
    [
      'earlier repair|old repair|previous repair|spliced|soldered before|been repaired|bodged|taped up',
      'earlier-repair',
    ],
    ['sound|clean|dry|looks fine|looks good|is fine|ok|good|clean and dry', 'sound'],
  ]),
  'visual.harness': lexicon([
    ['chafed|rubbed through|rubbed|worn through|frayed', 'chafed'],
    ['cut|broken|snapped|torn|severed|pulled apart', 'cut'],
    ['corroded|green|rotten|corrosion', 'corroded'],
    ['earlier repair|old repair|spliced|soldered|bodged|taped up', 'earlier-repair'],
    ['sound|looks fine|looks good|intact|fine|ok', 'sound'],
  ]),
};

/** Whole phrases that are a check by themselves. */
export const CHECK_PHRASES = lexicon<Check>([
  [
    'no play|no play in it|no play in the bearing|no play in the wheel|bearing tight|wheel is tight|no bearing play|no free play',
    { check: 'bearing.play', result: 'none' },
  ],
  [
    'slight play|little play|bit of play|a little play|some play|slight bearing play|tiny bit of play|small play',
    { check: 'bearing.play', result: 'slight' },
  ],
  [
    'clear play|bearing play clear|lots of play|plenty of play|loads of play|play in the bearing|play in the wheel|wheel is loose|bearing loose|bearing is loose|bearing has play|wheel wobbles|loose bearing|wheel rocks|clear bearing play|obvious play|bearing play',
    { check: 'bearing.play', result: 'clear' },
  ],
  [
    'growls when spun|growl when spun|bearing growls|grumbles when spun|noisy when spun|rumbles when spun|bearing rumbles|rough when spun',
    { check: 'bearing.noise', result: 'growl' },
  ],
  [
    'no noise when spun|spins quietly|spins silently|quiet when spun|bearing quiet|spins free and quiet',
    { check: 'bearing.noise', result: 'none' },
  ],
  [
    'meter reads open|reads open|meter says open|open on the meter|open circuit on the meter|infinite resistance|infinity|sensor reads open|ol on the meter|reads ol|metered open|meters open|sensor open|measures open|sensor is open',
    { check: 'meter.resistance', of: 'sensor', ohms: 'open' },
  ],
  [
    'reads short|shorted on the meter|dead short|zero ohms|0 ohms|sensor shorted|reads shorted',
    { check: 'meter.resistance', of: 'sensor', ohms: 'short' },
  ],
  [
    'reading jumps|reading unstable|meter jumps|resistance jumps|resistance unstable|unstable reading|meter unsteady',
    { check: 'meter.resistance', of: 'sensor', ohms: 'unstable' },
  ],
  [
    'new sensor reads open|new one reads open|new sender reads open',
    { check: 'meter.resistance', of: 'new-part', ohms: 'open' },
  ],
  [
    'brake fluid low|fluid low|fluid is low|brake fluid is low|low brake fluid|low on fluid|low on brake fluid|fluid level low|reservoir low|reservoir empty|fluid below minimum|fluid below min',
    { check: 'brake.fluid', result: 'low' },
  ],
  [
    'brake fluid leak|fluid leak|fluid leaking|leaking fluid|leaking brake fluid|brake fluid leaking|losing fluid|losing brake fluid|fluid on the wheel|fluid down the wheel|wheel wet with fluid|brake pipe leaking|caliper leaking|wheel cylinder leaking',
    { check: 'brake.fluid', result: 'leaking' },
  ],
  [
    'brake fluid full|fluid full|fluid level ok|fluid ok|fluid level fine|brake fluid ok|fluid is full|fluid level good|brake fluid fine',
    { check: 'brake.fluid', result: 'full' },
  ],
  [
    'light went out by itself|lamp went out by itself|lights went out by themselves|lamps went out by themselves|light went off by itself|went out on its own|went off on its own',
    { check: 'lamps', result: 'out-by-itself' },
  ],
  [
    'no supply|no supply at the plug|no voltage at the plug|no volts at the plug|no feed|no feed at the plug|no power at the plug|0 volts at the plug',
    { check: 'meter.supply', volts: 0 },
  ],
  [
    'changes when wiggled|cuts out when wiggled|changes when i wiggle it|changes when moved|drops out when wiggled|comes and goes when wiggled|wiggle changes it|wiggling changes it',
    { check: 'wiggle', result: 'changes' },
  ],
  [
    'steady when wiggled|nothing when wiggled|no change when wiggled|wiggle test steady',
    { check: 'wiggle', result: 'steady' },
  ],
  [
    'fault followed|fault moved with it|fault moved with the sensor|fault moved to the other side|fault follows the sensor|fault went with it|moved with the sensor',
    { check: 'swap', result: 'fault-followed' },
  ],
  [
    'fault stayed|fault stayed put|fault stayed where it was|fault did not move|swapped no change|fault stayed on the same side|fault stays',
    { check: 'swap', result: 'fault-stayed' },
  ],
  [
    'back at once|came back at once|comes back at once|came straight back|comes straight back|back straight away|came back immediately|back immediately|comes back as soon as',
    { check: 'clear-and-drive', result: 'back-at-once' },
  ],
  [
    'back when driven|comes back when driven|came back when driven|back on moving off|comes back when moving|comes back on driving|came back on the road|comes back as i drive',
    { check: 'clear-and-drive', result: 'back-when-driven' },
  ],
  [
    'back on bumps|comes back on bumps|comes back over bumps|over bumps|on bumps|when it hits a bump|on rough roads|on rough road',
    { check: 'clear-and-drive', result: 'back-on-bumps' },
  ],
  [
    'stays away|stayed away|cleared and stayed out|did not come back|hasnt come back|has not come back|stayed off',
    { check: 'clear-and-drive', result: 'stays-away' },
  ],
  [
    'no live speed|reads zero|shows zero|no reading live|reads 0|shows 0|stays at zero|no speed reading|no speed on live data|live data zero|no speed on that wheel|zero on live data',
    { check: 'live', pattern: 'no-signal' },
  ],
  [
    'drops out|dropping out|cuts in and out|comes and goes live|speed drops out|signal drops out',
    { check: 'live', pattern: 'drops-out' },
  ],
  [
    'once per turn|once a turn|once per wheel turn|every turn of the wheel|once every turn',
    { check: 'live', pattern: 'once-per-turn' },
  ],
  [
    'all speeds the same|all four the same|live speeds normal|all speeds match|all four speeds match|live data normal|live data fine',
    { check: 'live', pattern: 'normal' },
  ],
  [
    'weak at low speed|drops out at low speed|only below walking pace|cuts out at walking pace|lost at low speed',
    { check: 'live', pattern: 'weak-at-low-speed' },
  ],
]);

/** Words that may stand between a thing and how it looks. */
const BETWEEN = new Set(
  'is was has are the a an looks look looked very all quite badly bit little in it its of there some full seems and at on been'.split(
    ' ',
  ),
);
const NEAR = 4;

const describe = (check: Check): string => {
  const result =
    'result' in check
      ? check.result
      : check.check === 'live'
        ? check.pattern
        : check.check === 'meter.resistance'
          ? typeof check.ohms === 'number'
            ? `${check.ohms} ohm`
            : check.ohms
          : check.check === 'battery'
            ? `${check.restingVolts ?? check.crankingVolts ?? ''} V`
            : 'volts' in check
              ? `${check.volts} V`
              : '';
  return `${CHECK_IN_WORDS[check.check]}: ${result.replace(/-/g, ' ')}`;
};

interface Read {
  readonly check: Check;
  readonly from: number;
  readonly to: number;
  readonly note: string | null;
}

const lookedAt = (tokens: readonly Token[], free: (i: number) => boolean): Read[] => {
  const out: Read[] = [];
  for (const thing of THINGS.all(tokens)) {
    const looks = LOOKS[thing.meaning].all(tokens);
    const near = looks.find((look) => {
      const [a, b] = look.from >= thing.to ? [thing.to, look.from] : [look.to, thing.from];
      if (b < a || b - a > NEAR) return false;
      for (let i = a; i < b; i++) if (!BETWEEN.has(tokens[i]?.norm ?? '')) return false;
      return free(look.from) && free(thing.from);
    });
    if (
      !near ||
      /^(no|not|isnt)$/.test(tokens[Math.min(near.from, thing.from) - 1]?.norm ?? '') ||
      /^(not|isnt)$/.test(tokens[near.from - 1]?.norm ?? '')
    )
      continue;
    out.push({
      check: { check: thing.meaning, result: near.meaning } as Check,
      from: Math.min(thing.from, near.from),
      to: Math.max(thing.to, near.to),
      note: null,
    });
  }
  return out;
};

/** Readings with a number: ohms, volts at the plug, AC by hand, battery volts, a share high or low. */
const measured = (text: string): Array<{ check: Check; start: number; end: number; note: string | null }> => {
  const out: Array<{ check: Check; start: number; end: number; note: string | null }> = [];
  const number = (s: string | undefined) => Number((s ?? '').replace(',', '.'));
  for (const m of text.matchAll(
    /(?<![\p{L}\d./])(\d+(?:[.,]\d+)?)\s?(k\s?ohms?|kohms?|k\s?\u03A9|k|ohms?|\u03A9)(?![\p{L}\d])/giu,
  )) {
    const kilo = /^k/i.test(m[2] ?? '');
    const newPart =
      /^\W*(?:on|for|across|of)?\W*(?:the )?new (?:one|sensor|part|sender)/i.test(
        text.slice(m.index + m[0].length),
      ) || /new (?:one|sensor|part|sender)(?: \w+){0,2}\W*$/i.test(text.slice(0, m.index));
    out.push({
      check: {
        check: 'meter.resistance',
        of: newPart ? 'new-part' : 'sensor',
        ohms: Math.round(number(m[1]) * (kilo ? 1000 : 1)),
      },
      start: m.index,
      end: m.index + m[0].length,
      note: kilo ? `${m[0]} is ${Math.round(number(m[1]) * 1000)} ohm` : null,
    });
  }
  for (const m of text.matchAll(/(?<![\p{L}\d./])(\d+(?:[.,]\d+)?)\s?(m)?v(?:olts?)?\s?(ac)\b/giu))
    out.push({
      check: { check: 'meter.ac', volts: number(m[1]) / (m[2] ? 1000 : 1) },
      start: m.index,
      end: m.index + m[0].length,
      note: null,
    });
  for (const m of text.matchAll(
    /(?<![\p{L}\d./])(\d+(?:[.,]\d+)?)\s?v(?:olts?)?\s+(?:supply|at the (?:open )?plug|at the connector|feed|on the plug)/giu,
  ))
    out.push({
      check: { check: 'meter.supply', volts: number(m[1]) },
      start: m.index,
      end: m.index + m[0].length,
      note: null,
    });
  for (const m of text.matchAll(
    /battery\s+(?:is |at |reads |only )*(\d{1,2}(?:[.,]\d+)?)\s?v?(?:olts?)?(?![\p{L}\d])/giu,
  ))
    out.push({
      check: { check: 'battery', restingVolts: number(m[1]) },
      start: m.index,
      end: m.index + m[0].length,
      note: null,
    });
  for (const m of text.matchAll(
    /(?<![\p{L}\d.,])(\d+(?:[.,]\d+)?)\s?(?:%|percent|per cent)\s+(low|high|slow|fast|down|up)/giu,
  ))
    out.push({
      check: {
        check: 'live',
        pattern: /low|slow|down/i.test(m[2] ?? '') ? 'reads-low' : 'reads-high',
        percent: number(m[1]),
      },
      start: m.index,
      end: m.index + m[0].length,
      note: null,
    });
  return out.filter(
    (read, i) => !out.slice(0, i).some((earlier) => read.start < earlier.end && read.end > earlier.start),
  );
};

/** Reads checks that were made already, each tied to the corner named in its clause. */
export const readChecks = (
  source: SourceText,
  positions: readonly LocatedPosition[],
): { checks: Check[]; chips: Chip[] } => {
  const reads: Array<{ check: Check; start: number; end: number; note: string | null }> = [];
  const { tokens, text } = source;
  for (const read of measured(text)) {
    source.takeRange(read.start, read.end);
    reads.push(read);
  }
  for (const hit of CHECK_PHRASES.all(tokens)) {
    if (source.taken(hit.from)) continue;
    source.take(hit.from, hit.to);
    reads.push({
      check: hit.meaning,
      start: tokens[hit.from]?.start ?? 0,
      end: tokens[hit.to - 1]?.end ?? 0,
      note: null,
    });
  }
  for (const clause of clausesOf(tokens))
    for (const read of lookedAt(
      tokens.slice(clause.from, clause.to),
      (i) => !source.taken(clause.from + i),
    )) {
      source.take(clause.from + read.from, clause.from + read.to);
      reads.push({
        check: read.check,
        start: tokens[clause.from + read.from]?.start ?? 0,
        end: tokens[clause.from + read.to - 1]?.end ?? 0,
        note: null,
      });
    }
  reads.sort((a, b) => a.start - b.start);
  const stops = [...text.matchAll(/[.;!?\n](?!\d)/g)].map((match) => match.index);
  const sentenceOf = (at: number) => stops.filter((stop) => stop < at).length;
  return {
    checks: reads.map(({ check, start }) => {
      const near = positions.filter(
        (p) => p.wheelEnds.length === 1 && p.role !== 'denied' && sentenceOf(p.start) === sentenceOf(start),
      );
      const at = near.sort((x, y) => Math.abs(x.start - start) - Math.abs(y.start - start))[0];
      return check.check === 'battery' || !at ? check : { ...check, wheelEnd: at.wheelEnds[0] ?? null };
    }),
    chips: reads.map(({ check, start, end, note }) => ({
      kind: 'check' as const,
      label: describe(check),
      words: text.slice(start, end),
      start,
      end,
      note,
    })),
  };
};

import type { CheckName } from '../checkKinds/checkTypes.ts';
import { centsFrom } from '../vocabulary/money.ts';
import type { Outcome, OutcomeResult } from '../vocabulary/docket.ts';
import type { Cause, Symptom } from '../vocabulary/words.ts';
import { COUNT_WORDS, DAYS_IN } from './countWords.ts';

/** What words say came of a sale; what they do not say is not there. */
export type HeardOutcome = Omit<Partial<Outcome>, 'result'> & { result?: OutcomeResult };

type Phrase<T> = readonly [words: string, is: T];
const any = (words: string): RegExp => new RegExp(String.raw`(?<![\p{L}\d])(?:${words})(?![\p{L}\d])`, 'iu');
const first = <T>(phrases: ReadonlyArray<Phrase<T>>, text: string): T | null =>
  phrases.find(([words]) => any(words).test(text))?.[1] ?? null;

const COUNT = String.raw`(?<n>\d+(?:[.,]\d+)?|${Object.keys(COUNT_WORDS).join('|')})(?<half>\s+and\s+a\s+half)?`;
const numberIn = (match: RegExpExecArray | null): number | null => {
  const said = match?.groups?.n?.toLowerCase();
  if (said === undefined) return null;
  const n = COUNT_WORDS[said] ?? Number(said.replace(',', '.'));
  return match?.groups?.half || match?.groups?.later ? n + 0.5 : n;
};

const RESULTS: ReadonlyArray<Phrase<OutcomeResult>> = [
  [
    '(?:never|not|un)\\s*-?opened|still sealed|seal(?:ed)?(?: is| was)? (?:whole|intact|unbroken|not broken)|unopened|unused|never opened',
    'returned-unused',
  ],
  [
    '(?:box|packet|bag)(?: was| had been)? (?:been )?open(?:ed)?|opened the (?:box|packet|bag)|returned (?:it )?opened|opened and (?:returned|brought back)|brought (?:it )?back opened',
    'returned-opened',
  ],
  [
    "wrong part|wrong (?:one|sensor|ring|hub|plug)|did(?: not|n't) (?:fit|match)|does(?: not|n't) (?:fit|match)|would(?: not|n't) fit",
    'wrong-part',
  ],
  [
    'came back|come back|back (?:again )?(?:after|within|in)|(?:came|went|is|lit) (?:on|up) again|on again|returned after|(?:(?:lamps?|lights?|fault|code)(?: is|.s| are)?|it(?: is|.s)) back(?! to normal| on the road)|relapsed?|same (?:fault|code|light|lamp) again',
    'came-back',
  ],
  [
    "not (?:cured|fixed|solved|sorted|gone)|no (?:joy|better|change|luck|difference|good)|still (?:on|lit|there|the same|broken)|still (?:have|has|had|got|get|gets|shows?|showing) (?:the |that |a |his |her |my )?(?:same )?(?:lamps?|lights?|fault|code|message)|same (?:light|lamp|fault|code)s? as before|did(?: not|n't) (?:help|cure|fix|work)|light(?:s)? (?:is |are )?still on|lamps? (?:is |are )?still on",
    'not-cured',
  ],
  [
    'cured|fixed|sorted|solved|all good|works (?:fine|again|now)|working again|(?:all |the )?(?:lamps?|lights?)(?: all)? (?:are |is |has |have |went |gone |stayed |stays )?(?:been )?(?:out|off|gone)|done it|happy customer|good now|no more (?:lamp|light)s?|runs? fine',
    'cured',
  ],
];

/** A cure said with a denial some words before it: "was never really fixed". */
const DENIED = any(
  "(?:not|never|isn['’]?t|wasn['’]?t|aren['’]?t|weren['’]?t|hasn['’]?t|haven['’]?t|did ?n['’]?t|does ?n['’]?t|wo ?n['’]?t)(?:\\s+[\\p{L}'’]+){0,2}\\s+(?:cured?|fix(?:ed)?|sorted?|solved?|gone|go|out|off|right|working|any better)",
);

const LAMPS: ReadonlyArray<Phrase<Symptom>> = [
  ['speedo(?:meter)?', 'speedometer.dead'],
  ['brake (?:lamp|light)', 'lamp.brake'],
  ['traction (?:lamp|light)', 'lamp.traction'],
  ['abs (?:lamp|light)|anti-?lock (?:lamp|light)', 'lamp.abs'],
  ['noise|growl\\w*|hum(?:s|ming)?', 'noise.wheel'],
  ['puls\\w+|pedal', 'abs.activates-when-stopping'],
];
/** What follows a complaint that stayed. */
const STAYS = String.raw`(?:\s+(?:is|are|was|stays?|stayed))?\s+(?:still\s+)?(?:dead|there|on|lit|stays?|remains?|not gone|the same)`;

/** What is said to have been wrong: its thing, then what was seen of it. The nearest to the fault first. */
const CAUSES: ReadonlyArray<Phrase<Cause>> = [
  [
    'rust (?:under|behind|below) the sensor|sensor (?:was )?not (?:seated|home)|seat(?:ing)?|bore (?:was )?rust\\w*',
    'seating',
  ],
  ['wrong (?:sensor|ring) (?:had been |was )?fitted', 'mismatched-part'],
  ['encoder|magnetic ring', 'encoder'],
  ['(?:tone |abs |toothed )?ring|reluctor', 'ring'],
  ['(?:wheel )?bearing', 'bearing'],
  ['connector|plug|loom|wiring|wires?|harness|cable|terminal', 'wiring'],
  ['(?:two |odd |mixed |unequal )?(?:different|odd|mixed|unequal|wrong size) tyres?|tyres?', 'tyre'],
  ['battery|alternator|earth strap|low voltage', 'supply'],
  ['control unit|module|controller', 'module'],
  ['sender', 'sender'],
  ['sensor', 'sensor'],
];
const BAD =
  'cracked|broken|rusted|rusty|corroded|green|chafed|chewed|damaged|dead|open|short(?:ed)?|worn|loose|had play|bad|faulty|gone|failed|missing teeth|split|rubbed|at fault|the culprit|weak|flat';
const FAULTY = (thing: string): RegExp =>
  new RegExp(
    String.raw`(?<![\p{L}\d])(?:${thing})(?:,| was| were| is| had| been| all| just| simply|\s)*(?:${BAD})(?![\p{L}])|(?:different|odd|mixed|unequal) (?:${thing})(?![\p{L}\d])|(?:it was|was|turned out to be|so it was|so|only|just|because of|fault was|it's)\s+(?:only |just |the |a |an )*(?:${thing})(?![\p{L}\d])`,
    'iu',
  );

const KNOWN: ReadonlyArray<Phrase<NonNullable<Outcome['knownBy']>>> = [
  ['swapped|swapping|changed (?:it |them )?(?:over|side for side)|fault moved', 'swapped'],
  ['metered|measured|multimeter|meter said|read \\d+ ?ohms?|ohms?', 'metered'],
  [
    'saw it|could see|seen|visible|looked at|saw|spotted|noticed|green inside|had play|had a look|with (?:the )?wheel off',
    'seen',
  ],
];
const OUT: ReadonlyArray<Phrase<NonNullable<Outcome['gotOut']>>> = [
  [
    'knuckle (?:came |had to come )?off|(?:take|took|taken) the knuckle off|pressed (?:it )?out',
    'knuckle-off',
  ],
  ['drill\\w*', 'drilled'],
  ['pick\\w*|prised|levered|dug (?:it )?out|hooked', 'picked'],
];
const SNAPPED = any('snapped|broke off|sheared|broke in the (?:hub|bore)|snapped off');
const EASY = any(
  "(?:came|slid|popped) (?:straight |right )?out(?: fine| easily| clean(?:ly)?| without a fight| no trouble| in one)?|did(?: not|n't) snap|not snapped|out in one piece",
);

const TOLD_BY: ReadonlyArray<Phrase<CheckName>> = [
  ['metered|measured|multimeter', 'meter.resistance'],
  ['swapped|fault moved', 'swap'],
  ['live (?:data|speeds)|log', 'live'],
];

const LATER = new RegExp(String.raw`${COUNT}\s+(?<unit>day|week|fortnight|month|year)s?`, 'iu');
const HOURS = new RegExp(
  String.raw`${COUNT}(?:\s+an|\s+of an)?\s*(?:hours?|hrs?|h)(?![\p{L}])(?<later>\s+and\s+a\s+half)?`,
  'iu',
);
const MONEY =
  /(?:(?:€|£|\$)\s*(?<before>\d+(?:[.,]\d{1,2})?)|(?<after>\d+(?:[.,]\d{1,2})?)\s*(?:€|£|\$|euros?|eur|pounds?|quid))(?![\p{L}\d])/iu;

/** Reads what came of a sale. What could as well mean something else is left alone. */
export const readOutcome = (text: string): HeardOutcome => {
  const out: HeardOutcome = {};
  const stayed = LAMPS.filter(([words]) =>
    new RegExp(String.raw`(?<![\p{L}\d])(?:${words})${STAYS}`, 'iu').test(text),
  ).map(([, symptom]) => symptom);
  // A cure that is denied is none, wherever the denial stands before it.
  const result = DENIED.test(text) ? 'not-cured' : first(RESULTS, text);
  const goneToo = any('out|gone|off|cured|fixed|good').test(text);
  if (stayed.length > 0 && goneToo) {
    out.result = 'partly';
    out.stayed = stayed;
  } else if (result) out.result = result;
  const cause = CAUSES.find(([words]) => FAULTY(words).test(text))?.[1];
  if (cause && out.result !== 'wrong-part') {
    out.trueCause = cause;
    const known = first(KNOWN, text);
    if (known) out.knownBy = known;
    const told = first(TOLD_BY, text);
    if (told) out.toldBy = told;
  }
  if (SNAPPED.test(text)) {
    out.snapped = true;
    const way = first(OUT, text);
    if (way) out.gotOut = way;
  } else if (EASY.test(text)) out.snapped = false;
  if (out.result === 'came-back') {
    const later = LATER.exec(text);
    const n = numberIn(later);
    const days = DAYS_IN[later?.groups?.unit?.toLowerCase() ?? ''];
    if (n !== null && days !== undefined) out.afterDays = Math.round(n * days);
  }
  const hours = numberIn(HOURS.exec(text));
  if (hours !== null && hours <= 100) out.hours = hours;
  const paid = MONEY.exec(text);
  const sum = centsFrom(paid?.groups?.before ?? paid?.groups?.after ?? '');
  if (paid && sum !== null) out.spentCents = sum;
  return out;
};

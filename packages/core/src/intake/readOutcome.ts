import type { CheckName } from '../checkKinds/checkTypes.ts';
import { centsFrom } from '../vocabulary/money.ts';
import type { Outcome, OutcomeResult } from '../vocabulary/docket.ts';
import type { Cause, Symptom } from '../vocabulary/words.ts';

/** What words say came of a sale; what they do not say is not there. */
export type HeardOutcome = Omit<Partial<Outcome>, 'result'> & { result?: OutcomeResult };

type Phrase<T> = readonly [words: string, is: T];
const any = (words: string): RegExp => new RegExp(String.raw`(?<![\p{L}\d])(?:${words})(?![\p{L}\d])`, 'iu');
const first = <T>(phrases: ReadonlyArray<Phrase<T>>, text: string): T | null =>
  phrases.find(([words]) => any(words).test(text))?.[1] ?? null;

const NUMBER: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  half: 0.5,
};
const COUNT = String.raw`(?<n>\d+(?:[.,]\d+)?|${Object.keys(NUMBER).join('|')})(?<half>\s+and\s+a\s+half)?`;
const numberIn = (match: RegExpExecArray | null): number | null => {
  const said = match?.groups?.n?.toLowerCase();
  if (said === undefined) return null;
  const n = NUMBER[said] ?? Number(said.replace(',', '.'));
  return match?.groups?.half ? n + 0.5 : n;
};

const RESULTS: ReadonlyArray<Phrase<OutcomeResult>> = [
  [
    '(?:never|not|un)\\s*-?opened|still sealed|seal(?:ed)? (?:is )?(?:whole|intact)|unopened|unused|never opened',
    'returned-unused',
  ],
  [
    '(?:box|packet|bag)(?: was| had been)? (?:been )?open(?:ed)?|returned (?:it )?opened|opened and (?:returned|brought back)|brought (?:it )?back opened',
    'returned-opened',
  ],
  [
    "wrong part|wrong (?:one|sensor|ring|hub|plug)|did(?: not|n't) (?:fit|match)|does(?: not|n't) (?:fit|match)|would(?: not|n't) fit",
    'wrong-part',
  ],
  [
    'came back|come back|back (?:again )?(?:after|within|in)|(?:came|went|is|lit) (?:on|up) again|on again|returned after|relapsed?|same (?:fault|code|light|lamp) again',
    'came-back',
  ],
  [
    "not (?:cured|fixed|solved|sorted|gone)|no (?:joy|better|change|luck|difference|good)|still (?:on|lit|there|the same|broken)|same (?:light|lamp|fault|code)s? as before|did(?: not|n't) (?:help|cure|fix|work)|light(?:s)? (?:is |are )?still on|lamps? (?:is |are )?still on",
    'not-cured',
  ],
  [
    'cured|fixed|sorted|solved|all good|works (?:fine|again|now)|working again|(?:all |the )?(?:lamps?|lights?)(?: all)? (?:are |is )?(?:out|off|gone)|happy customer|good now|no more (?:lamp|light)s?|runs? fine',
    'cured',
  ],
];

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
  ['tyres?', 'tyre'],
  ['battery|alternator|earth strap|low voltage', 'supply'],
  ['control unit|module|controller', 'module'],
  ['sender', 'sender'],
  ['sensor', 'sensor'],
];
const BAD =
  'cracked|broken|rusted|rusty|corroded|green|chafed|chewed|damaged|dead|open|short(?:ed)?|worn|loose|had play|bad|faulty|gone|failed|missing teeth|split|rubbed|at fault|the culprit|weak|flat';
const FAULTY = (thing: string): RegExp =>
  new RegExp(
    String.raw`(?<![\p{L}\d])(?:${thing})(?:,| was| were| is| had| been| all| just| simply|\s)*(?:${BAD})(?![\p{L}])|(?:it was|was|turned out to be|so it was|so|only|just|because of|fault was|it's)\s+(?:only |just |the |a |an )*(?:${thing})(?![\p{L}\d])`,
    'iu',
  );

const KNOWN: ReadonlyArray<Phrase<NonNullable<Outcome['knownBy']>>> = [
  ['swapped|swapping|changed (?:it |them )?(?:over|side for side)|fault moved', 'swapped'],
  ['metered|measured|multimeter|meter said|read \\d+ ?ohms?|ohms?', 'metered'],
  [
    'saw it|could see|seen|visible|looked at|saw|green inside|had play|had a look|with (?:the )?wheel off',
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

const DAYS: Readonly<Record<string, number>> = { day: 1, week: 7, fortnight: 14, month: 30, year: 365 };
const LATER = new RegExp(String.raw`${COUNT}\s+(?<unit>day|week|fortnight|month|year)s?`, 'iu');
const HOURS = new RegExp(String.raw`${COUNT}(?:\s+an|\s+of an)?\s*(?:hours?|hrs?|h)(?![\p{L}])`, 'iu');
const MONEY =
  /(?:(?:€|£|\$)\s*(?<before>\d+(?:[.,]\d{1,2})?)|(?<after>\d+(?:[.,]\d{1,2})?)\s*(?:€|£|\$|euros?|eur|pounds?|quid))(?![\p{L}\d])/iu;

/** Reads what came of a sale. What could as well mean something else is left alone. */
export const readOutcome = (text: string): HeardOutcome => {
  const out: HeardOutcome = {};
  const stayed = LAMPS.filter(([words]) =>
    new RegExp(String.raw`(?<![\p{L}\d])(?:${words})${STAYS}`, 'iu').test(text),
  ).map(([, symptom]) => symptom);
  const result = first(RESULTS, text);
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
    const days = DAYS[later?.groups?.unit?.toLowerCase() ?? ''];
    if (n !== null && days !== undefined) out.afterDays = Math.round(n * days);
  }
  const hours = numberIn(HOURS.exec(text));
  if (hours !== null && hours <= 100) out.hours = hours;
  const paid = MONEY.exec(text);
  const sum = centsFrom(paid?.groups?.before ?? paid?.groups?.after ?? '');
  if (paid && sum !== null) out.spentCents = sum;
  return out;
};

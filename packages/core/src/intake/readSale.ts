import * as chrono from 'chrono-node';
import { symptomOf } from '../vocabulary/complaints.ts';
import type { Docket, DocketSymptom } from '../vocabulary/docket.ts';
import { SYMPTOM_IN_WORDS } from '../vocabulary/inWords.ts';
import { centsFrom } from '../vocabulary/money.ts';
import type { Wish } from '../vocabulary/sale.ts';
import type { Symptom } from '../vocabulary/words.ts';

/** Who pays, how much, by when, and what matters: what words say of the sale, not of the fault. */
export interface HeardSale {
  readonly kind: NonNullable<Docket['customer']>['kind'];
  readonly firm: string | null;
  readonly budgetCents: number | null;
  readonly neededBy: string | null;
  /** Of these complaints: what must be cured, what one can live with. */
  wishes(symptoms: readonly DocketSymptom[]): Wish[];
  readonly spans: ReadonlyArray<{ start: number; end: number }>;
}

const TRADE =
  /\b(?:trade (?:account|customer|price|terms)|on the trade|garage account|(?:i am|i'm|we are|we're) (?:a|the) garage)\b/iu;
const FLEET = /\b(?:fleet (?:account|price|terms)|(?:charge|bill|put|book) it to the fleet|on the fleet)\b/iu;
/** A name that ends as firms do, where a caller says that it is theirs. */
const FIRM =
  /\b(?:calling from|ringing from|this is|here is|it's|on behalf of)\s+(?:the\s+)?(?<firm>(?:\p{Lu}[\p{L}'&-]*\s+){1,3}(?:Garage|Motors|Haulage|Transport|Taxis|School|Council|Depot|Farm|Fisheries|Nets|Boats|Logistics|Ltd|Rentals))\b/u;
const AMOUNT = String.raw`(?<sum>\d{2,6}(?:[.,]\d{1,2})?)`;
const SIGN = String.raw`(?:€|£|\$)`;
const CURRENCY = String.raw`(?:€|£|\$|euros?\b|eur\b|pounds?\b|quid\b|dollars?\b|crowns?\b)`;
const MOST = String.raw`(?:no more than|not more than|at most|maximum(?: of)?|max(?: of)?|up to|not over|can't go over|cannot go over)`;
/** A sum is a budget where it is called one, or where it is money that must not be passed: a speed or an ohm is neither. */
const BUDGETS = [
  new RegExp(
    String.raw`\bbudget(?:\s+(?:is|of|about|around))*:?\s*${SIGN}?\s*${AMOUNT}\s*${CURRENCY}?`,
    'iu',
  ),
  new RegExp(String.raw`\b${MOST}\s+${SIGN}\s*${AMOUNT}`, 'iu'),
  new RegExp(String.raw`\b${MOST}\s+${AMOUNT}\s*${CURRENCY}`, 'iu'),
];
const BY =
  /\b(?:needed|needs it(?: back)?|need it(?: back)?|wanted|must run|has to run|has to be ready|must be ready|back on the road|ready)\s+by\s+(?<day>(?:this |next )?[\p{L}\d]+(?:\s+(?:of\s+)?(?:january|february|march|april|may|june|july|august|september|october|november|december))?)/iu;

const LAMPS = ['lamp.abs', 'lamp.rear-abs', 'lamp.traction', 'lamp.brake', 'lamp.awd'] as const;
/** What people call a complaint when they speak of how much it matters. */
const THINGS: ReadonlyArray<readonly [words: string, symptoms: readonly Symptom[]]> = [
  ['speedometer|speedo', ['speedometer.dead', 'speedometer.erratic']],
  ['traction (?:lamp|light)', ['lamp.traction']],
  ['brake (?:lamp|light)', ['lamp.brake']],
  ['lamps?|lights?', LAMPS],
  ['noise|growl|hum|growling', ['noise.wheel']],
  ['gearbox|shifting|gear changes?', ['shifting.bad']],
  ['pulsing|pedal', ['abs.activates-when-stopping']],
  ['message', ['message.driver-assist', 'message.tyre-monitor']],
];
const thing = (words: string): string =>
  String.raw`(?:the |his |her |their |my |that )?(?:abs |anti-lock )?(?:${words})`;
const NOT = String.raw`(?:does not|doesn't|doesnt|do not|don't|is not|isn't)`;
const wishPatterns = (words: string): ReadonlyArray<readonly [RegExp, Wish['matters']]> => [
  [new RegExp(String.raw`\b(?:can|could|will) live with ${thing(words)}\b`, 'iu'), 'can-live'],
  [
    new RegExp(
      String.raw`\b${thing(words)} (?:${NOT} (?:matter|bother)(?: (?:him|her|them|me))?|can stay(?: on)?|${NOT}(?=\s*(?:$|[.,;!])))`,
      'iu',
    ),
    'can-live',
  ],
  [
    new RegExp(
      String.raw`\b${thing(words)} (?:matters|must (?:work|go|be (?:cured|fixed|right))|has to (?:work|go|be (?:cured|fixed|right))|is what matters)\b`,
      'iu',
    ),
    'must',
  ],
];

/** Reads what words say of the sale. What could as well be of the vehicle is left alone. */
export const readSale = (text: string, today: string): HeardSale => {
  const spans: Array<{ start: number; end: number }> = [];
  const take = (match: RegExpExecArray | null): RegExpExecArray | null => {
    if (match) spans.push({ start: match.index, end: match.index + match[0].length });
    return match;
  };
  const firm = take(FIRM.exec(text))?.groups?.firm ?? null;
  const kind = take(FLEET.exec(text)) ? 'fleet' : take(TRADE.exec(text)) ? 'garage' : null;
  let sum: string | null = null;
  for (const pattern of BUDGETS) sum ??= take(pattern.exec(text))?.groups?.sum ?? null;
  const said = BY.exec(text);
  const noon = new Date(`${today}T12:00:00Z`);
  const date = said
    ? chrono.en.GB.parseDate(said.groups?.day ?? '', { instant: noon, timezone: 0 }, { forwardDate: true })
    : null;
  if (date) take(said);
  const found = THINGS.flatMap(([words, symptoms]) =>
    wishPatterns(words).flatMap(([pattern, matters]) => {
      const match = pattern.exec(text);
      if (!match) return [];
      spans.push({ start: match.index, end: match.index + match[0].length });
      return [{ symptoms, matters }];
    }),
  );
  return {
    kind,
    firm,
    budgetCents: sum === null ? null : centsFrom(sum),
    neededBy: date ? date.toISOString().slice(0, 10) : null,
    wishes: (symptoms) => {
      const out = new Map<string, Wish>();
      for (const { symptoms: meant, matters } of found) {
        const known = symptoms.map(symptomOf).find((symptom) => meant.includes(symptom));
        if (known && !out.has(known)) out.set(known, { what: SYMPTOM_IN_WORDS[known], matters });
      }
      return [...out.values()];
    },
    spans,
  };
};

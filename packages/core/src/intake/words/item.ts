import type { CHECK_KINDS } from '../../checkKinds/checkKinds.ts';
import type { PART_KINDS } from '../../partKinds/partKinds.ts';
import type { LexiconLine } from '../../text/lexicon.ts';
import type { Check, LivePattern } from '../../vocabulary/check.ts';
import type { Reader } from '../../vocabulary/docket.ts';
import type { EventName, Symptom } from '../../vocabulary/words.ts';

type LooksOf<K> = K extends { looks: infer L } ? keyof L & string : never;
/** What can be looked at, as people name it and the kinds of check list it. `lead` is the sensor's own; `teeth` are the ring's. */
export type Looked = LooksOf<(typeof CHECK_KINDS)[number]>;

/** What people speak of. */
export type Thing =
  | Looked
  | (typeof PART_KINDS)[number]['thing']
  | 'wheel'
  | 'bolts'
  | 'tyre'
  | 'battery'
  | 'brakes'
  | 'suspension'
  | 'speed'
  | 'supply'
  | 'fluid'
  | 'meter'
  | 'pedal'
  | 'speedo'
  | 'gearbox'
  | 'steering'
  | 'lamp'
  | 'code'
  | 'other';

/** How a thing looks, by what it is said of. `alone`: the thing it speaks of when none is named. */
export interface Look {
  readonly of: Partial<Record<Looked, string>>;
  readonly alone?: Looked;
}

/** What a word or phrase says. A token belongs to one item at most: the longest phrase wins. */
export type Item =
  | { readonly is: 'thing'; readonly thing: Thing; readonly event?: EventName }
  | { readonly is: 'look'; readonly look: Look; readonly loose?: true }
  | { readonly is: 'sound' }
  | { readonly is: 'unseen' }
  | { readonly is: 'unchecked' }
  | { readonly is: 'play' }
  | { readonly is: 'rocking' }
  | { readonly is: 'moves' }
  | { readonly is: 'tight' }
  | { readonly is: 'noise' }
  | { readonly is: 'squeak' }
  | { readonly is: 'quiet' }
  | { readonly is: 'spun' }
  | { readonly is: 'amount'; readonly amount: 'slight' | 'clear' }
  | { readonly is: 'not' }
  | { readonly is: 'only' }
  /** `verb`: denied it means the opposite, `never goes out`; `no longer` cannot be denied. */
  | { readonly is: 'gone'; readonly verb?: true }
  | { readonly is: 'byItself' }
  | { readonly is: 'stays' }
  | { readonly is: 'again' }
  | { readonly is: 'doubt' }
  | { readonly is: 'wanted' }
  | { readonly is: 'same' }
  | { readonly is: 'rest' }
  | { readonly is: 'check'; readonly check: Check }
  | { readonly is: 'open' }
  | { readonly is: 'short' }
  | { readonly is: 'jumps' }
  | { readonly is: 'nothing' }
  | {
      readonly is: 'live';
      readonly pattern: LivePattern;
    }
  | { readonly is: 'lampName'; readonly symptom: Symptom }
  | { readonly is: 'complaint'; readonly symptom: Symptom }
  | { readonly is: 'deed'; readonly deed: 'renewed' | 'new' | 'worked' | 'in' }
  | { readonly is: 'event'; readonly event: EventName }
  | { readonly is: 'cured'; readonly cured: 'no' | 'yes' }
  | { readonly is: 'lasted' }
  | { readonly is: 'want'; readonly want: string }
  | { readonly is: 'reader'; readonly reader: Reader }
  /** `again`: and read again, so that what is left counts. */
  | { readonly is: 'cleared'; readonly again?: true }
  | { readonly is: 'nothingSaid' };

export type ItemLine = LexiconLine<Item>;

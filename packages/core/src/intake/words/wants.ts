import type { ItemLine } from './item.ts';

const want = (words: string, what: string): ItemLine => [words, { is: 'want', want: what }];

/** What the customer wants, and what is at hand. */
export const WANTS: readonly ItemLine[] = [
  want(
    'i do it myself|do it myself|fit it myself|fitting it myself|doing it myself|fit it himself|do it himself|fit it herself|ill fit it|i will fit it|hell fit it himself|fits it himself|do the work myself|own work|i fit it myself|do it ourselves|fit it ourselves|doing it himself|fit it themselves|ill do it|diy|myself|himself|herself|ourselves|doing the job himself',
    'self',
  ),
  want(
    'do both sides|both sides please|price for both sides|price both sides|do the pair|pair please|want the pair|wants the pair|both sides at once|sell me both|want both|wants both|want both sides|wants both sides|one for each side|both sides while at it|need both|quote both sides|do both|as a pair|in pairs|replace both',
    'both-sides',
  ),
  want(
    'cheapest|cheapest you have|cheapest one|cheapest going|cheap as possible|as cheap as possible|cheap one|budget one|lowest price|cheapest possible|the cheap one|cheaper one|something cheap|least money|tight budget',
    'cheapest',
  ),
  want(
    'must run tomorrow|must run today|needs it today|need it today|today please|wants it today|want it today|needed today|on the road tomorrow|has to run tomorrow|needs it tomorrow|need it tomorrow|urgent|urgently|straight away please|needs to be on the road|back on the road today|must be on the road|same day|as soon as possible|asap|has to go out tonight|must go out tonight|must go out tomorrow|out tomorrow morning|needed tomorrow|has to be running tomorrow|has to run today|while i wait|it must run',
    'today',
  ),
  want(
    'just sell me the part|just the part|only the part|just wants the part|just want the part|only want the part|only wants the part|sell me the part|just give me the part|just sell me a sensor|just sell me the sensor|only the sensor please|part only|just the sensor please|no advice just the part',
    'just-the-part',
  ),
  [
    'no reader|no scanner|no code reader|havent got a reader|dont have a reader|have no scanner|have no reader|no scan tool|no reader here|without a reader|no diagnostics|no tester|nothing to read it with|no fault reader|cant read codes|cannot read codes|cant read the codes|no way to read codes|not got a reader|hasnt got a reader|doesnt have a reader|no tool to read codes',
    { is: 'reader', reader: 'none' },
  ],
  [
    'engine reader|engine only reader|engine codes only|only does engine codes|engine code reader|only engine codes|only reads engine|engine only|only reads engine codes|reader is engine only|engine only reader|cant get into the abs|reader wont see abs|reader doesnt see abs|doesnt read abs|wont read abs|only sees the engine|cant read abs|reader cant reach abs|does engine codes|reads the engine only|only sees engine|reader only sees engine|only an engine code reader|reader wont do abs',
    { is: 'reader', reader: 'engine' },
  ],
  [
    'full reader|reads all modules|full scan|dealer tool|reads everything|all modules read|read all modules|full scan tool|reader that does abs|every controller read',
    { is: 'reader', reader: 'full' },
  ],
  [
    'cleared and read again|cleared and reread|cleared them and read again|wiped and read again|cleared then read again|cleared and rescanned|cleared and scanned again|codes cleared and read again|codes were cleared and read again|cleared the codes and read again|read again after clearing|rescanned after clearing|cleared and read them again|cleared all and read again',
    { is: 'cleared', again: true },
  ],
  [
    'after clearing|clearing the codes|clearing codes|after i cleared|when cleared|cleared the codes|cleared codes|codes cleared|codes were cleared|cleared the code|code cleared|cleared all codes|cleared it|cleared them|on clearing',
    { is: 'cleared' },
  ],
];

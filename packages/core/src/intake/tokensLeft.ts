import type { Correction } from '../text/corrections.ts';
import type { Token } from '../text/tokens.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import { numbersIn } from './numbers.ts';
import type { SourceText } from './sourceText.ts';
import type { NumberAt, Said } from './unit.ts';
import { HEARD_EXACTLY, HEARD_WORDS } from './words/index.ts';
import type { Item } from './words/item.ts';

/** Stands for a token that has been read as something else. */
const READ = '\u0002';
const PLACE_WORD =
  /^(front|rear|back|left|right|side|sides|driver|drivers|passenger|middle|near|off|all|both|four)$/;
/** Words inside a place that are also things: `rear left wheel sensor`. */
const ALSO_THINGS = /^(wheel|wheels|hub|tyre|tire|sensor|sensors|abs|wss|speed|bearing)$/;
/** Kinds of phrases whose words of place speak of no wheel: `came back after`, `rear abs light`. */
const PLACELESS = new Set<Item['is']>(['check', 'cured', 'complaint', 'gone', 'want', 'nothingSaid', 'live']);

const masked = (tokens: readonly Token[], at: (i: number) => boolean): Token[] =>
  tokens.map((token, i) => (at(i) ? { ...token, norm: READ } : token));

/** Tokens in which only places are left to be found: vehicles and phrases with words of place in them are out. */
export const forPlaces = (tokens: readonly Token[], source: SourceText): Token[] => {
  const out = new Uint8Array(tokens.length);
  for (const hit of HEARD_EXACTLY.all(masked(tokens, (i) => source.taken(i)))) {
    const long = hit.to - hit.from > 1;
    const lamp =
      hit.meaning.is === 'lampName' &&
      /^(light|lamp|lights|lamps|warning|on|came|message|blocked|unavailable|fault)$/.test(
        tokens[hit.to]?.norm ?? '',
      );
    if (!long || !(PLACELESS.has(hit.meaning.is) || lamp)) continue;
    // "the ring back left": the last word belongs to a place.
    if (
      /^(left|right)$/.test(tokens[hit.to]?.norm ?? '') &&
      /^(back|front|rear)$/.test(tokens[hit.to - 1]?.norm ?? '')
    )
      continue;
    const placed = tokens.slice(hit.from, hit.to).some((token) => PLACE_WORD.test(token.norm));
    // "both sides" as a wish and as a place are told apart by the wish's other words.
    if (placed) out.fill(1, hit.from, hit.to);
  }
  return masked(tokens, (i) => out[i] === 1 || source.taken(i));
};

/** Items of the text outside what was read as a place, a vehicle or a correction. */
export const itemsOf = (
  tokens: readonly Token[],
  positions: readonly LocatedPosition[],
  corrections: readonly Correction[],
  source: SourceText,
): Said[] => {
  const out = new Uint8Array(tokens.length);
  for (const { from, to } of positions)
    for (let i = from; i < to; i++) if (!ALSO_THINGS.test(tokens[i]?.norm ?? '')) out[i] = 1;
  for (const { from, to, kind } of corrections) if (kind === 'between') out.fill(1, from, to);
  return HEARD_WORDS.all(masked(tokens, (i) => out[i] === 1 || source.taken(i)));
};

/** Numbers outside of places and vehicles: the 2 of `axle 2 left` measures nothing. */
export const numbersAt = (
  text: string,
  tokens: readonly Token[],
  positions: readonly LocatedPosition[],
  source: SourceText,
): NumberAt[] => {
  const placed = new Uint8Array(tokens.length);
  for (const { from, to } of positions) placed.fill(1, from, to);
  let i = 0;
  return numbersIn(text).flatMap((number) => {
    while (i < tokens.length && (tokens[i]?.end ?? 0) <= number.start) i++;
    let to = i;
    while (to < tokens.length && (tokens[to]?.start ?? Infinity) < number.end) to++;
    return to > i && !source.taken(i) && !placed[i] ? [{ ...number, from: i, to }] : [];
  });
};

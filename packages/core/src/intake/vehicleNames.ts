import distance from 'damerau-levenshtein';
import { mayBeBuiltWithin } from '../fitment/fittingParts.ts';
import type { Token } from '../text/tokens.ts';
import type { CatalogueVehicle } from '../vocabulary/catalogue.ts';
import type { SaidDate } from './buildDate.ts';

const GENERIC_KINDS = new Set(
  'minibus bus van car truck lorry pickup ambulance gritter trailer hatchback saloon estate tractor coach camper motorhome'.split(
    ' ',
  ),
);

/** Words that may stand inside a vehicle's phrase. */
const INSIDE =
  /^(of|from|built|build|a|an|the|model|mk|year|reg|registered|first|in|made|date|my|,|\(|\)|-)$/;
/** So many words may stand between two words of one vehicle. */
const REACH = 3;

/** A phrase of the text that names a vehicle. */
export interface NamedVehicle {
  readonly from: number;
  readonly to: number;
  readonly make: string | null;
  readonly model: string | null;
  readonly kind: string | null;
  readonly date: SaidDate | null;
  /** What was read otherwise than written. */
  readonly corrected: string | null;
}

interface Names {
  readonly makes: ReadonlySet<string>;
  /** Models by their words, and by their first words: `haven` is also the start of `haven ii`. */
  readonly models: ReadonlyMap<string, readonly CatalogueVehicle[]>;
  readonly kinds: ReadonlySet<string>;
}

const namesOf = (vehicles: readonly CatalogueVehicle[]): Names => {
  const models = new Map<string, CatalogueVehicle[]>();
  for (const vehicle of vehicles) {
    const words = vehicle.model.toLowerCase().split(/\s+/);
    for (let n = 1; n <= words.length; n++) {
      const start = words.slice(0, n).join(' ');
      models.set(start, [...(models.get(start) ?? []), vehicle]);
    }
  }
  return {
    makes: new Set(vehicles.map((v) => v.make.toLowerCase())),
    models,
    kinds: new Set([...vehicles.map((v) => v.kind.toLowerCase()), ...GENERIC_KINDS]),
  };
};

interface Word {
  readonly is: 'make' | 'model' | 'kind';
  readonly words: string;
  readonly from: number;
  readonly to: number;
  readonly corrected: string | null;
}

const LONGEST_NAME = 3;

const exactWords = (tokens: readonly Token[], names: Names, taken: (i: number) => boolean): Word[] => {
  const out: Word[] = [];
  for (let i = 0; i < tokens.length;) {
    let to = i + 1;
    if (!taken(i) && tokens[i]?.kind === 'word')
      for (let n = LONGEST_NAME; n >= 1; n--) {
        const words = tokens
          .slice(i, i + n)
          .map((t) => t.norm)
          .join(' ');
        const is = names.makes.has(words)
          ? 'make'
          : names.models.has(words)
            ? 'model'
            : names.kinds.has(words)
              ? 'kind'
              : null;
        if (is && i + n <= tokens.length) {
          out.push({ is, words, from: i, to: i + n, corrected: null });
          to = i + n;
          break;
        }
      }
    i = to;
  }
  return out;
};

/** A near spelling: one slip in a short name, two in a long one. */
const near = (word: string, name: string): boolean =>
  name.length >= 4 &&
  Math.abs(word.length - name.length) <= 2 &&
  word !== name &&
  distance(word, name).steps <= (name.length >= 7 ? 2 : 1);

const SHORTEST_BESIDE_A_KIND = 6;

/** Misspelt names beside an exact one: the make beside its model, the model beside its make. Elsewhere nothing is guessed. */
const withNear = (
  exact: readonly Word[],
  tokens: readonly Token[],
  vehicles: readonly CatalogueVehicle[],
  taken: (i: number) => boolean,
): Word[] => {
  const out = [...exact];
  const used = new Set(exact.flatMap((w) => Array.from({ length: w.to - w.from }, (_, k) => w.from + k)));
  for (const word of exact) {
    for (const i of [word.from - 1, word.to, word.from - 2, word.to + 1]) {
      const token = tokens[i];
      if (
        !token ||
        used.has(i) ||
        taken(i) ||
        token.kind !== 'word' ||
        token.norm.length < 4 ||
        /\d/.test(token.norm)
      )
        continue;
      const between = i < word.from ? tokens.slice(i + 1, word.from) : tokens.slice(word.to, i);
      if (between.some((t) => !/^(19|20)\d\d$/.test(t.norm))) continue;
      const wanted =
        word.is === 'make'
          ? vehicles
              .filter((v) => v.make.toLowerCase() === word.words)
              .map((v) => v.model.toLowerCase().split(/\s+/)[0] ?? '')
          : vehicles
              .filter((v) => (word.is === 'kind' ? v.kind : v.model).toLowerCase().startsWith(word.words))
              .map((v) => v.make.toLowerCase());
      // Beside a kind only a long name is told from an everyday word.
      if (word.is === 'kind' && token.norm.length < SHORTEST_BESIDE_A_KIND) continue;
      const other = word.is === 'make' ? 'model' : 'make';
      if (out.some((w) => w.is === other && Math.abs(w.from - word.from) <= REACH)) continue;
      const fits = [...new Set(wanted)].filter((name) => near(token.norm, name));
      if (fits.length !== 1) continue;
      used.add(i);
      out.push({
        is: other,
        words: fits[0] ?? '',
        from: i,
        to: i + 1,
        corrected: `${token.text} read as ${fits[0]}`,
      });
    }
  }
  return out.sort((a, b) => a.from - b.from);
};

/** Phrases that name a vehicle: names close together with the date between or beside them. */
export const namedVehicles = (
  tokens: readonly Token[],
  vehicles: readonly CatalogueVehicle[],
  dates: readonly SaidDate[],
  taken: (i: number) => boolean,
): NamedVehicle[] => {
  const words = withNear(exactWords(tokens, namesOf(vehicles), taken), tokens, vehicles, taken);
  const dateOf = new Map<number, SaidDate>();
  for (const date of dates)
    tokens.forEach((token, i) => {
      if (token.start >= date.start && token.end <= date.end) dateOf.set(i, date);
    });
  const joins = (from: number, to: number): boolean => {
    if (to - from > REACH + 3) return false;
    let plain = 0;
    for (let i = from; i < to; i++)
      if (!dateOf.has(i) && !INSIDE.test(tokens[i]?.norm ?? '') && ++plain > 0) return false;
    return true;
  };
  const groups: Word[][] = [];
  for (const word of words) {
    const last = groups.at(-1)?.at(-1);
    const twice = groups.at(-1)?.some((other) => other.is === word.is);
    if (last && !twice && joins(last.to, word.from)) groups.at(-1)?.push(word);
    else groups.push([word]);
  }
  return groups.map((group): NamedVehicle => {
    const from = group[0]?.from ?? 0;
    const to = group.at(-1)?.to ?? from;
    const said = (is: Word['is']) => group.find((word) => word.is === is)?.words ?? null;
    let date: SaidDate | null = null;
    for (let i = from; i < to && !date; i++) date = dateOf.get(i) ?? null;
    for (let i = to; i < to + 5 && !date; i++) {
      date = dateOf.get(i) ?? null;
      if (!date && !taken(i) && !INSIDE.test(tokens[i]?.norm ?? '')) break;
    }
    for (let i = from - 1; i >= from - 3 && !date; i--) {
      date = dateOf.get(i) ?? null;
      if (!date && !INSIDE.test(tokens[i]?.norm ?? '')) break;
    }
    return {
      from,
      to,
      make: said('make'),
      model: said('model'),
      kind: said('kind'),
      date,
      corrected:
        group
          .map((word) => word.corrected)
          .filter(Boolean)
          .join('; ') || null,
    };
  });
};

/** Whether the words surely speak of a vehicle: a model alone may be an everyday word. */
export const isSure = (named: NamedVehicle, tokens: readonly Token[]): boolean => {
  if (named.make !== null) return true;
  if (named.model === null) return false;
  if (named.kind !== null || named.date !== null || named.model.includes(' ')) return true;
  const edge = (i: number) => tokens[i] === undefined || /^[,.;:()\n]$/.test(tokens[i]?.norm ?? '');
  return edge(named.from - 1) && edge(named.to);
};

/** Whether a kind alone names the vehicle (`van, abs lamp`, `a pickup of 2012`), and not just stands in a sentence. */
export const namesByKind = (named: NamedVehicle, tokens: readonly Token[]): boolean =>
  named.kind !== null &&
  named.make === null &&
  named.model === null &&
  (named.date !== null || !/^(the|that|this|his|her|off)$/.test(tokens[named.from - 1]?.norm ?? ''));

/** Vehicles of the catalogue that a phrase may mean, by what else was said; empty where the date fits none. */
export const candidatesFor = (
  named: NamedVehicle,
  vehicles: readonly CatalogueVehicle[],
  axles: number | null,
): CatalogueVehicle[] => {
  const fits = vehicles.filter(
    (v) =>
      (named.make === null || v.make.toLowerCase() === named.make) &&
      (named.model === null || `${v.model.toLowerCase()} `.startsWith(`${named.model} `)) &&
      (named.kind === null ||
        v.kind.toLowerCase() === named.kind ||
        !vehicles.some((o) => o.kind.toLowerCase() === named.kind)) &&
      (axles === null || v.axles === axles),
  );
  const inYear = named.date
    ? fits.filter((v) => mayBeBuiltWithin(named.date?.date, v.builtFrom, v.builtTo))
    : fits;
  const exact = inYear.filter((v) => v.model.toLowerCase() === named.model);
  return exact.length === 1 && inYear.length > 1 ? exact : inYear;
};

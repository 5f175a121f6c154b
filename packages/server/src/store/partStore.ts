import {
  APPLICATIONS,
  assumptionsWith,
  chainOf,
  matchPart,
  PARTS,
  plainNumber,
  VEHICLES,
  type CataloguePart,
  type MatchResult,
  type PartClass,
  type Reading,
} from '@hardy/core';
import type { PartView } from '@hardy/core/contract';
import Fuse from 'fuse.js';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { catalogueRows, marks } from './catalogueRows.ts';
import { today } from './catalogueStore.ts';
import { withFreePieces } from './shelfStore.ts';
import { shopSettings } from './shopStore.ts';

const MOST_FOUND = 30;
/** Words shorter than a trigram cannot be looked up in the index. */
const LEAST_WORD = 3;

const quoted = (text: string): string => `"${text.replace(/"/g, '""')}"`;

const byNumbers = async (em: EntityManager, numbers: readonly string[]): Promise<CataloguePart[]> => {
  const parts = await catalogueRows(em, PARTS, `where number in (${marks(numbers)})`, numbers);
  const free = await withFreePieces(em, parts, today());
  const known = new Map(free.map((part) => [part.number, part]));
  return numbers.flatMap((number) => known.get(number) ?? []);
};

const numbersFrom = async (em: EntityManager, sql: string, params: unknown[]): Promise<string[]> => {
  const rows: Array<{ number: string }> = await em.getConnection().execute(sql, params);
  return rows.map(({ number }) => number);
};

const vocabularies = new WeakMap<object, Promise<Fuse<string>>>();

/** Unlike by more than this, a word is not taken for another (0 alike, 1 unlike). */
const MOST_UNLIKE = 0.45;

/** Every word of the parts' descriptions, gathered once; an import asks for it anew. */
const vocabulary = (em: EntityManager): Promise<Fuse<string>> => {
  const owner = em.getConnection();
  let known = vocabularies.get(owner);
  if (!known) {
    known = numbersFrom(em, 'select distinct description as number from part limit 200000', []).then(
      (texts) => {
        const words = new Set(texts.flatMap((words) => words.toLowerCase().split(/[^\p{L}]+/u)));
        return new Fuse(
          [...words].filter((word) => word.length >= LEAST_WORD),
          { threshold: MOST_UNLIKE, includeScore: true },
        );
      },
    );
    // What failed is asked for anew.
    known.catch(() => vocabularies.delete(owner));
    vocabularies.set(owner, known);
  }
  return known;
};

/** To be called when parts changed: new words may be known. */
export const forgetWords = (em: EntityManager): void => {
  vocabularies.delete(em.getConnection());
};

const nearestWord = (word: string, known: Fuse<string>): string | null =>
  known.search(word, { limit: 1 })[0]?.item ?? null;

/**
 * Finds parts by a barcode, a number in any spacing, or words; a misspelt word stands for the one most like it.
 * Best first, at most thirty.
 */
export const searchParts = async (
  em: EntityManager,
  query: string,
  partClass: string | null,
): Promise<CataloguePart[]> => {
  const text = query.trim();
  const only = partClass ? ' and p.part_class = ?' : '';
  const also = partClass ? [partClass] : [];
  if (!text)
    return byNumbers(
      em,
      await numbersFrom(
        em,
        `select number from part p where 1 = 1${only} order by number limit ${MOST_FOUND}`,
        also,
      ),
    );
  const plain = plainNumber(text);
  const found = new Set<string>();
  const add = (numbers: readonly string[]) => numbers.forEach((number) => found.add(number));
  add(await numbersFrom(em, `select number from part p where barcode = ?${only} limit 5`, [text, ...also]));
  if (plain.length >= 2)
    add(
      await numbersFrom(
        em,
        `select number from part p where plain_number >= ? and plain_number < ?${only} order by plain_number limit ${MOST_FOUND}`,
        [plain, `${plain}\uFFFF`, ...also],
      ),
    );
  const words = text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length >= LEAST_WORD);
  const match = (expression: string) =>
    numbersFrom(
      em,
      `select p.number from part_search s join part p on p.rowid = s.rowid where part_search match ?${only} order by bm25(part_search) limit ${3 * MOST_FOUND}`,
      [expression, ...also],
    );
  if (found.size < MOST_FOUND && words.length > 0) {
    add(await match(words.map(quoted).join(' AND ')));
    // Nothing has all the words: each is taken for the word of the catalogue that is most like it.
    if (found.size === 0) {
      const known = await vocabulary(em);
      const mended = words.flatMap((word) => nearestWord(word, known) ?? []);
      if (mended.length > 0) add(await match(mended.map(quoted).join(' AND ')));
    }
  }
  const parts = await byNumbers(em, [...found]);
  // The index finds pieces of words; a part that has the words whole comes before one that has them inside others.
  const whole = (part: CataloguePart): number => {
    const own = new Set(`${part.description} ${part.brand}`.toLowerCase().split(/[^\p{L}\p{N}]+/u));
    return words.filter((word) => own.has(word)).length;
  };
  const exact = (part: CataloguePart): number =>
    part.barcode === text ? 100 : plain.length >= 2 && plainNumber(part.number).startsWith(plain) ? 50 : 0;
  return parts
    .map((part, i) => ({ part, i, rank: exact(part) + whole(part) }))
    .sort((a, b) => b.rank - a.rank || a.i - b.i)
    .slice(0, MOST_FOUND)
    .map(({ part }) => part);
};

const MOST_FITS = 60;
const MOST_LINKS = 8;

/** Null when there is no such part. */
export const partView = async (em: EntityManager, number: string): Promise<PartView | null> => {
  const [part] = await byNumbers(em, [number]);
  if (!part) return null;
  const known = new Map([[part.number, part]]);
  let next = part.supersededBy;
  for (let i = 0; i < MOST_LINKS && next && !known.has(next); i++) {
    const [later] = await byNumbers(em, [next]);
    if (!later) break;
    known.set(later.number, later);
    next = later.supersededBy;
  }
  const group = part.interchange
    ? (
        await catalogueRows(em, PARTS, `where interchange = ? limit ${MOST_FOUND}`, [part.interchange])
      ).filter((other) => other.number !== number)
    : [];
  const rows = await catalogueRows(em, APPLICATIONS, `where part_number = ? limit ${MOST_FITS}`, [number]);
  const ids = rows.map(({ vehicleId }) => vehicleId);
  const vehicles = await catalogueRows(em, VEHICLES, `where id in (${marks(ids)})`, ids);
  const names = new Map(vehicles.map(({ id, make, model }) => [id, `${make} ${model}`]));
  return {
    part,
    chain: chainOf(part, known),
    group,
    contents: await byNumbers(
      em,
      part.contents.map((piece) => piece.number),
    ),
    fits: rows.map((each) => ({
      vehicle: names.get(each.vehicleId) ?? each.vehicleId,
      wheelEnds: each.wheelEnds.join(' '),
      builtFrom: each.builtFrom,
      builtTo: each.builtTo,
      conditions: each.conditions,
    })),
  };
};

/** Matches the old part on the counter among all of its class; the docket's vehicle, when there is one, goes ahead. */
export const matchParts = async (
  em: EntityManager,
  partClass: PartClass,
  readings: readonly Reading[],
  vehicleId: string | null,
): Promise<MatchResult> => {
  const parts = await catalogueRows(em, PARTS, 'where part_class = ?', [partClass]);
  const applications = vehicleId
    ? await catalogueRows(em, APPLICATIONS, 'where vehicle_id = ?', [vehicleId])
    : [];
  const fits = new Set(applications.map(({ partNumber }) => partNumber));
  const shop = await shopSettings(em);
  return matchPart(parts, partClass, readings, fits, assumptionsWith(shop.overrides));
};

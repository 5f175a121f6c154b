import { BadInput } from './badInput.ts';
import { MOST_LEFT_OVER, type Docket } from './docket.ts';
import { parseDocket } from './parseDocket.ts';

/** A document that was not valid when it was made is mended step by step; no docket takes more. */
const MOST_STEPS = 1000;
const LONGEST_NOTE = 400;
/** Fields of a list's items that can go alone: what is left of the item still says what it said. */
const MAY_GO: ReadonlySet<string> = new Set([
  'text',
  'module',
  'status',
  'confirmed',
  'temperatureC',
  'note',
]);
const NOT_A_DOCKET: ReadonlySet<string> = new Set(['', 'format', 'version']);

type Tree = Record<string, unknown> | unknown[];
const steps = (path: string): Array<string | number> =>
  [...path.matchAll(/([^.[\]]+)|\[(\d+)\]/g)].map(([, name, index]) => name ?? Number(index));
const at = (tree: unknown, path: ReadonlyArray<string | number>): unknown =>
  path.reduce<unknown>((here, step) => (here as Record<string | number, unknown> | undefined)?.[step], tree);

/** The least part of the document around a problem that can be taken out without changing what the rest says. */
const around = (path: ReadonlyArray<string | number>): ReadonlyArray<string | number> => {
  const item = path.findIndex((step) => typeof step === 'number');
  if (path[0] === 'vehicle' || path[0] === 'options') return path;
  if (item < 0) return path.slice(0, 1);
  const field = path[item + 1];
  return item === 1 && typeof field === 'string' && MAY_GO.has(field) ? path : path.slice(0, item + 1);
};

const takeOut = (tree: Tree, path: ReadonlyArray<string | number>): void => {
  const last = path.at(-1) as string | number;
  const holder = at(tree, path.slice(0, -1)) as Tree;
  if (Array.isArray(holder)) holder.splice(Number(last), 1);
  else delete holder[last];
};

/**
 * Reads a docket that must not be refused: one that was stored under older rules, or was put together from words. What
 * no docket takes any more is taken out and kept in words among what was not understood, with the reason.
 * @throws BadInput when it is no docket at all.
 */
export const mendDocket = (input: unknown): Docket => {
  const notes: string[] = [];
  let tree: Tree | null = null;
  for (let step = 0; step < MOST_STEPS; step++) {
    try {
      const docket = parseDocket(tree ?? input);
      return notes.length === 0
        ? docket
        : { ...docket, leftOver: [...notes, ...(docket.leftOver ?? [])].slice(0, MOST_LEFT_OVER) };
    } catch (error) {
      if (!(error instanceof BadInput) || NOT_A_DOCKET.has(error.path)) throw error;
      tree ??= JSON.parse(JSON.stringify(input)) as Tree;
      const path = steps(error.path);
      const whole = at(tree, path);
      const most = /too large; at most (\d+)$/.exec(error.what)?.[1];
      if (Array.isArray(whole) && most !== undefined) {
        // A list that is too long keeps what came first.
        const left = whole.splice(Number(most));
        if (path[0] !== 'leftOver') notes.push(noteOf(error.path, left, `only ${most} are kept`));
        continue;
      }
      const part = around(path);
      const taken = at(tree, part);
      if (part.length === 0 || taken === undefined) throw error;
      if (part[0] !== 'leftOver') notes.push(noteOf(error.path, taken, error.what));
      takeOut(tree, part);
    }
  }
  throw new BadInput('', 'this document holds more that cannot be read than can be mended');
};

const noteOf = (path: string, what: unknown, why: string): string =>
  `${path}: ${why.slice(0, 160)}; it was ${JSON.stringify(what)}`.slice(0, LONGEST_NOTE);

import type { Token } from '../text/tokens.ts';
import type { Reader } from '../vocabulary/docket.ts';
import { all, has } from './frames/clause.ts';
import type { Unit } from './unit.ts';

const READER = /^(reader|readers|scanner|scan|tester|diagnostics)$/;
const ENGINE = /^(engine|motor)$/;
const SOON = /^(today|tonight|tomorrow)$/;

/** Wants, reader and the like: what speaks for itself wherever it stands, whole or put together from its words. */
export const plainItems = (
  units: readonly Unit[],
  tokens: readonly Token[],
): { wants: string[]; reader: Reader | null; codesCleared: true | null } => {
  const says = (unit: Unit, words: RegExp): boolean =>
    tokens.slice(unit.from, unit.to).some((token) => words.test(token.norm));
  const asked = (unit: Unit): boolean => has(unit, 'wanted', 'want');
  const both = (unit: Unit): boolean => says(unit, /^both$/) && says(unit, /^sides$/);
  const wants = units.flatMap((unit) => [
    ...all(unit, 'want').map((item) => item.meaning.want),
    ...(asked(unit) && both(unit) ? ['both-sides'] : []),
    ...(asked(unit) &&
    !has(unit, 'deed', 'event') &&
    says(unit, SOON) &&
    says(unit, /^(needs?|wants?|must|has)$/)
      ? ['today']
      : []),
  ]);
  const said = units.flatMap((unit) => all(unit, 'reader').map((item) => item.meaning.reader))[0];
  const parts = units.flatMap((unit): Reader[] => {
    if (!says(unit, READER)) return [];
    if (says(unit, ENGINE) && (has(unit, 'only') || says(unit, /^only$/))) return ['engine'];
    return has(unit, 'not') && !says(unit, /^(abs|it|that|this|codes?)$/) ? ['none'] : [];
  })[0];
  return {
    wants: [...new Set(wants)],
    reader: said ?? parts ?? null,
    codesCleared: units.some((unit) => all(unit, 'cleared').some((item) => item.meaning.again)) ? true : null,
  };
};

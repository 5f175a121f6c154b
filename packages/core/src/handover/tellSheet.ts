import { inEveryUnit } from '../vocabulary/imperial.ts';
import type { Line, Sheet, SheetKind, SheetSection } from '../vocabulary/sheet.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { languageOf, texts, type LanguageCode } from './texts/languages.ts';

/** A sheet in one language, ready to be laid out. */
export interface ToldSheet {
  readonly kind: SheetKind;
  readonly title: string;
  readonly part: PartClass | null;
  readonly wheelEnd: WheelEnd | null;
  readonly sections: ReadonlyArray<{
    readonly heading: string;
    readonly as: SheetSection['as'];
    readonly narrow: boolean;
    readonly lines: readonly string[];
  }>;
  readonly torques: ReadonlyArray<{ what: string; figure: string; again: string }>;
  readonly results: ReadonlyArray<{ key: number; word: string; means: string }>;
}

/** Who hands the sheet over: what a customer calls with. */
export interface Teller {
  readonly language: LanguageCode;
  readonly names: WheelNames;
  readonly docketNumber: number;
  readonly phone: string | null;
}

/** One text by its name, with its gaps filled. */
export const tell = (
  language: LanguageCode,
  name: string,
  gaps: Readonly<Record<string, string>> = {},
): string => texts.t(name, { lng: language, ...gaps });

const lineTeller = ({ language, names, docketNumber, phone }: Teller): ((line: Line) => string) => {
  const { place, shelf } = languageOf(language);
  const one = (value: string): string =>
    value.startsWith('@end/')
      ? place(value.slice('@end/'.length), names)
      : value.startsWith('@')
        ? tell(language, value.slice(1))
        : value.startsWith('#')
          ? new Intl.NumberFormat(languageOf(language).locale).format(Number(value.slice(1)))
          : value;
  const filled = (value: string): string =>
    /^[@#]/.test(value)
      ? value
          .split('+')
          .map(one)
          .join(` ${tell(language, 'frame/and')} `)
      : value;
  return (line) => {
    if ('plain' in line) return shelf[line.plain] ?? line.plain;
    const gaps = Object.fromEntries(
      Object.entries(line.with ?? {}).map(([name, value]) => [name, filled(value)]),
    );
    const name = line.say === 'frame/call' && !phone ? 'frame/call-no-phone' : line.say;
    return tell(language, name, { number: String(docketNumber), phone: phone ?? '', ...gaps });
  };
};

/** A sheet in words. */
export const tellSheet = (sheet: Sheet, teller: Teller): ToldSheet => {
  const told = lineTeller(teller);
  const { language } = teller;
  return {
    kind: sheet.kind,
    title: told(sheet.title),
    part: sheet.part,
    wheelEnd: sheet.wheelEnd,
    sections: sheet.sections.map(({ heading, as, narrow, lines }) => ({
      heading: told(heading),
      as,
      narrow,
      // What several parts have in common is said once.
      lines: [...new Set(lines.map(told))],
    })),
    torques: sheet.torques
      .map(({ what, figure, singleUse, wheelEnd }) => ({
        what: wheelEnd ? `${told(what)}, ${languageOf(language).place(wheelEnd, teller.names)}` : told(what),
        figure: figure === null ? tell(language, 'frame/makers') : inEveryUnit(figure),
        again: tell(language, singleUse ? 'frame/again-no' : 'frame/again-yes'),
      }))
      .filter(
        (one, i, list) =>
          list.findIndex((other) => other.what === one.what && other.figure === one.figure) === i,
      ),
    results: sheet.results.map(({ key, word, means }) => ({ key, word: told(word), means: told(means) })),
  };
};

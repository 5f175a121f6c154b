import type { Line, SheetSection } from '../vocabulary/sheet.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** A line by the name of its text. */
export const say = (name: string, gaps?: Readonly<Record<string, string>>): Line =>
  gaps ? { say: name, with: { ...gaps } } : { say: name };
/** Words as they stand in the catalogue. */
export const plain = (words: string): Line => ({ plain: words });
/** A gap that holds a text, or a wheel end. */
export const named = (text: string): string => `@${text}`;
/** A number, written as the language does. */
export const figure = (value: number): string => `#${value}`;
export const at = (wheelEnd: WheelEnd): string => `@end/${wheelEnd}`;

type As = SheetSection['as'];

/** The place of a table. */
export const table = (heading: 'parts' | 'torques' | 'results'): SheetSection => ({
  heading: say(`frame/${heading}`),
  as: heading,
  narrow: false,
  lines: [],
});

/** A block of a sheet; null where it has nothing to say. */
export const section = (
  heading: string,
  lines: ReadonlyArray<Line | null | false>,
  as: As = 'list',
  narrow = false,
): SheetSection | null => {
  const said = lines.filter((line): line is Line => Boolean(line));
  return said.length > 0 ? { heading: say(`frame/${heading}`), as, narrow, lines: said } : null;
};

import { createInstance } from 'i18next';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { wheelEndInWords, type WheelNames } from '../../vocabulary/wheelEndWords.ts';
import { de } from './de/de.ts';
import { placeOf } from './de/places.ts';
import { shelf } from './de/shelf.ts';
import { en, type SheetTexts } from './en/en.ts';

interface Language {
  /** What it calls itself. */
  readonly name: string;
  readonly texts: SheetTexts;
  readonly place: (wheelEnd: WheelEnd, names: WheelNames) => string;
  /** Words of a catalogue’s notes, where this language knows them. */
  readonly shelf: Readonly<Record<string, string>>;
  /** Numbers, dates and money are written as in. */
  readonly locale: string;
}

/** Languages that sheets and quotes are written in; one more is a folder and a line here. */
export const LANGUAGES = {
  en: { name: 'English', texts: en, place: wheelEndInWords, shelf: {}, locale: 'en-GB' },
  de: { name: 'Deutsch', texts: de, place: placeOf, shelf, locale: 'de-DE' },
} as const satisfies Readonly<Record<string, Language>>;
export type LanguageCode = keyof typeof LANGUAGES;
export const LANGUAGE_CODES = Object.keys(LANGUAGES) as LanguageCode[];

export const languageOf = (code: LanguageCode): Language => LANGUAGES[code];

/** The texts of all languages, by `/` in their names: a check is named with a dot. */
export const texts = createInstance({
  initAsync: false,
  lng: 'en',
  fallbackLng: 'en',
  keySeparator: '/',
  nsSeparator: false,
  // Sheets are text, never markup: what is put in stays as it is.
  interpolation: { escapeValue: false },
  resources: Object.fromEntries(
    LANGUAGE_CODES.map((code) => [code, { translation: languageOf(code).texts }]),
  ),
});
void texts.init();

import { LANGUAGE_CODES, type LanguageCode } from '@hardy/core/sheets';
import { useSearchParams } from 'react-router';

/** The language a page that leaves the counter is written in, from its address, and how to turn to the next. */
export const useLanguage = (): { language: LanguageCode; turn: () => void } => {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('language');
  const language = LANGUAGE_CODES.find((code) => code === asked) ?? 'en';
  const next = LANGUAGE_CODES[(LANGUAGE_CODES.indexOf(language) + 1) % LANGUAGE_CODES.length] ?? 'en';
  return { language, turn: () => setSearch({ language: next }, { replace: true }) };
};

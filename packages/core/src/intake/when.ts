import * as chrono from 'chrono-node';
import { lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import { COUNT_WORDS, DAYS_IN } from './countWords.ts';

/** Words for a time that no calendar has. */
const FIXED = lexicon<number>([
  ['yesterday', 1],
  ['today|this morning|just now', 0],
  ['last week', 8],
  ['last month', 35],
  ['last year', 365],
  ['recently|lately|just fitted|just replaced|just been', 14],
  ['the other day', 3],
  ['a while back|a while ago', 90],
]);

const DAY_MS = 86_400_000;

/** Easter Sunday by the anonymous Gregorian computus. */
const easter = (year: number): Date => {
  const a = year % 19;
  const b = Math.floor(year / 100);
  const c = year % 100;
  const h = (19 * a + b - Math.floor(b / 4) - Math.floor((b - Math.floor((b + 8) / 25) + 1) / 3) + 15) % 30;
  const l = (32 + 2 * (b % 4) + 2 * Math.floor(c / 4) - h - (c % 4)) % 7;
  const m = Math.floor((a + 11 * h + 22 * l) / 451);
  const month = Math.floor((h + l - 7 * m + 114) / 31);
  return new Date(Date.UTC(year, month - 1, ((h + l - 7 * m + 114) % 31) + 1));
};

const daysSince = (then: Date, today: Date): number =>
  Math.round((today.getTime() - then.getTime()) / DAY_MS);

/** Days since the latest such date that is not in the future. */
const sinceLast = (dateIn: (year: number) => Date, today: Date): number => {
  const thisYear = daysSince(dateIn(today.getUTCFullYear()), today);
  return thisYear >= 0 ? thisYear : daysSince(dateIn(today.getUTCFullYear() - 1), today);
};

/** A stretch of time at token `at`: "3 weeks", "a fortnight", "couple of months"; in days, with the tokens it took. */
export const durationAt = (tokens: readonly Token[], at: number): { days: number; to: number } | null => {
  let i = at;
  let count: number | null = null;
  while (
    /^(about|only|just|around|over|nearly|almost|for|some|the)$/.test(tokens[i]?.norm ?? '') &&
    i < at + 2
  )
    i++;
  const first = tokens[i]?.norm ?? '';
  if (/^\d+(?:[.,]\d+)?$/.test(first)) count = Number(first.replace(',', '.'));
  else if (Object.hasOwn(COUNT_WORDS, first)) count = COUNT_WORDS[first] ?? null;
  if (count === null) return DAYS_IN[first] === 14 ? { days: 14, to: i + 1 } : null;
  i++;
  if (/^(couple|few)$/.test(tokens[i]?.norm ?? '')) count = COUNT_WORDS[tokens[i++]?.norm ?? ''] ?? count;
  while (/^(of|a)$/.test(tokens[i]?.norm ?? '')) i++;
  const unit = DAYS_IN[tokens[i]?.norm ?? ''];
  return unit === undefined ? null : { days: Math.round(count * unit), to: i + 1 };
};

/** Words a date has; without one there is nothing to look for. */
const MAY_BE_A_DATE =
  /\b(?:jan|feb|mar|apr|may|june?|july?|aug|sep|oct|nov|dec|mon|tues?|wed|thu|fri|sat|sun)[a-z]*\b|\d[./-]\d|\b(?:last|ago|yesterday|today|tonight|morning)\b/i;
/** `may` and the like are dates only behind a word of time. */
const LOOSE_WORD = /^(may|march|sun|sat|mar|dec|sep|now|wed|fri|mon)$/i;

/** A date of a calendar in the text, latest before today, by the kept date package. */
const calendarDate = (text: string, today: Date): { days: number; start: number; end: number } | null => {
  if (!MAY_BE_A_DATE.test(text)) return null;
  const noon = new Date(today.getTime() + DAY_MS / 2);
  for (const result of chrono.en.GB.parse(text, { instant: noon, timezone: 0 })) {
    const before = text.slice(0, result.index);
    if (
      LOOSE_WORD.test(result.text) &&
      !/(?:in|last|since|on|of|early|late|mid|back|this|\d)\s*$/i.test(before)
    )
      continue;
    if (/^\d+(?:[.:]\d+)?$/.test(result.text)) continue;
    const known = result.start;
    if (!known.isCertain('month') && !known.isCertain('day') && !known.isCertain('weekday')) continue;
    const date = new Date(
      Date.UTC(
        known.get('year') ?? today.getUTCFullYear(),
        (known.get('month') ?? 1) - 1,
        known.isCertain('day') || known.isCertain('weekday') ? (known.get('day') ?? 15) : 15,
      ),
    );
    let days = daysSince(date, today);
    if (days < 0 && known.isCertain('weekday')) days += 7;
    else if (days < 0 && !known.isCertain('year'))
      days = daysSince(
        new Date(Date.UTC(date.getUTCFullYear() - 1, date.getUTCMonth(), date.getUTCDate())),
        today,
      );
    if (days < 0) continue;
    const lead = /(?:\b(?:in|on|last|since|at)\s+)$/i.exec(before);
    return { days, start: result.index - (lead?.[0].length ?? 0), end: result.index + result.text.length };
  }
  return null;
};

/** When something was done, in days before today: "3 weeks ago", "at Easter", "in March", "on 3 November", "in 2019". */
export const agoIn = (
  tokens: readonly Token[],
  todayText: string,
): { days: number; from: number; to: number } | null => {
  const today = new Date(`${todayText}T00:00:00Z`);
  for (let i = 0; i < tokens.length; i++) {
    const fixed = FIXED.at(tokens, i);
    if (fixed) return { days: fixed.meaning, from: i, to: fixed.to };
    const stretch = durationAt(tokens, i);
    if (stretch && /^(ago|back|since)$/.test(tokens[stretch.to]?.norm ?? ''))
      return { days: stretch.days, from: i, to: stretch.to + 1 };
    const word = tokens[i]?.norm ?? '';
    if (word === 'easter') return { days: sinceLast(easter, today), from: i, to: i + 1 };
    if (word === 'christmas' || word === 'xmas')
      return { days: sinceLast((year) => new Date(Date.UTC(year, 11, 25)), today), from: i, to: i + 1 };
    const season = { spring: 3, summer: 6, autumn: 9, winter: 0 }[word];
    if (season !== undefined && /^(in|last|the|this)$/.test(tokens[i - 1]?.norm ?? ''))
      return {
        days: sinceLast((year) => new Date(Date.UTC(year, season, 15)), today),
        from: i - 1,
        to: i + 1,
      };
    if (/^(19|20)\d\d$/.test(word) && /^(in|since|of|back)$/.test(tokens[i - 1]?.norm ?? '')) {
      const days = daysSince(new Date(Date.UTC(Number(word), 6, 1)), today);
      if (days >= 0) return { days, from: i - 1, to: i + 1 };
    }
  }
  const start = tokens[0]?.start ?? 0;
  let text = '';
  for (const token of tokens) text = text.padEnd(token.start - start, ' ') + token.text;
  const date = calendarDate(text, today);
  if (!date) return null;
  const from = tokens.findIndex((token) => token.end - start > date.start);
  const past = tokens.findIndex((token) => token.start - start >= date.end);
  return { days: date.days, from, to: past < 0 ? tokens.length : past };
};

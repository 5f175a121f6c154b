import Papa from 'papaparse';
import { safeCell } from '../catalogueFiles/pairs.ts';
import { centsInWords } from '../vocabulary/money.ts';
import type { Quote } from '../vocabulary/sale.ts';
import { toPay } from './makeQuote.ts';

/** A quote for a spreadsheet: a line a way, money with two decimals. */
export const quoteCsv = (quote: Quote, docket: number, currency: string): string =>
  `${Papa.unparse(
    quote.ways.map((way) => ({
      docket: String(docket),
      quote: String(quote.number),
      on: quote.on,
      until: quote.until,
      way: safeCell(way.label),
      currency,
      parts: centsInWords(way.partsCents),
      work: centsInWords(way.workCents),
      hours: String(way.workHours),
      tax: centsInWords(way.taxCents),
      toPay: centsInWords(toPay(way)),
      deposit: centsInWords(way.depositCents),
      cures: String(way.cures),
      waitDays: String(way.waitDays),
    })),
    { newline: '\n' },
  )}\n`;

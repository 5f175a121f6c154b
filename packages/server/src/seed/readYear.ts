import { LedgerEntry, parse, parseDocket, type Docket } from '@hardy/core';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { z } from 'zod';

const CauseShares = LedgerEntry.shape.expected;

const Head = z.object({
  format: z.literal('hardy-spoke/year'),
  version: z.literal(1),
  /** Day the newest docket is a day short of. */
  until: z.iso.date(),
  /** Shares of the causes by vehicle line, before anything was found. */
  expected: z.record(z.string(), CauseShares),
});
const Closed = z.object({
  daysAgo: z.number().int().min(0).max(1000),
  built: z.string(),
  action: z.enum(['sell', 'check', 'no-part']),
  headline: z.string(),
  docket: z.record(z.string(), z.unknown()),
  entry: LedgerEntry.omit({ expected: true }),
});

/** A docket closed in the past, as the ledger counts it. */
export interface ClosedDocket {
  readonly daysAgo: number;
  readonly action: string;
  readonly headline: string;
  readonly docket: Docket;
  readonly entry: LedgerEntry;
}

const DAY = 86_400_000;

/** Every day of a thing moved by so many days. */
const moved = <T>(thing: T, days: number): T =>
  JSON.parse(
    JSON.stringify(thing).replace(
      /"(on|soldOn|closedOn)":"(\d{4}-\d{2}-\d{2})"/g,
      (_, name: string, day: string) =>
        `"${name}":"${new Date(Date.parse(day) + days * DAY).toISOString().slice(0, 10)}"`,
    ),
  ) as T;

/**
 * A year of closed dockets of a scenario, moved so that it ends today; null where the scenario has none.
 * @throws BadInput naming the line that cannot be used
 */
export const readYear = async (folder: string, today: string): Promise<ClosedDocket[] | null> => {
  let packed: Buffer;
  try {
    packed = await readFile(join(folder, 'year.jsonl.gz'));
  } catch (error) {
    if ((error as { code?: string }).code === 'ENOENT') return null;
    throw error;
  }
  const [first = '', ...lines] = gunzipSync(packed).toString('utf8').trim().split('\n');
  const head = parse(Head, JSON.parse(first), 'year.jsonl line 1');
  const days = Math.round((Date.parse(today) - Date.parse(head.until)) / DAY);
  return lines.map((line, i): ClosedDocket => {
    const { daysAgo, action, headline, built, docket, entry } = moved(
      parse(Closed, JSON.parse(line), `year.jsonl line ${i + 2}`),
      days,
    );
    return {
      daysAgo,
      action,
      headline,
      docket: parseDocket({
        format: 'hardy-spoke/docket',
        version: 1,
        vehicle: {
          catalogueId: entry.line,
          name: entry.lineName,
          buildDate: built,
          saltExposure: 'high',
        },
        ...docket,
      }),
      entry: { ...entry, expected: head.expected[entry.line ?? ''] ?? [] },
    };
  });
};

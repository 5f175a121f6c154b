import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { advise, Advice, bareKnowledge, parse, parseDocket } from '../index.ts';

const FOLDER = join(__dirname, '../../../../cases');
const TODAY = '2026-11-25';

interface Expect {
  wheelEnd?: string | null;
  topCause?: string[];
  action?: string[];
  part?: string[];
  check?: string[];
  causesAtLeast?: Record<string, number>;
  causesAtMost?: Record<string, number>;
  cautions?: string[];
  roles?: Record<string, string>;
  asks?: string[];
  cheaper?: Array<[string, string]>;
  cannotOffer?: string[];
}

const files = readdirSync(FOLDER).filter((file) => file.endsWith('.json'));

describe('example dockets', () => {
  test.each(files)('%s', (file) => {
    const { docket, expect: wanted } = JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as {
      docket: unknown;
      expect: Expect;
    };
    const advice = advise(parseDocket(docket), bareKnowledge(TODAY));
    parse(Advice, advice);
    const { verdict } = advice;
    const highest = (cause: string) =>
      Math.max(0, ...advice.causes.filter((c) => c.cause === cause).map((c) => c.probability));
    const mean = (part: string) => advice.offers.find((offer) => offer.part === part)?.allIn.mean ?? NaN;
    if (wanted.wheelEnd !== undefined) expect(advice.wheelEnd).toBe(wanted.wheelEnd);
    if (wanted.topCause) expect(wanted.topCause).toContain(advice.causes[0]?.cause);
    if (wanted.action) expect(wanted.action).toContain(verdict.action);
    if (wanted.part) expect(wanted.part).toContain(verdict.part);
    if (wanted.check) expect(wanted.check).toContain(verdict.check);
    for (const [cause, least] of Object.entries(wanted.causesAtLeast ?? {}))
      expect(highest(cause)).toBeGreaterThanOrEqual(least);
    for (const [cause, most] of Object.entries(wanted.causesAtMost ?? {}))
      expect(highest(cause)).toBeLessThanOrEqual(most);
    for (const caution of wanted.cautions ?? []) expect(advice.cautions).toContain(caution);
    for (const [code, role] of Object.entries(wanted.roles ?? {}))
      expect(advice.codes.find((c) => c.code === code)?.role).toBe(role);
    for (const about of wanted.asks ?? []) expect(advice.questions.map((q) => q.about)).toContain(about);
    for (const [a, b] of wanted.cheaper ?? []) expect(mean(a)).toBeLessThan(mean(b));
    for (const part of wanted.cannotOffer ?? []) expect(advice.offers.map((o) => o.part)).not.toContain(part);
  });
});

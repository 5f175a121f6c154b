import { describe, expect, test } from '@jest/globals';
import { z } from 'zod';
import { mustBeShallow } from './depth.ts';
import { parse } from './parse.ts';
import { parseDocket } from './parseDocket.ts';

const deep = (levels: number): unknown => {
  let value: unknown = 'end';
  for (let i = 0; i < levels; i++) value = i % 2 ? [value] : { a: value };
  return value;
};

describe('data nested too deep', () => {
  test.each([100, 20_000, 300_000])('%i levels are refused in words, and break nothing', (levels) => {
    const words = /nested more than 60 levels deep/;
    expect(() => mustBeShallow(deep(levels))).toThrow(words);
    expect(() => parse(z.object({}), deep(levels))).toThrow(words);
    expect(() => parseDocket({ format: 'hardy-spoke/docket', version: 1, options: deep(levels) })).toThrow(
      words,
    );
  });

  test('what is not is read, however wide', () => {
    expect(() => mustBeShallow(deep(60))).not.toThrow();
    expect(() => mustBeShallow(Array.from({ length: 100_000 }, () => ({ a: [1] })))).not.toThrow();
    expect(() => mustBeShallow('text')).not.toThrow();
  });

  test('options have a size', () => {
    const docket = (note: string) => ({ format: 'hardy-spoke/docket', version: 1, options: { note } });
    expect(() => parseDocket(docket('x'.repeat(100_001)))).toThrow(
      /^options: is longer than 100000 characters/,
    );
    expect(() => parseDocket(docket('x'))).not.toThrow();
  });
});

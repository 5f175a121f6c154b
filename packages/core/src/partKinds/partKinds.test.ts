import { describe, expect, test } from '@jest/globals';
import { DEFAULT_ASSUMPTIONS } from '../assumptions/assumptions.ts';
import { FAULTS } from '../faultKinds/faultData.ts';
import { EVENTS } from '../vocabulary/wordLists.ts';
import { EVENT_IN_WORDS } from '../vocabulary/inWords.ts';
import type { PartKind } from './partKind.ts';
import {
  PAIRS,
  PART_CLASSES,
  PART_FIGURES,
  PART_IN_WORDS,
  PART_WORK,
  partsThat,
  partsWhere,
  RENEWED,
} from './partData.ts';
import { PART_KINDS } from './partKinds.ts';

const KINDS: readonly PartKind[] = PART_KINDS;

describe('a class of parts', () => {
  test('has a name of its own and is heard by words no other is heard by', () => {
    expect(new Set(PART_CLASSES).size).toBe(KINDS.length);
    expect(new Set(Object.values(PART_IN_WORDS)).size).toBe(KINDS.length);
    const heard = KINDS.flatMap(({ heardAs }) => heardAs.split('|'));
    expect(new Set(heard).size).toBe(heard.length);
    for (const phrase of heard) expect(phrase).toMatch(/^[a-z ]+$/);
  });

  test.each(KINDS.map((kind) => [kind.part, kind] as const))(
    '%s cures something that may be wrong, for what it costs, within the ranges of the shop',
    (part, kind) => {
      const cured = Object.entries(kind.cures);
      expect(cured.length).toBeGreaterThan(0);
      for (const [fault, chance] of [
        ...cured,
        ...(kind.brings ?? []).flatMap((b) => Object.entries(b.cures)),
      ]) {
        expect(FAULTS).toContain(fault);
        expect(chance).toBeGreaterThan(0);
        expect(chance).toBeLessThan(1);
      }
      for (const [fault, chance] of cured)
        expect(DEFAULT_ASSUMPTIONS[`cures.${part}.${fault}`]?.value).toBe(chance);
      for (const [key, value] of [
        [`price.${part}`, kind.price],
        [`labour.${part}`, kind.hours],
        [`companions.${part}`, kind.companions],
      ] as const) {
        const entry = DEFAULT_ASSUMPTIONS[key];
        expect(entry?.value).toBe(value);
        expect(value).toBeGreaterThanOrEqual(entry?.min ?? Infinity);
        expect(value).toBeLessThanOrEqual(entry?.max ?? -Infinity);
      }
    },
  );

  test.each(KINDS.map((kind) => [kind.part, kind] as const))(
    '%s says how to measure it and how the work goes, and makes up no torque',
    (part, kind) => {
      expect(PART_FIGURES[part as keyof typeof PART_FIGURES].length).toBeGreaterThan(2);
      expect(new Set(kind.figures.map(({ key }) => key)).size).toBe(kind.figures.length);
      for (const figure of kind.figures) {
        expect(figure.how).toMatch(/[.?]$/);
        if (figure.kind === 'look') expect(figure.values?.length).toBeGreaterThan(1);
      }
      const { steps, tools, torques } = PART_WORK[part as keyof typeof PART_WORK];
      expect(steps.length).toBeGreaterThan(2);
      expect(tools.length).toBeGreaterThan(1);
      for (const { figure } of torques) expect(figure).toBe('maker\u2019s figure');
    },
  );

  test('renewing one is an event that is known and has words', () => {
    for (const part of PART_CLASSES) {
      expect(EVENTS).toContain(RENEWED[part]);
      expect(EVENT_IN_WORDS[RENEWED[part]].length).toBeGreaterThan(5);
    }
    expect(new Set(EVENTS).size).toBe(EVENTS.length);
  });

  test('what goes alongside exists, and is not itself', () => {
    for (const [main, other] of PAIRS) {
      expect(PART_CLASSES).toContain(other);
      expect(main).not.toBe(other);
    }
  });

  test('what a wheel end lacks is not there; what needs nothing always is', () => {
    expect(partsWhere('wheel', () => false)).toEqual(['hub-assembly', 'connector-kit']);
    expect(partsWhere('wheel', () => true)).toEqual([
      'sensor',
      'tone-ring',
      'hub-assembly',
      'axle-shaft',
      'connector-kit',
    ]);
    expect(partsWhere('centre', () => true)).toEqual(['sender', 'connector-kit']);
  });

  test('what moves the knuckle undoes fasteners that are used once', () => {
    for (const part of partsThat('movesKnuckle')) expect(partsThat('singleUse')).toContain(part);
  });
});

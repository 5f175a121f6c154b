import { describe, expect, test } from '@jest/globals';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { evidenceWithout, ownOf } from '../diagnosis/ownFindings.ts';
import type { Evidence, Finding } from '../diagnosis/finding.ts';
import { advise } from './advise.ts';
import { bareKnowledge } from './knowledge.ts';

const ENDS = [1, 2, 3, 4].flatMap((axle) => [`A${axle}L`, `A${axle}R`]);

describe('many wheels at once', () => {
  test('every loose wheel is offered its hub; those beyond the worst are offered nothing else', () => {
    const advice = advise(
      parseDocket({
        format: 'hardy-spoke/docket',
        version: 1,
        vehicle: { axles: 4 },
        symptoms: ['lamp.abs'],
        codes: [{ module: 'ABS', code: 'C0031-13' }],
        checks: ENDS.map((wheelEnd) => ({ check: 'bearing.play', wheelEnd, result: 'clear' })),
      }),
      bareKnowledge('2026-11-27'),
    );
    const parts = (end: string) =>
      advice.offers.filter(({ wheelEnd }) => wheelEnd === end).map(({ part }) => part);
    for (const end of ENDS)
      expect([end, parts(end)]).toEqual([end, expect.arrayContaining(['hub-assembly'])]);
    expect(
      ENDS.filter((end) => parts(end).some((part) => part !== 'hub-assembly')).length,
    ).toBeLessThanOrEqual(4);
    expect(advice.cautions).toContain('stop-driving');
  });
});

describe('a fact left out', () => {
  const finding = (path: string, wheelEnd: string | null): Finding => ({
    path,
    label: path,
    wheelEnd: wheelEnd as Finding['wheelEnd'],
    mechanism: 'm',
    kind: 'present',
    seen: () => 1,
  });
  const evidence: Evidence = {
    findings: [finding('codes[0]', 'A1L'), finding('codes[1]', 'A1L'), finding('codes[2]', 'A2R')],
    complaints: [{ paths: ['symptoms[0]'], label: 's', leak: 0, brings: () => 0 }],
    shared: [],
    setAside: new Map(),
  };
  test('leaves the very lists of the other wheels where they are', () => {
    const rest = evidenceWithout(evidence, 'codes[0]');
    expect(rest.findings.map(({ path }) => path)).toEqual(['codes[1]', 'codes[2]']);
    expect(ownOf(rest, 'A1L').map(({ path }) => path)).toEqual(['codes[1]']);
    expect(ownOf(rest, 'A2R')).toBe(ownOf(evidence, 'A2R'));
    expect(rest.complaints).toBe(evidence.complaints);
    expect(evidenceWithout(evidence, 'symptoms[0]').complaints).toEqual([]);
  });
});

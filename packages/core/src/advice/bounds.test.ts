import { describe, expect, test } from '@jest/globals';
import type { Advice } from '../vocabulary/advice.ts';
import type { Docket, DocketCode } from '../vocabulary/docket.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { advise } from './advise.ts';
import { bareKnowledge } from './knowledge.ts';

const advised = (more: Partial<Docket>): Advice =>
  advise(
    parseDocket({ format: 'hardy-spoke/docket', version: 1, symptoms: ['lamp.abs'], ...more }),
    bareKnowledge('2026-11-25'),
  );
const chances = ({ causes }: Advice) =>
  causes.map(({ cause, wheelEnd, probability }) => `${cause} ${wheelEnd} ${probability.toFixed(9)}`).sort();
const heard = (most: number, codes: DocketCode[]) =>
  chances(advised({ codes, options: { assumptions: { 'correlation.most-heard': most } } }));
const dead = (sub: string): DocketCode => ({ code: `C0031-${sub}`, module: 'ABS' });

describe('codes that a reader writes again', () => {
  const once = { code: 'C0031-13', module: 'ABS', text: 'wheel speed sensor front left, open' };

  test('the same code in other words counts once, and says so', () => {
    const twice = advised({ codes: [once, { ...once, text: 'VL Raddrehzahl Unterbrechung' }] });
    expect(chances(twice)).toEqual(chances(advised({ codes: [once] })));
    expect(twice.facts.find(({ path }) => path === 'codes[1]')?.said).toMatch(/the same code again/);
  });

  test.each([
    ['of another controller', { module: 'ESP' }],
    ['of another wheel', { code: 'C0034-13' }],
    ['with another meaning', { code: 'C0031-11' }],
    ['that is only stored', { status: 'stored' as const }],
  ])('one %s is another code', (_, other) => {
    const both = advised({ codes: [once, { ...once, ...other }] });
    expect(chances(both)).not.toEqual(chances(advised({ codes: [once] })));
  });

  test('of many reports of one thing the most telling are heard, in whatever order they stand', () => {
    const many = ['13', '11', '12', '14', '15', '16', '1A', '1B', '31', '2F'].map(dead);
    expect(heard(6, [...many].reverse())).toEqual(heard(6, many));
    expect(heard(6, many)).not.toEqual(heard(40, many));
    expect(heard(40, many)).not.toEqual(heard(1, many));
  });
});

describe('what people wait for is bounded', () => {
  const ends = Array.from({ length: 9 }, (_, i) => [`A${i + 1}L`, `A${i + 1}R`] as const).flat();
  const everywhere: Partial<Docket> = {
    vehicle: { axles: 9 },
    wheelEnd: 'A1L',
    options: { assumptions: { 'offer.corner-at-least': 0.01 } },
    codes: ends.map((wheelEnd) => ({
      code: 'C0040-13',
      module: `EBS ${wheelEnd}`,
      wheelEnd,
    })),
  };
  const offeredAt = ({ offers }: Advice) => new Set(offers.map(({ wheelEnd }) => wheelEnd));

  test('of many events of one kind at a wheel six are heard', () => {
    const renewed = (times: number) =>
      chances(
        advised({
          codes: [dead('13')],
          history: Array.from({ length: times }, (_, i) => ({
            event: 'sensor-replaced' as const,
            wheelEnd: 'A2L' as const,
            daysAgo: 10 + i,
          })),
        }),
      );
    expect(renewed(12)).toEqual(renewed(6));
    expect(renewed(6)).not.toEqual(renewed(2));
  });

  test('offers are made at four wheel ends, and at every unsafe one', () => {
    expect(offeredAt(advised(everywhere)).size).toBe(4);
    const loose = advised({
      ...everywhere,
      checks: ends.map((wheelEnd) => ({
        check: 'bearing.play' as const,
        wheelEnd,
        result: 'clear' as const,
      })),
    });
    expect(offeredAt(loose).size).toBe(18);
  });

  test('a fourth and a fifth step ahead are as the third', () => {
    const ahead = (steps: number) =>
      advised({ codes: [dead('13')], options: { assumptions: { 'plan.depth': steps } } }).plan;
    expect(ahead(5)).toEqual(ahead(3));
    expect(ahead(4)).toEqual(ahead(3));
    expect(ahead(3)).not.toEqual(ahead(1));
  });
});

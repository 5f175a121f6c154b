import { describe, expect, test } from '@jest/globals';
import { advise, bareKnowledge, CHECK_NAMES, parseDocket, type Docket } from '@hardy/core';
import { CHECK_RESULTS, checkWithResult, numbersOf, takeOffer } from '@hardy/core/words';
import { age, hours, inHundred, money, price } from '../format.ts';
import { answerQuestion } from './answerQuestion.ts';
import { changed, wheelChoices, without } from './factEdits.ts';
import { measuredCheck, numberTyped } from './measureFields.ts';
import { numberWithin } from './numberWithin.ts';
import { orderLines, orderTotal, otherNumberNow } from './orderLines.ts';

const base: Docket = { format: 'hardy-spoke/docket', version: 1, codes: [{ code: 'C0031-13' }] };
const knowledge = bareKnowledge('2026-11-25');

describe('answering a question', () => {
  test('fills only the gap', () => {
    const docket: Docket = {
      ...base,
      vehicle: { name: 'van', wheelEnds: { A1: { sensor: 'active' } } },
      positions: [{ text: 'rear', wheelEnds: [], needs: 'side' }],
    };
    expect(answerQuestion(docket, 'wheelEnd', 'A1R', null)).toEqual({ ...docket, wheelEnd: 'A1R' });
    expect(answerQuestion(docket, 'steeringSide', 'left', null).vehicle).toEqual({
      ...docket.vehicle,
      steeringSide: 'left',
    });
    expect(answerQuestion(docket, 'mounting', 'in-hub', 'A1L').vehicle?.wheelEnds?.A1).toEqual({
      sensor: 'active',
      mounting: 'in-hub',
    });
    expect(answerQuestion(docket, 'ringSoldAlone', 'false', 'A2L').vehicle?.wheelEnds?.A2).toEqual({
      ringSoldAlone: false,
    });
    expect(answerQuestion(docket, 'vehicle', 'x', null)).toBe(docket);
  });

  test('a side given later places the phrase that lacked it', () => {
    const docket: Docket = {
      ...base,
      codes: [],
      positions: [{ text: 'rear', wheelEnds: [], needs: 'side' }],
    };
    expect(advise(docket, knowledge).questions[0]?.about).toBe('side');
    expect(advise(answerQuestion(docket, 'side', 'left', null), knowledge).wheelEnd).toBe('A2L');
  });
});

describe('checks at the counter', () => {
  test('every check can be entered, and what is entered is a valid docket', () => {
    for (const check of CHECK_NAMES) {
      const entries = [
        ...CHECK_RESULTS[check].map((result) => checkWithResult(check, result, 'A1L')),
        ...(numbersOf(check).length > 0
          ? [
              measuredCheck(
                check,
                Object.fromEntries(numbersOf(check).map(({ key }) => [key, '12'])),
                check === 'meter.resistance' ? { of: 'sensor' } : {},
                'A1L',
              ),
            ]
          : []),
        ...(check === 'tyres' ? [{ check, sizes: { A1L: '205/55 R16', A1R: '205/55 R16' } }] : []),
      ];
      expect(entries.length).toBeGreaterThan(0);
      expect(() => parseDocket({ ...base, checks: entries })).not.toThrow();
    }
  });

  test.each([
    ['1.2k', 'ohm', 1200],
    ['1,2 kohm', 'ohm', 1200],
    ['1 180', 'ohm', 1180],
    ['300 mV', 'V', 0.3],
    ['68F', '\u00B0C', 20],
    ['12.6', 'V', 12.6],
    ['-2,1', '%', -2.1],
    ['twelve', 'V', null],
    ['1.2.3', 'V', null],
    ['', 'V', null],
  ])('"%s" typed for %s is %s', (text, unit, value) => {
    expect(numberTyped(text, unit)).toBe(value);
  });

  test('a reading that cannot be is told, and nothing filled in is no check', () => {
    expect(measuredCheck('meter.supply', { volts: 'x' }, {}, 'A1L')).toMatch(/no number/);
    expect(measuredCheck('meter.supply', { volts: '900' }, {}, 'A1L')).toMatch(/from 0 to 60 V/);
    expect(measuredCheck('ring.teeth', { counted: '47.5', expected: '48' }, {}, 'A1L')).toMatch(/whole/);
    expect(measuredCheck('battery', {}, {}, null)).toBeNull();
    expect(measuredCheck('battery', { crankingVolts: '9,1' }, {}, null)).toEqual({
      check: 'battery',
      wheelEnd: null,
      crankingVolts: 9.1,
    });
  });

  test('lists are changed without touching the rest', () => {
    const list = ['a', 'b', 'c'];
    expect(without(list, 1)).toEqual(['a', 'c']);
    expect(changed(list, 1, (entry) => entry.toUpperCase())).toEqual(['a', 'B', 'c']);
    expect(without(null, 0)).toEqual([]);
    expect(wheelChoices(advise(base, knowledge))[0]).toEqual({ value: 'A1L', label: 'front left' });
  });
});

describe('the order', () => {
  test('shows the offer\u2019s lines while it is made, and the part as taken when it is not', () => {
    const advice = advise(base, knowledge);
    const chosen = {
      part: 'sensor' as const,
      wheelEnd: 'A1L',
      partNumber: 'WS1',
      priceCents: 4010,
      allInMeanCents: 20000,
      cures: 0.5,
    };
    expect(orderLines(base, advice)).toEqual([]);
    const sensor = advice.offers.find((offer) => offer.part === 'sensor');
    expect(orderLines({ ...base, chosen }, advice)).toEqual(takeOffer(sensor!, '').lines);
    const kept = takeOffer(
      { ...sensor!, lines: sensor!.lines.map((l) => ({ ...l, unitPrice: 12.34 })) },
      '2026-11-26',
    );
    expect(orderLines({ ...base, chosen: kept }, advice)[0]?.unitCents).toBe(1234);
    expect(otherNumberNow({ ...base, chosen }, advice)).toBeNull();
    const renamed = {
      ...advice,
      offers: [{ ...sensor!, lines: sensor!.lines.map((l) => ({ ...l, partNumber: 'WS2' })) }],
    };
    expect(otherNumberNow({ ...base, chosen }, renamed)).toBe('WS2');
    expect(orderLines({ ...base, chosen: { ...chosen, wheelEnd: 'A2R' } }, advice)[0]).toMatchObject({
      partNumber: 'WS1',
      unitCents: 4010,
    });
  });

  test('adds up in cents', () => {
    const line = (unitCents: number, quantity: number, depositCents = 0) => ({
      partNumber: null,
      description: '',
      brand: null,
      tier: null,
      quantity,
      unitCents,
      listCents: unitCents,
      depositCents,
      bin: null,
      why: '',
    });
    expect(orderTotal([line(10, 3), line(20, 1)])).toEqual({ parts: 50, deposits: 0 });
    expect(orderTotal([line(1999, 3, 4500)])).toEqual({ parts: 5997, deposits: 13500 });
  });
});

test('figures carry their units', () => {
  expect(money(271.4, 'EUR')).toBe('\u20AC271');
  expect(price(42.1, 'EUR')).toBe('\u20AC42.10');
  expect(inHundred(0.664)).toBe('66 in 100');
  expect(hours(0.7)).toBe('0.7 h');
  expect(age(new Date(Date.now() - 3 * 3600_000).toISOString())).toBe('3 hours');
});

describe('numbers typed into the facts', () => {
  test.each([
    ['190000', 190000],
    ['190 000 km', 190000],
    ['190.000', 190000],
    ["85'500km", 85500],
    ['0', 0],
  ])('%s km', (text, value) => {
    expect(numberWithin(text, 'km', 0, 5_000_000)).toEqual({ value });
  });

  test.each([
    ['2,5 h', 2.5],
    ['12', 12],
  ])('%s of soaking', (text, value) => {
    expect(numberWithin(text, 'h', 0, 1000)).toEqual({ value });
  });

  test.each([
    ['far', /"far" is not a number; give km/],
    ['-3', /from 0 to 5,000,000 km/],
    ['90000000', /from 0 to 5,000,000 km/],
    ['', /is not a number/],
  ])('"%s" says what is wrong and how to mend it', (text, message) => {
    const read = numberWithin(text, 'km', 0, 5_000_000);
    expect('problem' in read ? read.problem : '').toMatch(message);
  });
});

test('an answer to a doubt becomes a fact and the doubt is gone', () => {
  const docket = {
    format: 'hardy-spoke/docket',
    version: 1,
    doubts: [{ about: 'play', words: 'might wobble' }],
  } as const;
  const said = { check: { check: 'bearing.play', result: 'clear', wheelEnd: 'A2L' } };
  expect(
    answerQuestion({ ...docket, doubts: [...docket.doubts] }, 'doubt:0', JSON.stringify(said), null),
  ).toMatchObject({ checks: [said.check], doubts: [] });
  expect(answerQuestion({ ...docket, doubts: [...docket.doubts] }, 'doubt:0', '{}', null).doubts).toEqual([]);
});

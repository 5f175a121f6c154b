import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { docketFromReading } from './docketFromReading.ts';
import { readIntake } from './readIntake.ts';

/* Thursday. */
const context = bareIntake('2026-11-26');
const heard = (words: string) => {
  const docket = docketFromReading(readIntake(words, context), words, null);
  return {
    customer: docket.customer ?? null,
    budgetCents: docket.budgetCents ?? null,
    neededBy: docket.neededBy ?? null,
    wishes: docket.wishes ?? [],
  };
};

/* Never seen before the reader was made for the others, scored once: 9 of 12. The three below stay unknown, none is wrong. */
describe('heard at first sight', () => {
  test.each([
    [
      'ringing from Brae Motors about a tolvane haven, abs light rear left',
      { customer: { firm: 'Brae Motors' } },
    ],
    ['Harbour Council here, gritter abs lamp, fleet price please', { customer: { kind: 'fleet' } }],
    ['trade price on a front left sensor for a fennick otter', { customer: { kind: 'garage' } }],
    ['abs lamp, budget around 80', { budgetCents: 8000 }],
    ['must be ready by Friday, abs light front right', { neededBy: '2026-11-27' }],
    ['abs light, ferry leaves Saturday so it has to be done before', { neededBy: null }],
    [
      'speedometer dead, abs light on; lamp can stay',
      { wishes: [{ what: 'anti-lock lamp on', matters: 'can-live' }] },
    ],
    [
      'wheel growls and abs light, the growl has to go',
      { wishes: [{ what: 'wheel growls', matters: 'must' }] },
    ],
    ['abs light at up to 40 kmh, budget 60', { budgetCents: 6000 }],
  ])('%s', (words, said) => {
    expect(heard(words)).toMatchObject(said);
  });

  test.each([
    'abs light, has 250 euros and no more',
    'abs light, wants it under 300 pounds',
    'she does not care about the light, only the speedo, speedo dead abs light on',
  ])('%s: unknown, never wrong', (words) => {
    expect(heard(words)).toMatchObject({ budgetCents: null, wishes: [] });
  });
});

describe('who pays, how much, and by when, as it is said', () => {
  test.each([
    [
      'abs light front left, calling from Holmvik Garage, trade account',
      { kind: 'garage', firm: 'Holmvik Garage' },
    ],
    [
      'this is Skerry Haulage, abs lamp on the box trailer, on the trade',
      { kind: 'garage', firm: 'Skerry Haulage' },
    ],
    ['school minibus abs light, goes on the fleet account', { kind: 'fleet' }],
    ['council van, charge it to the fleet, rear right sensor', { kind: 'fleet' }],
    ['abs light on, I am a mechanic with a garage account', { kind: 'garage' }],
  ])('%s', (words, customer) => {
    expect(heard(words).customer).toMatchObject(customer);
  });

  test.each([
    ['abs light front left, budget is 150', 15000],
    ['abs light, can spend no more than 120 euros', 12000],
    ['rear left sensor, up to €89.50 and not a cent more', 8950],
    ['abs light, maximum 200 quid for all of it', 20000],
    ['gives up to 30 km/h then abs light', null],
    ['no more than 2 ohm between the pins front left', null],
    ['abs light comes on at no more than 50 kmh', null],
  ])('%s', (words, cents) => {
    expect(heard(words).budgetCents).toBe(cents);
  });

  test.each([
    ['abs light, needed by Monday', '2026-11-30'],
    ['abs light front left, must run by tomorrow', '2026-11-27'],
    ['needs it back by 2 December, abs light', '2026-12-02'],
    ['abs light came on by Monday', null],
    ['fixed by Peter last Monday, abs light back', null],
  ])('%s', (words, day) => {
    expect(heard(words).neededBy).toBe(day);
  });

  test.each([
    [
      'speedo dead and abs light on. The speedometer matters, the lamp does not',
      [
        { what: 'speedometer dead', matters: 'must' },
        { what: 'anti-lock lamp on', matters: 'can-live' },
      ],
    ],
    [
      'abs light and wheel growls, he can live with the lamp',
      [{ what: 'anti-lock lamp on', matters: 'can-live' }],
    ],
    ['abs light, nothing else', []],
  ])('%s', (words, wishes) => {
    expect(heard(words).wishes).toEqual(wishes);
  });
});

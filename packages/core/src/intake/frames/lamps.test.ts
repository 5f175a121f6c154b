import { describe, expect, test } from '@jest/globals';
import { bareIntake } from '../context.ts';
import { readIntake } from '../readIntake.ts';

const read = (words: string) => readIntake(words, { ...bareIntake('2026-11-25'), axles: 2 });
const lampsOf = (words: string) => {
  const { symptoms, checks } = read(words);
  return [
    ...symptoms.map((s) => (typeof s === 'string' ? s : `${s.is}=${s.cured}`)),
    ...checks.flatMap((c) => (c.check === 'lamps' ? [c.result] : [])),
  ];
};

describe('lamps and messages', () => {
  test.each<[string, string[]]>([
    ['abs and traction lights on', ['lamp.abs', 'lamp.traction']],
    ['all lamps on: abs, esp, handbrake', ['lamp.abs', 'lamp.traction', 'lamp.brake']],
    ['camera and radar messages came up with the abs lamp', ['message.driver-assist', 'lamp.abs']],
    ['stability unavailable and hill start not available', ['lamp.traction']],
    ['abs sensor and abs ring looked at', []],
    ['the abs ring light in colour', []],
  ])('named and lit: %s', (words, wanted) => {
    expect(lampsOf(words)).toEqual(wanted);
  });

  test.each<[string, string[]]>([
    ['no abs light', []],
    ['the abs lamp is not on but the traction one is', ['lamp.traction']],
    ['neither the abs lamp nor the brake lamp is on', []],
    ['abs lamp off, speedo dead', ['speedometer.dead']],
    ['rear brake lights out', []],
    ['the abs light never goes out', ['lamp.abs']],
  ])('denied, and denied of going out: %s', (words, wanted) => {
    expect(lampsOf(words)).toEqual(wanted);
  });

  test.each<[string, string[]]>([
    ['abs light went out by itself', ['out-by-itself']],
    ['lamp went out after clearing the codes', ['out-after-clearing']],
    ['traction light has gone but abs stays lit', ['lamp.traction=yes', 'lamp.abs']],
    ['abs light has been off since the hub was renewed', ['lamp.abs=yes']],
    ['abs light came on, went off, came on again', ['lamp.abs']],
    ['abs light on last week. The abs light is gone now', ['lamp.abs=yes']],
    ['the light was on, he cleared it, still off', []],
    ['the light is on', ['on']],
  ])('what became of it: %s', (words, wanted) => {
    expect(lampsOf(words)).toEqual(wanted);
  });

  test('every chip of a fact leads to that fact on the docket, also where it is said twice', () => {
    const reading = read(
      'ring cracked front left, plug green rear right, ring cracked front left, abs light on',
    );
    const facts = {
      checks: reading.checks,
      symptoms: reading.symptoms,
      history: reading.history,
      codes: reading.codes,
    };
    const paths = reading.chips.filter(({ kind }) => kind === 'check').map(({ path }) => path);
    expect(paths).toEqual(['checks[0]', 'checks[1]', 'checks[0]']);
    for (const { path } of reading.chips) {
      const at = /^(\w+)\[(\d+)\]$/.exec(path ?? '');
      if (at) expect(facts[at[1] as keyof typeof facts][Number(at[2])]).toBeDefined();
    }
  });
});

import { describe, expect, test } from '@jest/globals';
import { drawLife } from '@hardy/bench-vehicle';
import { SLIPS, WEAR } from '../../bench-vehicle/src/life/ailments.ts';
import { randomFrom } from '@hardy/core/chance';
import { assumptionsWith, WAYS_TO_WORK } from '@hardy/core/trial';
import { CHECK_NAMES, parseDocket } from '@hardy/core';
import { causeOfAilment } from './bench/causeOf.ts';
import { checkOn } from './bench/checkOn.ts';
import { docketOf } from './bench/docketOf.ts';
import { playVehicle } from './job/playVehicle.ts';

const TODAY = '2026-11-25';

describe('a bench vehicle through what a person could learn', () => {
  test('every first docket and every check of it is one that the contract takes', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const life = drawLife(seed);
      const docket = docketOf(life, TODAY, randomFrom(seed));
      expect(() => parseDocket(docket)).not.toThrow();
      const checks = CHECK_NAMES.flatMap(
        (name) => checkOn(life.vehicle, name, 'A1L', randomFrom(seed)) ?? [],
      );
      expect(() => parseDocket({ ...docket, checks })).not.toThrow();
    }
  });

  test('a docket tells nothing of what befell: dockets of two vehicles that send the same are the same', () => {
    const life = drawLife(3);
    const other = { ...life, befell: [['controller', null]] as const };
    expect(docketOf(other, TODAY, randomFrom(1))).toEqual(docketOf(life, TODAY, randomFrom(1)));
  });

  test('every ailment has a cause', () => {
    for (const { name } of [...WEAR, ...Object.values(SLIPS).flat()])
      expect(causeOfAilment(name)).toBeTruthy();
  });

  test('every way to work comes to an end, the same one each time', () => {
    const a = assumptionsWith();
    const visits = WAYS_TO_WORK.map((way) => {
      // One of several visits is played once, a short one twice.
      const long = playVehicle(way, way === 'ours' ? 77 : 5, a, TODAY);
      const short = playVehicle(way, 12, a, TODAY);
      for (const played of [long, short]) expect(played.cost).toBeGreaterThan(0);
      expect(playVehicle(way, 12, a, TODAY)).toEqual(short);
      return long.visits;
    });
    expect(Math.max(...visits)).toBeGreaterThan(3);
  });
});

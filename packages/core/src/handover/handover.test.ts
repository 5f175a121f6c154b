import { describe, expect, test } from '@jest/globals';
import { emptySlice } from '../vocabulary/catalogue.ts';
import { CAUTION_IN_WORDS } from '../vocabulary/inWords.ts';
import { PART_CLASSES } from '../vocabulary/wordLists.ts';
import { PART_WORK } from '../partKinds/partData.ts';
import { handOverFor } from './handOver.ts';

describe('the sheet', () => {
  test('every part class has access, tools, steps and proof', () => {
    for (const part of PART_CLASSES) {
      const sheet = handOverFor(part, 'A1L', null, emptySlice(), ['lifting', 'licensed-work']);
      for (const list of [sheet.access, sheet.tools, sheet.steps, sheet.proof])
        expect(list.length).toBeGreaterThan(0);
      expect(sheet.steps).toHaveLength(PART_WORK[part].steps.length);
      expect(sheet.cautions.map((c) => c.words)).toEqual([
        CAUTION_IN_WORDS.lifting,
        CAUTION_IN_WORDS['licensed-work'],
      ]);
    }
  });

  test('the catalogue\u2019s own note wins, single-use fasteners marked', () => {
    const slice = {
      ...emptySlice(),
      jobs: [
        {
          vehicleId: 'v',
          axle: 1,
          partClass: 'hub-assembly' as const,
          labourHours: 2,
          access: 'wheel off; disc off',
          tools: '32 mm socket',
          torques: '!axle nut=230 Nm; wheel bolts=110 Nm',
        },
      ],
    };
    const sheet = handOverFor('hub-assembly', 'A1R', null, slice, []);
    expect(sheet.access).toEqual(['wheel off', 'disc off']);
    expect(sheet.tools[0]).toBe('32 mm socket');
    expect(sheet.torques).toEqual([
      { what: 'axle nut', figure: '230 Nm', singleUse: true },
      { what: 'wheel bolts', figure: '110 Nm', singleUse: false },
    ]);
    expect(handOverFor('hub-assembly', 'A2R', null, slice, []).torques[0]?.figure).toContain('maker');
  });
});

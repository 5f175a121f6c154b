import { describe, expect, test } from '@jest/globals';
import type { ReaderCodes } from '../vocabulary/devices.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { takeReaderCodes } from './takeReaderCodes.ts';

const docket = (more: Partial<Docket>): Docket => ({ format: 'hardy-spoke/docket', version: 1, ...more });
const result = (more: Partial<ReaderCodes>): ReaderCodes => ({
  codes: [],
  read: ['ABS', 'Gearbox'],
  unread: [],
  wasCleared: false,
  ...more,
});
const ABS = { module: 'ABS', code: 'C0031-13', status: 'active' } as const;

describe('what a reader found goes on the docket', () => {
  test('in place of what was known of those controllers; a typed code keeps its words', () => {
    const after = takeReaderCodes(
      docket({
        codes: [
          { code: 'C0031-13', text: 'open circuit, said the customer' },
          { module: 'ABS', code: 'C0034', status: 'stored' },
          { module: 'Doors', code: 'B1234' },
        ],
        modulesRead: ['Doors'],
      }),
      result({ codes: [ABS] }),
    );
    expect(after).toMatchObject({ reader: 'full', modulesRead: ['Doors', 'ABS', 'Gearbox'] });
    expect(after.codes).toEqual([
      { module: 'Doors', code: 'B1234' },
      { ...ABS, text: 'open circuit, said the customer' },
    ]);
    expect(after.codesCleared).toBeUndefined();
  });
  test('a silent controller was read: its old codes are gone', () => {
    expect(takeReaderCodes(docket({ codes: [ABS] }), result({})).codes).toEqual([]);
    expect(takeReaderCodes(docket({ codes: [ABS] }), result({ read: ['Gearbox'] })).codes).toEqual([ABS]);
  });
  test('after the fix, cleared and driven: nothing back is the proof, and what the job was for stays', () => {
    const sold = docket({
      codes: [ABS],
      chosen: { part: 'sensor', wheelEnd: 'A1L', priceCents: 1, allInMeanCents: 1, cures: 1 },
      proof: { lampsOutMetres: 300 },
    });
    expect(takeReaderCodes(sold, result({ wasCleared: true }))).toEqual({
      ...sold,
      codesCleared: true,
      proof: { lampsOutMetres: 300, codesBack: false },
    });
    const back = takeReaderCodes(sold, result({ wasCleared: true, codes: [{ ...ABS, code: 'C0031-31' }] }));
    expect(back).toMatchObject({ codesCleared: true, proof: { codesBack: true } });
    expect(back.codes?.map(({ code }) => code)).toEqual(['C0031-31']);
  });
});

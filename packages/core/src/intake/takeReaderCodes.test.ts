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
  const sold = docket({
    codes: [ABS],
    chosen: { part: 'sensor', wheelEnd: 'A1L', priceCents: 1, allInMeanCents: 1, cures: 1 },
  });
  test('a brake controller that did not answer proves nothing', () => {
    const silent = result({
      read: ['Gearbox'],
      unread: [{ name: 'ABS', why: 'it does not answer' }],
      wasCleared: true,
    });
    const after = takeReaderCodes(sold, silent);
    expect(after.proof?.codesBack).toBeUndefined();
    expect(after.codesCleared).toBeUndefined();
    expect(after.codes).toEqual([ABS]);
  });
  test('a code of another controller that has nothing to do with it is no brake code that is back', () => {
    const engine = { module: 'Engine', code: 'P0420', status: 'active' } as const;
    const after = takeReaderCodes(
      sold,
      result({ read: ['ABS', 'Engine'], wasCleared: true, codes: [engine] }),
    );
    expect(after.proof).toEqual({ codesBack: false });
    expect(after.codes).toEqual([ABS, engine]);
  });
  test('a log of the bus tells of those that spoke, not of a reader that reaches all', () => {
    const after = takeReaderCodes(
      docket({}),
      result({ read: ['Engine'], unread: [{ name: 'others', why: 'x' }] }),
    );
    expect(after.reader).toBeUndefined();
    expect(after.modulesRead).toEqual(['Engine']);
  });
  test('after the fix, cleared and driven: nothing back is the proof, and what the job was for stays', () => {
    const proved = { ...sold, proof: { lampsOutMetres: 300 } };
    expect(takeReaderCodes(proved, result({ wasCleared: true }))).toEqual({
      ...proved,
      reader: 'full',
      modulesRead: ['ABS', 'Gearbox'],
      codesCleared: true,
      proof: { lampsOutMetres: 300, codesBack: false },
    });
    const back = takeReaderCodes(sold, result({ wasCleared: true, codes: [{ ...ABS, code: 'C0031-31' }] }));
    expect(back).toMatchObject({ codesCleared: true, proof: { codesBack: true } });
    expect(back.codes?.map(({ code }) => code)).toEqual(['C0031-31']);
  });
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { busCodeText, troubleOnBus, framesOfCodes, type BusCode } from './activeCodes.ts';
import { readFrameLog, writeFrameLog } from './frameLog.ts';

const code = fc.record({
  spn: fc.integer({ min: 1, max: 0x7fffe }),
  fmi: fc.integer({ min: 0, max: 31 }),
  count: fc.option(fc.integer({ min: 0, max: 126 }), { nil: null }),
});
const of = (
  codes: ReadonlyArray<Pick<BusCode, 'spn' | 'fmi' | 'count'>>,
  source: number,
  status: BusCode['status'],
) => codes.map((each) => ({ ...each, source, status }));

describe('codes on the bus', () => {
  test('come back as they were sent, one or many, active or past, through a log', () => {
    fc.assert(
      fc.property(fc.array(code, { maxLength: 40 }), fc.array(code, { maxLength: 5 }), (active, stored) => {
        const all = [...of(active, 0x0b, 'active'), ...of(stored, 0x0b, 'stored')];
        const frames = [...framesOfCodes(all, 0x0b, 'active'), ...framesOfCodes(all, 0x0b, 'stored', 1)];
        expect(troubleOnBus(readFrameLog(writeFrameLog(frames)).frames).codes).toEqual(all);
      }),
    );
  });

  test('a known frame: wheel sensor of the second axle, left, open', () => {
    const frames = framesOfCodes(of([{ spn: 791, fmi: 5, count: 3 }], 0x0b, 'active'), 0x0b, 'active');
    expect(writeFrameLog(frames)).toBe('(0.000000) trailer 18FECA0B#04FF17030503FFFF\n');
    expect(troubleOnBus(frames).codes.map(busCodeText)).toEqual(['SPN 791 FMI 5']);
  });

  test('two controllers may speak at once; a message with a packet missing is not believed', () => {
    const many = Array.from({ length: 6 }, (_, i) => ({ spn: 789 + i, fmi: 5, count: 1 }));
    const one = framesOfCodes(of(many, 0x0b, 'active'), 0x0b, 'active');
    const two = framesOfCodes(of(many.slice(0, 3), 0x21, 'active'), 0x21, 'active');
    const mixed = one.flatMap((frame, i) => (two[i] ? [frame, two[i]] : [frame]));
    expect(troubleOnBus(mixed).codes).toHaveLength(9);
    expect(troubleOnBus(one.filter((_, i) => i !== 2)).codes).toEqual([]);
  });

  test('none is sent as none, and the newest message stands', () => {
    const was = framesOfCodes(of([{ spn: 789, fmi: 5, count: 1 }], 0x0b, 'active'), 0x0b, 'active');
    const none = framesOfCodes([], 0x0b, 'active', 5);
    expect(troubleOnBus([...was, ...none]).codes).toEqual([]);
  });

  test('chance frames and lines never throw but for a log that is none', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ id: fc.integer({ min: 0, max: 0x1fffffff }), data: fc.uint8Array({ maxLength: 8 }) }),
          { maxLength: 80 },
        ),
        (frames) => {
          expect(Array.isArray(troubleOnBus(frames.map((frame) => ({ ...frame, time: 0 }))).codes)).toBe(
            true,
          );
        },
      ),
    );
    expect(() => readFrameLog('time,A1L\n1,2')).toThrow(/no frame log/);
    expect(readFrameLog('(1.0) can0 18FECA0B#00FF\n(2.0) can0 123#00\n').passedOver).toBe(1);
  });
});

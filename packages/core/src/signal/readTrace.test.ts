import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { TraceReading } from '../vocabulary/traceReading.ts';
import { parse } from '../vocabulary/parse.ts';
import { generateLog } from './generate/generateLog.ts';
import { thinPerPixel, sampleAt } from './perPixel.ts';
import { readTrace } from './readTrace.ts';
import { readTraceText } from './readTraceText.ts';
import { crack, plainLog } from './tests/plainLog.ts';

const FOUR = ['A1L', 'A1R', 'A2L', 'A2R'];
const drive = { seconds: 180, rateHz: 10, slow: 4, fast: 45, noise: 0.1, wheels: FOUR };
const seen = (csv: string) =>
  Object.fromEntries(readTraceText(csv).reading.findings.map((f) => [f.wheelEnd, f.pattern]));

describe('logs of another maker than our generator', () => {
  test('a sound drive with bends has nothing wrong anywhere', () => {
    expect(Object.values(seen(plainLog(drive)))).toEqual(['normal', 'normal', 'normal', 'normal']);
  });

  test.each<[string, (kmh: number, metres: number, t: number, chance: () => number) => number]>([
    ['once-per-turn', crack(1.93, 0.08, 0.3)],
    ['once-per-turn', crack(2.31, 0.06, 1)],
    ['no-signal', () => 0],
    ['drops-out', (kmh, _, __, chance) => (chance() < 0.012 ? 0 : kmh)],
    ['reads-high', (kmh) => kmh * 1.03],
    ['reads-low', (kmh) => (kmh * 47) / 48],
    ['weak-at-low-speed', (kmh) => (kmh < 9 ? 0 : kmh)],
    ['noisy', (kmh, _, __, chance) => kmh * (1 + 0.1 * (chance() + chance() - 1))],
  ])('%s is found at its wheel and nowhere else', (pattern, fault) => {
    const csv = plainLog({ ...drive, faults: { A2R: fault } });
    expect(seen(csv)).toEqual({ A1L: 'normal', A1R: 'normal', A2L: 'normal', A2R: pattern });
  });

  test('the ratio of 47 teeth for 48 is told to 0.3 %, and the teeth among what explains it', () => {
    const { findings } = readTraceText(
      plainLog({ ...drive, faults: { A1L: (kmh) => (kmh * 47) / 48 } }),
    ).reading;
    expect(findings[0]!.ratio).toBeCloseTo(47 / 48, 2);
    expect(Math.abs(findings[0]!.ratio! - 47 / 48)).toBeLessThan(0.003);
    expect(findings[0]!.explains.some(({ because }) => because.includes('47 teeth where 48'))).toBe(true);
  });

  test('the turn is found in distance: its length to 2 %, and a crack of another wheel does not borrow it', () => {
    for (const circumference of [1.62, 1.93, 2.4, 3.1]) {
      const csv = plainLog({ ...drive, faults: { A1R: crack(circumference, 0.1, 0.4) } });
      const finding = readTraceText(csv).reading.findings[1]!;
      expect(finding.pattern).toBe('once-per-turn');
      expect(Math.abs(finding.circumferenceM! / circumference - 1)).toBeLessThan(0.02);
    }
  });

  test('a ratio within wear stays normal and is told', () => {
    const { findings } = readTraceText(plainLog({ ...drive, faults: { A2L: (kmh) => kmh * 1.012 } })).reading;
    expect(findings[2]).toMatchObject({ pattern: 'normal' });
    expect(findings[2]!.ratio).toBeCloseTo(1.012, 2);
    expect(findings[2]!.sentence).toContain('within wear');
  });

  test('two wheels of one axle: a trailer', () => {
    const csv = plainLog({ ...drive, wheels: ['A1L', 'A1R'], faults: { A1L: crack(1.93, 0.08, 0.4) } });
    expect(seen(csv)).toEqual({ A1L: 'once-per-turn', A1R: 'normal' });
    const ratio = readTraceText(
      plainLog({ ...drive, wheels: ['A1L', 'A1R'], faults: { A1L: (v) => v * 1.05 } }),
    );
    expect(ratio.reading.notes.join()).toContain('cannot say which');
    expect(
      Math.max(...ratio.reading.findings.filter((f) => f.pattern !== 'normal').map((f) => f.confidence)),
    ).toBe(0.5);
  });
});

describe('the study', () => {
  test('states above which speed the log could not have shown a place on the ring: two samples a turn', () => {
    const reading = readTraceText(plainLog(drive), { circumference: 1.978 }).reading;
    expect(reading.sampleRateHz).toBeCloseTo(10, 3);
    expect(reading.onceVisibleBelowKmh).toBe(35.6);
    expect(reading.samples).toBe(1800);
    expect(reading.seconds).toBe(180);
  });

  test('the reading is the contract\u2019s, whatever the log', () => {
    fc.assert(
      fc.property(
        fc.record({
          seed: fc.integer({ min: 1, max: 1e6 }),
          rateHz: fc.constantFrom(5, 10, 20, 50),
          drive: fc.constantFrom('yard' as const, 'town' as const, 'road' as const, 'mixed' as const),
          severity: fc.double({ min: 0, max: 1, noNaN: true }),
          pattern: fc.constantFrom(
            'no-signal' as const,
            'drops-out' as const,
            'noisy' as const,
            'reads-low' as const,
          ),
          missing: fc.constantFrom(0, 0.05),
        }),
        ({ pattern, severity, ...recipe }) => {
          const log = generateLog({
            ...recipe,
            seconds: 60,
            faults: [{ wheelEnd: 'A1L', pattern, severity }],
          });
          const { reading, events } = readTrace(log, 1 / recipe.rateHz);
          expect(() => parse(TraceReading, reading)).not.toThrow();
          expect(reading.findings.map(({ wheelEnd }) => wheelEnd)).toEqual(FOUR);
          for (const list of events)
            for (const event of list) expect(event.from).toBeLessThanOrEqual(event.to);
        },
      ),
      { numRuns: 25, seed: 11 },
    );
  });

  test('the same recipe makes the same log, and the same log the same reading', () => {
    const recipe = { seed: 5, drive: 'yard' as const, seconds: 60, rateHz: 20 };
    const [one, two] = [generateLog(recipe), generateLog(recipe)];
    expect(one).toEqual(two);
    expect(readTrace(one, 0.05).reading).toEqual(readTrace(two, 0.05).reading);
  });

  test('left and right mirrored give the mirrored reading', () => {
    const faults = { A1R: crack(1.93, 0.08, 0.4), A2L: (kmh: number) => kmh * 1.04 };
    const csv = plainLog({ ...drive, faults });
    const mirrored = csv.replace(
      /A(\d)(L|R)_/g,
      (_, axle: string, side: string) => `A${axle}${side === 'L' ? 'R' : 'L'}_`,
    );
    const turned = Object.fromEntries(
      Object.entries(seen(csv)).map(([end, pattern]) => [
        `${end.slice(0, 2)}${end.endsWith('L') ? 'R' : 'L'}`,
        pattern,
      ]),
    );
    expect(seen(mirrored)).toEqual(turned);
  });
});

describe('drawing', () => {
  test('thinned to the pixels, every peak and both ends stay', () => {
    const n = 50000;
    const time = Float64Array.from({ length: n }, (_, i) => i / 100);
    const values = Float32Array.from({ length: n }, (_, i) => Math.sin(i / 900) + (i === 31234 ? -9 : 0));
    const curve = thinPerPixel(time, values, 0, n, 500);
    expect(curve.x.length).toBeLessThanOrEqual(2000);
    expect(Math.min(...curve.y)).toBe(values[31234]);
    expect(curve.x[0]).toBe(0);
    expect(curve.x.at(-1)).toBe(time.at(-1));
    expect([...curve.x]).toEqual([...curve.x].sort((p, q) => p - q));
    expect(sampleAt(time, 12.345)).toBe(1235);
  });
});

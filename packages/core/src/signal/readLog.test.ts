import { describe, expect, test } from '@jest/globals';
import { generateLog } from './generate/generateLog.ts';
import { logToCsv } from './logToCsv.ts';
import { readLog, secondsOfClock } from './read/logReader.ts';
import { guessMapping } from './read/guessMapping.ts';
import { roleOfHeading } from './read/headings.ts';
import { readTraceText } from './readTraceText.ts';
import { mendTimes } from './timeBase.ts';

const sound = generateLog({ seed: 3, drive: 'town', seconds: 60, rateHz: 10 });
const plain = logToCsv(sound);
const rows = plain.trim().split('\n').slice(1);
const headed = (heading: string, row: (fields: string[], i: number) => string): string =>
  [heading, ...rows.map((line, i) => row(line.split(','), i))].join('\n');

const speedsOf = (text: string, circumference?: number) => {
  const { log, interval } = readLog(text, { circumference: circumference ?? null });
  return { log, interval, ends: log.wheels.map(({ wheelEnd }) => wheelEnd) };
};

describe('any logger', () => {
  const expected = sound.wheels[0]!.kmh[300]!;

  test.each<[string, string]>([
    ['the contract', plain],
    [
      'semicolons and decimal commas',
      headed('Zeit;A1L;A1R;A2L;A2R', (f) => f.map((v) => v.replace('.', ',')).join(';')),
    ],
    [
      'milliseconds and tabs',
      headed('time_ms\tFL\tFR\tRL\tRR', (f) => [Math.round(Number(f[0]) * 1000), ...f.slice(1)].join('\t')),
    ],
    [
      'clock times past midnight',
      headed('Time,WSS_FL [km/h],WSS_FR [km/h],WSS_RL [km/h],WSS_RR [km/h]', (f) => {
        const t = 86370 + Number(f[0]);
        const d = t % 86400;
        const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
        return [
          `${two(d / 3600)}:${two((d % 3600) / 60)}:${(d % 60).toFixed(3).padStart(6, '0')}`,
          ...f.slice(1),
        ].join(',');
      }),
    ],
    [
      'ISO stamps and words',
      headed(
        'timestamp,wheel speed front left,wheel speed front right,wheel speed rear left,wheel speed rear right',
        (f) => [new Date(1764000000000 + Number(f[0]) * 1000).toISOString(), ...f.slice(1)].join(','),
      ),
    ],
    [
      'miles an hour',
      headed('t;LF mph;RF mph;LR mph;RR mph', (f) =>
        [f[0], ...f.slice(1).map((v) => Number(v) / 1.609344)].join(';'),
      ),
    ],
    [
      'metres a second',
      headed(
        'time [s],WheelSpeedFrontLeft [m/s],WheelSpeedFrontRight [m/s],WheelSpeedRearLeft [m/s],WheelSpeedRearRight [m/s]',
        (f) => [f[0], ...f.slice(1).map((v) => Number(v) / 3.6)].join(','),
      ),
    ],
    [
      'a head of its own and a row of units',
      `# logger 7\n# vehicle 12\n\n${headed('Time,FL,FR,RL,RR', (f) => f.join(',')).replace('\n', '\ns,km/h,km/h,km/h,km/h\n')}`,
    ],
    [
      'other columns between, Windows lines',
      headed('Index,Time (s),Engine,FL_kmh,FR_kmh,RL_kmh,RR_kmh,steering_deg', (f, i) =>
        [i, f[0], 900, ...f.slice(1), 3].join(','),
      ).replace(/\n/g, '\r\n'),
    ],
  ])('%s', (_, text) => {
    const { log, ends, interval } = speedsOf(text);
    expect(ends).toEqual(['A1L', 'A1R', 'A2L', 'A2R']);
    expect(interval).toBeCloseTo(0.1, 3);
    expect(log.wheels[0]!.kmh[300]).toBeCloseTo(expected, 1);
    expect(log.time.length).toBe(600);
  });

  test('turns a minute by the circumference', () => {
    const text = headed('time_s,A1L rpm,A1R rpm,A2L rpm,A2R rpm', (f) =>
      [f[0], ...f.slice(1).map((v) => ((Number(v) / 3.6 / 1.92) * 60).toFixed(3))].join(','),
    );
    expect(speedsOf(text, 1.92).log.wheels[0]!.kmh[300]).toBeCloseTo(expected, 1);
  });

  test('three axles and trailers', () => {
    const six = headed('time,A1L,A1R,A2L,A2R,A3L,A3R', (f) => [...f, f[1], f[2]].join(','));
    expect(speedsOf(six).ends).toEqual(['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R']);
    const middle = headed('time,FL,FR,ML,MR,RL,RR', (f) => [...f, f[1], f[2]].join(','));
    expect(speedsOf(middle).ends).toEqual(['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R']);
    const axles = headed('time,axle 1 left,axle 1 right,axle 2 left,axle 2 right', (f) => f.join(','));
    expect(speedsOf(axles).ends).toEqual(['A1L', 'A1R', 'A2L', 'A2R']);
  });

  test('missing samples stay missing, doubled and shuffled rows are mended and told', () => {
    const holes = headed('time_s,A1L,A1R,A2L,A2R', (f, i) =>
      i % 7 === 0 ? [f[0], '', ...f.slice(2)].join(',') : f.join(','),
    );
    expect(speedsOf(holes).log.wheels[0]!.kmh[14]).toBeNaN();
    const doubled = [plain.trim(), ...rows.slice(100, 110)].join('\n');
    const { log } = speedsOf(doubled);
    expect(log.time.length).toBe(600);
    expect(log.notes.join()).toMatch(/sorted.*left out/);
  });

  test('a clock too coarse for its rows is spread', () => {
    const coarse = mendTimes(Float64Array.from({ length: 300 }, (_, i) => Math.floor(i / 10)));
    expect(coarse.interval).toBeCloseTo(0.1, 6);
    expect(coarse.notes.join()).toContain('spread');
  });

  test.each([
    ['steering_deg', 'steering'],
    ['tyre pressure FL', 'other'],
    ['vehicle speed [km/h]', 'vehicle'],
    ['GPS_speed', 'vehicle'],
    ['elapsed_ms', 'time'],
    ['RRWheelSpeed', 'wheel'],
    ['nearside front', 'other'],
  ])('the heading %s is %s', (heading, kind) => {
    expect(roleOfHeading(heading).kind).toBe(kind);
  });

  test.each([
    ['10:02:03.5', 36123.5],
    ['02:03,25', 123.25],
    ['2026-11-25T10:02:03Z', 36123],
    ['1:02:03 pm', 46923],
  ])('%s', (text, seconds) => {
    expect(secondsOfClock(text)).toBeCloseTo(seconds, 6);
  });
});

describe('bad logs are told, and how to mend them', () => {
  test.each<[string, string, RegExp]>([
    ['nothing', '', /empty|no table/],
    ['words', 'the abs light is on\nsince monday', /no table of numbers/],
    ['no wheel columns', headed('time,a,b,c,d', (f) => f.join(',')), /which columns are wheel speeds.*"a"/],
    [
      'one wheel',
      headed('time,FL', (f) => f.slice(0, 2).join(',')).replace(/^(.*)$/gm, '$1,0'),
      /second wheel/,
    ],
    ['no time', headed('FL,FR,RL,RR', (f) => f.slice(1).join(',')), /which column is the time/],
    ['three lines', plain.split('\n').slice(0, 4).join('\n'), /only 3 samples/],
    ['all zeros', headed('time_s,A1L,A1R', (f) => [f[0], 0, 0].join(',')), /never moved/],
    [
      'not numbers',
      headed('time_s,A1L,A1R', (f) => [f[0], 'NaN', 'NaN'].join(',')),
      /no number|no table|columns/,
    ],
    ['one time', headed('time_s,A1L,A1R', (f) => [5, f[1], f[2]].join(',')), /same in every row/],
    [
      'speeds in millimetres',
      headed('time_s,A1L,A1R', (f) => [f[0], Number(f[1]) * 278, Number(f[2]) * 278].join(',')),
      /unit/,
    ],
  ])('%s', (_, text, message) => {
    expect(() => readTraceText(text)).toThrow(message);
  });

  test('the guess shows what a person needs to choose', () => {
    const guess = guessMapping(headed('clock,one,two,three,four', (f) => f.join(',')));
    expect(guess.missing).toEqual(['which columns are wheel speeds']);
    expect(guess.headings).toEqual(['clock', 'one', 'two', 'three', 'four']);
    expect(guess.preview.length).toBeGreaterThan(3);
  });

  test('a file of one endless line is told in a short sentence, without reading it all', () => {
    for (const line of ['1,'.repeat(3_000_000), 'x'.repeat(6_000_000), `a,b\n${'2;'.repeat(2_000_000)}`]) {
      const said = (() => {
        try {
          readLog(line);
          return '';
        } catch (error) {
          return (error as Error).message;
        }
      })();
      expect(said).toMatch(/line of more than 100000 characters|cannot be recognised/);
      expect(said.length).toBeLessThan(2500);
    }
  });
});

import { expect, test } from '@jest/globals';
import { LogReader } from '@hardy/core';
import fc from 'fast-check';
import { LiveRecording } from './liveRecording.ts';

test('what came is kept in its order, and comes out as a log that is read to the same speeds', async () => {
  const recording = new LiveRecording();
  for (let i = 0; i < 100; i++) expect(recording.add([i * 20, 10 + i / 10, 10, 9.5, 0])).toBe(true);
  expect(recording.names).toEqual(['A1L', 'A1R', 'A2L', 'A2R']);
  expect(recording.now).toEqual([19.9, 10, 9.5, 0]);
  expect(recording.since(0.5)).toBe(74);
  const file = recording.toFile(new Date('2026-11-27T08:15:00Z'));
  expect(file.name).toBe('live 2026-11-27 08.15.csv');
  const reader = new LogReader({ mapping: null, circumference: null });
  reader.push(await file.text());
  const { log, interval } = reader.finish();
  expect(interval).toBeCloseTo(0.02, 6);
  expect(log.wheels.map(({ wheelEnd }) => wheelEnd)).toEqual(recording.names);
  expect([...(log.wheels[0]?.kmh ?? [])].map((v) => Math.round(v * 10) / 10)).toEqual(recording.kmh[0]);
});

test('what is no sample is not taken, and changes nothing', () => {
  const recording = new LiveRecording();
  recording.add([0, 1, 2, 3, 4]);
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const isSample =
        Array.isArray(value) &&
        value.length === 5 &&
        value.every((each) => Number.isFinite(each)) &&
        (value[0] as number) > 0;
      fc.pre(!isSample);
      expect(recording.add(value)).toBe(false);
      expect(recording.seconds).toEqual([0]);
      expect(recording.kmh.map(({ length }) => length)).toEqual([1, 1, 1, 1]);
    }),
  );
});

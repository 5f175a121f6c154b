import { afterEach, describe, expect, test } from '@jest/globals';
import type { AddressInfo, Server } from 'node:net';
import { createServer } from 'node:net';
import { BenchVehicleOrder } from '@hardy/core/bench';
import {
  busCodeText,
  codeBytes,
  troubleOnBus,
  codeText,
  DeviceTrouble,
  encodeFrame,
  frameCutter,
  judgeReadings,
  numberOf,
  openMeter,
  openReader,
  readAll,
  readFrameLog,
  type Controller,
} from '@hardy/devices';
import fc from 'fast-check';
import { busLogOf } from './busLog.ts';
import { ADDRESS, BenchStation, meterStand, readerStand, type Mischief } from './index.ts';

const CONTROLLERS: readonly Controller[] = [
  { name: 'Brakes', address: ADDRESS.brakes },
  { name: 'Engine', address: ADDRESS.engine },
  { name: 'Gearbox', address: ADDRESS.gearbox },
];
const [BRAKES] = CONTROLLERS as [Controller];
/** Far above what an answer takes on a busy machine: only what never comes may be late. */
const PATIENT = { connectMs: 60_000, answerMs: 60_000, pendingMs: 60_000 };
/** Where something never answers: long enough for all that do. */
const WAITS_OUT = { connectMs: 60_000, answerMs: 3000, pendingMs: 6000 };

const open: Server[] = [];
const listen = (server: Server): Promise<{ host: string; port: number }> =>
  new Promise((resolve) => {
    open.push(server);
    server.listen(0, '127.0.0.1', () =>
      resolve({ host: '127.0.0.1', port: (server.address() as AddressInfo).port }),
    );
  });
afterEach(() => {
  for (const server of open.splice(0)) server.close();
});
const reader = async (
  station: BenchStation,
  mischief: Mischief = {},
  clock?: () => number,
  patience = PATIENT,
) => openReader(await listen(readerStand(station, mischief, clock)), patience);
const trouble = async (act: Promise<unknown>): Promise<DeviceTrouble> => {
  const error = await act.then(
    () => null,
    (thrown: unknown) => thrown,
  );
  expect(error).toBeInstanceOf(DeviceTrouble);
  return error as DeviceTrouble;
};

describe('codes and frames', () => {
  test('a code is three bytes and back', () => {
    expect(codeBytes('C0031-13')).toEqual([0x40, 0x31, 0x13]);
    expect(codeBytes('U0415')).toEqual([0xc4, 0x15, 0]);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 0xffff }),
        fc.integer({ min: 0, max: 255 }),
        (number, failure) => {
          expect(codeBytes(codeText(number >> 8, number & 0xff, failure))).toEqual([
            number >> 8,
            number & 0xff,
            failure,
          ]);
        },
      ),
    );
  });
  test('frames come out whole however the bytes are cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.uint8Array({ maxLength: 40 }), { maxLength: 5 }),
        fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 60 }),
        (payloads, cuts) => {
          const bytes = payloads.flatMap((payload) => [...encodeFrame({ type: 0x8001, payload })]);
          const cutter = frameCutter('reader');
          const out = [];
          let at = 0;
          for (let i = 0; at < bytes.length; i++) {
            const next = at + (cuts[i % cuts.length] as number);
            out.push(...cutter.push(Uint8Array.from(bytes.slice(at, next))));
            at = next;
          }
          expect(out.map(({ payload }) => [...payload])).toEqual(payloads.map((payload) => [...payload]));
        },
      ),
    );
  });
  test.each([
    ['+1.25000000E+03', 1250],
    ['-.5', -0.5],
    ['12.', 12],
    ['abc', null],
    ['', null],
    ['1e9999', null],
    ['0x10', null],
  ])('%j is a number of a meter, or none', (text, value) => expect(numberOf(text)).toBe(value));
  test('readings: steady, running, beyond the range', () => {
    expect(judgeReadings([1200, 1204, 1198, 1201, 1200])).toMatchObject({ is: 'steady' });
    expect(judgeReadings([1200, 400, 3000, 90, 700])).toMatchObject({ is: 'unstable', from: 90 });
    expect(judgeReadings([9.9e37, 9.9e37])).toEqual({ is: 'overload' });
    expect(judgeReadings([1200, 9.9e37])).toMatchObject({ is: 'unstable', to: Infinity });
  });
});

describe('a reader on the bench', () => {
  test('reads every controller, the echo beside the root', async () => {
    const station = new BenchStation(11);
    const device = await reader(station);
    const steps: number[] = [];
    const { codes, read, unread } = await readAll(device, CONTROLLERS, (done) => steps.push(done));
    expect(steps).toEqual([1, 2, 3]);
    expect(read).toEqual(['Brakes', 'Engine', 'Gearbox']);
    expect(unread).toEqual([]);
    expect(codes.filter(({ module }) => module === 'Brakes')).toHaveLength(
      station.vehicle.memory.troubles.length,
    );
    device.close();
  });

  test('shows speeds of a drive as they go, and refuses to clear while it moves', async () => {
    let now = 1000;
    const station = new BenchStation(11);
    const device = await reader(station, {}, () => now);
    expect(await device.wheelSpeeds(BRAKES)).toEqual([0, 0, 0, 0]);
    station.startDrive(now);
    now += 8000;
    const speeds = await device.wheelSpeeds(BRAKES);
    expect(speeds).toHaveLength(4);
    expect(Math.max(...speeds)).toBeGreaterThan(3);
    expect((await trouble(device.clearCodes(BRAKES))).message).toMatch(/standing still/);
    now += 1e6;
    await device.clearCodes(BRAKES);
    expect(await device.supply(BRAKES)).toBeGreaterThan(9);
    device.close();
  });

  test('a controller that is silent or not there does not keep the others from being read', async () => {
    const device = await reader(new BenchStation(11), { silent: [ADDRESS.engine] }, undefined, WAITS_OUT);
    const { read, unread } = await readAll(device, [...CONTROLLERS, { name: 'Doors', address: 0x1099 }]);
    expect(read).toEqual(['Brakes', 'Gearbox']);
    expect(unread.map(({ name }) => name)).toEqual(['Engine', 'Doors']);
    device.close();
  });

  test('slow answers and answers in pieces are waited for', async () => {
    const device = await reader(new BenchStation(11), { pending: 3, dribbles: true });
    expect((await readAll(device, CONTROLLERS)).read).toHaveLength(3);
    device.close();
  });

  test.each([
    ['garbage', { garbage: true }, 'garbage'],
    ['a pulled cable', { hangsUpAfter: 0 }, 'gone'],
  ] as const)('%s is told, and nothing hangs', async (_, mischief, kind) => {
    const device = await reader(new BenchStation(11), mischief);
    expect((await trouble(readAll(device, CONTROLLERS))).kind).toBe(kind);
    device.close();
  });

  test('stop is heeded at once, and nobody there is told', async () => {
    const device = await reader(new BenchStation(11), { silent: [ADDRESS.brakes] });
    const stop = new AbortController();
    const reading = trouble(readAll(device, CONTROLLERS, undefined, stop.signal));
    stop.abort();
    expect((await reading).kind).toBe('stopped');
    device.close();
    const nobody = await listen(createServer());
    await new Promise<void>((closed) => open.pop()?.close(() => closed()) ?? closed());
    expect((await trouble(openReader(nobody, PATIENT))).kind).toBe('unreachable');
  });

  test('300 devices that send chance: each ends in clear words', async () => {
    let seed = 5;
    const next = () => (seed = (Math.imul(seed, 1103515245) + 12345) >>> 0) >>> 16;
    const where = await listen(
      createServer((socket) => {
        socket.on('error', () => socket.destroy());
        const bytes = Uint8Array.from({ length: next() % 200 }, () => next() & 0xff);
        // Half of them begin like a frame.
        if (next() % 2)
          bytes.set(
            encodeFrame({ type: 0x0006, payload: new Uint8Array(9) }).slice(
              0,
              Math.min(bytes.length, 8 + (next() % 9)),
            ),
          );
        socket.write(bytes);
        if (next() % 3) socket.end();
      }),
    );
    for (let i = 0; i < 300; i++) {
      const error = await trouble(openReader(where, { connectMs: 300, answerMs: 15, pendingMs: 30 }));
      expect(error.message).toMatch(/^[A-Z].*\.$|\?$/);
      if (i % 3 === 0) await trouble(openMeter(where, 15));
    }
  });
});

describe('a meter on the bench', () => {
  test('says who it is and measures what its probes are on', async () => {
    const station = new BenchStation(11);
    for (const corner of Object.values(station.vehicle.corners)) corner.sensor.inside = 'sound';
    station.vehicle.corners.A1R.sensor.inside = 'open';
    const meter = await openMeter(await listen(meterStand(station)));
    expect(meter.identity).toMatch(/M1/);
    expect(await meter.measure('ohms')).toMatchObject({ is: 'steady' });
    station.probes = { wheelEnd: 'A1R', plug: 'sensor', pins: 'across', turnsPerSecond: 1 };
    expect(await meter.measure('ohms')).toMatchObject({ is: 'overload' });
    station.probes = { wheelEnd: 'A1R', plug: 'loom', pins: 'feed to ground', turnsPerSecond: 0 };
    expect(await meter.measure('voltsDc')).toMatchObject({ is: 'steady' });
    expect(await meter.temperature()).toBe(15);
    meter.close();
  });
});

describe('a docket’s vehicle on the bench', () => {
  const order = (more: Partial<BenchVehicleOrder> = {}): BenchVehicleOrder =>
    BenchVehicleOrder.parse({
      name: 'box trailer',
      docketId: 'd1',
      seed: 3,
      axles: 3,
      driven: 'trailer',
      knuckle: null,
      salt: null,
      ageYears: null,
      distanceKm: null,
      tyre: null,
      sensing: Array.from({ length: 3 }, () => ({
        sensor: 'passive',
        mounting: 'separate',
        target: 'ring-on-hub',
        ringSoldAlone: true,
        count: 80,
      })),
      detailedCodes: true,
      codes: [{ of: 'A2R', failure: '13', active: true }],
      wheel: 'A2R',
      ...more,
    });
  test('a trailer of three axles has the fault that was told, and says so on its bus', async () => {
    const station = new BenchStation();
    await station.put(order());
    expect(station.ends).toEqual(['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R']);
    expect(station.memoryAt(0).troubles).toContainEqual({ of: 'A2R', failure: '13', active: true });
    const { codes } = troubleOnBus(readFrameLog(busLogOf(station.memoryAt(0))).frames);
    expect(codes.map(busCodeText)).toContain('SPN 792 FMI 5');
    station.startDrive(0, 'town');
    const sound = station.speedsAt(30_000);
    expect(sound).toHaveLength(6);
    expect(Math.max(...sound)).toBeGreaterThan(3);
    expect(sound[3]).toBe(0);
  });
  test('what a drive finds is found on the way, not before', async () => {
    const station = new BenchStation();
    await station.put(order({ codes: [{ of: 'A1L', failure: '31', active: true }], wheel: 'A1L' }));
    station.clear(0);
    const before = station.memoryAt(0).troubles.length;
    station.startDrive(1000, 'town');
    expect(station.memoryAt(1001).troubles).toHaveLength(before);
    expect(() => station.mend({ wheelEnd: 'A1L', fit: 'sensor', work: null }, 5000)).toThrow(/being driven/);
    expect(station.stateAt(41_000).driving?.seconds).toBe(40);
    station.skip();
    expect(station.memoryAt(5000).troubles.length).toBeGreaterThan(before);
    expect(station.stateAt(5000)).toMatchObject({ driving: null, lamp: true });
  });
  test('an empty bench, a wheel it has not and a drive there is none are told', async () => {
    const station = new BenchStation();
    expect(station.stateAt(0)).toMatchObject({ vehicle: null, lamp: false });
    expect(() => station.startDrive(0)).toThrow(/No vehicle is on the bench/);
    expect(station.ohms()).toBe(Infinity);
    await station.put(order({ axles: 2 }));
    expect(() => station.mend({ wheelEnd: 'A3L', fit: 'sensor', work: null }, 0)).toThrow(/no wheel A3L/);
    expect(() => station.startDrive(0, 'moon')).toThrow(/no drive "moon"/);
    expect(() => station.mend({ wheelEnd: null, fit: 'sensor', work: null }, 0)).toThrow(/Say which/);
  });
  test('a reader is not let onto an empty bench, nor onto a trailer', async () => {
    const station = new BenchStation();
    const where = await listen(readerStand(station));
    expect((await trouble(openReader(where, PATIENT))).message).toMatch(/does not let the reader in/);
    await station.put(order());
    expect((await trouble(openReader(where, PATIENT))).kind).toBe('refused');
  });
});

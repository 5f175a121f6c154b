import { createServer, type Server, type Socket } from 'node:net';
import { codeBytes, encodeFrame, encodeMessage, frameCutter, messageOf, TYPE, uds } from '@hardy/devices';
import { cornerCode } from '@hardy/core/trial';
import type { BenchStation } from './benchStation.ts';

/** Controllers of the bench vehicle, by address. */
export const ADDRESS = { brakes: 0x1001, engine: 0x1002, gearbox: 0x1003 } as const;

/** Ways the device may misbehave, switched on for tests and for learning. */
export interface Mischief {
  /** Addresses that never answer. */
  readonly silent?: readonly number[];
  /** Says so often that it is not ready, before it answers. */
  readonly pending?: number;
  /** Answers with bytes that are no frames. */
  readonly garbage?: boolean;
  /** Hangs up after so many messages. */
  readonly hangsUpAfter?: number;
  /** Sends every answer a byte at a time. */
  readonly dribbles?: boolean;
}

const { SERVICE, ANSWERS, REFUSAL, FAILS_NOW, CONFIRMED, DATA, PER_KMH, PER_VOLT } = uds;
const refuse = (service: number, why: number): number[] => [SERVICE.refused, service, why];
const VOLTS_RUNNING = 1.4;

/** Codes of one controller as bytes: four each, by their status. */
const codesOf = (station: BenchStation, address: number, now: number): number[] => {
  const { troubles } = station.memoryAt(now);
  const own: Array<readonly [code: string, active: boolean]> =
    address === ADDRESS.brakes
      ? troubles.map(({ of, failure, active }) => [
          of === 'controller'
            ? 'C0550'
            : of === 'supply'
              ? 'P0562'
              : `${cornerCode(of)}${station.vehicle.build.detailedCodes ? `-${failure}` : ''}`,
          active,
        ])
      : // Others only repeat that the brake controller is not well.
        address === ADDRESS.gearbox && troubles.some(({ active }) => active)
        ? [['U0415', true]]
        : [];
  return own.flatMap(([code, active]) => [...codeBytes(code), CONFIRMED | (active ? FAILS_NOW : 0)]);
};

/** The answer of a controller to one request. */
const answerOf = (station: BenchStation, address: number, data: Uint8Array, now: number): number[] => {
  const service = data[0] as number;
  switch (service) {
    case SERVICE.session:
      return [service + ANSWERS, data[1] ?? 1, 0, 50, 1, 244];
    case SERVICE.stillHere:
      return [service + ANSWERS, 0];
    case SERVICE.readCodes:
      return data[1] === uds.BY_STATUS
        ? [service + ANSWERS, uds.BY_STATUS, FAILS_NOW | CONFIRMED, ...codesOf(station, address, now)]
        : refuse(service, 0x12);
    case SERVICE.clear:
      if (station.isMoving(now)) return refuse(service, REFUSAL.conditions);
      if (address === ADDRESS.brakes) station.clear(now);
      return [service + ANSWERS];
    case SERVICE.readData: {
      const id = ((data[1] ?? 0) << 8) | (data[2] ?? 0);
      const head = [service + ANSWERS, id >> 8, id & 0xff];
      const number = (value: number) => [(value >> 8) & 0xff, value & 0xff];
      if (address === ADDRESS.brakes && id === DATA.wheelSpeeds)
        return [...head, ...station.speedsAt(now).flatMap((kmh) => number(Math.round(kmh * PER_KMH)))];
      if (id === DATA.supply)
        return [
          ...head,
          ...number(
            Math.round(
              (station.vehicle.shared.batteryVolts + (station.isMoving(now) ? VOLTS_RUNNING : 0)) * PER_VOLT,
            ),
          ),
        ];
      return refuse(service, REFUSAL.outOfRange);
    }
    default:
      return refuse(service, REFUSAL.notSupported);
  }
};

/** A reader plugged into the bench: diagnostics over IP on loopback, and nothing else. */
export const readerStand = (
  station: BenchStation,
  mischief: Mischief = {},
  clock: () => number = Date.now,
): Server => {
  const known = new Set<number>(Object.values(ADDRESS));
  const serve = (socket: Socket) => {
    // Acknowledgement and answer are two writes: neither waits for the other to be taken.
    socket.setNoDelay(true);
    const cutter = frameCutter('tester');
    let messages = 0;
    const send = (bytes: Uint8Array) => {
      if (mischief.dribbles) for (const byte of bytes) socket.write(Uint8Array.of(byte));
      else socket.write(bytes);
    };
    socket.on('error', () => socket.destroy());
    socket.on('data', (chunk) => {
      let frames;
      try {
        frames = cutter.push(new Uint8Array(chunk as Buffer));
      } catch {
        send(encodeFrame({ type: TYPE.headerRefused, payload: Uint8Array.of(0) }));
        socket.end();
        return;
      }
      for (const frame of frames) {
        if (frame.type === TYPE.activationRequest) {
          const [high = 0, low = 0] = frame.payload;
          // Tester, this entity, let in or not, reserved. An empty bench is not switched on, a trailer has another plug.
          send(
            encodeFrame({
              type: TYPE.activationResponse,
              payload: Uint8Array.of(
                high,
                low,
                0x10,
                0x00,
                station.isEmpty || station.isTrailer ? 0x00 : 0x10,
                0,
                0,
                0,
                0,
              ),
            }),
          );
          continue;
        }
        if (station.isEmpty || station.isTrailer) continue;
        const message = frame.type === TYPE.message ? messageOf(frame) : null;
        if (!message) continue;
        messages++;
        if (mischief.hangsUpAfter !== undefined && messages > mischief.hangsUpAfter) {
          socket.destroy();
          return;
        }
        if (mischief.garbage) {
          send(Uint8Array.from({ length: 64 }, (_, i) => (i * 37 + 11) & 0xff));
          continue;
        }
        if (!known.has(message.to)) {
          send(
            encodeFrame({
              type: TYPE.notAcknowledged,
              payload: Uint8Array.of(message.to >> 8, message.to & 0xff, 0x0e, 0x80, 0x03),
            }),
          );
          continue;
        }
        send(
          encodeFrame({
            type: TYPE.acknowledged,
            payload: Uint8Array.of(message.to >> 8, message.to & 0xff, 0x0e, 0x80, 0x00),
          }),
        );
        if (mischief.silent?.includes(message.to)) continue;
        const reply = (data: readonly number[]) =>
          send(encodeMessage({ from: message.to, to: message.from, data: Uint8Array.from(data) }));
        for (let i = 0; i < (mischief.pending ?? 0); i++)
          reply(refuse(message.data[0] as number, REFUSAL.pending));
        reply(answerOf(station, message.to, message.data, clock()));
      }
    });
  };
  return createServer(serve);
};

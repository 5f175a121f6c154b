import { connectTo, type ByteStream } from '../wire/byteStream.ts';
import { DeviceTrouble } from '../wire/deviceTrouble.ts';
import { encodeFrame, encodeMessage, frameCutter, messageOf, TYPE, type Frame } from '../doip/frames.ts';
import { codeText } from '../uds/codes.ts';
import {
  ALL_GROUPS,
  ANSWERS,
  BY_STATUS,
  CONFIRMED,
  DATA,
  EXTENDED,
  FAILS_NOW,
  PER_KMH,
  PER_VOLT,
  REFUSAL,
  refusalInWords,
  SERVICE,
} from '../uds/services.ts';

/** Where a reader is. */
export interface Where {
  readonly host: string;
  readonly port: number;
}

/** A controller of a vehicle, by its address. */
export interface Controller {
  readonly name: string;
  readonly address: number;
}

/** A code as it was read. */
export interface ReadCode {
  readonly module: string;
  readonly code: string;
  readonly status: 'active' | 'stored';
}

/** A reader that is connected. All calls throw DeviceTrouble with a sentence to show. */
export interface Reader {
  readCodes(of: Controller, signal?: AbortSignal): Promise<ReadCode[]>;
  clearCodes(of: Controller, signal?: AbortSignal): Promise<void>;
  /** Wheel speeds in the order of wheel ends, km/h. */
  wheelSpeeds(of: Controller, signal?: AbortSignal): Promise<number[]>;
  /** Supply of a controller, V. */
  supply(of: Controller, signal?: AbortSignal): Promise<number>;
  close(): void;
}

const TESTER = 0x0e80;
const NAME = 'reader';
/** How long a controller may take to answer, and how long it may say that it is not yet ready, ms. */
export interface Patience {
  readonly connectMs: number;
  readonly answerMs: number;
  readonly pendingMs: number;
}
export const USUAL_PATIENCE: Patience = { connectMs: 2000, answerMs: 1000, pendingMs: 8000 };
/** So many frames of others may come between: then it is no conversation. */
const MOST_OTHERS = 500;

/** Connects, and asks to be let onto the vehicle's network. @throws DeviceTrouble */
export const openReader = async (
  where: Where,
  patience: Patience = USUAL_PATIENCE,
  signal?: AbortSignal,
): Promise<Reader> => {
  const stream = await connectTo(NAME, where.host, where.port, patience.connectMs, signal);
  const frames = framesOf(stream);
  try {
    stream.write(encodeFrame({ type: TYPE.activationRequest, payload: activation() }));
    // Other messages may come before the answer; they do not make the wait any longer.
    const until = performance.now() + patience.answerMs;
    for (;;) {
      const frame = await frames.next(Math.max(0, until - performance.now()), signal);
      if (frame.type === TYPE.headerRefused)
        throw new DeviceTrouble(
          'refused',
          'The reader does not take diagnostic messages. Is it the right device?',
        );
      if (frame.type !== TYPE.activationResponse) continue;
      // Thirteen bytes: addresses, then the answer; 0x10 lets one in.
      if (frame.payload[4] !== 0x10)
        throw new DeviceTrouble(
          'refused',
          'The vehicle does not let the reader in. Ignition on, then try again.',
        );
      break;
    }
  } catch (error) {
    stream.close();
    throw error;
  }

  const ask = async (of: Controller, data: readonly number[], stop?: AbortSignal): Promise<Uint8Array> => {
    const service = data[0] as number;
    stream.write(encodeMessage({ from: TESTER, to: of.address, data: Uint8Array.from(data) }));
    let patienceMs = patience.answerMs;
    const until = performance.now() + patience.pendingMs;
    for (let others = 0; others < MOST_OTHERS;) {
      // Messages of others, however many, do not make the wait any longer.
      const frame = await frames.next(Math.max(0, Math.min(patienceMs, until - performance.now())), stop);
      if (frame.type === TYPE.aliveRequest) {
        others++;
        stream.write(
          encodeFrame({ type: TYPE.aliveResponse, payload: Uint8Array.of(TESTER >> 8, TESTER & 0xff) }),
        );
        continue;
      }
      if (frame.type === TYPE.notAcknowledged)
        throw new DeviceTrouble('silent', `${of.name} is not there, or does not answer.`);
      const message = frame.type === TYPE.message ? messageOf(frame) : null;
      if (message?.from !== of.address) {
        others++;
        continue;
      }
      const [first, second, third] = message.data;
      if (first === SERVICE.refused && second === service) {
        if (third !== REFUSAL.pending)
          throw new DeviceTrouble('refused', `${of.name}: ${refusalInWords(third ?? 0)}.`);
        patienceMs = until - performance.now();
        if (patienceMs <= 0)
          throw new DeviceTrouble('silent', `${of.name} says again and again that it is not ready.`);
        continue;
      }
      if (first === service + ANSWERS) return message.data;
      others++;
    }
    throw new DeviceTrouble('garbage', `${of.name} answers other things than were asked.`);
  };

  const short = (of: Controller) =>
    new DeviceTrouble('garbage', `${of.name} sent an answer that is cut short. Read it again.`);
  const data = async (of: Controller, id: number, stop?: AbortSignal): Promise<DataView> => {
    const answer = await ask(of, [SERVICE.readData, id >> 8, id & 0xff], stop);
    if (answer.length < 5 || ((answer[1] as number) << 8) + (answer[2] as number) !== id) throw short(of);
    return new DataView(answer.buffer, answer.byteOffset + 3, answer.length - 3);
  };
  return {
    async readCodes(of, stop) {
      const answer = await ask(of, [SERVICE.readCodes, BY_STATUS, FAILS_NOW | CONFIRMED], stop);
      if (answer.length < 3 || (answer.length - 3) % 4 !== 0) throw short(of);
      const codes: ReadCode[] = [];
      for (let i = 3; i < answer.length; i += 4) {
        const [high, low, failure, status] = answer.slice(i, i + 4) as unknown as [
          number,
          number,
          number,
          number,
        ];
        codes.push({
          module: of.name,
          code: codeText(high, low, failure),
          status: status & FAILS_NOW ? 'active' : 'stored',
        });
      }
      return codes;
    },
    async clearCodes(of, stop) {
      await ask(of, [SERVICE.session, EXTENDED], stop);
      await ask(of, [SERVICE.clear, ...ALL_GROUPS], stop);
    },
    async wheelSpeeds(of, stop) {
      const view = await data(of, DATA.wheelSpeeds, stop);
      return Array.from({ length: view.byteLength >> 1 }, (_, i) => view.getUint16(2 * i) / PER_KMH);
    },
    async supply(of, stop) {
      return (await data(of, DATA.supply, stop)).getUint16(0) / PER_VOLT;
    },
    close: () => stream.close(),
  };
};

/** Source address, activation type 0, reserved. */
const activation = (): Uint8Array => Uint8Array.of(TESTER >> 8, TESTER & 0xff, 0, 0, 0, 0, 0);

/** Frames one by one, whatever pieces they come in. */
const framesOf = (stream: ByteStream) => {
  const cutter = frameCutter(NAME);
  const ready: Frame[] = [];
  return {
    async next(withinMs: number, signal?: AbortSignal): Promise<Frame> {
      const until = performance.now() + withinMs;
      for (;;) {
        const frame = ready.shift();
        if (frame) return frame;
        const left = until - performance.now();
        if (left <= 0) throw new DeviceTrouble('silent', `The ${NAME} did not answer in time.`);
        const bytes = await stream.read(left, signal);
        if (bytes === null) throw new DeviceTrouble('gone', `The ${NAME} hung up. Is its cable still in?`);
        ready.push(...cutter.push(bytes));
      }
    },
  };
};

/** What reading all controllers gave. */
export interface ReadAll {
  readonly codes: readonly ReadCode[];
  /** Controllers that were read, and those that did not answer, with why. */
  readonly read: readonly string[];
  readonly unread: ReadonlyArray<{ readonly name: string; readonly why: string }>;
}

/**
 * Reads every controller, one after the other; one that is silent does not stop the others, a reader that is gone does.
 * @param progress told how many were asked, of how many
 * @throws DeviceTrouble when the reader itself is gone, sends garbage, or was stopped
 */
export const readAll = async (
  reader: Reader,
  controllers: readonly Controller[],
  progress: (done: number, of: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<ReadAll> => {
  const codes: ReadCode[] = [];
  const read: string[] = [];
  const unread: Array<{ name: string; why: string }> = [];
  for (const [i, controller] of controllers.entries()) {
    try {
      codes.push(...(await reader.readCodes(controller, signal)));
      read.push(controller.name);
    } catch (error) {
      if (!(error instanceof DeviceTrouble) || (error.kind !== 'silent' && error.kind !== 'refused'))
        throw error;
      unread.push({ name: controller.name, why: error.message });
    }
    progress(i + 1, controllers.length);
  }
  return { codes, read, unread };
};

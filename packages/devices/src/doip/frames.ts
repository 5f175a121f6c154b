import { DeviceTrouble } from '../wire/deviceTrouble.ts';

/* Framing of diagnostics over IP, ISO 13400-2: version, its inverse, type, length, payload. */

const VERSION = 0x02;
const HEADER = 8;
/** No diagnostic message of a vehicle is longer. */
const MOST = 1 << 16;

/** Payload types of ISO 13400-2 that are used here. */
export const TYPE = {
  headerRefused: 0x0000,
  activationRequest: 0x0005,
  activationResponse: 0x0006,
  aliveRequest: 0x0007,
  aliveResponse: 0x0008,
  message: 0x8001,
  acknowledged: 0x8002,
  notAcknowledged: 0x8003,
} as const;

export interface Frame {
  readonly type: number;
  readonly payload: Uint8Array;
}

/** A frame as bytes. */
export const encodeFrame = ({ type, payload }: Frame): Uint8Array => {
  const bytes = new Uint8Array(HEADER + payload.length);
  const view = new DataView(bytes.buffer);
  bytes[0] = VERSION;
  bytes[1] = VERSION ^ 0xff;
  view.setUint16(2, type);
  view.setUint32(4, payload.length);
  bytes.set(payload, HEADER);
  return bytes;
};

/** Cuts a stream of bytes into frames, however they arrive. */
export interface FrameCutter {
  /** Frames that are whole now. @throws DeviceTrouble `garbage` where the bytes are no such frames */
  push(bytes: Uint8Array): Frame[];
}

export const frameCutter = (name: string): FrameCutter => {
  let kept = new Uint8Array(0);
  const garbage = (): DeviceTrouble =>
    new DeviceTrouble('garbage', `The ${name} sends what is no diagnostic message. Is it the right device?`);
  return {
    push(bytes) {
      const all = new Uint8Array(kept.length + bytes.length);
      all.set(kept);
      all.set(bytes, kept.length);
      const view = new DataView(all.buffer);
      const frames: Frame[] = [];
      let at = 0;
      while (all.length - at >= HEADER) {
        if (((all[at] as number) ^ (all[at + 1] as number)) !== 0xff) throw garbage();
        const length = view.getUint32(at + 4);
        if (length > MOST) throw garbage();
        if (all.length - at < HEADER + length) break;
        frames.push({ type: view.getUint16(at + 2), payload: all.slice(at + HEADER, at + HEADER + length) });
        at += HEADER + length;
      }
      kept = all.slice(at);
      return frames;
    },
  };
};

/** A diagnostic message between two addresses. */
export interface Message {
  readonly from: number;
  readonly to: number;
  readonly data: Uint8Array;
}

export const encodeMessage = ({ from, to, data }: Message): Uint8Array => {
  const payload = new Uint8Array(4 + data.length);
  const view = new DataView(payload.buffer);
  view.setUint16(0, from);
  view.setUint16(2, to);
  payload.set(data, 4);
  return encodeFrame({ type: TYPE.message, payload });
};

/** The message in a frame of type `message`; null where it is cut short. */
export const messageOf = ({ payload }: Frame): Message | null => {
  if (payload.length < 5) return null;
  const view = new DataView(payload.buffer, payload.byteOffset, payload.length);
  return { from: view.getUint16(0), to: view.getUint16(2), data: payload.slice(4) };
};

import { BadInput } from '@hardy/core';
import type { ReaderCodes } from '@hardy/core/contract';
import { busCodeText, codesOnBus, DeviceTrouble, readFrameLog, type BusFrame } from '@hardy/devices';

const framesOf = (text: string): BusFrame[] => {
  try {
    return readFrameLog(text).frames;
  } catch (error) {
    throw error instanceof DeviceTrouble ? new BadInput('text', error.message) : error;
  }
};

/** Names a controller by its address on the bus: 0x0B is the brakes of whoever tows. */
const nameOf = (source: number): string =>
  `Bus, address ${source.toString(16).toUpperCase().padStart(2, '0')}`;

/** The codes in a frame log of a bus, as a reader's: what stands is active, what stood is stored. @throws BadInput */
export const codesOfFrameLog = (text: string): ReaderCodes => {
  const frames = framesOf(text);
  const codes = codesOnBus(frames).map((code) => ({
    module: nameOf(code.source),
    code: busCodeText(code),
    status: code.status,
  }));
  const heard = frames.map(({ id }) => nameOf(id & 0xff));
  return { codes, read: [...new Set(heard)], unread: [], wasCleared: false };
};

import { BadInput } from '@hardy/core';
import type { ReaderCodes } from '@hardy/core/contract';
import { busCodeText, troubleOnBus, DeviceTrouble, readFrameLog, type BusFrame } from '@hardy/devices';

const framesOf = (text: string): BusFrame[] => {
  try {
    return readFrameLog(text).frames;
  } catch (error) {
    throw error instanceof DeviceTrouble ? new BadInput('text', error.message) : error;
  }
};

/** SAE J1939: the brakes of whoever tows. */
const BRAKES = 0x0b;
/** A controller by its address on the bus. */
const nameOf = (source: number): string =>
  `${source === BRAKES ? 'Brakes' : 'Controller'} (bus ${source.toString(16).toUpperCase().padStart(2, '0')})`;

/**
 * The codes in a frame log of a bus, as a reader's: what stands is active, what stood is stored. Only controllers that told
 * of their codes count as read.
 * @throws BadInput for what is no frame log, and for one in which no controller told of its codes
 */
export const codesOfFrameLog = (text: string): ReaderCodes => {
  const { codes, heard } = troubleOnBus(framesOf(text));
  if (heard.length === 0)
    throw new BadInput(
      'text',
      'holds no message of codes (DM1 or DM2); log for some seconds with the ignition on',
    );
  return {
    codes: codes.map((code) => ({
      module: nameOf(code.source),
      code: busCodeText(code),
      status: code.status,
    })),
    read: heard.map(nameOf),
    unread: [{ name: 'others', why: 'a log of the bus tells only of those that spoke' }],
    wasCleared: false,
  };
};

import { DeviceTrouble } from '../wire/deviceTrouble.ts';

/** One frame of a bus of 29-bit identifiers, with when it was seen. */
export interface BusFrame {
  /** Seconds, from any start. */
  readonly time: number;
  readonly id: number;
  readonly data: Uint8Array;
}

const LINE = /^\((\d{1,12}(?:\.\d{1,9})?)\)\s+\S+\s+([0-9A-Fa-f]{8})#((?:[0-9A-Fa-f]{2}){0,8})(?:\s+[RT])?$/;

/** A frame log: `(seconds) channel ID#DATA`, a line a frame, as loggers of such a bus write and read it. */
export const writeFrameLog = (frames: readonly BusFrame[], channel = 'trailer'): string =>
  frames
    .map(
      ({ time, id, data }) =>
        `(${time.toFixed(6)}) ${channel} ${id.toString(16).toUpperCase().padStart(8, '0')}#${[...data]
          .map((byte) => byte.toString(16).toUpperCase().padStart(2, '0'))
          .join('')}\n`,
    )
    .join('');

/**
 * Reads a frame log. Lines of other kinds of frames (short identifiers, errors) are passed over and counted.
 * @throws DeviceTrouble `garbage` where no line is a frame
 */
export const readFrameLog = (text: string): { frames: BusFrame[]; passedOver: number } => {
  const frames: BusFrame[] = [];
  let passedOver = 0;
  for (const raw of text.split('\n')) {
    const line = raw.trim();
    if (line === '') continue;
    const found = LINE.exec(line);
    if (!found) {
      passedOver++;
      continue;
    }
    const [, time = '', id = '', data = ''] = found;
    frames.push({
      time: Number(time),
      id: parseInt(id, 16),
      data: Uint8Array.from({ length: data.length / 2 }, (_, i) =>
        parseInt(data.slice(2 * i, 2 * i + 2), 16),
      ),
    });
  }
  if (frames.length === 0)
    throw new DeviceTrouble(
      'garbage',
      'That is no frame log: a line is "(seconds) channel 18FECA0B#0011223344556677".',
    );
  return { frames, passedOver };
};

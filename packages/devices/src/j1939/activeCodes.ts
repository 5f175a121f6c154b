import type { BusFrame } from './frameLog.ts';

/* Trouble messages of SAE J1939-73 (DM1, active codes; DM2, past ones) and the transport of long ones (J1939-21, broadcast). */

const DM1 = 0xfeca;
const DM2 = 0xfecb;
const TRANSPORT = 0xec00;
const TRANSPORT_DATA = 0xeb00;
const BROADCAST = 0xff;
const ANNOUNCES = 32;
const BYTES_A_PACKET = 7;
/** A long message is at most 255 packets. */
const MOST_BYTES = 255 * BYTES_A_PACKET;

/** One code of a controller on the bus. */
export interface BusCode {
  /** Address of the controller: 0x0B is the brakes of the towing vehicle, 0x21 and on those of trailers' bridges. */
  readonly source: number;
  readonly spn: number;
  readonly fmi: number;
  /** How often it came; null where it is not kept. */
  readonly count: number | null;
  readonly status: 'active' | 'stored';
}

const idOf = (priority: number, pgn: number, source: number): number =>
  ((priority << 26) | (pgn << 8) | source) >>> 0;
/** The parameter group of an identifier; for one that is addressed, without the address. */
const groupOf = (id: number): { pgn: number; to: number; source: number } => {
  const pgn = (id >>> 8) & 0x3ffff;
  const addressed = ((pgn >> 8) & 0xff) < 240;
  return { pgn: addressed ? pgn & 0x3ff00 : pgn, to: pgn & 0xff, source: id & 0xff };
};

/** A code as four bytes. */
const bytesOf = ({ spn, fmi, count }: Pick<BusCode, 'spn' | 'fmi' | 'count'>): number[] => [
  spn & 0xff,
  (spn >> 8) & 0xff,
  ((spn >> 11) & 0xe0) | (fmi & 0x1f),
  (count ?? 0x7f) & 0x7f,
];

/** Codes as a controller sends them: one frame where they fit, else announced and sent in packets. */
export const framesOfCodes = (
  codes: readonly BusCode[],
  source: number,
  status: BusCode['status'],
  time = 0,
): BusFrame[] => {
  const pgn = status === 'active' ? DM1 : DM2;
  const own = codes.filter((code) => code.source === source && code.status === status);
  // Lamps: amber warning lit where something is active.
  const lamps = [status === 'active' && own.length > 0 ? 0x04 : 0x00, 0xff];
  const all = Uint8Array.from([...lamps, ...(own.length > 0 ? own.flatMap(bytesOf) : [0, 0, 0, 0])]);
  if (all.length <= 6)
    return [{ time, id: idOf(6, pgn, source), data: Uint8Array.from([...all, 0xff, 0xff]) }];
  const packets = Math.ceil(all.length / BYTES_A_PACKET);
  const announcement = [
    ANNOUNCES,
    all.length & 0xff,
    all.length >> 8,
    packets,
    0xff,
    pgn & 0xff,
    pgn >> 8,
    0,
  ];
  return [
    { time, id: idOf(7, TRANSPORT | BROADCAST, source), data: Uint8Array.from(announcement) },
    ...Array.from({ length: packets }, (_, i) => ({
      time: time + 0.05 * (i + 1),
      id: idOf(7, TRANSPORT_DATA | BROADCAST, source),
      data: Uint8Array.from({ length: 8 }, (_, b) =>
        b === 0 ? i + 1 : (all[i * BYTES_A_PACKET + b - 1] ?? 0xff),
      ),
    })),
  ];
};

const codesIn = (payload: Uint8Array, source: number, status: BusCode['status']): BusCode[] => {
  const codes: BusCode[] = [];
  for (let i = 2; i + 4 <= payload.length; i += 4) {
    const [low = 0, middle = 0, high = 0, times = 0] = payload.slice(i, i + 4);
    const spn = low | (middle << 8) | ((high & 0xe0) << 11);
    const fmi = high & 0x1f;
    // All noughts or all ones stand for none.
    if ((spn === 0 && fmi === 0) || spn === 0x7ffff) continue;
    const count = times & 0x7f;
    codes.push({ source, spn, fmi, count: count === 0x7f ? null : count, status });
  }
  return codes;
};

/** What a stretch of frames tells of trouble. */
export interface BusTrouble {
  readonly codes: readonly BusCode[];
  /** Controllers that told of their codes at all, none included: of others it says nothing. */
  readonly heard: readonly number[];
}

/** What a controller has announced and not yet sent in full. */
interface Begun {
  readonly pgn: number;
  readonly bytes: Uint8Array;
  readonly packets: number;
  next: number;
}

/**
 * The codes of every controller in a stretch of frames, as last sent. A long message that is not whole is not believed; one that
 * is announced anew starts anew.
 */
export const troubleOnBus = (frames: readonly BusFrame[]): BusTrouble => {
  const last = new Map<string, BusCode[]>();
  const heard = new Set<number>();
  const begun = new Map<number, Begun>();
  const take = (pgn: number, source: number, payload: Uint8Array) => {
    if (pgn !== DM1 && pgn !== DM2) return;
    heard.add(source);
    last.set(`${pgn} ${source}`, codesIn(payload, source, pgn === DM1 ? 'active' : 'stored'));
  };
  for (const { id, data } of frames) {
    const { pgn, to, source } = groupOf(id);
    if (pgn === TRANSPORT && to === BROADCAST && data[0] === ANNOUNCES && data.length === 8) {
      const length = (data[1] as number) | ((data[2] as number) << 8);
      const packets = data[3] as number;
      begun.delete(source);
      if (length > 0 && length <= MOST_BYTES && packets === Math.ceil(length / BYTES_A_PACKET))
        begun.set(source, {
          pgn: (data[5] as number) | ((data[6] as number) << 8) | ((data[7] as number) << 16),
          bytes: new Uint8Array(length),
          packets,
          next: 1,
        });
    } else if (pgn === TRANSPORT_DATA && to === BROADCAST && data.length === 8) {
      const message = begun.get(source);
      if (!message) continue;
      if (data[0] !== message.next) {
        begun.delete(source);
        continue;
      }
      const at = (message.next - 1) * BYTES_A_PACKET;
      message.bytes.set(data.slice(1, 1 + Math.min(BYTES_A_PACKET, message.bytes.length - at)), at);
      if (message.next++ === message.packets) {
        begun.delete(source);
        take(message.pgn, source, message.bytes);
      }
    } else take(pgn, source, data);
  }
  return { codes: [...last.values()].flat(), heard: [...heard] };
};

/** A code as the trade writes it. */
export const busCodeText = ({ spn, fmi }: Pick<BusCode, 'spn' | 'fmi'>): string => `SPN ${spn} FMI ${fmi}`;

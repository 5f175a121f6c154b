import type { BenchState, DeviceLine, DevicesView, Measured } from '@hardy/core/contract';
import {
  benchAt,
  openMeter,
  supplierAt,
  type Bench,
  type Quantity,
  type SupplierAnswer,
  type SupplierService,
  type SupplierWireOrder,
} from '@hardy/devices';
import { problem } from '../problem.ts';
import { Conversation } from './conversation.ts';
import type { DeviceFile } from './deviceFile.ts';
import { NO_JOB, ReaderDesk } from './readerDesk.ts';

const ASKED: Readonly<Record<Quantity, string>> = {
  ohms: 'how many ohms?',
  voltsDc: 'how many volts DC?',
  voltsAc: 'how many volts AC?',
};

const notNamed = (what: string) =>
  problem(409, 'No device', `no ${what} is named in the start-up file; see docs/formats.md`);

const figureOf = ({ reading }: Measured): string =>
  reading.is === 'steady'
    ? String(Number(reading.value.toPrecision(4)))
    : reading.is === 'overload'
      ? 'beyond the range'
      : `running, from ${reading.from.toPrecision(3)} to ${reading.to?.toPrecision(3) ?? 'beyond the range'}`;

/** A supplier's service and the conversation with it. */
interface Wire {
  readonly url: string;
  readonly service: SupplierService;
  readonly talk: Conversation;
}

/** Every device of the start-up file; without a file there is none, and nothing can name one. */
export class DeviceDesk {
  readonly reader: ReaderDesk | null;
  readonly #file: DeviceFile;
  readonly #meter = new Conversation('meter');
  readonly #bench: { readonly client: Bench; readonly talk: Conversation } | null;
  readonly #wires: ReadonlyMap<string, Wire>;

  constructor(file: DeviceFile) {
    this.#file = file;
    this.reader = file.reader ? new ReaderDesk(file.reader) : null;
    this.#bench = file.bench ? { client: benchAt(file.bench.url), talk: new Conversation('bench') } : null;
    this.#wires = new Map(
      Object.entries(file.suppliers ?? {}).map(([id, { url }]) => [
        id,
        { url, service: supplierAt(url), talk: new Conversation('supplier') },
      ]),
    );
  }

  /** @throws problem 409 where none is named */
  theReader(): ReaderDesk {
    if (!this.reader) throw notNamed('reader');
    return this.reader;
  }

  async measure(what: Quantity): Promise<Measured> {
    const { meter } = this.#file;
    if (!meter) throw notNamed('meter');
    return this.#meter.with(
      ASKED[what],
      async (): Promise<Measured> => {
        const device = await openMeter(meter);
        try {
          const reading = await device.measure(what);
          return {
            reading:
              reading.is === 'unstable'
                ? { ...reading, to: Number.isFinite(reading.to) ? reading.to : null }
                : reading,
            // Last: a meter without a probe may answer late, and on another question.
            celsius: what === 'ohms' ? await device.temperature() : null,
          };
        } finally {
          device.close();
        }
      },
      figureOf,
    );
  }

  /** Asks the bench; what is said of it stands among its words. */
  async bench<T>(
    asked: string,
    act: (bench: Bench) => Promise<T>,
    answered: (result: T) => string,
  ): Promise<T> {
    if (!this.#bench) throw notNamed('bench');
    const { client, talk } = this.#bench;
    return talk.with(asked, () => act(client), answered);
  }

  /** How the bench stands; null without one. It is looked at, not asked: that is done several times a second. */
  async benchNow(): Promise<BenchState | null> {
    return (await this.#bench?.client.state().catch(() => null)) ?? null;
  }

  /** Suppliers that orders can be sent to by wire. */
  get wires(): string[] {
    return [...this.#wires.keys()];
  }
  async supplier<T>(
    id: string,
    asked: string,
    act: (service: SupplierService) => Promise<T>,
    answered: (result: T) => string,
  ): Promise<T> {
    const { service, talk } = this.#wire(id);
    return talk.with(asked, () => act(service), answered);
  }

  /** Sends an order to a supplier's service; sent again under its id it is the same order. */
  readonly sendOrder = (supplier: string, sent: SupplierWireOrder): Promise<SupplierAnswer> => {
    const { service, talk } = this.#wire(supplier);
    // Orders wait for each other: one that goes on after a start must not keep a desk from sending its own.
    return talk.afterOthers(
      `order ${sent.number}, ${sent.lines.length} parts`,
      () => service.order(sent),
      ({ reference, state }) => (reference ? `${reference}, ${state}` : state),
    );
  };

  /** @throws problem 409 where none is named */
  #wire(id: string): Wire {
    const wire = this.#wires.get(id);
    if (!wire) throw notNamed(`service of the supplier ${id}`);
    return wire;
  }

  /** Asks every device whether it is there; one that is not does not keep the others from being asked. */
  async find(): Promise<void> {
    const { meter } = this.#file;
    await Promise.allSettled([
      this.reader?.find(),
      meter &&
        this.#meter.with(
          'who are you?',
          async () => {
            const device = await openMeter(meter);
            device.close();
            return device.identity;
          },
          (identity) => identity,
        ),
      this.#bench && this.bench('how do you stand?', (bench) => bench.state(), standsInWords),
      ...[...this.#wires.keys()].map((id) =>
        this.supplier(
          id,
          'what do you sell?',
          (service) => service.catalogue(),
          ({ parts }) => `${parts.length} parts`,
        ),
      ),
    ]);
  }

  /** @param names of suppliers, by their name in the catalogue */
  async view(names: ReadonlyMap<string, string>): Promise<DevicesView> {
    const line = (
      kind: DeviceLine['kind'],
      id: string,
      name: string,
      at: string,
      { words }: Conversation,
    ): DeviceLine => ({ kind, id, name, at, state: words.state, words: [...words.all] });
    const { meter, bench } = this.#file;
    const devices = [
      ...(this.reader ? [this.reader.line] : []),
      ...(meter ? [line('meter', 'meter', 'Meter', `${meter.host}:${meter.port}`, this.#meter)] : []),
      ...(bench && this.#bench
        ? [line('bench', 'bench', 'Bench', new URL(bench.url).host, this.#bench.talk)]
        : []),
      ...[...this.#wires].map(([id, { url, talk }]) =>
        line('supplier', id, names.get(id) ?? id, new URL(url).host, talk),
      ),
    ];
    return {
      off: devices.length === 0,
      devices,
      reading: this.reader?.job ?? NO_JOB,
      bench: await this.benchNow(),
    };
  }
}

/** How the bench stands, in words. */
export const standsInWords = ({ vehicle, driving, lamp, grinds }: BenchState): string =>
  vehicle
    ? [
        vehicle.name,
        driving ? `driven, ${driving.kmh} km/h` : 'standing',
        lamp ? 'lamp lit' : 'lamp out',
        grinds ? 'pedal grinds' : null,
      ]
        .filter(Boolean)
        .join(', ')
    : 'nothing on it';

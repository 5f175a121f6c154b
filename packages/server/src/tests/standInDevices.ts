import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  ADDRESS,
  benchControl,
  BenchStation,
  listenHere,
  meterStand,
  readerStand,
  supplierStand,
  type Mischief,
} from '@hardy/stand-ins';
import Papa from 'papaparse';
import { ROOT } from './openScenario.ts';

/** Bench, reader, meter and one supplier of the demo, in this process, and the start-up file that names them. */
export const standInDevices = async (supplier: string, mischief: Mischief = {}) => {
  const station = new BenchStation();
  const { data } = Papa.parse<Record<string, string>>(readFileSync(join(ROOT, 'demo/parts.csv'), 'utf8'), {
    header: true,
    skipEmptyLines: true,
  });
  const sold = data.filter((row) => row.supplier === supplier && row.cost);
  const parts = sold.map((row) => ({
    partNumber: row.number ?? '',
    description: row.description ?? '',
    priceCents: Math.round(Number(row.cost) * 100),
  }));
  const [reader, meter, bench, wire] = await Promise.all([
    listenHere(readerStand(station, mischief)),
    listenHere(meterStand(station)),
    listenHere(benchControl(station).callback()),
    listenHere(supplierStand(supplier, parts, () => '2026-11-27').callback()),
  ]);
  const url = (of: { port: number }) => `http://127.0.0.1:${of.port}`;
  return {
    station,
    /** Numbers of theirs that the shelf of the demo has none of. */
    notOnShelf: sold.flatMap(({ number, stock }) => (number && stock === '0' ? [number] : [])),
    file: {
      reader: {
        host: '127.0.0.1',
        port: reader.port,
        controllers: [
          { name: 'ABS', address: ADDRESS.brakes, wheelSpeeds: true },
          { name: 'Engine', address: ADDRESS.engine },
          { name: 'Gearbox', address: ADDRESS.gearbox },
        ],
      },
      meter: { host: '127.0.0.1', port: meter.port },
      bench: { url: url(bench) },
      suppliers: { [supplier]: { url: url(wire) } },
    },
    supplierUrl: url(wire),
    stop: () => {
      for (const { server } of [reader, meter, bench, wire]) server.close();
    },
  };
};

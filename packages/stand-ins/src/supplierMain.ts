import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { localDay } from '@hardy/core/words';
import Papa from 'papaparse';
import { listenHere, sayWhere, untilStopped } from './here.ts';
import { supplierStand } from './supplierStand.ts';

/*
 * Suppliers' services as a process of its own, one for every supplier of a catalogue: each sells what the catalogue says is
 * got there, at what it costs the shop. On this machine alone.
 */
const { values } = parseArgs({ options: { catalogue: { type: 'string' } } });
if (!values.catalogue) {
  process.stderr.write('use: --catalogue PARTS.CSV\n');
  process.exit(1);
}
const { data } = Papa.parse<Record<string, string>>(readFileSync(values.catalogue, 'utf8'), {
  header: true,
  skipEmptyLines: true,
});
const sold = data.flatMap(({ number, description, cost, supplier }) =>
  number && supplier && cost && Number.isFinite(Number(cost))
    ? [
        {
          supplier,
          partNumber: number,
          description: (description ?? '').slice(0, 300),
          priceCents: Math.round(Number(cost) * 100),
        },
      ]
    : [],
);
const today = () => localDay(new Date());
const stands = await Promise.all(
  [...new Set(sold.map(({ supplier }) => supplier))].map(async (supplier) => {
    const parts = sold
      .filter((part) => part.supplier === supplier)
      .map(({ partNumber, description, priceCents }) => ({ partNumber, description, priceCents }));
    return { supplier, ...(await listenHere(supplierStand(supplier, parts, today).callback())) };
  }),
);
sayWhere({
  suppliers: Object.fromEntries(
    stands.map(({ supplier, port }) => [supplier, { url: `http://127.0.0.1:${port}` }]),
  ),
});
untilStopped(stands.map(({ server }) => server));

import { Advice, Docket, IntakeReading, TraceReading } from '@hardy/core';
import { SupplierAnswer, SupplierCatalogue, SupplierStock, SupplierWireOrder } from '@hardy/devices';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { z } from 'zod';

/** Writes the published JSON Schema files from the schemas in the core, or with --check says whether they are current. */
const folder = join(fileURLToPath(new URL('..', import.meta.url)), 'docs', 'schema');
const schemas = {
  docket: Docket,
  advice: Advice,
  intake: IntakeReading,
  trace: TraceReading,
  'supplier-catalogue': SupplierCatalogue,
  'supplier-stock': SupplierStock,
  'supplier-wire-order': SupplierWireOrder,
  'supplier-answer': SupplierAnswer,
} as const;

/** Described as they may be given; the others as they are printed. */
const GIVEN: ReadonlySet<string> = new Set(['docket', 'supplier-wire-order']);
const stale: string[] = [];
mkdirSync(folder, { recursive: true });
for (const [name, schema] of Object.entries(schemas)) {
  const file = join(folder, `${name}.schema.json`);
  const title = `Hardy Spoke ${name}, version 1`;
  const text = `${JSON.stringify({ title, ...z.toJSONSchema(schema, { io: GIVEN.has(name) ? 'input' : 'output' }) }, null, 2)}\n`;
  if (process.argv.includes('--check')) {
    if (!existsSync(file) || readFileSync(file, 'utf8') !== text) stale.push(file);
  } else writeFileSync(file, text);
}
if (stale.length > 0) {
  process.stderr.write(`not current, run npm run schemas: ${stale.join(', ')}\n`);
  process.exit(1);
}

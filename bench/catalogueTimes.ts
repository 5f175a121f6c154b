import { createWriteStream, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { APPLICATIONS, CATALOGUE_TABLES, eanCheckDigit } from '@hardy/core';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { importCatalogue } from '../packages/server/src/catalogue/importCatalogue.ts';
import { sliceFor } from '../packages/server/src/store/catalogueStore.ts';
import { newCatalogueFile } from '../packages/server/src/store/cataloguePointer.ts';
import { openCatalogueFile, seal } from '../packages/server/src/store/catalogueFile.ts';
import { openStore } from '../packages/server/src/store/openStore.ts';
import { searchParts } from '../packages/server/src/store/partStore.ts';
import { sized } from './size.ts';

const MAKES = ['Tolvane', 'Merrowby', 'Quillon', 'Osterhaal', 'Fennick'];
const WORDS = ['front', 'rear', 'left', 'right', 'early', 'late', 'grey plug', 'long lead', 'iron', 'salt'];

/** Writes a made-up catalogue of a million application rows as files. */
const writeFiles = async (folder: string, rows: number, vehicles: number, parts: number): Promise<void> => {
  const random = randomFrom(6);
  const write = async (file: string, lines: Iterable<string>) => {
    const stream = createWriteStream(join(folder, file));
    for (const line of lines) if (!stream.write(`${line}\n`)) await once(stream, 'drain');
    stream.end();
    await once(stream, 'finish');
  };
  const columns = (file: string) => (CATALOGUE_TABLES.find((t) => t.file === file)?.headings ?? []).join(',');
  await write(
    'vehicles.csv',
    (function* () {
      yield columns('vehicles.csv');
      for (let i = 0; i < vehicles; i++)
        yield `v${i},${MAKES[i % 5]},Line ${i},,car,2010,,2,fwd,left,iron,no,205/55 R16,`;
    })(),
  );
  await write(
    'parts.csv',
    (function* () {
      yield columns('parts.csv');
      for (let i = 0; i < parts; i++) {
        const twelve = `299${String(i).padStart(9, '0')}`;
        yield `WS${100000 + i},sensor,good,Corvane,"wheel speed sensor, ${MAKES[i % 5]} Line ${i % vehicles}, ${random.pick(WORDS)} ${random.pick(WORDS)}",${20 + (i % 60)}.50,${i % 4},A${i % 30},1,24,1,0,${twelve}${eanCheckDigit(twelve)},,G${i % 20000},,reach=${20 + (i % 30)},colour=grey,,,`;
      }
    })(),
  );
  await write(
    'applications.csv',
    (function* () {
      yield APPLICATIONS.headings.join(',');
      for (let i = 0; i < rows; i++)
        yield `WS${100000 + (i % parts)},v${Math.floor(i / (rows / vehicles))},A${1 + (i % 2)}${i % 4 < 2 ? 'L' : 'R'},${2010 + (i % 12)}-0${1 + (i % 9)},,`;
    })(),
  );
};

const quantiles = (times: number[]) => {
  times.sort((a, b) => a - b);
  return {
    median: times[times.length >> 1] as number,
    p95: times[Math.floor(times.length * 0.95)] as number,
  };
};

/** Import rate, lookup against the same hand-written SQL, and search as one types, on a million application rows. */
export const catalogueTimes = async (rows = 1_000_000) => {
  const folder = mkdtempSync(join(tmpdir(), 'million-'));
  const [vehicles, parts] = [sized(20_000, 200), sized(60_000, 600)];
  await writeFiles(folder, rows, vehicles, parts);
  const store = await openStore(join(folder, 'bench.sqlite'));
  const to = newCatalogueFile(store.file);
  const filled = await openCatalogueFile(to);
  const began = performance.now();
  const report = await importCatalogue(filled, {
    folder,
    mode: 'whole',
    progress: () => undefined,
  });
  const seconds = (performance.now() - began) / 1000;
  const put = Object.values(report.rows).reduce((sum, n) => sum + n, 0);
  await filled.close();
  seal(to);
  await store.catalogue.change(to);
  // Searching looks at the shelf too: at the shop's own database with this catalogue.
  const { orm } = store;
  const random = randomFrom(9);
  const lookups: number[] = [];
  const plain: number[] = [];
  for (let i = 0; i < sized(300, 3); i++) {
    const id = `v${random.below(vehicles)}`;
    let start = performance.now();
    await sliceFor(orm.em.fork(), id);
    lookups.push(performance.now() - start);
    const connection = orm.em.fork().getConnection();
    start = performance.now();
    await connection.execute('select * from application where vehicle_id = ?', [id]);
    await connection.execute(
      'select p.* from part p where p.number in (select part_number from application where vehicle_id = ?) or p.interchange in (select q.interchange from part q where q.number in (select part_number from application where vehicle_id = ?))',
      [id, id],
    );
    plain.push(performance.now() - start);
  }
  const searches: number[] = [];
  for (let i = 0; i < sized(60, 2); i++) {
    const text = random.pick([
      'ws 1 2',
      `WS${100000 + random.below(parts)}`,
      'quillon line 12',
      'grey plug front',
      'sennsor merowby',
    ]);
    for (let length = 2; length <= text.length; length += 3) {
      const start = performance.now();
      await searchParts(orm.em.fork(), text.slice(0, length), null);
      searches.push(performance.now() - start);
    }
  }
  await store.close();
  return {
    rowsPerSecond: Math.round(put / seconds),
    seconds,
    errors: report.errorCount,
    lookup: quantiles(lookups),
    sql: quantiles(plain),
    search: quantiles(searches),
  };
};

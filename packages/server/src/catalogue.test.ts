import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { CATALOGUE_TABLES, PARTS } from '@hardy/core';
import type { ImportMode } from '@hardy/core/contract';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { exportFile } from './catalogue/exportCatalogue.ts';
import { importCatalogue } from './catalogue/importCatalogue.ts';
import { openCatalogueFile } from './store/catalogueFile.ts';
import { openScenario } from './tests/openScenario.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());

const DEMO = join(__dirname, '../../../demo');
const folderWith = (files: Readonly<Record<string, string | Buffer>>): string => {
  const folder = mkdtempSync(join(tmpdir(), 'cat-'));
  for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), text);
  return folder;
};
const imported = (
  orm: Parameters<typeof importCatalogue>[0],
  files: Readonly<Record<string, string | Buffer>>,
  mode: ImportMode,
) => importCatalogue(orm, { folder: folderWith(files), mode, progress: () => undefined });
const exported = async (orm: Parameters<typeof importCatalogue>[0], file: string): Promise<string> => {
  let text = '';
  for await (const piece of exportFile(() => orm.em.fork(), file)!) text += piece;
  return text;
};
const opened: Array<Awaited<ReturnType<typeof openCatalogueFile>>> = [];
afterAll(() => Promise.all(opened.map((orm) => orm.close(true))));
const intoEmpty = async (files: Readonly<Record<string, string | Buffer>>, mode: ImportMode = 'whole') => {
  const orm = await openCatalogueFile(':memory:');
  opened.push(orm);
  const report = await imported(orm, files, mode);
  const parts = await orm.em
    .fork()
    .getConnection()
    .execute<Array<Record<string, unknown>>>('select * from part');
  return { orm, report, parts };
};
const PART_HEAD = PARTS.headings.join(',');
const part = (number: string, more = '') =>
  `${number},sensor,good,Corvane,a sensor,12.50,1,A01,1,24,1,0,,,,,,,${more}`;
const cellsOf = (row: string) => row.split(',').length;
const VEHICLE =
  'id,make,model,platform,kind,builtFrom,builtTo,axles,driveline,steeringSide,knuckle,electric,tyre,dictionary\nv1,Tolvane,Test,,car,2010,,2,fwd,left,iron,no,,\n';

describe('catalogue files in and out', () => {
  test('two million empty lines are nothing; the line of a bad row after them is right', async () => {
    const empty = 2_000_000;
    const { report, parts } = await intoEmpty(
      {
        'parts.csv': `${PART_HEAD}\n${'\n'.repeat(empty)}${part('A1')}\n${part('A2').replace('12.50', 'dear')}\n`,
      },
      'good',
    );
    expect(parts).toHaveLength(1);
    expect(report.errors.map(({ line, column }) => [line, column])).toEqual([[empty + 3, 'price']]);
  });

  test('the demo exported, imported into an empty database and exported again is the same, file by file', async () => {
    const files = Object.fromEntries(
      CATALOGUE_TABLES.map(({ file }) => [file, readFileSync(join(DEMO, file))]),
    );
    const { orm, report } = await intoEmpty(files);
    expect(report.errors).toEqual([]);
    expect(report.written).toBe(true);
    for (const { file } of CATALOGUE_TABLES) {
      const lines = (text: string) => text.trim().split('\n').sort();
      expect(lines(await exported(orm, file))).toEqual(lines(await exported(server.running.orm, file)));
    }
  });

  test('a row of several lines is counted as it stands in the file', async () => {
    const { report } = await intoEmpty(
      {
        'parts.csv': [
          PART_HEAD,
          part('P1').replace('a sensor', '"a sensor\nin two lines"'),
          '',
          part('P2').replace('12.50', 'dear'),
        ].join('\r\n'),
      },
      'good',
    );
    expect(report.errors).toMatchObject([{ line: 5, column: 'price' }]);
  });

  test('an axle a vehicle cannot have is refused by its line', async () => {
    const { report } = await intoEmpty(
      {
        'vehicles.csv': VEHICLE,
        'sensing.csv':
          'vehicleId,position,sensor,mounting,target,ringSoldAlone\nv1,A0,active,,,\nv1,A3L,active,,,\nv1,A2L,active,,,\n',
        'parts.csv': `${PART_HEAD}\n${part('P1')}`,
        'applications.csv':
          'partNumber,vehicleId,wheelEnds,builtFrom,builtTo,conditions\nP1,v1,A0L,,,\nP1,v1,A1L A4L,,,\nP1,v1,A2L,,,\n',
        'jobs.csv':
          'vehicleId,axle,partClass,labourHours,access,tools,torques\nv1,0,sensor,1,,,\nv1,3,sensor,1,,,\n',
      },
      'good',
    );
    expect(report.errors.map(({ file, line, column }) => `${file} ${line} ${column}`)).toEqual([
      'sensing.csv 2 position',
      'sensing.csv 3 position',
      'applications.csv 2 wheelEnds[0]',
      'applications.csv 3 wheelEnds',
      'jobs.csv 2 axle',
      'jobs.csv 3 axle',
    ]);
  });

  test('bad rows are listed with line, column and reason; whole keeps nothing, good keeps the rest', async () => {
    const files = {
      'vehicles.csv': VEHICLE,
      'parts.csv': [
        PART_HEAD,
        part('P1'),
        'P2,sensor,best,b,d,12.50,1,,1,24',
        part('P3').replace('12.50', 'dear'),
        part('P1'),
        '=cmd|x,sensor,good,b,d,1,1,,1,1',
      ].join('\n'),
      'applications.csv':
        'partNumber,vehicleId,wheelEnds,builtFrom,builtTo,conditions\nP1,v1,A1L,,,\nP9,v1,A1L,,,\nP1,v7,A1L,,,\nP1,v1,Q9,,,\n',
    };
    const whole = await intoEmpty(files);
    expect(whole.report.written).toBe(false);
    expect(whole.parts).toEqual([]);
    const good = await intoEmpty(files, 'good');
    expect(good.report.written).toBe(true);
    expect(good.parts.map((row) => row.number).sort()).toEqual(['=cmd|x', 'P1']);
    expect(good.report.rows['applications.csv']).toBe(1);
    const at = good.report.errors.map(({ file, line, column }) => `${file} ${line} ${column}`);
    expect(at).toEqual(
      expect.arrayContaining([
        'parts.csv 3 tier',
        'parts.csv 5 number',
        'applications.csv 3 partNumber',
        'applications.csv 4 vehicleId',
      ]),
    );
    expect(good.report.errors.find(({ line, file }) => file === 'parts.csv' && line === 5)?.reason).toBe(
      'is the same as line 2',
    );
    expect(await exported(good.orm, 'parts.csv')).toContain("'=cmd|x");
    await whole.orm.close();
    await good.orm.close();
  });

  test('circles and dangling supersession are reported, none crashes', async () => {
    const chain = (number: string, next: string) => `${number},sensor,good,b,d,1,1,,1,1,1,0,,${next},,,,,`;
    const { report, parts } = await intoEmpty(
      { 'parts.csv': [PART_HEAD, chain('A', 'B'), chain('B', 'A'), chain('C', 'nowhere')].join('\n') },
      'good',
    );
    expect(report.errors.map(({ reason }) => reason).join()).toMatch(/leads back to itself.*/);
    expect(report.errors.some(({ reason }) => reason.includes('nowhere'))).toBe(true);
    expect(parts).toHaveLength(3);
    expect(parts.filter((row) => row.superseded_by !== null).map((row) => row.number)).toEqual(['C']);
  });

  test.each<[string, (text: string) => Buffer]>([
    ['UTF-16 with its mark', (text) => Buffer.from(`\uFEFF${text}`, 'utf16le')],
    ['UTF-8 with its mark', (text) => Buffer.from(`\uFEFF${text}`, 'utf8')],
    ['Latin-1', (text) => Buffer.from(text, 'latin1')],
    [
      'semicolons and Windows lines',
      (text) => Buffer.from(text.replace(/,/g, ';').replace(/\n/g, '\r\n'), 'utf8'),
    ],
  ])('%s is read', async (_, encode) => {
    const text = `${PART_HEAD}\n${part('P1').replace('a sensor', 'Fühler')}\n`;
    const { parts, report } = await intoEmpty({ 'parts.csv': encode(text) });
    expect(report.errors).toEqual([]);
    expect(parts[0]?.description).toBe('Fühler');
  });

  test('the first accent of a Latin-1 file may stand in its last row', async () => {
    const rows = Array.from({ length: 4000 }, (_, i) => part(`P${i}`)).join('\n');
    const text = `${PART_HEAD}\n${rows}\n${part('LAST').replace('a sensor', 'a s\u00e9nsor')}\n`;
    const { report, parts } = await intoEmpty({ 'parts.csv': Buffer.from(text, 'latin1') });
    expect(report.errors).toEqual([]);
    expect(parts.find(({ number }) => number === 'LAST')?.description).toBe('a s\u00e9nsor');
  });

  test('a quote that is never closed is told once, where it was opened', async () => {
    const rows = Array.from({ length: 50 }, (_, i) => part(`P${i}`));
    rows[30] = rows[30]!.replace('a sensor', '"a sensor');
    await expect(intoEmpty({ 'parts.csv': [PART_HEAD, ...rows].join('\n') })).rejects.toThrow(
      /^parts\.csv line 32: opens a quote that is never closed/,
    );
  });

  test('the demo comes out as it went in, cell by cell', async () => {
    const files = Object.fromEntries(
      CATALOGUE_TABLES.map(({ file }) => [file, readFileSync(join(DEMO, file), 'utf8')]),
    );
    const { orm, report } = await intoEmpty(files);
    expect(report.errors).toEqual([]);
    // A number may be written 3.0 where 3 is meant.
    for (const [file, text] of Object.entries(files))
      expect(await exported(orm, file)).toBe(text.replace(/\b(\d+)\.0(?=[;,])/g, '$1'));
  });

  test('a cell over several lines keeps its lines; importing again changes by key and adds nothing', async () => {
    const text = `${PART_HEAD}\n${part('P1').replace('a sensor', '"two\nlines, with a comma"')}\n`;
    const { orm, parts } = await intoEmpty({ 'parts.csv': text });
    expect(parts[0]?.description).toBe('two\nlines, with a comma');
    await imported(orm, { 'parts.csv': text.replace('12.50', '13.75') }, 'whole');
    const after = await orm.em
      .fork()
      .getConnection()
      .execute<Array<Record<string, unknown>>>('select * from part');
    expect(after.map((row) => [row.number, row.price_cents])).toEqual([['P1', 1375]]);
  });

  test('a wrong heading is told', async () => {
    const orm = await openCatalogueFile(':memory:');
    opened.push(orm);
    await expect(imported(orm, { 'parts.csv': 'one,two\n1,2\n' }, 'whole')).rejects.toThrow(/has no heading/);
  });

  test('a circle of supersession over two imports is found, and the row that closes it told', async () => {
    const chain = (number: string, next: string) => `${number},sensor,good,b,d,1,1,,1,1,1,0,,${next},,,,,`;
    const { orm, report } = await intoEmpty({
      'parts.csv': [PART_HEAD, chain('A', 'B'), chain('B', '')].join('\n'),
    });
    expect(report.errors).toEqual([]);
    const second = await imported(orm, { 'parts.csv': [PART_HEAD, chain('B', 'A')].join('\n') }, 'good');
    expect(second.errors.map(({ reason }) => reason)).toEqual(['B leads back to itself']);
    const rows = await orm.em
      .fork()
      .getConnection()
      .execute<Array<Record<string, unknown>>>('select number, superseded_by from part order by number');
    expect(rows.map((row) => row.superseded_by)).toEqual(['B', null]);
  });
});

describe('what cannot be sold does not come in', () => {
  const told = async (row: string) => {
    const { report } = await intoEmpty({ 'parts.csv': `${PART_HEAD}\n${row}\n` }, 'good');
    return report.errors.map(({ column, reason }) => `${column} ${reason}`);
  };

  test.each([
    ['a number of 61 letters', part('P'.repeat(61)), /^number .* too large; at most 60/],
    ['a bin of 41 letters', part('P1').replace('A01', 'A'.repeat(41)), /^bin .* too large; at most 40/],
    [
      'a description of 301 letters',
      part('P1').replace('a sensor', 'a'.repeat(301)),
      /^description .* at most 300/,
    ],
    ['a brand of 81 letters', part('P1').replace('Corvane', 'C'.repeat(81)), /^brand .* at most 80/],
    ['a price no order takes', part('P1').replace('12.50', '99999999.00'), /^price .* at most/],
    ['a NUL', part('P1').replace('a sensor', 'a\0sensor'), /^description holds a NUL/],
  ])('%s is told by its row', async (_, row, reason) => {
    const errors = await told(row);
    expect(errors).toHaveLength(1);
    expect(errors[0]).toMatch(reason);
  });

  test('a part at every limit is taken at the counter', async () => {
    expect(
      await told(part('P'.repeat(60)).replace('A01', 'A'.repeat(40)).replace('a sensor', 'a'.repeat(300))),
    ).toEqual([]);
  });

  test('a column nobody knows is named, not dropped', async () => {
    const { report } = await intoEmpty(
      {
        'parts.csv': `${PART_HEAD},colour\n${part('P1')}${','.repeat(PARTS.headings.length - cellsOf(part('P1')))},grey\n`,
      },
      'whole',
    );
    expect(report.written).toBe(false);
    expect(report.errors).toEqual([
      {
        file: 'parts.csv',
        line: 1,
        column: 'colour',
        reason: expect.stringMatching(/^is no column of this file/),
      },
    ]);
  });
});

describe('the shelf', () => {
  const numbers = async (q: string): Promise<string[]> =>
    ((await server.api('GET', `/parts?q=${encodeURIComponent(q)}`)).body as Array<{ number: string }>).map(
      (p) => p.number,
    );

  test('a number in any spacing, a barcode, words, and words misspelt', async () => {
    expect((await numbers('ws 38 859'))[0]).toBe('WS38859');
    expect((await numbers('ws-38859'))[0]).toBe('WS38859');
    const view = (await server.api('GET', '/parts/WS38859')).body as {
      part: { barcode: string };
      chain: string[];
    };
    expect((await numbers(view.part.barcode))[0]).toBe('WS38859');
    expect(view.chain).toEqual(['WS38859', 'WS39111', 'WS39122']);
    expect((await numbers('tone ring tern'))[0]).toMatch(/^TR/);
    expect((await numbers('sennsor dragnett'))[0]).toMatch(/^WS/);
    expect(await numbers('"; drop table part; --')).toEqual(expect.any(Array));
  });

  test('matching over the wire names the next measure', async () => {
    const { body } = await server.api('POST', '/match', {
      partClass: 'tone-ring',
      readings: [{ key: 'insideDiameter', value: 71, tool: 'caliper' }],
    });
    expect((body as { next: { figure: { key: string } } }).next.figure.key).toBe('teeth');
    expect((await server.api('POST', '/match', { partClass: 'wheel', readings: [] })).status).toBe(400);
  });
});

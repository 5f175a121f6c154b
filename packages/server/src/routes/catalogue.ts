import Router from '@koa/router';
import { BadInput, CATALOGUE_TABLES, parse } from '@hardy/core';
import { API, type ImportProgress } from '@hardy/core/contract';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Papa from 'papaparse';
import { exportFile } from '../catalogue/exportCatalogue.ts';
import { importCatalogue } from '../catalogue/importCatalogue.ts';
import type { IntakeCache } from '../intakeCache.ts';
import { notFound } from '../problem.ts';
import { forgetWords } from '../store/partStore.ts';

interface Import {
  readonly folder: string;
  readonly abort: AbortController;
  state: ImportProgress['state'];
  progress: number;
  report: ImportProgress['report'];
  problem: string | null;
}

const FILES: readonly string[] = [...CATALOGUE_TABLES.map(({ file }) => file), 'manifest.json'];
/** Errors sent with the report; all of them are in the file. */
const SHOWN_ERRORS = 200;

/** The catalogue as open files: in, out, with every bad row told. */
export const catalogueRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });
  const imports = new Map<string, Import>();
  const find = (id: string | undefined): Import => {
    const found = imports.get(id ?? '');
    if (!found) throw notFound(`import ${id ?? ''}`);
    return found;
  };

  router.get('/catalogue/:file', (ctx) => {
    const file = ctx.params.file ?? '';
    if (file === 'manifest.json') {
      ctx.body = {
        format: 'hardy-spoke/catalogue',
        version: 1,
        files: CATALOGUE_TABLES.map((table) => table.file),
      };
      return;
    }
    const text = exportFile(() => orm.em.fork(), file);
    if (!text) throw notFound(`catalogue file ${file}`);
    ctx.type = 'text/csv; charset=utf-8';
    ctx.attachment(file);
    ctx.body = Readable.from(text);
  });

  router.post('/imports', async (ctx) => {
    const id = randomUUID();
    imports.set(id, {
      folder: await mkdtemp(join(tmpdir(), 'catalogue-')),
      abort: new AbortController(),
      state: 'waiting',
      progress: 0,
      report: null,
      problem: null,
    });
    ctx.status = 201;
    ctx.body = { id };
  });

  router.put('/imports/:id/files/:file', async (ctx) => {
    const running = find(ctx.params.id);
    const file = ctx.params.file ?? '';
    if (!FILES.includes(file))
      throw new BadInput(file, `is no file of a catalogue; give ${FILES.join(', ')}`);
    await pipeline(ctx.req, createWriteStream(join(running.folder, file)));
    ctx.status = 204;
  });

  router.post('/imports/:id/run', (ctx) => {
    const running = find(ctx.params.id);
    const { mode } = parse(API['POST /imports/:id/run'].body, ctx.request.body);
    running.state = 'running';
    importCatalogue(orm, {
      folder: running.folder,
      mode,
      signal: running.abort.signal,
      progress: (part) => {
        running.progress = part;
      },
    })
      .then(
        (report) => {
          running.report = report;
          running.state = running.abort.signal.aborted ? 'cancelled' : 'done';
          intake.forget();
          forgetWords(orm.em.fork());
        },
        (error: unknown) => {
          running.state = 'failed';
          running.problem = error instanceof BadInput ? error.message : 'The files could not be read.';
        },
      )
      .finally(() => void rm(running.folder, { recursive: true, force: true }));
    ctx.status = 202;
    ctx.body = {};
  });

  router.get('/imports/:id', (ctx) => {
    const { state, progress, report, problem } = find(ctx.params.id);
    ctx.body = {
      state,
      progress,
      problem,
      report: report && { ...report, errors: report.errors.slice(0, SHOWN_ERRORS) },
    };
  });

  router.get('/imports/:id/errors.csv', (ctx) => {
    const { report } = find(ctx.params.id);
    ctx.type = 'text/csv; charset=utf-8';
    ctx.attachment('bad-rows.csv');
    ctx.body = Papa.unparse([...(report?.errors ?? [])], {
      columns: ['file', 'line', 'column', 'reason'],
      escapeFormulae: true,
    });
  });

  router.delete('/imports/:id', (ctx) => {
    find(ctx.params.id).abort.abort();
    ctx.status = 204;
  });

  return router;
};

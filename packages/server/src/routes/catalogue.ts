import type Router from '@koa/router';
import { CATALOGUE_TABLES, parse } from '@hardy/core';
import { API } from '@hardy/core/contract';
import { Readable } from 'node:stream';
import Papa from 'papaparse';
import { exportFile } from '../catalogue/exportCatalogue.ts';
import type { ImportDesk } from '../catalogue/importDesk.ts';
import { notFound } from '../problem.ts';
import type { Store } from '../store/openStore.ts';
import { apiRouter } from './apiRouter.ts';

/** Errors sent with the report; all of them are in the file. */
const SHOWN_ERRORS = 200;

/** The catalogue as open files: in, out, with every bad row told. */
export const catalogueRoutes = ({ orm }: Store, imports: ImportDesk): Router => {
  const router = apiRouter();
  const id = (ctx: { params: Record<string, string | undefined> }) => ctx.params.id ?? '';
  const told = (its: NonNullable<ReturnType<ImportDesk['current']>>) => ({
    id: its.id,
    state: its.state,
    progress: its.progress,
    problem: its.problem,
    report: its.report && { ...its.report, errors: its.report.errors.slice(0, SHOWN_ERRORS) },
  });

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

  router.get('/imports', (ctx) => {
    const its = imports.current();
    ctx.body = { import: its && told(its) };
  });

  router.post('/imports', (ctx) => {
    ctx.status = 201;
    ctx.body = { id: imports.begin() };
  });

  router.put('/imports/:id/files/:file', async (ctx) => {
    await imports.take(id(ctx), ctx.params.file ?? '', ctx.req);
    ctx.status = 204;
  });

  router.post('/imports/:id/run', (ctx) => {
    const { mode } = parse(API['POST /imports/:id/run'].body, ctx.request.body);
    imports.run(id(ctx), mode);
    ctx.status = 202;
    ctx.body = {};
  });

  router.get('/imports/:id', (ctx) => {
    ctx.body = told(imports.find(id(ctx)));
  });

  router.get('/imports/:id/errors.csv', (ctx) => {
    const { report } = imports.find(id(ctx));
    ctx.type = 'text/csv; charset=utf-8';
    ctx.attachment('bad-rows.csv');
    ctx.body = Papa.unparse([...(report?.errors ?? [])], {
      columns: ['file', 'line', 'column', 'reason'],
      escapeFormulae: true,
    });
  });

  router.delete('/imports/:id', async (ctx) => {
    await imports.stop(id(ctx));
    ctx.status = 204;
  });

  return router;
};

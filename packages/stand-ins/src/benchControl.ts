import { bodyParser } from '@koa/bodyparser';
import Router from '@koa/router';
import { CHECK_NAMES, type CheckName } from '@hardy/core/words';
import { BenchCheck, BenchDrive, BenchProbes, BenchVehicleOrder, BenchWork } from '@hardy/core/bench';
import Koa from 'koa';
import { z } from 'zod';
import { NotNow, type BenchStation } from './benchStation.ts';
import { busLogOf } from './busLog.ts';

const read = <S extends z.ZodType>(schema: S, body: unknown): z.output<S> => {
  const given = schema.safeParse(body);
  if (!given.success) throw new NotNow(`That cannot be done: ${z.prettifyError(given.error).slice(0, 300)}`);
  return given.data;
};

/** The bench's own switches, as JSON over HTTP: what one does with hands and a key, never what is wrong with the vehicle. */
export const benchControl = (station: BenchStation, clock: () => number = Date.now): Koa => {
  const router = new Router();
  const state = () => station.stateAt(clock());
  router.get('/state', (ctx) => {
    ctx.body = state();
  });
  router.get('/frame-log', (ctx) => {
    ctx.body = { log: busLogOf(station.memoryAt(clock())) };
  });
  router.post('/vehicle', async (ctx) => {
    await station.put(read(BenchVehicleOrder, ctx.request.body));
    ctx.body = state();
  });
  router.post('/drive', (ctx) => {
    station.startDrive(clock(), read(BenchDrive, ctx.request.body).drive);
    ctx.body = state();
  });
  router.post('/skip', (ctx) => {
    station.skip();
    ctx.body = state();
  });
  router.post('/work', (ctx) => {
    station.mend(read(BenchWork, ctx.request.body), clock());
    ctx.body = state();
  });
  router.post('/probes', (ctx) => {
    station.probes = read(BenchProbes, ctx.request.body);
    ctx.body = state();
  });
  router.post('/check', (ctx) => {
    const { check, wheelEnd } = read(BenchCheck, ctx.request.body);
    if (!(CHECK_NAMES as readonly string[]).includes(check)) throw new NotNow(`"${check}" is no check.`);
    ctx.body = { found: station.check(check as CheckName, wheelEnd, clock()) };
  });
  const app = new Koa();
  app.use(async (ctx, next) => {
    try {
      await next();
    } catch (error) {
      const { status } = error as { status?: unknown };
      const known = error instanceof NotNow || typeof status === 'number';
      ctx.status = error instanceof NotNow ? 409 : typeof status === 'number' ? status : 500;
      ctx.body = { refused: known ? (error as Error).message : 'The bench broke down. Start it again.' };
    }
  });
  app.use(bodyParser({ jsonLimit: '200kb', enableTypes: ['json'] }));
  app.use(router.routes());
  return app;
};

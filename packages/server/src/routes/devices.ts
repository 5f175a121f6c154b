import type Router from '@koa/router';
import { BadInput, benchOrder, Check, parse, SUPPLIERS } from '@hardy/core';
import { API, type BenchState } from '@hardy/core/contract';
import type { Bench } from '@hardy/devices';
import type { Advising } from '../advising/advising.ts';
import { standsInWords, type DeviceDesk } from '../devices/deviceDesk.ts';
import { codesOfFrameLog } from '../devices/frameLogCodes.ts';
import { problem } from '../problem.ts';
import { catalogueRows } from '../store/catalogueRows.ts';
import { knowledgeFor } from '../store/catalogueStore.ts';
import type { Store } from '../store/openStore.ts';
import { docketsOf } from './docketsOf.ts';
import { apiRouter } from './apiRouter.ts';

/** Reader, meter and bench, as far as the start-up file names them. */
export const deviceRoutes = ({ orm }: Store, advising: Advising, desk: DeviceDesk): Router => {
  const router = apiRouter();
  const em = () => orm.em.fork();
  /** @throws problem 404 where there is no such docket */
  const read = (id: string) => docketsOf(em(), advising).read(id);
  const bench = (asked: string, act: (bench: Bench) => Promise<BenchState>) =>
    desk.bench(asked, act, standsInWords);

  const view = async () =>
    desk.view(new Map((await catalogueRows(em(), SUPPLIERS)).map(({ id, name }) => [id, name])));

  router.get('/devices', async (ctx) => {
    ctx.body = await view();
  });
  router.post('/devices/find', async (ctx) => {
    parse(API['POST /devices/find'].body, ctx.request.body);
    await desk.find();
    ctx.body = await view();
  });

  /** What is read of one vehicle must not come onto the docket of another. @throws problem 409 */
  const standsHere = async (docketId: string): Promise<void> => {
    const on = (await desk.benchNow())?.vehicle;
    if (on && on.docketId !== docketId)
      throw problem(
        409,
        'Another vehicle',
        `another docket’s vehicle stands on the bench (${on.name}); put this docket’s on it first`,
      );
  };

  router.post('/devices/reader/read', async (ctx) => {
    const { docketId } = parse(API['POST /devices/reader/read'].body, ctx.request.body);
    await read(docketId);
    await standsHere(docketId);
    desk.theReader().begin(docketId);
    ctx.body = await view();
  });
  router.post('/devices/reader/stop', async (ctx) => {
    parse(API['POST /devices/reader/stop'].body, ctx.request.body);
    desk.theReader().stop();
    ctx.body = await view();
  });
  router.post('/devices/reader/clear', async (ctx) => {
    const { docketId } = parse(API['POST /devices/reader/clear'].body, ctx.request.body);
    const { verdict, cautions } = await advising.advise(em(), await read(docketId));
    // Codes are the trail of what is dangerous: while it is, they stay.
    if (cautions.includes('stop-driving'))
      throw problem(
        409,
        'A stop stands',
        `nothing was cleared, this vehicle may not be driven: ${verdict.sentence}`,
      );
    await standsHere(docketId);
    ctx.body = await desk.theReader().clear(docketId);
  });
  router.get('/devices/reader/live', (ctx) => {
    const { hz } = parse(API['GET /devices/reader/live'].query, ctx.query);
    const reader = desk.theReader();
    const ended = new AbortController();
    const { res } = ctx;
    res.on('close', () => ended.abort());
    // A stream has no end that anybody waits for: it is written as it comes, and ends when nobody listens.
    ctx.respond = false;
    res.writeHead(200, { 'content-type': 'text/event-stream' });
    res.flushHeaders();
    const tell = (event: string | null, data: unknown) => {
      if (!res.writableEnded && !ended.signal.aborted)
        res.write(`${event ? `event: ${event}\n` : ''}data: ${JSON.stringify(data)}\n\n`);
    };
    reader
      .live(hz, (ms, kmh) => tell(null, [ms, ...kmh]), ended.signal)
      .catch((error: unknown) =>
        tell('trouble', error instanceof Error ? error.message : 'The reader broke off.'),
      )
      .finally(() => res.end());
  });

  router.post('/devices/frame-log', (ctx) => {
    ctx.body = codesOfFrameLog(parse(API['POST /devices/frame-log'].body, ctx.request.body).text);
  });

  router.post('/devices/meter/measure', async (ctx) => {
    ctx.body = await desk.measure(parse(API['POST /devices/meter/measure'].body, ctx.request.body).what);
  });

  router.post('/devices/bench/vehicle', async (ctx) => {
    const { docketId, seed } = parse(API['POST /devices/bench/vehicle'].body, ctx.request.body);
    const docket = await read(docketId);
    const order = benchOrder(
      docket,
      docketId,
      seed ?? Math.floor(Math.random() * 2 ** 31),
      await knowledgeFor(em(), docket),
    );
    ctx.body = await bench(`put ${order.name} on the bench`, (on) => on.put(order));
  });
  router.get('/devices/bench/frame-log', async (ctx) => {
    ctx.body = {
      log: await desk.bench(
        'what runs over the bus?',
        (on) => on.bus(),
        (log) => `${log.trim().split('\n').length} frames`,
      ),
    };
  });
  router.post('/devices/bench/drive', async (ctx) => {
    const { drive } = parse(API['POST /devices/bench/drive'].body, ctx.request.body);
    ctx.body = await bench(`drive: ${drive}`, (on) => on.drive(drive));
  });
  router.post('/devices/bench/skip', async (ctx) => {
    parse(API['POST /devices/bench/skip'].body, ctx.request.body);
    ctx.body = await bench('to the end of the drive', (on) => on.skip());
  });
  router.post('/devices/bench/work', async (ctx) => {
    const work = parse(API['POST /devices/bench/work'].body, ctx.request.body);
    if (work.fit === null && work.work === null)
      throw new BadInput('fit', 'and work are both empty; say what is fitted or done');
    ctx.body = await bench(`${work.fit ?? work.work} at ${work.wheelEnd ?? 'the vehicle'}`, (on) =>
      on.mend(work),
    );
  });
  router.post('/devices/bench/probes', async (ctx) => {
    const probes = parse(API['POST /devices/bench/probes'].body, ctx.request.body);
    ctx.body = await bench(`probes on ${probes.wheelEnd}, ${probes.plug}, ${probes.pins}`, (on) =>
      on.probe(probes),
    );
  });
  router.post('/devices/bench/check', async (ctx) => {
    const { check, wheelEnd } = parse(API['POST /devices/bench/check'].body, ctx.request.body);
    const found = await desk.bench(
      `${check} at ${wheelEnd}`,
      (on) => on.check(check, wheelEnd),
      (what) => (what ? JSON.stringify(what) : 'it told nothing'),
    );
    ctx.body = { found: found && parse(Check, found, 'found') };
  });
  return router;
};

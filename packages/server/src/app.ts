import { bodyParser } from '@koa/bodyparser';
import Koa from 'koa';
import helmet from 'koa-helmet';
import mount from 'koa-mount';
import serve from 'koa-static';
import { existsSync } from 'node:fs';
import { createReadStream } from 'node:fs';
import { join } from 'node:path';
import { gate } from './gate.ts';
import { logFault } from './log.ts';
import { Advising } from './advising/advising.ts';
import { DeviceDesk } from './devices/deviceDesk.ts';
import { ImportDesk } from './catalogue/importDesk.ts';
import { plainBody } from './plainBody.ts';
import type { Served, Serving } from './serving.ts';
import { problems } from './problem.ts';
import { requestBody } from './requestBody.ts';
import { requestScope } from './requestScope.ts';
import { backupRoutes } from './routes/backups.ts';
import { catalogueRoutes } from './routes/catalogue.ts';
import { customerRoutes } from './routes/customers.ts';
import { deviceRoutes } from './routes/devices.ts';
import { docketRoutes } from './routes/dockets.ts';
import { ledgerRoutes } from './routes/ledger.ts';
import { orderRoutes } from './routes/orders.ts';
import { practiceRoutes } from './routes/practice.ts';
import { partRoutes } from './routes/parts.ts';
import { readingRoutes } from './routes/reading.ts';
import { setupRoutes } from './routes/setup.ts';
import { practiceCounter } from './practice/practiceCounter.ts';
import { forgetWords } from './store/partStore.ts';
import { resumeWire } from './store/wireOutbox.ts';
import { TurnedDockets } from './turnedDockets.ts';

/** Everything the page may load comes from here: no network at run time. */
const POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:'],
    fontSrc: ["'self'", 'data:'],
    workerSrc: ["'self'", 'blob:'],
    frameAncestors: ["'none'"],
    baseUri: ["'self'"],
    formAction: ["'self'"],
    objectSrc: ["'none'"],
  },
};

/** Whoever asked went away in the middle: a page that was left is no fault of ours. */
const hungUp = (error: unknown): boolean =>
  ['ECONNRESET', 'EPIPE', 'ERR_STREAM_PREMATURE_CLOSE'].includes(
    String((error as { code?: unknown } | null)?.code),
  );

/** The application: API under /api, and the built pages when there are any. */
export const createApp = ({
  store,
  pool,
  backups,
  webFolder,
  devices = {},
  practises = true,
  bodyLimits,
  clock = null,
}: Serving): Served => {
  const app = new Koa();
  app.on('error', (error: unknown) => {
    if (!hungUp(error)) logFault(error);
  });
  const { orm } = store;
  const wrong = (error: unknown) => app.emit('error', error);
  const advising = new Advising(pool, () => orm.em.fork());
  const turned = new TurnedDockets(orm, (em, docket) => advising.advise(em, docket, 'report'), wrong);
  const desk = new DeviceDesk(devices);
  const practice = practises ? practiceCounter(store, () => advising.epoch(), pool, createApp) : null;
  const imports = new ImportDesk(store, {
    before: async () => backups?.make('import'),
    in() {
      advising.forget();
      forgetWords(orm.em.fork());
    },
    wrong,
  });
  // The shop’s own machine speaks plain HTTP to itself: nothing may turn that into https.
  app.use(helmet({ contentSecurityPolicy: POLICY, strictTransportSecurity: false }));
  app.use(requestScope);
  app.use(requestBody(bodyLimits));
  app.use(problems);
  app.use(gate);
  // The practice counter is this application on a database of its own: it reads its requests itself.
  if (practice) app.use(mount('/practice', practice.counter));
  app.use(bodyParser({ jsonLimit: '3mb', enableTypes: ['json'] }));
  app.use(plainBody);
  for (const router of [
    catalogueRoutes(store, imports),
    partRoutes(orm),
    readingRoutes(store, advising),
    setupRoutes(store, advising, turned),
    docketRoutes(store, advising),
    orderRoutes(store, advising, desk),
    deviceRoutes(store, advising, desk),
    customerRoutes(store, advising, backups, wrong),
    backupRoutes(store, backups, clock, wrong),
    ledgerRoutes(store, advising),
    ...(practice ? [practiceRoutes(practice.desk)] : []),
  ])
    app.use(router.routes()).use(router.allowedMethods());
  if (webFolder && existsSync(join(webFolder, 'index.html'))) {
    app.use(
      serve(webFolder, {
        maxage: 31536000000,
        immutable: true,
        setHeaders: (res, path) =>
          void (path.endsWith('.html') && res.setHeader('Cache-Control', 'no-cache')),
      }),
    );
    // Addresses inside the application are the page's own business: it is served for each of them.
    app.use(async (ctx, next) => {
      if (ctx.method !== 'GET' || ctx.path.startsWith('/api/') || /\.[a-z0-9]+$/i.test(ctx.path))
        return void (await next());
      ctx.type = 'html';
      ctx.set('Cache-Control', 'no-cache');
      ctx.body = createReadStream(join(webFolder, 'index.html'));
    });
  }
  return {
    app,
    async resume() {
      await Promise.all([turned.resume(), resumeWire(orm.em.fork(), desk.sendOrder, wrong)]);
    },
    forget: () => advising.forget(),
    async close() {
      await Promise.all([turned.close(), imports.close(), backups?.close(), practice?.close()]);
      await pool.close();
    },
  };
};

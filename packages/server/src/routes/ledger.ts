import type Router from '@koa/router';
import { calibrate, figuresOf, ledgerCsv, parse } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import { today } from '../store/catalogueStore.ts';
import { cameBack, comebacksFor, linkedBack, theComeback } from '../store/comebacks.ts';
import {
  countsToLeave,
  judgedFor,
  learnedFor,
  learnedLines,
  learnedNow,
  poolCounts,
  tablesBefore,
} from '../store/learnedStore.ts';
import { ledgerChoices, ledgerEntries, relearnAll } from '../store/ledgerStore.ts';
import type { Store } from '../store/openStore.ts';
import { shopSettings } from '../store/shopStore.ts';
import { unheardOrders } from '../store/unheard.ts';
import { docketsOf } from './docketsOf.ts';
import { apiRouter } from './apiRouter.ts';

/** What came back: counted, compared with what was said, learned from. */
export const ledgerRoutes = ({ orm }: Store, advising: Advising): Router => {
  const router = apiRouter();
  const em = () => orm.em.fork();

  router.get('/ledger', async (ctx) => {
    const filter = parse(API['GET /ledger'].query, ctx.query);
    const within = em();
    const shop = await shopSettings(within);
    const { bad } = await learnedNow(within, shop, today());
    ctx.body = {
      figures: figuresOf(await ledgerEntries(within, filter)),
      ...(await ledgerChoices(within)),
      bad,
      weak: (await learnedFor(within, shop, filter.line ?? null, today())).weak,
    };
  });

  router.get('/ledger/file', async (ctx) => {
    const filter = parse(API['GET /ledger/file'].query, ctx.query);
    ctx.set('Content-Disposition', 'attachment; filename="ledger.csv"');
    ctx.type = 'text/csv';
    ctx.body = ledgerCsv(await ledgerEntries(em(), filter));
  });

  router.get('/ledger/calibration', async (ctx) => {
    const filter = parse(API['GET /ledger/calibration'].query, ctx.query);
    const entries = await ledgerEntries(em(), filter);
    const judged = judgedFor(await shopSettings(em()));
    ctx.body = calibrate(entries, judged, await tablesBefore(em(), today()));
  });

  router.get('/ledger/unheard', async (ctx) => {
    const { limit } = parse(API['GET /ledger/unheard'].query, ctx.query);
    ctx.body = await unheardOrders(em(), limit, today());
  });

  router.get('/ledger/learned', async (ctx) => {
    ctx.body = await learnedLines(em(), today());
  });

  router.get('/ledger/counts', async (ctx) => {
    ctx.set('Content-Disposition', 'attachment; filename="learned-counts.json"');
    ctx.body = await countsToLeave(em());
  });

  router.post('/ledger/counts', async (ctx) => {
    ctx.body = await poolCounts(em(), ctx.request.body);
    advising.moved();
  });

  router.post('/ledger/relearn', async (ctx) => {
    parse(API['POST /ledger/relearn'].body, ctx.request.body);
    ctx.body = await relearnAll(em(), today(), (entries, overrides, month) =>
      advising.relearn(entries, overrides, month),
    );
    advising.moved();
  });

  router.get('/dockets/:id/comebacks', async (ctx) => {
    ctx.body = (await comebacksFor(em(), ctx.params.id ?? '', today())).comebacks;
  });

  router.post('/dockets/:id/comebacks', async (ctx) => {
    const id = ctx.params.id ?? '';
    const { of, changeId } = parse(API['POST /dockets/:id/comebacks'].body, ctx.request.body);
    const { number, comebacks } = await comebacksFor(em(), id, today());
    const comeback = theComeback(comebacks, of);
    const dockets = docketsOf(em(), advising);
    // In one transaction: a docket that is linked while the earlier one is not put right would count as fixed.
    ctx.body = await dockets.hearBoth(
      [comeback.id, (docket) => cameBack(docket, comeback, number, today()), `came back as docket ${number}`],
      [id, (docket) => linkedBack(docket, comeback), `came back from docket ${of}`],
      { changeId: changeId ?? null, content: { of } },
    );
  });

  return router;
};

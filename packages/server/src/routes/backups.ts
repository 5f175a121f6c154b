import type Router from '@koa/router';
import { parse } from '@hardy/core';
import { API, type BackupsView } from '@hardy/core/contract';
import { basename } from 'node:path';
import { deleteBackup, listBackups } from '../backup/backupFolder.ts';
import type { BackupKeeper } from '../backup/backupKeeper.ts';
import { erasedStillIn } from '../backup/erasedStillIn.ts';
import type { ClockWatch } from '../clockWatch.ts';
import { problem } from '../problem.ts';
import { detached } from '../requestScope.ts';
import { CannotOpen } from '../store/cannotOpen.ts';
import { erasedPersons } from '../store/customers.ts';
import type { Store } from '../store/openStore.ts';
import { apiRouter } from './apiRouter.ts';

/** Backups: listed with what they still hold, made, deleted. */
export const backupRoutes = (
  { orm }: Store,
  keeper: BackupKeeper | null,
  clock: ClockWatch | null,
  failed: (error: unknown) => void,
): Router => {
  const router = apiRouter();
  const theKeeper = (): BackupKeeper => {
    if (!keeper)
      throw problem(409, 'No backups', 'this server makes no backups; start it with --backups FOLDER');
    return keeper;
  };

  const view = async (): Promise<BackupsView> => {
    const jumps = (clock?.jumps ?? []).map((jump) => ({ ...jump }));
    if (!keeper)
      return { folder: null, making: null, problem: null, backups: [], unreadable: [], clock: jumps };
    const { backups, unreadable } = listBackups(keeper.folder);
    const erased = await erasedPersons(orm.em.fork());
    return {
      folder: keeper.folder,
      ...keeper.activity,
      backups: backups.map((backup) => {
        const { at, why, database, catalogue, training } = backup.manifest;
        return {
          name: basename(backup.folder),
          at,
          why,
          bytes: database.bytes + (catalogue?.bytes ?? 0) + (training?.bytes ?? 0),
          training: training != null,
          erased: erasedStillIn(backup, erased),
        };
      }),
      unreadable: unreadable.map((each) => ({ ...each })),
      clock: jumps,
    };
  };

  router.get('/backups', async (ctx) => {
    ctx.body = await view();
  });

  router.post('/backups', async (ctx) => {
    parse(API['POST /backups'].body, ctx.request.body);
    const makes = theKeeper();
    void detached(() => makes.make('command').catch(failed));
    ctx.status = 202;
    ctx.body = await view();
  });

  router.delete('/backups/:name', async (ctx) => {
    try {
      deleteBackup(theKeeper().folder, ctx.params.name ?? '');
    } catch (error) {
      if (error instanceof CannotOpen) throw problem(409, 'Not deleted', error.reason);
      throw error;
    }
    ctx.body = await view();
  });

  return router;
};

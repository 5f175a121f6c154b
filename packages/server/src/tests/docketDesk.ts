import type { Docket } from '@hardy/core';
import type { DocketView } from '@hardy/core/contract';
import type { openScenario } from './openScenario.ts';

type Api = Awaited<ReturnType<typeof openScenario>>['api'];

/** A desk that opens dockets from words and sends them back changed. */
export const docketDesk = (api: () => Api) => ({
  opened: async (words = 'merrowby 2018 minibus, abs light, C0A31-13 front left'): Promise<DocketView> =>
    (await api()('POST', '/dockets', { words })).body,
  put: (view: DocketView, docket: Docket, version = view.version) =>
    api()('PUT', `/dockets/${view.id}`, { version, docket, label: 'changed' }),
});

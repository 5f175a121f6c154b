import { expect, type APIRequestContext } from '@playwright/test';
import type { Docket } from '@hardy/core';
import type { DocketView } from '@hardy/core/contract';

/* Dockets made and changed beside the pages, so that a test begins where its story does. */

export const made = async (request: APIRequestContext, words: string): Promise<DocketView> =>
  (await (await request.post('/api/dockets', { data: { words } })).json()) as DocketView;

export const read = async (request: APIRequestContext, id: string): Promise<DocketView> =>
  (await (await request.get(`/api/dockets/${id}`)).json()) as DocketView;

export const changed = async (
  request: APIRequestContext,
  view: DocketView,
  more: Partial<Docket>,
): Promise<DocketView> => {
  const answer = await request.put(`/api/dockets/${view.id}`, {
    data: { version: view.version, docket: { ...view.docket, ...more }, label: 'changed' },
  });
  expect([answer.status(), answer.ok() ? '' : await answer.text()]).toEqual([200, '']);
  return (await answer.json()) as DocketView;
};

import { call } from '../api/client.ts';

/** Where the docket of a number is; the counter, looking for it, where there is none. */
export const pathOfDocket = async (number: number): Promise<string> => {
  const { dockets } = await call('GET /dockets', { query: { state: 'all', q: String(number), limit: 1 } });
  const [found] = dockets;
  return found?.number === number ? `/docket/${found.id}` : '/';
};

import { QueryClient } from '@tanstack/react-query';
import { ApiProblem } from '../api/client.ts';

/** Tries again twice where no server answered; what it refused it refuses again. */
const MOST_RETRIES = 2;

/** What the pages hold of the server: read once, shared, read again when a screen is opened. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (failures, problem) =>
        problem instanceof ApiProblem && problem.status === 0 && failures < MOST_RETRIES,
      retryDelay: 400,
      staleTime: 0,
      // A counter has its dockets open all day: coming back to the window is no reason to ask.
      refetchOnWindowFocus: false,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

export const docketKey = (id: string) => ['docket', id] as const;
/** A docket with the changes that are on their way. */
export const shownKey = (id: string) => ['shown', id] as const;

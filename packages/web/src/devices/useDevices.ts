import type { DevicesView } from '@hardy/core/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/client.ts';
import { queryClient } from '../state/queryClient.ts';

const DEVICES_KEY = ['devices'] as const;
/** While something is under way it is looked at so often, else seldom, ms. */
const OFTEN_MS = 350;
const SELDOM_MS = 4000;

const isUnderWay = (view: DevicesView | undefined): boolean =>
  view !== undefined && (view.reading.state === 'reading' || view.bench?.driving != null);

/** The devices of the start-up file, as they stand. */
export const useDevices = () =>
  useQuery({
    queryKey: DEVICES_KEY,
    queryFn: ({ signal }) => call('GET /devices', { signal }),
    refetchInterval: ({ state }) => (isUnderWay(state.data) ? OFTEN_MS : SELDOM_MS),
  });

/** Looks at them at once. */
export const lookAgain = (): Promise<void> => queryClient.invalidateQueries({ queryKey: DEVICES_KEY });

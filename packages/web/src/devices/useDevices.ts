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
    // Without a start-up file there is nothing to look at, now or later.
    refetchInterval: ({ state }) => (state.data?.off ? false : isUnderWay(state.data) ? OFTEN_MS : SELDOM_MS),
  });

/** Puts a docket's vehicle on the bench. */
export const putOnBench = async (docketId: string): Promise<void> => {
  await call('POST /devices/bench/vehicle', { body: { docketId } });
  await lookAgain();
};

/** To the end of the drive at once. */
export const endDrive = async (): Promise<void> => {
  await call('POST /devices/bench/skip', { body: {} });
  await lookAgain();
};

/** Looks at them at once. */
export const lookAgain = (): Promise<void> => queryClient.invalidateQueries({ queryKey: DEVICES_KEY });

/** Said where what is measured would be of another vehicle than the docket’s. */
export const OTHER_VEHICLE =
  'Another docket\u2019s vehicle stands on the bench: put this docket\u2019s on it first.';

/** Whether the bench has another docket's vehicle on it: then nothing of it is this docket's. */
export const isOthers = (view: DevicesView | undefined, docketId: string | null): boolean =>
  docketId !== null && view?.bench?.vehicle != null && view.bench.vehicle.docketId !== docketId;

import { assumptionsWith, type Assumptions } from '@hardy/core/metering';
import { useQuery } from '@tanstack/react-query';
import { createContext, useContext, useMemo } from 'react';
import { call } from '../api/client.ts';

type Overrides = Readonly<Record<string, number>>;

/** What the docket on the desk sets for itself. */
export const DocketLimits = createContext<Overrides>({});

/** The numbers a reading is judged by here: the defaults, then the shop's, then the docket's own. */
export const useLimits = (): Assumptions => {
  const own = useContext(DocketLimits);
  const { data: shop } = useQuery({
    queryKey: ['shop'],
    queryFn: ({ signal }) => call('GET /shop', { signal }),
  });
  return useMemo(() => assumptionsWith({ ...shop?.overrides, ...own }), [shop, own]);
};

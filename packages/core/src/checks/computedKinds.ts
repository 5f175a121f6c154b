import type { ComputedCheck } from '../checkKinds/checkTypes.ts';
import type { ComputedKind } from './computedCheck.ts';
import { ac } from './kinds/ac.ts';
import { battery } from './kinds/battery.ts';
import { liveSpeeds } from './kinds/liveSpeeds.ts';
import { resistance } from './kinds/resistance.ts';
import { ringTeeth } from './kinds/ringTeeth.ts';
import { supply } from './kinds/supply.ts';
import { tyreSizes } from './kinds/tyreSizes.ts';

/** What each kind that computes computes: one that is declared to and is missing here does not compile. */
const COMPUTED_KINDS: { readonly [N in ComputedCheck]: ComputedKind<N> } = {
  'meter.resistance': resistance,
  'meter.supply': supply,
  'meter.ac': ac,
  'ring.teeth': ringTeeth,
  live: liveSpeeds,
  battery,
  tyres: tyreSizes,
};

/** What the kind of a check computes; null where the result is what was picked. */
export const computedOf = (name: string): ComputedKind<ComputedCheck> | null =>
  (COMPUTED_KINDS as unknown as Readonly<Record<string, ComputedKind<ComputedCheck> | undefined>>)[name] ??
  null;

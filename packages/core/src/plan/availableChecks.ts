import type { Assumptions } from '../assumptions/assumptions.ts';
import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import type { Belief } from '../diagnosis/posterior.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { SensorType } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** A check that can be made, with the likelihood table its result would be read by. */
export interface AvailableCheck {
  readonly check: CheckName;
  readonly table: string;
}

const share = (beliefs: readonly Belief[], test: (a: Architecture) => boolean): number => {
  const total = beliefs.reduce((sum, b) => sum + b.p, 0);
  return total > 0 ? beliefs.reduce((sum, b) => (test(b.architecture) ? sum + b.p : sum), 0) / total : 0;
};

/**
 * Checks worth considering at a wheel end: not those its architecture rules out, nor those done already.
 */
export const availableChecks = (
  docket: Docket,
  wheelEnd: WheelEnd,
  beliefs: readonly Belief[],
  a: Assumptions,
): AvailableCheck[] => {
  const done = new Set(
    (docket.checks ?? [])
      .filter((check) => (check.wheelEnd ?? wheelEnd) === wheelEnd)
      .map((check) => check.check),
  );
  const settled = (test: (a: Architecture) => boolean) => share(beliefs, test) >= a.get('plan.settled');
  const sensor: SensorType | null = settled((a) => a.sensor === 'passive')
    ? 'passive'
    : settled((a) => a.sensor === 'active')
      ? 'active'
      : null;
  const separate = settled((a) => a.mounting !== 'in-hub');
  const knowsTyres = Object.keys(docket.vehicle?.tyres ?? {}).length >= 2;
  const all: Array<[AvailableCheck, boolean]> = [
    [{ check: 'visual.connector', table: 'visual.connector' }, true],
    [{ check: 'visual.harness', table: 'visual.harness' }, true],
    [{ check: 'visual.ring', table: 'visual.ring' }, settled(hasRing) && !isCentre(wheelEnd)],
    [{ check: 'visual.sensor', table: 'visual.sensor' }, separate],
    [{ check: 'bearing.play', table: 'bearing.play' }, !isCentre(wheelEnd)],
    [{ check: 'bearing.noise', table: 'bearing.noise' }, !isCentre(wheelEnd)],
    [{ check: 'wiggle', table: 'wiggle' }, true],
    [{ check: 'swap', table: 'swap' }, settled((a) => a.mounting === 'separate')],
    [{ check: 'meter.resistance', table: `meter.resistance.${sensor}` }, sensor !== null],
    [{ check: 'meter.supply', table: 'meter.supply' }, sensor === 'active'],
    [{ check: 'meter.ac', table: 'meter.ac' }, sensor === 'passive'],
    [{ check: 'live', table: 'live' }, true],
    [{ check: 'clear-and-drive', table: 'clear-and-drive' }, true],
    [{ check: 'tyres', table: 'tyres' }, !knowsTyres],
    [{ check: 'battery', table: 'battery' }, true],
  ];
  return all.filter(([entry, possible]) => possible && !done.has(entry.check)).map(([entry]) => entry);
};

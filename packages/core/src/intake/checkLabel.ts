import type { Check } from '../vocabulary/check.ts';
import { CHECK_IN_WORDS } from '../vocabulary/inWords.ts';

const resultOf = (check: Check): string => {
  if ('result' in check) return check.result;
  switch (check.check) {
    case 'live':
      return `${check.pattern}${check.percent == null ? '' : ` ${check.percent} %`}`;
    case 'meter.resistance':
      return typeof check.ohms === 'number'
        ? `${check.ohms} ohm${check.temperatureC == null ? '' : ` at ${check.temperatureC} \u00B0C`}`
        : check.ohms;
    case 'battery':
      return [
        check.restingVolts == null ? null : `${check.restingVolts} V`,
        check.crankingVolts == null ? null : `${check.crankingVolts} V cranking`,
      ]
        .filter(Boolean)
        .join(', ');
    case 'ring.teeth':
      return `${check.counted} for ${check.expected}`;
    case 'meter.supply':
    case 'meter.ac':
      return `${check.volts} V`;
    case 'tyres':
      return 'sizes';
  }
};

/** A check with its result, for a chip. */
export const checkLabel = (check: Check): string =>
  `${CHECK_IN_WORDS[check.check]}: ${resultOf(check).replace(/-/g, ' ')}`;

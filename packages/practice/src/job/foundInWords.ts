import { wheelEndInWords, type Check, type Docket } from '@hardy/core/words';

const shown = (check: Check): string => {
  switch (check.check) {
    case 'live':
      return check.pattern.replace(/-/g, ' ');
    case 'meter.resistance':
      return typeof check.ohms === 'number' ? `${check.ohms} ohm` : check.ohms.replace(/-/g, ' ');
    case 'meter.supply':
      return `${check.volts} V`;
    case 'meter.ac':
      return `${check.volts} V AC at ${check.turnsPerSecond ?? 1} turn a second`;
    case 'ring.teeth':
      return `${check.counted} teeth, ${check.expected ?? '?'} expected`;
    case 'battery':
      return `${check.restingVolts} V at rest`;
    case 'tyres':
      return [...new Set(Object.values(check.sizes))].length === 1
        ? `all ${Object.values(check.sizes)[0]}`
        : Object.entries(check.sizes)
            .map(([end, size]) => `${end} ${size}`)
            .join(', ');
    default:
      return 'result' in check ? String(check.result).replace(/-/g, ' ') : '';
  }
};

/** What checks showed, in one line; each with its wheel where there are several. */
export const foundInWords = (checks: readonly Check[], vehicle: Docket['vehicle']): string =>
  checks.length === 0
    ? 'it told nothing'
    : checks
        .map((each) => {
          const at = checks.length > 1 && each.wheelEnd ? each.wheelEnd : null;
          const where = at
            ? `${wheelEndInWords(at, { axles: vehicle?.axles, driveline: vehicle?.driveline })}: `
            : '';
          return where + shown(each);
        })
        .join('; ');

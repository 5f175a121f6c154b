import type { Check, TraceFinding } from '@hardy/core/words';

/** The check `live` that a finding of a log amounts to. A ratio that holds at every speed grows in km/h with speed. */
export const checkFromFinding = (finding: TraceFinding): Check => {
  const ratio = finding.pattern === 'reads-high' || finding.pattern === 'reads-low' ? finding.ratio : null;
  return {
    check: 'live',
    wheelEnd: finding.wheelEnd,
    pattern: finding.pattern,
    ...(ratio === null ? {} : { percent: Number(((ratio - 1) * 100).toFixed(2)), growsWithSpeed: true }),
  };
};

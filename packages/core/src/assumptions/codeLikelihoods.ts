import { chances, judgement, type JudgementTable } from './judgement.ts';

const reasonFor = (what: string) =>
  `Chance that this cause, present at the wheel end, leaves a code that says "${what}". Counter judgement.`;

/** What each meaning of a wheel-speed code says of the causes. Causes not named are as rare as with nothing wrong. */
export const CODE_LIKELIHOODS: JudgementTable = {
  ...chances('code.open', reasonFor('circuit open'), {
    sensor: 0.3, wiring: 0.34, sender: 0.3, seating: 0.006, 'mismatched-part': 0.03, ring: 0.003, encoder: 0.004, bearing: 0.01, 'none-present': 0.02, tyre: 0.0004,
  }),
  ...chances('code.short-to-ground', reasonFor('short to ground'), {
    sensor: 0.14, wiring: 0.3, sender: 0.14, 'mismatched-part': 0.03, ring: 0.002, encoder: 0.002, bearing: 0.006, seating: 0.003, 'none-present': 0.01,
  }),
  ...chances('code.short-to-battery', reasonFor('short to battery'), {
    sensor: 0.06, wiring: 0.3, sender: 0.06, 'mismatched-part': 0.02, 'none-present': 0.01,
  }),
  ...chances('code.ground-or-open', reasonFor('short to ground or open'), {
    sensor: 0.3, wiring: 0.36, sender: 0.3, 'mismatched-part': 0.03, seating: 0.005, ring: 0.003, encoder: 0.003, bearing: 0.01, 'none-present': 0.02,
  }),
  ...chances('code.battery-or-open', reasonFor('short to battery or open'), {
    sensor: 0.24, wiring: 0.36, sender: 0.24, 'mismatched-part': 0.03, bearing: 0.008, 'none-present': 0.02,
  }),
  ...chances('code.resistance-low', reasonFor('resistance low'), {
    sensor: 0.2, wiring: 0.2, sender: 0.2, 'mismatched-part': 0.15, 'none-present': 0.01,
  }),
  ...chances('code.resistance-high', reasonFor('resistance high'), {
    sensor: 0.2, wiring: 0.34, sender: 0.2, 'mismatched-part': 0.12, 'none-present': 0.01,
  }),
  ...chances('code.voltage-range', reasonFor('voltage out of range'), {
    sensor: 0.14, wiring: 0.24, sender: 0.14, 'mismatched-part': 0.15, seating: 0.03, bearing: 0.02, 'none-present': 0.03,
  }),
  ...chances('code.intermittent', reasonFor('intermittent'), {
    sensor: 0.14, wiring: 0.3, sender: 0.14, ring: 0.16, encoder: 0.16, bearing: 0.18, seating: 0.2, 'mismatched-part': 0.06, 'none-present': 0.1, tyre: 0.01,
  }),
  ...chances('code.erratic', reasonFor('signal erratic or invalid'), {
    sensor: 0.12, wiring: 0.14, sender: 0.12, ring: 0.34, encoder: 0.34, bearing: 0.34, seating: 0.26, 'mismatched-part': 0.25, tyre: 0.03, 'none-present': 0.05,
  }),
  ...chances('code.no-signal', reasonFor('no signal'), {
    sensor: 0.32, wiring: 0.22, sender: 0.32, ring: 0.07, encoder: 0.1, bearing: 0.05, seating: 0.16, 'mismatched-part': 0.25, 'none-present': 0.02, tyre: 0.0005,
  }),
  ...chances('code.frequency', reasonFor('frequency low, high or incorrect'), {
    sensor: 0.04, wiring: 0.03, sender: 0.04, ring: 0.24, encoder: 0.24, bearing: 0.14, seating: 0.14, tyre: 0.4, 'mismatched-part': 0.35, 'none-present': 0.04,
  }),
  ...chances('code.implausible', reasonFor('compared with the other wheels, not plausible'), {
    sensor: 0.1, wiring: 0.07, sender: 0.1, ring: 0.28, encoder: 0.28, bearing: 0.22, seating: 0.22, tyre: 0.4, 'mismatched-part': 0.3, 'none-present': 0.08,
  }),
  ...chances('code.mounting', reasonFor('wrong mounting position'), {
    sensor: 0.03, sender: 0.03, seating: 0.35, 'mismatched-part': 0.4, bearing: 0.15, encoder: 0.08, ring: 0.05, wiring: 0.02, 'none-present': 0.02,
  }),
  ...chances('code.device', reasonFor('bad device'), {
    sensor: 0.3, wiring: 0.14, sender: 0.3, 'mismatched-part': 0.14, ring: 0.05, encoder: 0.05, 'none-present': 0.02,
  }),
  ...chances('code.generic', reasonFor('wheel speed sensor, no more detail'), {
    sensor: 0.32, wiring: 0.26, sender: 0.32, ring: 0.2, encoder: 0.2, bearing: 0.14, seating: 0.2, tyre: 0.12, 'mismatched-part': 0.24, 'none-present': 0.06,
  }),
  'code.nothing': judgement(
    0.0004, 'probability', [0.000001, 0.05],
    'A code of one given kind at a sound wheel end: rare, but modules do get confused.',
  ),
  'code.with-module': judgement(0.02, 'probability', [0, 1], 'A failing controller blames a given wheel end now and then.'),
  'code.with-supply': judgement(0.03, 'probability', [0, 1], 'Low voltage leaves codes at wheel ends where nothing is wrong.'),
  'code.not-active': judgement(
    6, 'times', [1, 100],
    'A stored or history code fits a past event this much better than an active one does.',
  ),
  'code.active-none-present': judgement(0.25, 'times', [0, 1], 'An active code rarely belongs to a past event.'),
  'code.several-corners': judgement(
    3, 'times', [1, 50],
    'Wheel-speed codes at every corner at once point to what they share: supply or controller.',
  ),
  'correlation.repeat': judgement(
    0.25, 'power', [0, 1],
    'A further finding of the same mechanism at the same wheel end (three reports of one open circuit) adds only this share of its weight.',
  ),
  'voltage-code.supply': judgement(0.4, 'probability', [0, 1], 'Chance that a weak supply leaves a low-voltage code.'),
  'voltage-code.otherwise': judgement(0.01, 'probability', [0.0001, 1], 'A low-voltage code with a sound supply: past jump start, for one.'),
  'many-modules.count': judgement(5, 'modules', [2, 30], 'From this many modules with unrelated codes on, the list itself is a finding.'),
  'many-modules.supply': judgement(0.5, 'probability', [0, 1], 'Chance that a weak or interrupted supply leaves codes in many modules.'),
  'many-modules.otherwise': judgement(0.02, 'probability', [0.0001, 1], 'Codes in many modules with a sound supply.'),
};

import { chances, judgement, type JudgementTable } from './judgement.ts';

const seen = (check: string, cause: string, reason: string, results: Readonly<Record<string, number>>) =>
  chances(`check.${check}.${cause}`, reason, results);

const UNCHANGED = 'As often as it is seen on vehicles where this link is sound.';

/**
 * What each check shows under each cause: `check.<check>.<cause>.<result>`. A cause without a row of its own is
 * like `nothing`. Rows are brought to a sum of one when used.
 */
export const CHECK_LIKELIHOODS: JudgementTable = {
  ...seen('visual.ring', 'nothing', UNCHANGED, { sound: 0.8, cracked: 0.006, loose: 0.004, 'missing-teeth': 0.004, rusted: 0.1, dirty: 0.086 }),
  ...seen('visual.ring', 'ring', 'A bad ring mostly shows it to the eye.', { sound: 0.12, cracked: 0.4, loose: 0.12, 'missing-teeth': 0.14, rusted: 0.17, dirty: 0.05 }),
  ...seen('visual.ring', 'seating', 'Rust under the ring or dirt in the gap.', { sound: 0.4, cracked: 0.006, loose: 0.01, 'missing-teeth': 0.004, rusted: 0.3, dirty: 0.28 }),
  ...seen('visual.ring', 'mismatched-part', 'The wrong ring looks sound.', { sound: 0.88, cracked: 0.004, loose: 0.02, 'missing-teeth': 0.004, rusted: 0.05, dirty: 0.042 }),

  ...seen('visual.sensor', 'nothing', UNCHANGED, { sound: 0.84, broken: 0.004, corroded: 0.09, rubbed: 0.01, 'metal-on-tip': 0.03, loose: 0.01, 'lead-damaged': 0.016 }),
  ...seen('visual.sensor', 'sensor', 'Half of the dead sensors look sound.', { sound: 0.5, broken: 0.16, corroded: 0.14, rubbed: 0.06, 'metal-on-tip': 0.02, loose: 0.01, 'lead-damaged': 0.11 }),
  ...seen('visual.sensor', 'seating', 'Rust under the pad, swarf on the magnet, a loose bolt.', { sound: 0.25, broken: 0.004, corroded: 0.3, rubbed: 0.03, 'metal-on-tip': 0.22, loose: 0.18, 'lead-damaged': 0.016 }),
  ...seen('visual.sensor', 'ring', 'A swollen ring grinds the tip.', { sound: 0.72, broken: 0.01, corroded: 0.11, rubbed: 0.1, 'metal-on-tip': 0.03, loose: 0.01, 'lead-damaged': 0.02 }),
  ...seen('visual.sensor', 'bearing', 'Play lets the target touch the tip.', { sound: 0.74, broken: 0.02, corroded: 0.1, rubbed: 0.09, 'metal-on-tip': 0.025, loose: 0.01, 'lead-damaged': 0.015 }),

  ...seen('visual.connector', 'nothing', UNCHANGED, { sound: 0.88, corroded: 0.05, 'broken-lock': 0.035, 'loose-pins': 0.01, 'earlier-repair': 0.025 }),
  ...seen('visual.connector', 'wiring', 'The joint in the arch is the commonest place for wiring to fail.', { sound: 0.3, corroded: 0.42, 'broken-lock': 0.07, 'loose-pins': 0.12, 'earlier-repair': 0.09 }),
  ...seen('visual.connector', 'mismatched-part', 'A part of another keying forced in.', { sound: 0.7, corroded: 0.05, 'broken-lock': 0.1, 'loose-pins': 0.08, 'earlier-repair': 0.07 }),

  ...seen('visual.harness', 'nothing', UNCHANGED, { sound: 0.93, chafed: 0.02, cut: 0.002, corroded: 0.018, 'earlier-repair': 0.03 }),
  ...seen('visual.harness', 'wiring', 'Seen where the loom bends or is clipped; the rest hides.', { sound: 0.5, chafed: 0.18, cut: 0.1, corroded: 0.12, 'earlier-repair': 0.1 }),

  ...seen('bearing.play', 'nothing', UNCHANGED, { none: 0.95, slight: 0.045, clear: 0.005 }),
  ...seen('bearing.play', 'bearing', 'A bearing that disturbs the signal mostly moves in the hand.', { none: 0.2, slight: 0.35, clear: 0.45 }),

  ...seen('bearing.noise', 'nothing', UNCHANGED, { none: 0.96, growl: 0.04 }),
  ...seen('bearing.noise', 'bearing', 'Most worn bearings growl when spun.', { none: 0.25, growl: 0.75 }),

  ...seen('wiggle', 'nothing', UNCHANGED, { steady: 0.985, changes: 0.015 }),
  ...seen('wiggle', 'wiring', 'Many broken joints answer to being moved; a clean break does not.', { steady: 0.48, changes: 0.52 }),
  ...seen('wiggle', 'sensor', 'A broken conductor in the moulded lead answers now and then.', { steady: 0.86, changes: 0.14 }),
  ...seen('wiggle', 'sender', 'A broken pigtail answers now and then.', { steady: 0.86, changes: 0.14 }),

  ...seen('swap', 'nothing', UNCHANGED, { 'fault-stayed': 0.96, 'fault-followed': 0.04 }),
  ...seen('swap', 'sensor', 'A bad sensor takes its fault along.', { 'fault-stayed': 0.05, 'fault-followed': 0.95 }),
  ...seen('swap', 'mismatched-part', 'If the sensor is the wrong one, it goes along.', { 'fault-stayed': 0.5, 'fault-followed': 0.5 }),
  ...seen('swap', 'seating', 'Taking it out cleans it.', { 'fault-stayed': 0.75, 'fault-followed': 0.25 }),

  ...seen('meter.resistance.passive', 'nothing', UNCHANGED, { 'in-range': 0.96, low: 0.012, high: 0.012, open: 0.005, short: 0.003, unstable: 0.008 }),
  ...seen('meter.resistance.passive', 'sensor', 'A dead coil reads open, shorted or far off; a cracked one is unsteady.', { 'in-range': 0.2, low: 0.07, high: 0.1, open: 0.47, short: 0.06, unstable: 0.1 }),
  ...seen('meter.resistance.passive', 'sender', 'A dead coil reads open, shorted or far off.', { 'in-range': 0.2, low: 0.07, high: 0.1, open: 0.47, short: 0.06, unstable: 0.1 }),
  ...seen('meter.resistance.passive', 'mismatched-part', 'A coil of another kind.', { 'in-range': 0.6, low: 0.16, high: 0.19, open: 0.02, short: 0.01, unstable: 0.02 }),
  ...seen('meter.resistance.active', 'nothing', UNCHANGED, { 'says-nothing': 0.975, open: 0.012, short: 0.006, unstable: 0.007 }),
  ...seen('meter.resistance.active', 'sensor', 'A broken lead shows as open; the element itself cannot be judged.', { 'says-nothing': 0.62, open: 0.28, short: 0.06, unstable: 0.04 }),
  ...seen('meter.resistance.active', 'sender', 'A broken lead shows as open.', { 'says-nothing': 0.62, open: 0.28, short: 0.06, unstable: 0.04 }),
  ...seen('meter.resistance.harness', 'nothing', UNCHANGED, { continuous: 0.96, open: 0.015, short: 0.01, unstable: 0.015 }),
  ...seen('meter.resistance.harness', 'wiring', 'A broken loom or joint.', { continuous: 0.25, open: 0.42, short: 0.16, unstable: 0.17 }),

  ...seen('meter.supply', 'nothing', UNCHANGED, { present: 0.985, low: 0.01, absent: 0.005 }),
  ...seen('meter.supply', 'wiring', 'No supply reaches the plug.', { present: 0.35, low: 0.15, absent: 0.5 }),
  ...seen('meter.supply', 'module', 'The controller does not feed the sensor.', { present: 0.4, low: 0.1, absent: 0.5 }),

  ...seen('meter.ac', 'nothing', UNCHANGED, { good: 0.95, weak: 0.04, none: 0.01 }),
  ...seen('meter.ac', 'sensor', 'A dead coil makes nothing.', { good: 0.12, weak: 0.2, none: 0.68 }),
  ...seen('meter.ac', 'ring', 'A cracked ring still makes AC; a loose or rotted one makes less.', { good: 0.55, weak: 0.3, none: 0.15 }),
  ...seen('meter.ac', 'seating', 'A wide gap makes little.', { good: 0.2, weak: 0.65, none: 0.15 }),
  ...seen('meter.ac', 'mismatched-part', 'The wrong part may make too little.', { good: 0.5, weak: 0.3, none: 0.2 }),

  ...seen('live', 'nothing', UNCHANGED, { normal: 0.962, 'no-signal': 0.003, 'drops-out': 0.008, 'once-per-turn': 0.003, 'reads-high': 0.005, 'reads-low': 0.005, 'weak-at-low-speed': 0.006, noisy: 0.008 }),
  ...seen('live', 'sensor', 'Mostly dead, sometimes failing warm or on bumps.', { normal: 0.08, 'no-signal': 0.6, 'drops-out': 0.2, 'once-per-turn': 0.004, 'reads-high': 0.003, 'reads-low': 0.003, 'weak-at-low-speed': 0.06, noisy: 0.05 }),
  ...seen('live', 'sender', 'Mostly dead.', { normal: 0.08, 'no-signal': 0.6, 'drops-out': 0.2, 'once-per-turn': 0.004, 'reads-high': 0.003, 'reads-low': 0.003, 'weak-at-low-speed': 0.06, noisy: 0.05 }),
  ...seen('live', 'wiring', 'Dead, or dropping out with movement and damp.', { normal: 0.12, 'no-signal': 0.5, 'drops-out': 0.3, 'once-per-turn': 0.003, 'reads-high': 0.005, 'reads-low': 0.004, 'weak-at-low-speed': 0.02, noisy: 0.048 }),
  ...seen('live', 'ring', 'One bad place a turn; a rotted ring is weak or noisy.', { normal: 0.1, 'no-signal': 0.06, 'drops-out': 0.08, 'once-per-turn': 0.48, 'reads-high': 0.03, 'reads-low': 0.03, 'weak-at-low-speed': 0.1, noisy: 0.12 }),
  ...seen('live', 'encoder', 'One bad place a turn, or noise.', { normal: 0.1, 'no-signal': 0.14, 'drops-out': 0.12, 'once-per-turn': 0.4, 'reads-high': 0.02, 'reads-low': 0.02, 'weak-at-low-speed': 0.08, noisy: 0.12 }),
  ...seen('live', 'bearing', 'The gap breathes: noise, drop-outs, and some swing each turn.', { normal: 0.25, 'no-signal': 0.05, 'drops-out': 0.22, 'once-per-turn': 0.14, 'reads-high': 0.01, 'reads-low': 0.01, 'weak-at-low-speed': 0.12, noisy: 0.2 }),
  ...seen('live', 'seating', 'A wide gap fails first at low speed.', { normal: 0.12, 'no-signal': 0.16, 'drops-out': 0.14, 'once-per-turn': 0.05, 'reads-high': 0.005, 'reads-low': 0.005, 'weak-at-low-speed': 0.42, noisy: 0.1 }),
  ...seen('live', 'tyre', 'A constant ratio at every speed.', { normal: 0.1, 'no-signal': 0.003, 'drops-out': 0.005, 'once-per-turn': 0.004, 'reads-high': 0.43, 'reads-low': 0.44, 'weak-at-low-speed': 0.005, noisy: 0.013 }),
  ...seen('live', 'mismatched-part', 'Another tooth count gives a constant ratio; another gap or type gives nothing.', { normal: 0.1, 'no-signal': 0.3, 'drops-out': 0.08, 'once-per-turn': 0.03, 'reads-high': 0.17, 'reads-low': 0.17, 'weak-at-low-speed': 0.1, noisy: 0.05 }),
  ...seen('live', 'none-present', 'A past event: nothing to see now.', { normal: 0.985, 'no-signal': 0.001, 'drops-out': 0.003, 'once-per-turn': 0.001, 'reads-high': 0.002, 'reads-low': 0.002, 'weak-at-low-speed': 0.002, noisy: 0.004 }),

  ...seen('clear-and-drive', 'nothing', UNCHANGED, { 'stays-away': 0.93, 'back-at-once': 0.02, 'back-when-driven': 0.03, 'back-on-bumps': 0.02 }),
  ...seen('clear-and-drive', 'sensor', 'A dead circuit is found at key-on; a dead signal on moving off.', { 'stays-away': 0.06, 'back-at-once': 0.5, 'back-when-driven': 0.38, 'back-on-bumps': 0.06 }),
  ...seen('clear-and-drive', 'sender', 'As a sensor.', { 'stays-away': 0.06, 'back-at-once': 0.45, 'back-when-driven': 0.43, 'back-on-bumps': 0.06 }),
  ...seen('clear-and-drive', 'wiring', 'A broken joint answers to bumps.', { 'stays-away': 0.1, 'back-at-once': 0.42, 'back-when-driven': 0.2, 'back-on-bumps': 0.28 }),
  ...seen('clear-and-drive', 'ring', 'Needs the wheel to turn.', { 'stays-away': 0.15, 'back-at-once': 0.01, 'back-when-driven': 0.8, 'back-on-bumps': 0.04 }),
  ...seen('clear-and-drive', 'encoder', 'Needs the wheel to turn.', { 'stays-away': 0.15, 'back-at-once': 0.02, 'back-when-driven': 0.78, 'back-on-bumps': 0.05 }),
  ...seen('clear-and-drive', 'bearing', 'Needs the wheel to turn, worse in bends and on bumps.', { 'stays-away': 0.25, 'back-at-once': 0.03, 'back-when-driven': 0.52, 'back-on-bumps': 0.2 }),
  ...seen('clear-and-drive', 'seating', 'Needs the wheel to turn.', { 'stays-away': 0.18, 'back-at-once': 0.03, 'back-when-driven': 0.72, 'back-on-bumps': 0.07 }),
  ...seen('clear-and-drive', 'tyre', 'Comes back with speed.', { 'stays-away': 0.15, 'back-at-once': 0.005, 'back-when-driven': 0.83, 'back-on-bumps': 0.015 }),
  ...seen('clear-and-drive', 'mismatched-part', 'A wrong part does not work from the start.', { 'stays-away': 0.06, 'back-at-once': 0.35, 'back-when-driven': 0.56, 'back-on-bumps': 0.03 }),
  ...seen('clear-and-drive', 'none-present', 'A past event does not come back.', { 'stays-away': 0.97, 'back-at-once': 0.005, 'back-when-driven': 0.02, 'back-on-bumps': 0.005 }),
  ...seen('clear-and-drive', 'module', 'A failing controller is found at key-on.', { 'stays-away': 0.1, 'back-at-once': 0.7, 'back-when-driven': 0.15, 'back-on-bumps': 0.05 }),
  ...seen('clear-and-drive', 'supply', 'Comes back with the next weak start.', { 'stays-away': 0.4, 'back-at-once': 0.3, 'back-when-driven': 0.25, 'back-on-bumps': 0.05 }),

  ...seen('battery', 'nothing', UNCHANGED, { good: 0.93, weak: 0.07 }),
  ...seen('battery', 'supply', 'A weak battery or charging fault.', { good: 0.15, weak: 0.85 }),

  ...seen('tyres', 'nothing', UNCHANGED, { match: 0.985, differ: 0.015 }),
  ...seen('tyres', 'tyre', 'Mostly the size; wear and pressure otherwise.', { match: 0.35, differ: 0.65 }),

  'tyres.differ-percent': judgement(3, '%', [1, 10], 'Stability systems object at roughly 3-5 % between the wheels of one axle. Rule of thumb.'),
  'tyres.ratio-slack-percent': judgement(1.5, '%', [0.1, 5], 'Wear and pressure explain a difference up to about 1-2 %; a measured ratio within this of the sizes is explained by them.'),
  'tyres.explained.tyre': judgement(6, 'times', [1, 100], 'A measured ratio that the sizes explain points to the tyre this much more.'),
  'live.ratio-not-growing.tyre': judgement(0.3, 'times', [0.01, 1], 'A tyre gives the same ratio at every speed, so the difference grows with speed; one that does not grow is hardly a tyre.'),
  'resistance.passive.low': judgement(800, 'ohm', [100, 2000], 'Passive coil at 20 degC, lower end. Rule of thumb.'),
  'resistance.passive.high': judgement(2500, 'ohm', [1000, 6000], 'Passive coil at 20 degC, upper end. Rule of thumb.'),
  'resistance.copper': judgement(0.00393, '1/K', [0.003, 0.005], 'Temperature coefficient of copper at 20 degC.'),
  'resistance.open': judgement(200000, 'ohm', [10000, 1e8], 'A passive coil above this is as good as open.'),
  'resistance.short': judgement(20, 'ohm', [0, 200], 'A sensor below this is as good as shorted.'),
  'resistance.harness': judgement(5, 'ohm', [0.5, 50], 'A lead above this has a bad joint.'),
  'supply.present': judgement(4.5, 'V', [2, 12], 'Active supply at the open plug is about 5 V to battery voltage.'),
  'supply.absent': judgement(1, 'V', [0, 4], 'Below this nothing feeds the sensor.'),
  'ac.good': judgement(0.1, 'V', [0.01, 1], 'At least about 0.1 V AC at one turn a second by hand. Rule of thumb.'),
  'ac.none': judgement(0.02, 'V', [0, 0.1], 'Below this there is no signal.'),
  'battery.resting': judgement(12.2, 'V', [11, 13], 'Resting below this a battery is weak (12 V system).'),
  'battery.cranking': judgement(9.6, 'V', [7, 11], 'Cranking below this a battery is weak (12 V system).'),
};

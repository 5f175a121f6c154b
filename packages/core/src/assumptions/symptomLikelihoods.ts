import { chances, type JudgementTable } from './judgement.ts';

/**
 * Chance that a cause brings about a complaint; `leak` is the chance of it with none of them. Lamps that come on
 * together are one finding: the controller switches its functions off as a set.
 */
export const SYMPTOM_LIKELIHOODS: JudgementTable = {
  ...chances('symptom.lamps', 'The controller gives up and lights its lamps.', {
    sensor: 0.92,
    wiring: 0.9,
    ring: 0.5,
    encoder: 0.7,
    bearing: 0.35,
    seating: 0.6,
    tyre: 0.35,
    'mismatched-part': 0.8,
    sender: 0.8,
    'none-present': 0.35,
    module: 0.95,
    supply: 0.7,
    leak: 0.003,
  }),
  ...chances(
    'symptom.abs.activates-when-stopping',
    'A false slip at walking pace: one bad place on the target, or a weak signal.',
    {
      ring: 0.55,
      encoder: 0.2,
      bearing: 0.3,
      seating: 0.4,
      sensor: 0.05,
      wiring: 0.05,
      'mismatched-part': 0.2,
      tyre: 0.02,
      leak: 0.004,
    },
  ),
  ...chances(
    'symptom.speedometer',
    'The speedometer takes its signal from a sender, or over the network from the brake controller.',
    {
      sender: 0.85,
      module: 0.25,
      supply: 0.1,
      sensor: 0.02,
      wiring: 0.03,
      ring: 0.02,
      leak: 0.004,
    },
  ),
  ...chances('symptom.shifting.bad', 'The gearbox uses the same speed.', {
    sender: 0.45,
    module: 0.1,
    supply: 0.1,
    sensor: 0.03,
    wiring: 0.03,
    leak: 0.02,
  }),
  ...chances('symptom.noise.wheel', 'A growl is a bearing until shown otherwise; rings and tyres may hum.', {
    bearing: 0.75,
    encoder: 0.05,
    ring: 0.12,
    tyre: 0.08,
    leak: 0.015,
  }),
  ...chances('symptom.steering.heavy', 'Assistance is cut back when voltage or the network fails.', {
    supply: 0.2,
    module: 0.06,
    leak: 0.01,
  }),
  ...chances(
    'symptom.message.tyre-monitor',
    'A monitor that counts wheel turns sees a tyre of another size, or loses its signal.',
    {
      tyre: 0.55,
      sensor: 0.15,
      wiring: 0.15,
      ring: 0.12,
      encoder: 0.12,
      seating: 0.12,
      'mismatched-part': 0.2,
      supply: 0.05,
      module: 0.2,
      leak: 0.02,
    },
  ),
  ...chances(
    'symptom.centre-chain',
    'At a centre sender the lead, the ring and the seating carry the speedometer too.',
    {
      wiring: 0.7,
      ring: 0.4,
      seating: 0.4,
      'mismatched-part': 0.5,
    },
  ),
  ...chances(
    'claim',
    'Chance that a customer names this wheel end: when it is the faulty one, and when it is not.',
    {
      faulty: 0.6,
      sound: 0.025,
    },
  ),
};

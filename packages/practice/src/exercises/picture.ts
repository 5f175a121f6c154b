import { randomFrom } from '@hardy/core/chance';
import type { SkillExercises } from './exercise.ts';

/** What was looked at, and what a look at it may find. Difficulty by how plain it is. */
const LOOKS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  'visual.ring': { sound: -1, cracked: 0.4, loose: 0.9, 'missing-teeth': -0.6, rusted: 0.2, dirty: 0.5 },
  'visual.sensor': { sound: -1, broken: -0.8, corroded: 0.4, rubbed: 0.8, 'metal-on-tip': 0.1, loose: 0.9 },
  'visual.connector': { sound: -1, corroded: -0.2, 'loose-pins': 0.7, 'broken-lock': 0.6 },
  'visual.harness': { sound: -1, chafed: 0, cut: -0.8 },
  encoder: { sound: -0.6, 'poles-damaged': 0.2, 'wrong-side-in': 0.6 },
  bearing: { sound: -0.8, pitted: 0.3, play: 0.4 },
};
const NAMES: Readonly<Record<string, string>> = {
  'visual.ring': 'You look at a tone ring, from the side',
  'visual.sensor': 'You look at the tip of a sensor',
  'visual.connector': 'You look into the open plug',
  'visual.harness': 'You look along the loom',
  encoder: 'You hold a magnetic card to the seal of a bearing',
  bearing: 'You have a bearing cut open before you, its flange on the right',
};
const LEADS_TO: Readonly<Record<string, string>> = {
  sound: 'Nothing to be seen: look elsewhere, or meter.',
  cracked: 'A gap wider than the others: one dip a turn. The ring, or what carries it.',
  loose: 'It does not sit fast: it moves while it turns or shakes.',
  'missing-teeth': 'Teeth are gone: one dip a turn, at every speed.',
  rusted: 'Rust lifts it towards the sensor, unevenly.',
  dirty: 'Dirt and metal hide teeth: clean it before anything is sold.',
  broken: 'The tip is broken off: look for what hit it as well.',
  corroded: 'Rust or salts: it lifts the sensor, or adds resistance.',
  rubbed: 'Something touches it: a swollen ring or a loose bearing. A new sensor alone will be rubbed too.',
  'metal-on-tip': 'Swarf on the magnet: wipe it off, no part.',
  'loose-pins': 'Pins that do not grip: comes and goes on bumps.',
  'broken-lock': 'Without its lock the plug works loose.',
  chafed: 'Rubbed through to metal: shorts to ground when wet.',
  'poles-damaged':
    'Poles are gone side by side: one dip a turn, and no tooth to see. It comes with the bearing.',
  'wrong-side-in':
    'The card shows hardly anything: the seal with the poles was pressed in on the other side. No signal at all.',
  pitted: 'Balls or rings are pitted: it growls under load, and the speed is restless.',
  play: 'The flange stands askew: the gap changes as it turns, and the wheel can come off. Do not drive it.',
  cut: 'Cut through: the circuit is open.',
};

const variants = Object.fromEntries(
  Object.entries(LOOKS).flatMap(([look, results]) =>
    Object.entries(results).map(([result, hard]) => [`${look} ${result}`, hard]),
  ),
);

/** Sound or faulty, and how, by a drawing. */
export const picture: SkillExercises = {
  skill: 'picture',
  variants,
  draw(variant, seed) {
    const [look = 'visual.ring', result = 'sound'] = variant.split(' ');
    const random = randomFrom(seed);
    const known = Object.keys(LOOKS[look] ?? {});
    const wrong = known.filter((each) => each !== result);
    while (wrong.length > 3) wrong.splice(random.below(wrong.length), 1);
    const keys = known.filter((each) => each === result || wrong.includes(each));
    return {
      prompt: `${NAMES[look]}. What do you see?`,
      shows: { as: 'drawing', check: look, result },
      choices: keys.map((key) => ({ key, words: key.replace(/-/g, ' ') })),
      answer: result,
      unit: null,
      why: LEADS_TO[result] ?? '',
    };
  },
};

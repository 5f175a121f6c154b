import { randomFrom } from '@hardy/core/chance';
import { wheelEndInWords } from '@hardy/core/words';
import { NOTHING_SHOWN, type SkillExercises } from './exercise.ts';

type Side = 'left' | 'right';
const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** Say the corner: as people say it, against the clock. */
export const corner: SkillExercises = {
  skill: 'corner',
  variants: {
    plain: -2,
    "driver's side": -0.6,
    "passenger's side": -0.4,
    nearside: 0.2,
    offside: 0.4,
    'seen from the front': 0.8,
    kerb: 0.3,
    trailer: 0.6,
  },
  draw(variant, seed) {
    const random = randomFrom(seed);
    const axles = variant === 'trailer' ? 3 : 2;
    const axle = 1 + random.below(axles);
    const side = random.pick(['left', 'right'] as const);
    const steered = random.pick(['left', 'right'] as const);
    // Traffic keeps to the side away from the steering wheel.
    const kerb = other(steered);
    const where =
      axles === 2
        ? axle === 1
          ? 'at the front'
          : 'at the back'
        : `on the ${['first', 'second', 'third'][axle - 1]} axle`;
    const spoken: Readonly<Record<string, readonly [string, string]>> = {
      plain: [`"${side} hand ${where}"`, 'Left and right are as one sits in it, facing ahead.'],
      "driver's side": [
        `"${side === steered ? "The driver's" : "The passenger's"} side ${where}." The wheel is on the ${steered}.`,
        `The driver sits on the ${steered}.`,
      ],
      "passenger's side": [
        `"${side === steered ? "The driver's" : "The passenger's"} side ${where}." The wheel is on the ${steered}.`,
        `The driver sits on the ${steered}; the passenger on the ${kerb}.`,
      ],
      nearside: [
        `"${side === kerb ? 'Nearside' : 'Offside'} ${where}." Here one drives on the ${kerb}.`,
        'Nearside is the side of the kerb, offside the side of the oncoming traffic.',
      ],
      offside: [
        `"${side === kerb ? 'Nearside' : 'Offside'} ${where}." Here one drives on the ${kerb}.`,
        'Offside is the side of the oncoming traffic, nearside that of the kerb.',
      ],
      kerb: [
        `"${side === kerb ? 'Kerb side' : 'Road side'} ${where}." Here one drives on the ${kerb}.`,
        `Who drives on the ${kerb} has the kerb on the ${kerb}.`,
      ],
      'seen from the front': [
        `"I stood before it, looking at it: on my ${other(side)}, ${where}."`,
        'Who stands before it and looks at it has its left on their right.',
      ],
      trailer: [
        `A trailer with three axles, counted from the drawbar. "${side} hand ${where}"`,
        'Trailer axles are counted from the drawbar; left and right as one drives ahead of it.',
      ],
    };
    const [prompt, why] = spoken[variant] ?? ['', ''];
    const names = { axles, trailer: variant === 'trailer' };
    return {
      prompt: `${prompt.replace('"left hand', '"Left hand').replace('"right hand', '"Right hand')} Which wheel is it?`,
      shows: NOTHING_SHOWN,
      choices: Array.from({ length: axles }, (_, i) => i + 1).flatMap((a) =>
        (['left', 'right'] as const).map((s) => {
          const key = `A${a}${s === 'left' ? 'L' : 'R'}`;
          return { key, words: wheelEndInWords(key, names) };
        }),
      ),
      answer: `A${axle}${side === 'left' ? 'L' : 'R'}`,
      unit: null,
      why,
    };
  },
};

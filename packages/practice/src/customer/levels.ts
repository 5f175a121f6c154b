import type { Life } from '@hardy/bench-vehicle';
import type { Manner } from './manner.ts';

/** How hard the customers of a level are. */
export interface LevelRules {
  readonly name: string;
  readonly manners: readonly Manner[];
  /** Codes come with the customer; or they can be read here; or nothing reaches the controller. */
  readonly codes: 'brought' | 'can be read' | 'no reader';
  readonly fits: (life: Life) => boolean;
}

const one = ({ befell }: Life): boolean => befell.length === 1;
const passing = ({ befell }: Life): boolean =>
  befell.some(([name]) => name === 'passed' || name === 'battery was flat' || name === 'weak battery');
const seized = ({ vehicle, befell }: Life): boolean => {
  const end = befell[0]?.[1];
  return end != null && vehicle.corners[end].sensor.seized > 0.5;
};

/** Levels of practice, the easiest first. */
export const LEVEL_RULES: Readonly<Record<number, LevelRules>> = {
  1: {
    name: 'codes on a plate',
    manners: ['plain'],
    codes: 'brought',
    fits: (life) => one(life) && !passing(life) && !seized(life),
  },
  2: {
    name: 'one fault, a reader on the shelf',
    manners: ['plain', 'vague'],
    codes: 'can be read',
    fits: (life) => one(life) && !passing(life),
  },
  3: {
    name: 'words that mislead',
    manners: ['wrong corner', 'mirrored', 'sure of the part', 'has bought one'],
    codes: 'can be read',
    fits: (life) => one(life) && !passing(life) && life.befell[0]?.[1] != null,
  },
  4: {
    name: 'two faults, or none',
    manners: ['plain', 'vague', 'mirrored'],
    codes: 'can be read',
    fits: (life) => life.befell.length > 1 || passing(life),
  },
  5: {
    name: 'no reader, rusted in, in a hurry',
    manners: ['in a hurry', 'wrong corner', 'mirrored', 'has bought one'],
    codes: 'no reader',
    fits: (life) => life.befell.length > 1 || seized(life),
  },
};

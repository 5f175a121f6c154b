import type { Skill } from '@hardy/core/words';

/** What a skill is called, and what is asked in it. */
export const SKILL_IN_WORDS: Readonly<Record<Skill, readonly [name: string, asks: string]>> = {
  corner: ['Say the corner', 'nearside, mirrored, driver\u2019s side of either steering, trailers'],
  root: ['Root and echo', 'which of several codes is where it began'],
  meter: ['Read the number', 'cold coils, slips of unit, an ohmmeter on the wrong sensor'],
  speeds: ['Name the pattern', 'four speeds over a drive'],
  picture: ['Sound or not', 'ring, tip, plug and loom by a drawing'],
  'look-alike': ['Which of two', 'parts that look alike, by measuring'],
  price: ['Price in the head', 'what a way costs, within a tenth'],
};
export const SKILLS = Object.keys(SKILL_IN_WORDS) as Skill[];

import type { Doubt } from '../vocabulary/docket.ts';
import type { Token } from '../text/tokens.ts';
import { all, deniedAt, has, isGone, nearestThing, type Heard } from './frames/clause.ts';
import { FLUID_LEVELS } from './words/complaints.ts';
import type { Unit } from './unit.ts';

const OF_A_WHEEL = new Set(['wheel', 'hub', 'bolts', 'tyre']);
const NOT_A_WHEEL = new Set([
  'pedal',
  'steering',
  'gearbox',
  'speedo',
  'other',
  'meter',
  'speed',
  'lamp',
  'brakes',
  'sensor',
  'battery',
]);

/**
 * Words of danger that became no fact: a loose or noisy wheel, a soft pedal, fluid or smoke. A doubtful one is asked,
 * none is lost.
 */
export const dangerDoubts = (
  units: readonly Unit[],
  heard: readonly Heard[],
  tokens: readonly Token[],
  text: string,
): Doubt[] => {
  const doubts: Doubt[] = [];
  const doubt = (unit: Unit, at: { from: number; to: number }, about: Doubt['about']) => {
    if (doubts.some((other) => other.about === about)) return;
    const words = text.slice(tokens[at.from]?.start ?? 0, tokens[at.to - 1]?.end ?? 0);
    const places = unit.group?.choice ? [] : (unit.group?.places ?? []);
    const wheelEnd =
      places.length === 1 && places[0]?.wheelEnds.length === 1 ? places[0].wheelEnds[0] : undefined;
    doubts.push({ about, words: words.slice(0, 400), ...(wheelEnd ? { wheelEnd } : {}) });
  };
  for (const unit of units) {
    const mine = heard.filter((fact) => fact.unit === unit);
    const about = (name: string) =>
      mine.some((fact) => fact.check?.check === name || (fact.is === 'noise' && name === 'bearing.noise'));
    const complained = (name: string) =>
      mine.some(({ symptom }) => (typeof symptom === 'string' ? symptom : symptom?.is) === name);
    for (const item of unit.items) {
      const near = nearestThing(unit, item)?.meaning.thing;
      const denied = (deniedAt(unit, item.from) || isGone(unit)) && !has(unit, 'doubt');
      switch (item.meaning.is) {
        case 'play':
        case 'rocking':
          if (!about('bearing.play') && !denied && !(near && ['pedal', 'steering', 'other'].includes(near)))
            doubt(unit, item, 'play');
          break;
        case 'moves':
          // "front left moves": a place alone is its wheel.
          if (!about('bearing.play') && !denied && (near ? OF_A_WHEEL.has(near) : unit.group !== null))
            doubt(unit, item, 'play');
          break;
        case 'look':
          if (item.meaning.loose && !about('bearing.play') && !denied && near && OF_A_WHEEL.has(near))
            doubt(unit, item, 'play');
          break;
        case 'noise':
          if (
            !about('bearing.noise') &&
            !complained('noise.wheel') &&
            !denied &&
            !(near && NOT_A_WHEEL.has(near))
          )
            doubt(unit, item, 'growl');
          break;
        case 'squeak':
          if (!about('bearing.noise') && !denied && (near ? OF_A_WHEEL.has(near) : unit.group !== null))
            doubt(unit, item, 'growl');
          break;
        case 'complaint':
          if (item.meaning.symptom === 'pedal.soft' && !complained('pedal.soft') && !denied)
            doubt(unit, item, 'pedal');
          if (item.meaning.symptom === 'wheel.hot' && !complained('wheel.hot') && !denied)
            doubt(unit, item, 'heat');
          break;
        default:
      }
    }
    // A pedal of which something is said and nothing was understood may be a soft one.
    const pedal = all(unit, 'thing').find((item) => item.meaning.thing === 'pedal');
    if (
      pedal &&
      mine.length === 0 &&
      !has(unit, 'not', 'sound', 'tight', 'want', 'deed') &&
      unit.to - unit.from > 1
    )
      doubt(unit, { from: unit.from, to: unit.to }, 'pedal');
    const level = about('brake.fluid')
      ? undefined
      : FLUID_LEVELS.all(tokens.slice(unit.from, unit.to)).find((hit) => hit.meaning !== 'full');
    const fluid = all(unit, 'thing').some((item) => item.meaning.thing === 'fluid');
    const leaks = level !== undefined && /^(leak|drip|weep)/.test(tokens[unit.from + level.from]?.norm ?? '');
    const other = all(unit, 'thing').some((item) => item.meaning.thing === 'other');
    // Fluid where a wheel is spoken of is never passed over.
    if (fluid && !about('brake.fluid') && !has(unit, 'not', 'complaint', 'deed', 'wanted'))
      doubt(unit, { from: unit.from, to: unit.to }, 'fluid');
    if (level && (fluid || (leaks && !other)) && !deniedAt(unit, unit.from + level.from))
      doubt(unit, { from: unit.from + level.from, to: unit.from + level.to }, 'fluid');
  }
  return doubts;
};

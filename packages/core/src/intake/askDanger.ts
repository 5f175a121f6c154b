import type { IntakeReading } from '../vocabulary/intakeReading.ts';
import type { Token } from '../text/tokens.ts';
import { all, deniedAt, has, isGone, nearestThing, type Heard } from './frames/clause.ts';
import { FLUID_LEVELS } from './words/complaints.ts';
import type { Unit } from './units.ts';

type Ask = NonNullable<IntakeReading['asks']>[number];

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
export const dangerAsks = (
  units: readonly Unit[],
  heard: readonly Heard[],
  tokens: readonly Token[],
  text: string,
): Ask[] => {
  const asks: Ask[] = [];
  const ask = (at: { from: number; to: number }, what: string) => {
    const words = text.slice(tokens[at.from]?.start ?? 0, tokens[at.to - 1]?.end ?? 0);
    if (!asks.some((other) => other.ask.endsWith(what)))
      asks.push({ about: 'danger', words, ask: `"${words}": ${what}` });
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
            ask(item, 'has a wheel play? Which one?');
          break;
        case 'moves':
          if (!about('bearing.play') && !denied && near && OF_A_WHEEL.has(near))
            ask(item, 'has a wheel play? Which one?');
          break;
        case 'look':
          if (item.meaning.loose && !about('bearing.play') && !denied && near && OF_A_WHEEL.has(near))
            ask(item, 'is a wheel loose? Which one?');
          break;
        case 'noise':
          if (
            !about('bearing.noise') &&
            !complained('noise.wheel') &&
            !denied &&
            !(near && NOT_A_WHEEL.has(near))
          )
            ask(item, 'does a wheel growl? Which one?');
          break;
        case 'complaint':
          if (item.meaning.symptom === 'pedal.soft' && !complained('pedal.soft') && !denied)
            ask(item, 'is the brake pedal soft?');
          if (item.meaning.symptom === 'wheel.hot' && !complained('wheel.hot') && !denied)
            ask(item, 'is a wheel hot or smoking? Which one?');
          break;
        default:
      }
    }
    const level = about('brake.fluid')
      ? undefined
      : FLUID_LEVELS.all(tokens.slice(unit.from, unit.to)).find((hit) => hit.meaning !== 'full');
    const fluid = all(unit, 'thing').some((item) => item.meaning.thing === 'fluid');
    const leaks = level !== undefined && /^(leak|drip|weep)/.test(tokens[unit.from + level.from]?.norm ?? '');
    const other = all(unit, 'thing').some((item) => item.meaning.thing === 'other');
    // Fluid where a wheel is spoken of is never passed over.
    if (fluid && unit.group && !about('brake.fluid') && !has(unit, 'not', 'complaint'))
      ask({ from: unit.from, to: unit.to }, 'is brake fluid low or leaking?');
    if (level && (fluid || (leaks && !other)) && !deniedAt(unit, unit.from + level.from))
      ask({ from: unit.from + level.from, to: unit.from + level.to }, 'is brake fluid low or leaking?');
  }
  return asks;
};

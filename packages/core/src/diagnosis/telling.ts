import type { Fault } from '../faultKinds/faultData.ts';
import { SHARED_STATES } from './endTable.ts';
import type { Answering, Finding } from './finding.ts';
import { abnormalChances, likelihoods, showsNothing } from './likelihood.ts';
import { singlesOf, statesBeside, type State } from './states.ts';

/** What one finding tells of every state of a wheel end; each number worked out when it is first asked for. */
export interface Telling {
  /** How far it can move any fault: the most it can tell. */
  readonly spread: number;
  /** Whether it shows anything of what all wheels share. */
  readonly varies: boolean;
  /** Its chance in every state, to a power, with one set of shared causes. */
  chances(shared: number, power: number): Float64Array;
  /** Chance that a check shows anything abnormal at all in every state, to a power; one where it says nothing. */
  abnormal(shared: number, power: number): Float64Array;
}

export const tellingOf = (finding: Finding, states: readonly State[], answering: Answering): Telling => {
  /** What all wheels share, but for what this finding does not show. */
  const shown = SHARED_STATES.map((also) =>
    also.every((fault) => showsNothing(finding, fault, answering)) ? [] : also,
  );
  const once = (chancesUnder: (lists: ReadonlyArray<readonly Fault[]>) => Float64Array) => {
    const made: Float64Array[] = [];
    const powered = new Map<number, Float64Array>();
    return (shared: number, power: number): Float64Array => {
      const also = shown[shared] as readonly Fault[];
      const at = also.length === 0 ? 0 : shared;
      const chances = (made[at] ??= chancesUnder(statesBeside(states, also)));
      if (power === 1) return chances;
      const key = SHARED_STATES.length * power + at;
      const known = powered.get(key) ?? chances.map((chance) => chance ** power);
      powered.set(key, known);
      return known;
    };
  };
  let spread: number | null = null;
  return {
    get spread() {
      if (spread !== null) return spread;
      // Nothing wrong, and one fault alone: pairs tell no more.
      let least = Infinity;
      let most = 0;
      for (const chance of likelihoods(finding, singlesOf(states), answering)) {
        if (chance < least) least = chance;
        if (chance > most) most = chance;
      }
      return (spread = Math.log(most) - Math.log(least));
    },
    varies: shown.some((also) => also.length > 0),
    chances: once((lists) => likelihoods(finding, lists, answering)),
    abnormal: once((lists) => abnormalChances(finding, lists, answering)),
  };
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { CountedEnd } from '../chance/countedProducts.ts';
import { dotFrom } from '../chance/rowSums.ts';
import { SHARED_STATES, type EndTable } from './endTable.ts';
import { keptByFault, type Complaint, type Finding } from './finding.ts';
import type { State } from './states.ts';
import type { Telling } from './telling.ts';
import { weighFindings, type Weighing } from './weighFindings.ts';

const multiply = (out: Float64Array, by: Float64Array): void => {
  for (let t = 0; t < out.length; t++) out[t] = (out[t] as number) * (by[t] as number);
};

/** A chance for every state. */
export const chancesIn = (states: readonly State[], chance: (state: State) => number): Float64Array => {
  const out = new Float64Array(states.length);
  for (let t = 0; t < out.length; t++) out[t] = chance(states[t] as State);
  return out;
};

/** A number for every state: [shared][here][state]. */
export type Weights = EndTable['weights'];

/** Priors and what the facts tell, together. */
export const weightsOf = (priors: Float64Array, told: Weights): Weights =>
  told.map((byHere) =>
    byHere.map((each) => {
      const out = Float64Array.from(priors);
      multiply(out, each);
      return out;
    }),
  );

/**
 * What the facts of a wheel end tell of every state, the priors left out.
 *
 * @param states how many there are
 * @param sets the findings of the wheel end; then the same with those adrift, as the corner complained of
 * @param tells what findings tell of these states
 */
export const toldBy = (
  states: number,
  sets: ReadonlyArray<readonly Finding[]>,
  a: Assumptions,
  tells: (findings: readonly Finding[]) => readonly Telling[],
): Weights => {
  const repeat = a.get('correlation.repeat');
  const mostHeard = a.get('correlation.most-heard');
  const byHere = sets.map((findings) => {
    const tellings = tells(findings);
    const powers = weighFindings(
      findings,
      tellings.map(({ spread }) => spread),
      repeat,
      mostHeard,
    );
    const tell = (out: Float64Array, i: number, shared: number) => {
      const { whole, abnormal } = powers[i] as Weighing;
      const telling = tellings[i] as Telling;
      multiply(out, telling.chances(shared, whole));
      if (abnormal !== 0) multiply(out, telling.abnormal(shared, abnormal));
    };
    // Most findings show nothing of what all wheels share: they are reckoned once, not once for each of it.
    const common = new Float64Array(states).fill(1);
    const varying: number[] = [];
    tellings.forEach(({ varies }, i) => {
      if (powers[i]?.whole === 0) return;
      if (varies) varying.push(i);
      else tell(common, i, 0);
    });
    return SHARED_STATES.map((_, shared) => {
      const out = Float64Array.from(common);
      for (const i of varying) tell(out, i, shared);
      return out;
    });
  });
  return SHARED_STATES.map((_, shared) => byHere.map((each) => each[shared] as Float64Array));
};

/** For every subset of the complaints the chance that none of them comes from here, in every state. */
export const silentBy = (quiet: readonly Float64Array[], states: readonly State[]): Float64Array[] => {
  const silent = [new Float64Array(states.length).fill(1)];
  // Each subset is a smaller one and one complaint more.
  for (const column of quiet)
    for (const smaller of [...silent]) {
      const out = Float64Array.from(smaller);
      multiply(out, column);
      silent.push(out);
    }
  return silent;
};

/** For every row what a wheel end weighs with nothing wrong, and with something wrong: the first state is nothing wrong. */
export const sumsOf = (weights: Weights, silent: readonly Float64Array[]): CountedEnd => {
  const summed = (here: 0 | 1): Float64Array => {
    const out = new Float64Array(2 * weights.length * silent.length);
    weights.forEach((byHere, shared) => {
      const x = byHere[here] as Float64Array;
      silent.forEach((y, subset) => {
        const at = 2 * (shared * silent.length + subset);
        out[at] = (x[0] as number) * (y[0] as number);
        out[at + 1] = dotFrom(x, y, 1);
      });
    });
    return out;
  };
  return { asAny: summed(0), asMarked: weights[0]?.[1] ? summed(1) : null };
};

/** Chance that a complaint does not come from here, in every state. */
export const silentIn = (complaint: Complaint, end: WheelEnd, states: readonly State[]): Float64Array => {
  const quietOf = keptByFault((fault: Fault) => 1 - complaint.brings(fault, end));
  return chancesIn(states, (state) => {
    let p = 1;
    for (const fault of state) p *= quietOf(fault);
    return p;
  });
};

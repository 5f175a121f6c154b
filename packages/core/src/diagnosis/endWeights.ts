import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { CountedEnd } from '../chance/countedProducts.ts';
import { SHARED_STATES, type EndTable } from './endTable.ts';
import type { Answering, Complaint, Finding } from './finding.ts';
import type { State } from './states.ts';
import { weighFindings, type Weighing } from './weighFindings.ts';

/** What a table is put together from; each piece is worked out once, however many tables hold it. */
export interface Pieces {
  /** Chance of one finding in every state, for one set of shared causes. */
  column(finding: Finding, states: readonly State[], answering: Answering, shared: number): Float64Array;
  /** A column to a power, worked out once. */
  damped(column: Float64Array, power: number): Float64Array;
  /** Chance that a check shows anything abnormal in every state; one where it says nothing. */
  abnormal(finding: Finding, states: readonly State[], answering: Answering, shared: number): Float64Array;
  /** Whether a finding shows anything of what all wheels share. */
  varies(finding: Finding, answering: Answering): boolean;
  /** How far a finding can move any fault: the most it can tell. */
  spread(finding: Finding, states: readonly State[], answering: Answering): number;
}

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
 * @param sets the findings of the wheel end; then the same with those adrift, as the corner complained of
 */
export const toldBy = (
  states: readonly State[],
  answering: Answering,
  sets: ReadonlyArray<readonly Finding[]>,
  a: Assumptions,
  pieces: Pieces,
): Weights => {
  const repeat = a.get('correlation.repeat');
  const mostHeard = a.get('correlation.most-heard');
  const powers = sets.map((findings) =>
    weighFindings(findings, (finding) => pieces.spread(finding, states, answering), repeat, mostHeard),
  );
  const byHere = sets.map((findings, here) => {
    const heard = findings.flatMap((finding, i) => {
      const weighing = powers[here]?.[i] as Weighing;
      return weighing.whole === 0 ? [] : [{ finding, ...weighing }];
    });
    const tell = (
      out: Float64Array,
      { finding, whole, abnormal }: (typeof heard)[number],
      shared: number,
    ) => {
      const column = pieces.column(finding, states, answering, shared);
      multiply(out, whole === 1 ? column : pieces.damped(column, whole));
      if (abnormal === 0) return;
      multiply(out, pieces.damped(pieces.abnormal(finding, states, answering, shared), abnormal));
    };
    // Most findings show nothing of what all wheels share: they are reckoned once, not once for each of it.
    const common = new Float64Array(states.length).fill(1);
    const varying = heard.filter((each) => {
      if (pieces.varies(each.finding, answering)) return true;
      tell(common, each, 0);
      return false;
    });
    return SHARED_STATES.map((_, shared) => {
      const out = Float64Array.from(common);
      for (const each of varying) tell(out, each, shared);
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
    let at = 0;
    for (const byHere of weights) {
      const x = byHere[here] as Float64Array;
      for (const y of silent) {
        let faulty = 0;
        for (let i = 1; i < x.length; i++) faulty += (x[i] as number) * (y[i] as number);
        out[at++] = (x[0] as number) * (y[0] as number);
        out[at++] = faulty;
      }
    }
    return out;
  };
  return { asAny: summed(0), asMarked: weights[0]?.[1] ? summed(1) : null };
};

/** Chance that a complaint does not come from here, in every state. */
export const silentIn = (complaint: Complaint, end: WheelEnd, states: readonly State[]): Float64Array => {
  const quiet = new Map<Fault, number>();
  const quietOf = (fault: Fault): number => {
    const known = quiet.get(fault);
    if (known !== undefined) return known;
    const chance = 1 - complaint.brings(fault, end);
    quiet.set(fault, chance);
    return chance;
  };
  return chancesIn(states, (state) => {
    let p = 1;
    for (const fault of state) p *= quietOf(fault);
    return p;
  });
};

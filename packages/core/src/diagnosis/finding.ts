import type { Cause } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Architecture } from './architecture.ts';

/**
 * A fact that speaks of one wheel end, as the reasoning uses it.
 *
 * - `present`: something that is there (a code, a named corner); `seen` is its chance under one cause.
 * - `check`: a check with several results; `seen` is the chance of the result found, `normal` of the sound result.
 * - `factor`: what was done lately; `seen` multiplies the odds of a cause.
 */
export interface Finding {
  /** Path of the fact in the docket it comes from. */
  readonly path: string;
  readonly label: string;
  /** Null: the fact speaks of the corner complained of, wherever that is. */
  readonly wheelEnd: WheelEnd | null;
  /** Findings that share a mechanism at a wheel end do not count twice. */
  readonly mechanism: string;
  readonly kind: 'present' | 'check' | 'factor';
  /** Under one cause, or under none (null). */
  readonly seen: (cause: Cause | null, architecture: Architecture) => number;
  readonly normal?: (cause: Cause | null, architecture: Architecture) => number;
  readonly isNormal?: boolean;
}

/** A complaint of the whole vehicle: any faulty wheel end, or a shared cause, may bring it about. */
export interface Complaint {
  readonly paths: readonly string[];
  readonly label: string;
  readonly leak: number;
  /** Chance that this cause at this wheel end brings it about. `wheelEnd` is null for shared causes. */
  readonly brings: (cause: Cause, wheelEnd: WheelEnd | null) => number;
}

/** A fact that speaks of the shared causes only: the chance of it with and without each. */
export interface SharedFinding {
  readonly path: string;
  readonly label: string;
  readonly seen: (shared: ReadonlySet<Cause>) => number;
}

export interface Evidence {
  readonly findings: readonly Finding[];
  readonly complaints: readonly Complaint[];
  readonly shared: readonly SharedFinding[];
}

/**
 * The same chance, looked up once for each cause and way of building: a finding is asked for it in every state, for
 * every fact that is left out to see what it did.
 */
export const onceEach = (chance: Finding['seen']): Finding['seen'] => {
  const known = new Map<Architecture, Map<Cause | null, number>>();
  return (cause, architecture) => {
    let here = known.get(architecture);
    if (!here) known.set(architecture, (here = new Map<Cause | null, number>()));
    const hit = here.get(cause);
    if (hit !== undefined) return hit;
    const value = chance(cause, architecture);
    here.set(cause, value);
    return value;
  };
};

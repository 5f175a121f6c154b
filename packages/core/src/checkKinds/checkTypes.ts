import { CHECK_KINDS } from './checkKinds.ts';
import type { CheckField } from './checkKind.ts';

type Kind = (typeof CHECK_KINDS)[number];
export type CheckName = Kind['name'];
export type KindOf<N extends CheckName> = Extract<Kind, { name: N }>;
/** Results one can pick for a check. */
export type ResultOf<N extends CheckName> = keyof KindOf<N>['results'] & string;
/** Kinds whose meaning is worked out. */
export type ComputedCheck = Extract<Kind, { computed: true }>['name'];

type Value<F extends CheckField, R extends string> = F extends { is: 'result' }
  ? R
  : F extends { is: 'number-or-result' }
    ? number | R
    : F extends { is: 'number' | 'count' }
      ? number
      : F extends { is: 'choice'; of: readonly (infer V)[] }
        ? V
        : F extends { is: 'yes-no' }
          ? boolean
          : F extends { is: 'wheel' }
            ? string
            : F extends { is: 'sizes' }
              ? Record<string, string>
              : never;
type Required<F> = { [K in keyof F as F[K] extends { optional: true } ? never : K]: F[K] };
type Optional<F> = { [K in keyof F as F[K] extends { optional: true } ? K : never]: F[K] };
type Flat<T> = { [K in keyof T]: T[K] };
type OfKind<K extends Kind> = K extends Kind
  ? Flat<
      { check: K['name']; wheelEnd?: string | null | undefined; confirmed?: boolean | null | undefined } & {
        -readonly [N in keyof Required<K['fields']>]: K['fields'][N &
          keyof K['fields']] extends infer F extends CheckField
          ? Value<F, keyof K['results'] & string>
          : never;
      } & {
        -readonly [N in keyof Optional<K['fields']>]?:
          | (K['fields'][N & keyof K['fields']] extends infer F extends CheckField
              ? Value<F, keyof K['results'] & string>
              : never)
          | null
          | undefined;
      }
    >
  : never;

/** One check made on the vehicle or on the counter, with its result, as the kinds say. Units as in their fields. */
export type Check = OfKind<Kind>;

const BY_NAME: ReadonlyMap<string, Kind> = new Map(CHECK_KINDS.map((kind) => [kind.name, kind]));
/** Names of all kinds, in the order of the work. */
export const CHECK_NAMES: readonly CheckName[] = CHECK_KINDS.map(({ name }) => name);

/** The kind of a check by its name. */
export const kindOf = <N extends CheckName>(name: N): KindOf<N> => BY_NAME.get(name) as KindOf<N>;

import type { CataloguePart } from '@hardy/core/plain';

/** A part with what is around it, as the server tells it. */
export interface PartAnswer {
  readonly part: CataloguePart;
  readonly chain: readonly string[];
  readonly group: readonly CataloguePart[];
  readonly contents: readonly CataloguePart[];
  readonly fits: ReadonlyArray<{
    readonly vehicle: string;
    readonly wheelEnds: string;
    readonly builtFrom: string | null;
    readonly builtTo: string | null;
    readonly conditions: Readonly<Record<string, string>>;
  }>;
}

export interface MatchAnswer {
  readonly ranked: ReadonlyArray<{
    readonly part: CataloguePart;
    readonly sameAs: readonly string[];
    readonly probability: number;
  }>;
  readonly next: {
    readonly figure: { readonly key: string; readonly words: string; readonly how: string };
    readonly between: ReadonlyArray<{ readonly number: string; readonly value: number | string }>;
  } | null;
  readonly cannotTell: readonly string[];
  readonly said: string;
}

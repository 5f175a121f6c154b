declare module 'damerau-levenshtein' {
  /** Edit distance with swapped neighbours as one step. */
  export default function distance(
    a: string,
    b: string,
    limit?: number,
  ): { steps: number; relative: number; similarity: number };
}

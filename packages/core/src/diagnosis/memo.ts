/** Where made things are kept: a map, or one that lets go of what nobody else holds. */
interface Kept<K, T> {
  get(key: K): T | undefined;
  set(key: K, value: T): unknown;
}

/** What is kept under a key, made when it is first asked for. */
export const memo = <K, T>(kept: Kept<K, T>, key: K, make: () => T): T => {
  const known = kept.get(key);
  if (known !== undefined) return known;
  const value = make();
  kept.set(key, value);
  return value;
};

/** Gives every thing a number of its own, always the same: short keys for what follows from it. */
export const numberedThings = (): ((thing: object) => number) => {
  const numbers = new Map<object, number>();
  return (thing) => memo(numbers, thing, () => numbers.size);
};

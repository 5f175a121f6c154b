/** What is kept under a key, made when it is first asked for. */
export const memo = <K, T>(kept: Map<K, T>, key: K, make: () => T): T => {
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

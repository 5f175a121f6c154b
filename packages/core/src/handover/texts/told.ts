/** The same texts in another language: nothing may be missing. */
export type Told<T> = T extends string
  ? string
  : T extends readonly string[]
    ? readonly string[]
    : { readonly [K in keyof T]: Told<T[K]> };

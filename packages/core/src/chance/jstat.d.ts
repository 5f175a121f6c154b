declare module 'jstat' {
  interface Inverse {
    inv(p: number, first: number, second: number): number;
  }
  const jStat: { readonly beta: Inverse; readonly gamma: Inverse };
  export default jStat;
}

/**
 * Polynomials in the number of faulty wheel ends, by their coefficients, for many rows at once: a row is one case that is
 * reckoned apart (what all wheels share, which complaints come from elsewhere). Flat: coefficient `i` of a row stands at
 * `row x (degree + 1) + i`. Beside it the same with one of its wheel ends marked as the corner complained of, where a corner
 * is looked for.
 */
export interface Counted {
  readonly degree: number;
  readonly plain: Float64Array;
  readonly marked: Float64Array | null;
}

/** A wheel end as such polynomials `sound + faulty z`, two numbers a row: as any other, and as the one that is marked. */
export interface CountedEnd {
  readonly asAny: Float64Array;
  readonly asMarked: Float64Array | null;
}

/** Polynomials of nought. */
export const countedNought = (rows: number, degree: number, marks: boolean): Counted => {
  const numbers = () => new Float64Array(rows * (degree + 1));
  return { degree, plain: numbers(), marked: marks ? numbers() : null };
};

/** The product of wheel ends, row by row; of none the polynomial one. */
export const productOf = (ends: readonly CountedEnd[], rows: number, marks: boolean): Counted => {
  const out = countedNought(rows, ends.length, marks);
  const { plain, marked } = out;
  const width = ends.length + 1;
  for (let row = 0; row < rows; row++) plain[row * width] = 1;
  for (let e = 0; e < ends.length; e++) {
    const { asAny, asMarked } = ends[e] as CountedEnd;
    for (let row = 0; row < rows; row++) {
      const sound = asAny[2 * row] as number;
      const faulty = asAny[2 * row + 1] as number;
      for (let i = e + 1, at = row * width + i; i >= 0; i--, at--) {
        const own = plain[at] as number;
        const below = i > 0 ? (plain[at - 1] as number) : 0;
        if (marked && asMarked)
          marked[at] =
            (marked[at] as number) * sound +
            (i > 0 ? (marked[at - 1] as number) * faulty : 0) +
            own * (asMarked[2 * row] as number) +
            below * (asMarked[2 * row + 1] as number);
        plain[at] = own * sound + below * faulty;
      }
    }
  }
  return out;
};

const addTo = (into: Float64Array, of: Float64Array, times: number): void => {
  for (let i = 0; i < into.length; i++) into[i] = (into[i] as number) + times * (of[i] as number);
};

/** Adds `times` x one set of polynomials to another of the same degree. */
export const addCounted = (into: Counted, of: Counted, times: number): void => {
  addTo(into.plain, of.plain, times);
  if (into.marked && of.marked) addTo(into.marked, of.marked, times);
};

/** Of one row: sum of `values[from + i] x by[i]`. */
const along = (
  values: Float64Array,
  valuesAt: number,
  by: Float64Array,
  byAt: number,
  count: number,
): number => {
  let sum = 0;
  for (let i = 0; i < count; i++) sum += (values[valuesAt + i] as number) * (by[byAt + i] as number);
  return sum;
};

/**
 * For each of several groups of wheel ends: what all the others come to, if `j` of its own are faulty, for every such `j`.
 * With P the product of the others' polynomials, `plain[j]` is the sum over i of P[i] x weights[i + j]; `marked[j]` the same
 * with the mark among the others.
 *
 * Products before a group are kept as polynomials, those after it as what they make of the weights: so all groups cost
 * what one walk forth and one walk back do.
 *
 * @param weights one for every number of faulty wheel ends, none included
 */
export const weighedOthers = (
  groups: readonly Counted[],
  weights: readonly number[],
  rows: number,
): Counted[] => {
  if (groups.length === 0) return [];
  const marks = groups.some(({ marked }) => marked !== null);
  const length = weights.length;
  const out = groups.map(({ degree }) => countedNought(rows, degree, marks));
  /** What the groups after each make of the weights, one group after another. */
  const after = new Float64Array(groups.length * length);
  const afterMarked = new Float64Array(marks ? groups.length * length : 0);
  after.set(weights, (groups.length - 1) * length);
  const before = new Float64Array(length);
  const beforeMarked = new Float64Array(length);
  for (let row = 0; row < rows; row++) {
    for (let g = groups.length - 1; g > 0; g--) {
      const { degree, plain, marked } = groups[g] as Counted;
      const at = row * (degree + 1);
      const own = g * length;
      const into = own - length;
      for (let m = 0; m < length; m++) {
        const count = Math.min(degree + 1, length - m);
        after[into + m] = along(after, own + m, plain, at, count);
        if (marks)
          afterMarked[into + m] =
            along(afterMarked, own + m, plain, at, count) +
            (marked ? along(after, own + m, marked, at, count) : 0);
      }
    }
    before.fill(0);
    beforeMarked.fill(0);
    before[0] = 1;
    let reach = 0;
    for (let g = 0; g < groups.length; g++) {
      const { degree, plain, marked } = groups[g] as Counted;
      const here = out[g] as Counted;
      const at = row * (degree + 1);
      const own = g * length;
      for (let j = 0; j <= degree; j++) {
        const count = Math.min(reach + 1, length - j);
        here.plain[at + j] = along(after, own + j, before, 0, count);
        if (here.marked)
          here.marked[at + j] =
            along(afterMarked, own + j, before, 0, count) + along(after, own + j, beforeMarked, 0, count);
      }
      reach = Math.min(length - 1, reach + degree);
      // From the top: what is below is still that of before.
      for (let m = reach; m >= 0; m--) {
        let sum = 0;
        let sumMarked = 0;
        for (let j = 0; j <= degree && j <= m; j++) {
          const p = plain[at + j] as number;
          const b = before[m - j] as number;
          sum += b * p;
          if (marks)
            sumMarked += (beforeMarked[m - j] as number) * p + (marked ? b * (marked[at + j] as number) : 0);
        }
        before[m] = sum;
        beforeMarked[m] = sumMarked;
      }
    }
  }
  return out;
};

/** Of every row the whole sum: a group and what all others come to, with at most one mark among them. */
export const wholeSums = (others: Counted, group: Counted, rows: number): Float64Array => {
  const width = group.degree + 1;
  const sums = new Float64Array(rows);
  for (let row = 0; row < rows; row++) {
    const at = row * width;
    sums[row] = !group.marked
      ? along(others.plain, at, group.plain, at, width)
      : (others.marked ? along(others.marked, at, group.plain, at, width) : 0) +
        along(others.plain, at, group.marked, at, width);
  }
  return sums;
};

/**
 * What all other wheel ends come to for one of a group, two numbers a row: if it is sound, and if it is faulty.
 *
 * @param others what all other groups come to for its group
 * @param besides the product of the other wheel ends of its group, of a degree one below
 */
export const leftForOne = (
  others: Counted,
  besides: Counted,
  rows: number,
): { readonly unmarked: Float64Array; readonly marked: Float64Array | null } => {
  const width = others.degree + 1;
  const own = besides.degree + 1;
  const unmarked = new Float64Array(2 * rows);
  const marked = others.marked ? new Float64Array(2 * rows) : null;
  for (let row = 0; row < rows; row++)
    for (let faulty = 0; faulty < 2; faulty++) {
      const at = row * width + faulty;
      const by = row * own;
      const into = 2 * row + faulty;
      unmarked[into] = along(others.plain, at, besides.plain, by, own);
      if (marked && others.marked)
        marked[into] =
          along(others.marked, at, besides.plain, by, own) +
          (besides.marked ? along(others.plain, at, besides.marked, by, own) : 0);
    }
  return { unmarked, marked };
};

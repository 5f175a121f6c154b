const [WIDTH, HEIGHT, MARGIN] = [96, 16, 4];
/** A range that spans more than this many times its default is drawn by powers: else everyday values lie in a corner. */
const WIDE = 20;

interface Props {
  min: number;
  max: number;
  /** What it is by default, and now. */
  standard: number;
  now: number;
}

/** Where a value lies in its range, 0 to 1. */
const placeOf = (value: number, { min, max, standard }: Props): number => {
  const [far, near] = [max - min, Math.abs(standard - min)];
  if (far <= 0) return 0;
  const share = Math.min(1, Math.max(0, (value - min) / far));
  // So bent that the default lies in the middle.
  return near > 0 && far / near > WIDE ? share ** (Math.log(0.5) / Math.log(near / far)) : share;
};

/** A number in its range: a thin mark where it stands by default, a diamond where the shop put it. */
export function RangePicture(props: Props) {
  const at = (value: number) => MARGIN + placeOf(value, props) * (WIDTH - 2 * MARGIN);
  const [middle, now, standard] = [HEIGHT / 2, at(props.now), at(props.standard)];
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true" className="range-picture">
      <path d={`M${MARGIN} ${middle}H${WIDTH - MARGIN}`} className="range-whole" />
      <path d={`M${standard} ${middle}H${now}`} className="range-moved" />
      <path d={`M${standard} 3V${HEIGHT - 3}`} className="range-standard" />
      <path d={`M${now} ${middle - 4}l4 4-4 4-4-4z`} className="range-now" />
    </svg>
  );
}

interface Props {
  /** Places of events on the turn, 0 to 1, the bad place at 0. */
  places: readonly number[];
  /** Whether one place was found. */
  found: boolean;
}

const SIZE = 190;
const C = SIZE / 2;
const RING = 62;
const TEETH = 48;
const BINS = 48;

const at = (part: number, radius: number): [number, number] => {
  const angle = part * 2 * Math.PI - Math.PI / 2;
  return [C + radius * Math.cos(angle), C + radius * Math.sin(angle)];
};

/** The wheel's turn as a ring of teeth: how often each place was disturbed, outward. */
export function TurnPicture({ places, found }: Props) {
  const bins = new Array<number>(BINS).fill(0);
  for (const place of places) {
    const bin = Math.round(place * BINS) % BINS;
    bins[bin] = (bins[bin] ?? 0) + 1;
  }
  const most = Math.max(1, ...bins);
  const share = places.filter((p) => p < 0.1 || p > 0.9).length;
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="turn"
      role="img"
      aria-label={
        found
          ? `${share} of ${places.length} events lie within a tenth of a turn of one place, drawn at the top`
          : `${places.length} events, spread over the turn: no one place`
      }
    >
      {Array.from({ length: TEETH }, (_, i) => {
        const [x1, y1] = at(i / TEETH, RING - 12);
        const [x2, y2] = at(i / TEETH, RING - 3);
        return <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} className="turn-tooth" />;
      })}
      <circle cx={C} cy={C} r={RING - 12} className="turn-line" />
      {bins.map((count, i) => {
        if (count === 0) return null;
        const [x1, y1] = at(i / BINS, RING + 2);
        const [x2, y2] = at(i / BINS, RING + 2 + (28 * count) / most);
        const near = i < BINS * 0.08 || i > BINS * 0.92;
        return (
          <line
            key={i}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            className={near && found ? 'turn-bad' : 'turn-event'}
          />
        );
      })}
      <text x={C} y={C - 4} className="turn-word">
        {found ? 'one place' : 'no one place'}
      </text>
      <text x={C} y={C + 12} className="turn-word">
        {places.length} events
      </text>
    </svg>
  );
}

/** A lamp as one sees it from the seat: filled with rays when lit, an empty ring when out. The word stands beside it. */
export function LampGlyph({ lit }: { lit: boolean }) {
  return (
    <svg width="28" height="28" viewBox="-14 -14 28 28" aria-hidden="true" className="lamp-glyph">
      <circle
        r="6"
        fill={lit ? 'var(--signal)' : 'none'}
        stroke={lit ? 'var(--signal)' : 'var(--soft)'}
        strokeWidth="1.5"
      />
      {lit &&
        Array.from({ length: 8 }, (_, i) => (
          <line
            key={i}
            x1="0"
            y1="-9"
            x2="0"
            y2="-12.5"
            stroke="var(--signal)"
            strokeWidth="1.8"
            transform={`rotate(${45 * i})`}
          />
        ))}
    </svg>
  );
}

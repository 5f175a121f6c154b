import type { Advice, WheelEnd } from '@hardy/core/words';
import type { KeyboardEvent } from 'react';
import { inHundred } from '../format.ts';

interface Props {
  advice: Advice;
  /** The phrase that put the mark there, if it was words. */
  phrase: string | null;
  onPick: (wheelEnd: WheelEnd) => void;
  /** Whether it is said how likely the fault is there. */
  tellsOdds?: boolean;
}

const WIDTH = 470;
const TOP = 44;
const WHEEL = { width: 26, height: 44 } as const;
const TRACK = 128;
const CENTRE_X = WIDTH / 2;

const xOf = (wheelEnd: WheelEnd): number =>
  CENTRE_X + (wheelEnd.endsWith('L') ? -TRACK / 2 : wheelEnd.endsWith('R') ? TRACK / 2 : 0);

const walk = (event: KeyboardEvent<SVGGElement>): void => {
  const move = { ArrowUp: -2, ArrowDown: 2, ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (!move) return;
  event.preventDefault();
  const ends = [
    ...(event.currentTarget.ownerSVGElement?.querySelectorAll<SVGGElement>('[data-wheel-end]') ?? []),
  ];
  ends[Math.min(ends.length - 1, Math.max(0, ends.indexOf(event.currentTarget) + move))]?.focus();
};

/**
 * The vehicle from above, nose up, drawn from its own axles. A wheel end shows its state by shape and word: the
 * corner in question has a thick ring and a flag, the others a thin outline.
 */
export function ChassisPlan({ advice, phrase, onPick, tellsOdds = true }: Props) {
  const { vehicle, corners, wheelEnd: corner } = advice;
  const axles = vehicle.axles;
  const gap = axles <= 2 ? 128 : Math.max(54, 170 / (axles - 1));
  const yOf = (end: WheelEnd): number => TOP + 34 + (Number(end[1]) - 1) * gap;
  const height = TOP + 34 + (axles - 1) * gap + 48;
  const trailer = vehicle.driveline === 'trailer';
  const wheelX = vehicle.steeringSide === 'right' ? CENTRE_X + 26 : CENTRE_X - 26;
  return (
    <svg
      className="chassis"
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="group"
      aria-label={`${axles} axles from above, nose up. Left is left as seated facing forward.`}
    >
      <text x={46} y={16} className="plan-side">
        LEFT
      </text>
      <text x={WIDTH - 46} y={16} className="plan-side">
        RIGHT
      </text>
      <text x={CENTRE_X} y={16} className="plan-front">
        {trailer ? 'front, drawbar' : 'front'}
      </text>
      <g className="plan-body" aria-hidden="true">
        {trailer ? (
          <path
            d={`M${CENTRE_X} 22 L${CENTRE_X - 22} 50 M${CENTRE_X} 22 L${CENTRE_X + 22} 50 M${CENTRE_X - 48} 50 H${CENTRE_X + 48} V${height - 14} H${CENTRE_X - 48} Z`}
          />
        ) : (
          <>
            <path
              d={`M${CENTRE_X - 34} 30 Q${CENTRE_X} 20 ${CENTRE_X + 34} 30 Q${CENTRE_X + 48} 40 ${CENTRE_X + 48} 60 V${height - 26} Q${CENTRE_X + 48} ${height - 10} ${CENTRE_X + 34} ${height - 10} H${CENTRE_X - 34} Q${CENTRE_X - 48} ${height - 10} ${CENTRE_X - 48} ${height - 26} V60 Q${CENTRE_X - 48} 40 ${CENTRE_X - 34} 30 Z`}
            />
            <path d={`M${CENTRE_X - 42} 96 Q${CENTRE_X} 84 ${CENTRE_X + 42} 96`} />
          </>
        )}
        {Array.from({ length: axles }, (_, i) => (
          <path
            key={i}
            d={`M${CENTRE_X - TRACK / 2} ${yOf(`A${i + 1}L`)} H${CENTRE_X + TRACK / 2}`}
            className="plan-axle"
          />
        ))}
      </g>
      {!trailer && vehicle.steeringSide && (
        <g className="plan-wheel" role="img" aria-label={`steering wheel on the ${vehicle.steeringSide}`}>
          <circle cx={wheelX} cy={116} r={11} />
          <circle cx={wheelX} cy={116} r={3} />
          <path d={`M${wheelX - 11} 116 H${wheelX + 11} M${wheelX} 119 V127`} />
          <text x={wheelX} y={141} className="plan-small">
            driver
          </text>
        </g>
      )}
      {corners.map(({ wheelEnd, probability, words }) => {
        const x = xOf(wheelEnd);
        const y = yOf(wheelEnd);
        const here = wheelEnd === corner;
        const suspect = !here && probability >= 0.3;
        const left = wheelEnd.endsWith('L');
        const centre = wheelEnd.endsWith('C');
        const textX = centre ? x : left ? x - 34 : x + 34;
        return (
          <g
            key={wheelEnd}
            data-wheel-end={wheelEnd}
            className={`plan-end ${here ? 'plan-end-here' : suspect ? 'plan-end-suspect' : ''}`}
            role="button"
            tabIndex={0}
            aria-pressed={here}
            aria-label={`${words}${tellsOdds ? `, fault in ${inHundred(probability)}` : ''}${here ? ', the corner in question' : ''}. Pick as the corner.`}
            onClick={() => onPick(wheelEnd)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onPick(wheelEnd);
              } else walk(event);
            }}
          >
            {here && (
              <rect
                className="plan-ring"
                x={x - WHEEL.width / 2 - 6}
                y={y - WHEEL.height / 2 - 6}
                width={WHEEL.width + 12}
                height={WHEEL.height + 12}
                rx={9}
              />
            )}
            {centre ? (
              <circle className="plan-tyre" cx={x} cy={y} r={15} />
            ) : (
              <rect
                className="plan-tyre"
                x={x - WHEEL.width / 2}
                y={y - WHEEL.height / 2}
                width={WHEEL.width}
                height={WHEEL.height}
                rx={5}
              />
            )}
            <text x={x} y={y + 4} className="plan-code">
              {wheelEnd}
            </text>
            <g style={{ textAnchor: centre ? 'middle' : left ? 'end' : 'start' }}>
              <text x={textX} y={centre ? y + 32 : y - 4} className="plan-name">
                {words}
              </text>
              <text x={textX} y={centre ? y + 47 : y + 13} className="plan-odds">
                {here ? '\u25C6 ' : suspect ? '\u25C7 ' : ''}
                {tellsOdds ? inHundred(probability) : ''}
              </text>
              {here && phrase && (
                <text x={textX} y={centre ? y + 62 : y + 29} className="plan-phrase">
                  {`\u201C${phrase.length > 22 ? `${phrase.slice(0, 21)}\u2026` : phrase}\u201D`}
                </text>
              )}
            </g>
          </g>
        );
      })}
    </svg>
  );
}

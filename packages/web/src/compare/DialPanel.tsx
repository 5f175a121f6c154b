import type { Dial, Sensitivity } from '@hardy/core/words';
import type { Turned } from '@hardy/core/advising';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { dialValue } from './dialValue.ts';

interface Props {
  sensitivities: readonly Sensitivity[];
  turned: Turned;
  currency: string;
  onTurn: (turned: Turned) => void;
  onKeep: () => void;
}

const SHOWN: readonly Dial[] = ['seizure', 'hub-price', 'labour-rate', 'idle-day', 'horizon'];
const stepOf = (unit: string): number => (unit === 'probability' ? 0.01 : unit === 'years' ? 0.5 : 1);

/** Drag one and see where the answer flips. The marks stand where another way becomes the cheapest. */
export function DialPanel({ sensitivities, turned, currency, onTurn, onKeep }: Props) {
  const moved = Object.keys(turned).length > 0;
  return (
    <section aria-label="What if">
      <div className="row-head">
        <h2 className="kicker">What if</h2>
        {moved && (
          <span>
            <Button variant="text" onClick={() => onTurn({})}>
              as it was
            </Button>
            <Button variant="text" onClick={onKeep}>
              keep on the docket
            </Button>
          </span>
        )}
      </div>
      {sensitivities.length === 0 && <p className="soft">Working out where the answer flips{'\u2026'}</p>}
      <ul className="dials">
        {sensitivities
          .filter(({ dial, high, low }) => SHOWN.includes(dial) && high > low)
          .map((s) => {
            const value = turned[s.dial] ?? s.at;
            const words = (x: number) => dialValue(x, s.unit, currency);
            return (
              <li key={s.dial}>
                <div className="row-head">
                  <span id={`dial-${s.dial}`}>{s.label}</span>
                  <strong>{words(value)}</strong>
                </div>
                <Slider
                  size="small"
                  min={s.low}
                  max={s.high}
                  step={stepOf(s.unit)}
                  value={Math.min(s.high, Math.max(s.low, value))}
                  marks={s.flips.map((flip) => ({ value: flip.at }))}
                  aria-labelledby={`dial-${s.dial}`}
                  getAriaValueText={words}
                  onChange={(_, next) => onTurn({ ...turned, [s.dial]: next })}
                />
                <p className="soft small">
                  {s.flips.length === 0
                    ? 'no flip on the whole of it'
                    : s.flips.map((flip) => `from ${words(flip.at)}: ${flip.to}`).join('; ')}
                </p>
              </li>
            );
          })}
      </ul>
    </section>
  );
}

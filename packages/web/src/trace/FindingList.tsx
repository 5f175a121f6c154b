import { CAUSE_SHORT, wheelEndInWords, type TraceFinding, type TraceReading } from '@hardy/core/words';
import ButtonBase from '@mui/material/ButtonBase';

interface Props {
  reading: TraceReading;
  axles: number;
  selected: number;
  onSelect: (index: number) => void;
}

const PATTERN_WORDS: Readonly<Record<TraceFinding['pattern'], string>> = {
  normal: 'runs with the others',
  'no-signal': 'no signal',
  'drops-out': 'drops out',
  'once-per-turn': 'once every turn',
  'reads-high': 'reads high',
  'reads-low': 'reads low',
  'weak-at-low-speed': 'weak when slow',
  noisy: 'noisy',
};

export const patternInWords = (pattern: TraceFinding['pattern']): string => PATTERN_WORDS[pattern];

/** What each wheel shows: a mark and a word, how sure, and for the chosen one what it means and what to look at. */
export function FindingList({ reading, axles, selected, onSelect }: Props) {
  return (
    <ul className="findings">
      {reading.findings.map((finding, i) => {
        const chosen = i === selected;
        const off = finding.pattern !== 'normal';
        return (
          <li key={finding.wheelEnd} className={chosen ? 'finding chosen' : 'finding'}>
            <ButtonBase aria-pressed={chosen} onClick={() => onSelect(i)}>
              <span className={off ? 'finding-mark off' : 'finding-mark'} aria-hidden="true">
                {off ? '!' : '\u2713'}
              </span>
              <span className="finding-where">{wheelEndInWords(finding.wheelEnd, axles)}</span>
              <span className={off ? 'finding-what look-here' : 'finding-what'}>
                {PATTERN_WORDS[finding.pattern]}
              </span>
              <span className="soft nowrap">
                {Math.min(99, Math.round(finding.confidence * 100))} in 100 sure
              </span>
            </ButtonBase>
            {chosen && (
              <div className="finding-more">
                <p>{finding.sentence}</p>
                {finding.explains.length > 0 && (
                  <ul>
                    {finding.explains.slice(0, 4).map(({ cause, because }) => (
                      <li key={because}>
                        <strong>{CAUSE_SHORT[cause]}</strong>: {because}
                      </li>
                    ))}
                  </ul>
                )}
                <p className="finding-next">
                  <strong>Next:</strong> {finding.next}
                </p>
                {finding.ratio !== null && (
                  <p className="soft">
                    ratio {finding.ratio.toFixed(4)}
                    {finding.circumferenceM !== null && `, ${finding.circumferenceM.toFixed(2)} m a turn`}
                    {finding.lostBelowKmh !== null && `, lost below ${finding.lostBelowKmh} km/h`}
                  </p>
                )}
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}

import type { Advice } from '@hardy/core/words';

const ACTION_IN_WORDS = { sell: 'Sell', check: 'Check first', 'no-part': 'No part' } as const;
const MARK = { sell: '\u25B6', check: '?', 'no-part': '\u00D7' } as const;

/** The one sentence to say aloud, and why. */
export function VerdictBand({ advice }: { advice: Advice }) {
  const { verdict, cautions } = advice;
  const stop = cautions.includes('stop-driving');
  return (
    <section className={`verdict ${stop ? 'verdict-stop' : ''}`} aria-label="Verdict" aria-live="polite">
      <div className="verdict-action">
        <span aria-hidden="true">{stop ? '!' : MARK[verdict.action]}</span>
        {stop ? 'Stop' : ACTION_IN_WORDS[verdict.action]}
      </div>
      <div>
        <p className="verdict-sentence" data-testid="verdict">
          {verdict.sentence}
        </p>
        <p className="verdict-why">{verdict.because.filter(Boolean).join(' \u00B7 ')}</p>
        {verdict.also.map((line) => (
          <p key={line} className="verdict-also">
            {line}
          </p>
        ))}
      </div>
    </section>
  );
}

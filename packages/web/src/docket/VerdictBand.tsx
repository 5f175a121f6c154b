import type { Advice, Docket } from '@hardy/core/words';

const ACTION_IN_WORDS = { sell: 'Sell', check: 'Check first', 'no-part': 'No part' } as const;
const MARK = { sell: '\u25B6', check: '?', 'no-part': '\u00D7' } as const;

/** What is to be done once an offer was taken; null before. */
const nextOf = (docket: Docket): string | null => {
  if (docket.outcome) return 'Closed. Opened again, it goes on from here.';
  if (!docket.chosen) return null;
  return 'Ordered. Next: give the hand-over sheet along, then close the docket with what came of it.';
};

/** The one sentence to say aloud, and why; after an offer was taken, what comes next. */
export function VerdictBand({ advice, docket }: { advice: Advice; docket: Docket }) {
  const { verdict, cautions } = advice;
  const next = nextOf(docket);
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
        {next && (
          <p className="verdict-next" data-testid="next">
            {next}
          </p>
        )}
        {verdict.also.map((line) => (
          <p key={line} className="verdict-also">
            {line}
          </p>
        ))}
      </div>
    </section>
  );
}

import type { OrderView } from '@hardy/core/contract';
import type { Advice, Docket } from '@hardy/core/words';
import { CLOSED, NEXT_TITLE, nextInWords, NOT_LOOKED_UP } from './orderWords.ts';

const ACTION_IN_WORDS = { sell: 'Sell', check: 'Check first', 'no-part': 'No part' } as const;
const MARK = { sell: '\u25B6', check: '?', 'no-part': '\u00D7' } as const;

/** The one sentence to say aloud, and why; after an offer was taken, what comes next. */
export function VerdictBand({
  advice,
  docket,
  order,
}: {
  advice: Advice;
  docket: Docket;
  order: OrderView | null;
}) {
  const { verdict, cautions } = advice;
  // Taken: what comes next is with the order, not with what one would check.
  const next = docket.outcome
    ? CLOSED
    : docket.chosen
      ? order
        ? nextInWords(order, docket)
        : NOT_LOOKED_UP
      : null;
  const step = docket.outcome ? NEXT_TITLE.closed : order ? NEXT_TITLE[order.next] : 'Taken';
  const stop = cautions.includes('stop-driving');
  return (
    <section className={`verdict ${stop ? 'verdict-stop' : ''}`} aria-label="Verdict" aria-live="polite">
      <div className="verdict-action">
        <span aria-hidden="true">{stop ? '!' : next ? '\u25B6' : MARK[verdict.action]}</span>
        {stop ? 'Stop' : next ? step : ACTION_IN_WORDS[verdict.action]}
      </div>
      <div>
        {next && (
          <p className="verdict-sentence" data-testid="next">
            {next}
          </p>
        )}
        {/* A stop is said whatever was taken; else what one would do stands behind what one does. */}
        <p className={next && !stop ? 'verdict-why' : 'verdict-sentence'} data-testid="verdict">
          {next && !stop ? `What the facts say: ${verdict.sentence}` : verdict.sentence}
        </p>
        {!next && <p className="verdict-why">{verdict.because.filter(Boolean).join(' \u00B7 ')}</p>}
        {[...verdict.also, ...advice.fromLedger].map((line) => (
          <p key={line} className="verdict-also">
            {line}
          </p>
        ))}
      </div>
    </section>
  );
}

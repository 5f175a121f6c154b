import type { Advice } from '@hardy/core/words';

const MARK = { sell: '\u25B6', check: '?', 'no-part': '\u00D7' } as const;

/** The sentence to say aloud while one still types, and the question that would change it most. */
export function AnswerLine({ advice, stale }: { advice: Advice; stale: boolean }) {
  const stop = advice.cautions.includes('stop-driving');
  const [question] = advice.questions;
  return (
    <div className={`answer-line ${stop ? 'answer-stop' : ''}`} data-stale={stale || undefined}>
      <p className="answer-sentence" data-testid="answer">
        <span aria-hidden="true" className="answer-mark">
          {stop ? '!' : MARK[advice.verdict.action]}
        </span>
        {advice.verdict.sentence}
      </p>
      {question && (
        <p className="answer-ask">
          <span className="chip-kind">ask</span> {question.ask}
        </p>
      )}
    </div>
  );
}

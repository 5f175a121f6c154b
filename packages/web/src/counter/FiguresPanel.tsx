import type { Figures } from '@hardy/core/contract';

const Figure = ({ value, what }: { value: number | string; what: string }) => (
  <div className="figure">
    <dt>{what}</dt>
    <dd>{value}</dd>
  </div>
);

/** Today's figures, and how closed dockets ended. */
export function FiguresPanel({ figures }: { figures: Figures }) {
  const { cured, cameBack, wrongPart, notCured, unused } = figures.closed;
  const judged = cured + cameBack + wrongPart + notCured + unused;
  return (
    <section aria-label="Today">
      <h2 className="kicker">Today</h2>
      <dl className="figures">
        <Figure value={figures.openedToday} what="opened" />
        <Figure value={figures.closedToday} what="closed" />
        <Figure value={figures.open} what="waiting for an answer" />
        <Figure value={figures.ordered} what="ordered, outcome to come" />
      </dl>
      <h2 className="kicker">How closed ones ended</h2>
      <dl className="figures">
        <Figure value={judged ? `${cured} of ${judged}` : '\u2014'} what="cured first time" />
        <Figure value={cameBack} what="came back" />
        <Figure value={notCured} what="not cured" />
        <Figure value={wrongPart} what="wrong part" />
        <Figure value={unused} what="returned" />
      </dl>
    </section>
  );
}

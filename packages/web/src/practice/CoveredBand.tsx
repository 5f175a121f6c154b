/** In place of the verdict while a learner is to find it. */
export function CoveredBand() {
  return (
    <section className="verdict" aria-label="Verdict, covered">
      <div className="verdict-action">
        <span aria-hidden="true">?</span>
        You decide
      </div>
      <div>
        <p className="verdict-sentence">What would you do next, and what would you sell?</p>
        <p className="verdict-why">
          The advice is covered. <kbd>v</kbd> uncovers it for this customer, and the account says so.
        </p>
      </div>
    </section>
  );
}

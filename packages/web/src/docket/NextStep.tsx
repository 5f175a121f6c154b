import { CHECK_IN_WORDS, CHECK_RESULTS, type Advice, type CheckName } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { money } from '../format.ts';

interface Props {
  advice: Advice;
  numbered: boolean;
  onResult: (check: CheckName, result: string) => void;
  onMeasure: (check: CheckName) => void;
}

/** What to do next, large: how, how long, what each result would mean. A result is one key. */
export function NextStep({ advice, numbered, onResult, onMeasure }: Props) {
  const { plan, verdict, currency } = advice;
  const check = verdict.check;
  if (!check || !plan.next) {
    const afterwards = plan.step?.then.find((branch) => branch.when === 'not cured');
    return (
      <section className="card" aria-label="Next step">
        <h2 className="kicker">Next step</h2>
        <p className="card-lead">{plan.step?.label ?? verdict.sentence}</p>
        {afterwards && (
          <p className="soft">
            If that does not cure it ({Math.round(afterwards.chance * 100)} in 100):{' '}
            {afterwards.next?.label ?? 'come again'}.
          </p>
        )}
      </section>
    );
  }
  const results: readonly string[] = CHECK_RESULTS[check];
  const means = new Map(plan.next.results.map(({ result, means: text }) => [result, text]));
  const chanceOf = (result: string) =>
    plan.step?.then.find((branch) => branch.when.split(', ').includes(result.replace(/-/g, ' ')));
  return (
    <section className="card" aria-label="Next step">
      <div className="row-head">
        <h2 className="kicker">Next step</h2>
        <span className="soft">
          {plan.next.minutes} min
          {plan.worth > 0 ? ` \u00B7 worth ${money(plan.worth, currency)} on this job` : ''}
        </span>
      </div>
      <p className="card-lead">
        {CHECK_IN_WORDS[check].charAt(0).toUpperCase() + CHECK_IN_WORDS[check].slice(1)}
      </p>
      {plan.next.how.map((line) => (
        <p key={line} className="how">
          {line}
        </p>
      ))}
      {results.length > 0 ? (
        <ul className="results">
          {results.map((result, i) => (
            <li key={result}>
              <Button onClick={() => onResult(check, result)} title={chanceOf(result)?.next?.label ?? ''}>
                {numbered && <kbd>{i + 1}</kbd>}
                <span className="result-name">{result.replace(/-/g, ' ')}</span>
                <span className="result-means">{means.get(result) ?? ''}</span>
              </Button>
            </li>
          ))}
        </ul>
      ) : (
        <Button onClick={() => onMeasure(check)}>{numbered && <kbd>1</kbd>} enter the reading</Button>
      )}
    </section>
  );
}

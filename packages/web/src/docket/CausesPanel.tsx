import { CAUSE_SHORT, wheelEndInWords, type Advice } from '@hardy/core/words';
import { Link } from 'react-router';
import { inHundred } from '../format.ts';

const SHOWN = 4;

/** What it may be, by probability. */
export function CausesPanel({ advice }: { advice: Advice }) {
  const shown = advice.causes.filter(({ probability }) => probability >= 0.01).slice(0, SHOWN);
  return (
    <section className="card" aria-label="What it may be">
      <div className="row-head">
        <h2 className="kicker">What it may be</h2>
        <span className="soft">two may hold at once</span>
      </div>
      <ol className="causes">
        {shown.map(({ cause, wheelEnd, probability }) => (
          <li key={`${cause}-${wheelEnd}`}>
            <span className="cause-name">
              {CAUSE_SHORT[cause]}{' '}
              <span className="soft">{wheelEnd ? wheelEndInWords(wheelEnd, advice.vehicle) : ''}</span>
            </span>
            <span className="bar" aria-hidden="true">
              <span style={{ width: `${probability * 100}%` }} />
            </span>
            <span className="cause-odds">{inHundred(probability)}</span>
          </li>
        ))}
      </ol>
      <p className="soft small">
        The odds rest on counter judgement, not on statistics; the shop can change it in{' '}
        <Link to="/setup">Setup</Link>.
      </p>
    </section>
  );
}

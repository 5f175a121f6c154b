import { inImperial, PART_IN_WORDS, wheelEndInWords } from '@hardy/core/words';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useKeys } from '../desk/useKeys.ts';
import { orderLines } from '../docket/orderLines.ts';
import { OrderTable } from '../docket/OrderTable.tsx';
import { useDocket } from '../state/useDocket.ts';
import { PaperHead } from './PaperHead.tsx';
import './sheet.css';

const List = ({
  title,
  items,
  ordered = false,
}: {
  title: string;
  items: readonly string[];
  ordered?: boolean;
}) => {
  const entries = items.map((item) => <li key={item}>{item}</li>);
  return (
    <section>
      <h2>{title}</h2>
      {ordered ? <ol>{entries}</ol> : <ul>{entries}</ul>}
    </section>
  );
};

/** The sheet the customer takes away: cautions first, then parts, access, order of work, torque and proof. */
export function HandOverSheet() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { view: ready, error } = useDocket(id);
  const [imperial, setImperial] = useState(false);
  const [paper, setPaper] = useState<'A4' | 'letter'>('A4');
  useTitle('Hand-over sheet', ready && `docket ${ready.number}`, ready?.advice.vehicle.name);
  useKeys({ b: () => void navigate(`/docket/${id}`), p: () => window.print() });
  const handOver = ready?.advice.handOver ?? null;
  const chosen = ready?.docket.chosen ?? null;
  const part = chosen?.part ?? ready?.advice.verdict.part ?? null;
  const end = chosen?.wheelEnd ?? ready?.advice.verdict.wheelEnd ?? null;
  const lines = ready ? orderLines(ready.docket, ready.advice) : [];
  return (
    <Desk
      strip={
        <div className="sheet-tools">
          <Button className="on-bench" component={Link} to={`/docket/${id}`}>
            Back to the docket <kbd>b</kbd>
          </Button>
          <Button
            className="on-bench"
            onClick={() => setPaper(paper === 'A4' ? 'letter' : 'A4')}
            aria-label={`Paper: ${paper === 'A4' ? 'A4' : 'Letter'}. Change.`}
          >
            Paper: {paper === 'A4' ? 'A4' : 'Letter'}
          </Button>
          <Button
            className="on-bench"
            onClick={() => setImperial(!imperial)}
            aria-label={`Units: ${imperial ? 'imperial' : 'metric'}. Change.`}
          >
            Units: {imperial ? 'imperial' : 'metric'}
          </Button>
          <Button className="on-bench" onClick={() => window.print()}>
            Print <kbd>p</kbd>
          </Button>
        </div>
      }
    >
      <style>{`@page { size: ${paper}; margin: 14mm; }`}</style>
      {error && !ready && (
        <p className="sheet look-here" role="alert">
          {error}
        </p>
      )}
      {!ready && !error && <Skeleton variant="rectangular" height={700} className="sheet" />}
      {ready && (!handOver || !part || !end) && (
        <div className="sheet">
          <h1>Hand-over sheet</h1>
          <p className="empty">Nothing is to be handed over yet: take an offer on the docket first.</p>
        </div>
      )}
      {ready && handOver && part && end && (
        <article className={`paper paper-${paper}`} aria-label="Hand-over sheet">
          <PaperHead
            view={ready}
            title={`${PART_IN_WORDS[part]}, ${wheelEndInWords(end, ready.advice.vehicle)}`}
            part={part}
            wheelEnd={end}
          />
          <section className="paper-cautions" aria-label="Cautions">
            <h2>Before anything else</h2>
            <ul>
              {handOver.cautions.map(({ caution, words }) => (
                <li key={caution} className={caution === 'stop-driving' ? 'paper-stop' : undefined}>
                  {words}
                </li>
              ))}
            </ul>
          </section>
          {lines.length > 0 && (
            <section>
              <h2>Parts</h2>
              <OrderTable lines={lines} currency={ready.advice.currency} counter={false} />
            </section>
          )}
          <div className="paper-columns">
            <List title="Access" items={handOver.access} />
            <List title="Tools" items={handOver.tools} />
          </div>
          <List title="Order of work" items={handOver.steps} ordered />
          {handOver.torques.length > 0 && (
            <section>
              <h2>Torque, by wrench</h2>
              <table className="order">
                <thead>
                  <tr>
                    <th scope="col">Fastener</th>
                    <th scope="col">Figure</th>
                    <th scope="col">Use again?</th>
                  </tr>
                </thead>
                <tbody>
                  {handOver.torques.map((torque) => (
                    <tr key={torque.what}>
                      <td>{torque.what}</td>
                      <td>{imperial ? inImperial(torque.figure) : torque.figure}</td>
                      <td>{torque.singleUse ? 'no: fit a new one' : 'yes, if sound'}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          )}
          <List title="Clear the code and prove the fix" items={handOver.proof} ordered />
          <footer className="paper-foot">
            Reference only. The maker{'\u2019'}s service data and local law come first; where brake work is
            reserved for licensed people, they do it.
          </footer>
        </article>
      )}
    </Desk>
  );
}

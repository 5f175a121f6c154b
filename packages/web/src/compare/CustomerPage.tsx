import { wheelEndInWords, type ComparedWay } from '@hardy/core/words';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { Link, useNavigate, useParams } from 'react-router';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useKeys } from '../desk/useKeys.ts';
import { PartDrawing } from '../drawings/PartDrawing.tsx';
import { hours, money, price } from '../format.ts';
import { useDocket } from '../state/useDocket.ts';
import { PaperHead } from '../sheet/PaperHead.tsx';
import { useComparison } from './useComparison.ts';
import '../sheet/sheet.css';
import './compare.css';

/** Ways that hardly ever cure are not put before a customer, nor more than can be read at a counter. */
const WORTH_SHOWING = 0.1;
const SHOWN = 4;

const when = (way: ComparedWay): string =>
  way.kind !== 'parts'
    ? ''
    : way.waitDays === 0
      ? 'Here now.'
      : `Here in ${way.waitDays} ${way.waitDays === 1 ? 'day' : 'days'}.`;

/** What the customer takes away to decide on: prices and chances in plain words, nothing of the shop's own figures. */
export function CustomerPage() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { view: ready, error } = useDocket(id);
  useTitle('Ways for the customer', ready && `docket ${ready.number}`, ready?.advice.vehicle.name);
  const { comparison, nothing, error: problem } = useComparison(ready);
  useKeys({ b: () => void navigate(`/docket/${id}/compare`), p: () => window.print() });
  const currency = comparison?.currency ?? 'EUR';
  const ways = (comparison?.ways ?? [])
    .filter((way, i) => i === 0 || way.cures >= WORTH_SHOWING)
    .slice(0, SHOWN);
  return (
    <Desk
      strip={
        <div className="sheet-tools">
          <Button className="on-bench" component={Link} to={`/docket/${id}/compare`}>
            Back to the comparison <kbd>b</kbd>
          </Button>
          <Button className="on-bench" onClick={() => window.print()}>
            Print <kbd>p</kbd>
          </Button>
        </div>
      }
    >
      <style>{`@page { size: A4; margin: 14mm; }`}</style>
      {(error ?? problem) && (
        <p className="sheet look-here" role="alert">
          {error ?? problem}
        </p>
      )}
      {nothing && (
        <p className="sheet empty">
          Nothing to choose from yet: the corner is not known. Answer the question on the docket first.
        </p>
      )}
      {!comparison && !nothing && !error && !problem && (
        <Skeleton variant="rectangular" height={700} className="sheet" />
      )}
      {comparison && ready && (
        <article className="paper paper-A4" aria-label="Ways to fix it">
          <PaperHead
            view={ready}
            title={`Ways to fix it, ${wheelEndInWords(comparison.wheelEnd, ready.advice.vehicle)}`}
            part={ways[0]?.parts[0]?.part ?? null}
            wheelEnd={comparison.wheelEnd}
          />
          <ul className="customer-ways">
            {ways.map((way) => (
              <li key={way.id}>
                {way.parts[0] ? <PartDrawing part={way.parts[0].part} size={56} /> : <span />}
                <div>
                  <h2>{way.label}</h2>
                  <p>
                    {way.kind === 'refer'
                      ? 'Full diagnosis and repair there.'
                      : `Cures it in about ${Math.round(way.cures * 10)} of 10 such cases. ${when(way)}`}
                    {way.seizure !== null && way.seizure >= 0.1
                      ? ` The old sensor may break when it is drawn: about ${Math.round(way.seizure * 10)} in 10.`
                      : ''}
                    {way.deposit > 0
                      ? ` ${price(way.deposit, currency)} deposit, back when the old part comes in.`
                      : ''}
                  </p>
                </div>
                <dl>
                  <div>
                    <dt>{way.kind === 'parts' ? 'parts' : 'in all'}</dt>
                    <dd>{price(way.kind === 'parts' ? way.price : way.sure, currency)}</dd>
                  </div>
                  {way.labourHours > 0 && (
                    <div>
                      <dt>work</dt>
                      <dd>about {hours(way.labourHours)}</dd>
                    </div>
                  )}
                  <div>
                    <dt>on a usual day, all in</dt>
                    <dd>{money(way.allIn.p50, currency)}</dd>
                  </div>
                  <div>
                    <dt>one job in ten costs more than</dt>
                    <dd>{money(way.allIn.p90, currency)}</dd>
                  </div>
                </dl>
              </li>
            ))}
          </ul>
          <section className="paper-cautions" aria-label="Cautions">
            <h2>Before anything else</h2>
            <ul>
              {ready.advice.cautions.includes('stop-driving') && (
                <li className="paper-stop">
                  Do not drive it: a wheel can be lost. A workshop must see it now.
                </li>
              )}
              <li>While the lamp is lit there is no anti-lock: stops are longer and a skid is likelier.</li>
            </ul>
          </section>
          <footer className="paper-foot">
            All in counts what may come: a sensor that snaps, waiting, a repair that did not cure, and wear
            within the years it is kept. Estimates, not a quotation. The maker{'\u2019'}s service data and
            local law come first.
          </footer>
        </article>
      )}
    </Desk>
  );
}

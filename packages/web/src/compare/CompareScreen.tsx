import { CHECK_IN_WORDS, SCHOOL_IN_WORDS, type ComparedWay, type Docket } from '@hardy/core/words';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useKeys } from '../desk/useKeys.ts';
import { money } from '../format.ts';
import { useDocket } from '../state/useDocket.ts';
import { CostLegend } from './CostBars.tsx';
import { DialPanel } from './DialPanel.tsx';
import { ElsewherePanel } from './ElsewherePanel.tsx';
import { JobFacts } from './JobFacts.tsx';
import { soldHere } from '../state/thisDesk.ts';
import { TakeWayDialog } from './TakeWayDialog.tsx';
import { Tornado } from './Tornado.tsx';
import { useComparison } from './useComparison.ts';
import { WaysTable } from './WaysTable.tsx';
import './compare.css';
import ButtonBase from '@mui/material/ButtonBase';

/** A way that cures more rarely is folded away, and beyond so many all of them are. */
const WORTH_SHOWING = 0.05;
const SHOWN = 6;

/** Every way of fixing the job side by side: what each really costs, what would turn the answer, what to say. */
export function CompareScreen() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { view: ready, error, change, retry, dismiss } = useDocket(id);
  const [trade, setTrade] = useState(false);
  const [all, setAll] = useState(false);
  const [taking, setTaking] = useState<ComparedWay | null>(null);
  useTitle('Ways', ready && `docket ${ready.number}`, ready?.advice.vehicle.name);
  const bench = useComparison(ready);
  const { comparison, sensitivities, turned } = bench;
  const edit = (label: string, how: (d: Docket) => Docket) => void change(label, how);
  useKeys({
    b: () => void navigate(`/docket/${id}`),
    q: () => void navigate(`/docket/${id}/quote`),
    y: () => setTrade(!trade),
    p: () => void navigate(`/docket/${id}/ways`),
  });
  const ways = comparison?.ways ?? [];
  const likely = ways.filter((way, i) => i === 0 || way.cures >= WORTH_SHOWING).slice(0, SHOWN);
  const shown = all ? ways : likely;
  const best = ways[0];
  const rival = ways.find((way) => way.id === comparison?.rival);
  return (
    <Desk>
      <div className="sheet compare-sheet" aria-busy={!comparison && !bench.nothing}>
        {(error ?? bench.error) && (
          <p className="look-here" role="alert">
            {error ?? bench.error}{' '}
            <Button variant="text" onClick={() => (ready ? dismiss() : retry())}>
              {ready ? 'understood' : 'try again'}
            </Button>
          </p>
        )}
        <div className="docket-head">
          <h1>Ways compared {ready && <span className="mono">{ready.number}</span>}</h1>
          <span className="soft">
            {[ready?.docket.customer?.name, ready?.advice.vehicle.name, ready?.docket.vehicle?.fleetNumber]
              .filter(Boolean)
              .join(' \u00B7 ')}
          </span>
          <span className="docket-tools">
            <Button aria-pressed={trade} onClick={() => setTrade(!trade)}>
              {trade ? 'Customer\u2019s view' : 'Trade view'} <kbd>y</kbd>
            </Button>
            <Button component={Link} to={`/docket/${id}/quote`}>
              Quote <kbd>q</kbd>
            </Button>
            <Button component={Link} to={`/docket/${id}/ways`}>
              Page for the customer <kbd>p</kbd>
            </Button>
            <Button variant="text" component={Link} to={`/docket/${id}`}>
              docket <kbd>b</kbd>
            </Button>
          </span>
        </div>
        {bench.nothing && (
          <p className="empty">
            Nothing to compare yet: every part is for one corner, and the corner is not known. Answer the
            question on the docket first.
          </p>
        )}
        {!comparison && !bench.nothing && <Skeleton variant="rectangular" height={560} />}
        {comparison && ready && best && (
          <>
            <p className="compare-say" aria-live="polite" data-testid="say">
              {comparison.sentence}
            </p>
            {ready.advice.verdict.action === 'check' && ready.advice.verdict.check && (
              <p className="soft">
                These are the ways when nothing is looked at first. To{' '}
                {CHECK_IN_WORDS[ready.advice.verdict.check]} first is worth about{' '}
                {money(ready.advice.plan.worth, comparison.currency)} on this job.
              </p>
            )}
            <div className="compare-zones">
              <div>
                <div className="scroll-x">
                  <WaysTable
                    comparison={comparison}
                    ways={shown}
                    vehicle={ready.advice.vehicle}
                    trade={trade}
                    onTake={setTaking}
                  />
                </div>
                <CostLegend />
                <ElsewherePanel docketId={id} comparison={comparison} change={edit} />
                {ways.length > likely.length && (
                  <Button variant="text" onClick={() => setAll(!all)}>
                    {all ? 'only the likely ones' : `all ${ways.length} ways`}
                  </Button>
                )}
                <div className="compare-lower">
                  <section aria-label="What matters most">
                    <h2 className="kicker">What matters most</h2>
                    {rival && sensitivities.length > 0 ? (
                      <Tornado
                        sensitivities={sensitivities}
                        best={best.label}
                        rival={rival.label}
                        currency={comparison.currency}
                      />
                    ) : (
                      <p className="soft">Being worked out{'\u2026'}</p>
                    )}
                  </section>
                  <section aria-label="The schools">
                    <h2 className="kicker">The schools</h2>
                    <ul>
                      {comparison.schools.map(({ school, label }) => (
                        <li key={school}>
                          <strong>{SCHOOL_IN_WORDS[school]}</strong> <span className="soft">{label}</span>
                        </li>
                      ))}
                    </ul>
                    {comparison.ownWork && (
                      <p className={comparison.ownWork.worthIt ? 'compare-note' : 'compare-note look-here'}>
                        {comparison.ownWork.sentence}
                      </p>
                    )}
                    {comparison.meanwhile && (
                      <p className="compare-note">
                        {comparison.meanwhile.sentence}{' '}
                        {comparison.meanwhile.allowed && (
                          <ButtonBase
                            className="as-text"
                            onClick={() =>
                              edit('meanwhile', (d) => ({
                                ...d,
                                options: {
                                  ...d.options,
                                  meanwhile: d.options?.meanwhile === 'driven' ? 'parked' : 'driven',
                                },
                              }))
                            }
                          >
                            {ready.docket.options?.meanwhile === 'driven'
                              ? 'count it standing'
                              : 'the customer drives it meanwhile'}
                          </ButtonBase>
                        )}
                      </p>
                    )}
                  </section>
                </div>
              </div>
              <div className="compare-side">
                <DialPanel
                  sensitivities={sensitivities}
                  turned={turned}
                  currency={comparison.currency}
                  onTurn={bench.turn}
                  onKeep={() =>
                    void bench.setOn(ready.docket).then((docket) => edit('what-if kept', () => docket))
                  }
                />
                <JobFacts docket={ready.docket} change={edit} />
              </div>
            </div>
          </>
        )}
      </div>
      {comparison && (
        <TakeWayDialog
          way={taking}
          comparison={comparison}
          shown={shown}
          onClose={() => setTaking(null)}
          onTake={(chosen, declined) => {
            setTaking(null);
            edit(`${chosen.label ?? chosen.part} taken`, (d) => soldHere({ ...d, chosen, declined }));
            void navigate(`/docket/${id}`);
          }}
        />
      )}
    </Desk>
  );
}

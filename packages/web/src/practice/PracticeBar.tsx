import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { useKeys } from '../desk/useKeys.ts';
import { money } from '../format.ts';
import { useCounter } from '../state/useCounter.ts';
import { AskDialog } from './AskDialog.tsx';
import { LookDialog } from './LookDialog.tsx';
import { SendDialog } from './SendDialog.tsx';
import { act, took, useVisit } from './useVisit.ts';
import './practice.css';

/** Below the strip, on every screen of the practice counter: who stands there, what it has taken, what one can do. */
export function PracticeBar() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const { data: visit, error } = useVisit();
  const [open, setOpen] = useState<'ask' | 'look' | 'send' | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const docketHere = /^\/docket\/([^/]+)/.exec(pathname)?.[1] ?? null;
  const waits = visit && !visit.over ? visit : null;

  // The docket one opens for a customer is theirs.
  useEffect(() => {
    if (!waits || waits.docketId || !docketHere) return;
    void call('POST /practice/visits/:id/docket', {
      params: { id: waits.id },
      body: { docketId: docketHere },
    }).then(took, () => undefined);
  }, [waits, docketHere]);

  const doing = (how: () => Promise<unknown>) => {
    if (busy) return;
    setBusy(true);
    setProblem(null);
    void how()
      .catch((why: unknown) => setProblem(problemInWords(why)))
      .finally(() => setBusy(false));
  };
  const begun = waits !== null && waits.docketId !== null;
  useKeys({
    y: () => void navigate('/hall'),
    ...(begun && {
      a: () => setOpen('ask'),
      k: () => setOpen('look'),
      s: () => setOpen('send'),
      ...(waits.canRead && { g: () => doing(() => act(waits, { kind: 'read' })) }),
      v: () =>
        doing(async () =>
          took(await call('POST /practice/visits/:id/uncover', { params: { id: waits.id }, body: {} })),
        ),
    }),
  });
  // In the counter line no letter is a command: a key that types nothing.
  const said = waits && !begun ? waits.words : null;
  useEffect(() => {
    if (said === null) return undefined;
    const pressed = (event: KeyboardEvent) => {
      if (event.key !== 'F2') return;
      event.preventDefault();
      useCounter.getState().type(said);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [said]);
  const last = visit?.steps.at(-1) ?? null;
  return (
    <section className="practice-bar" aria-label="Practice">
      <div className="practice-line">
        <strong className="practice-badge">Practice</strong>
        {!visit && !error && <span>Nobody stands at this counter.</span>}
        {error && <span className="look-here">{problemInWords(error)}</span>}
        {visit && (
          <>
            <span className="practice-said">
              <q>{visit.words}</q>
            </span>
            <span className="practice-spent" data-testid="spent">
              {Math.round(visit.minutes)} of {visit.hadMinutes} min {'\u00B7'}{' '}
              {money(visit.money, visit.currency)}, has {money(visit.budget, visit.currency)}
            </span>
          </>
        )}
        <span className="practice-acts">
          {waits && !begun && (
            <Button className="on-bench" onClick={() => useCounter.getState().type(waits.words)}>
              Write it down as said <kbd>F2</kbd>
            </Button>
          )}
          {begun && (
            <>
              <Button className="on-bench" disabled={busy} onClick={() => setOpen('ask')}>
                Ask <kbd>a</kbd>
              </Button>
              {waits.canRead && (
                <Button
                  className="on-bench"
                  disabled={busy}
                  onClick={() => doing(() => act(waits, { kind: 'read' }))}
                >
                  Read codes <kbd>g</kbd>
                </Button>
              )}
              <Button className="on-bench" disabled={busy} onClick={() => setOpen('look')}>
                Look, meter <kbd>k</kbd>
              </Button>
              <Button className="on-bench" disabled={busy} onClick={() => setOpen('send')}>
                Send away <kbd>s</kbd>
              </Button>
            </>
          )}
          {visit?.over && (
            <Button
              className="on-bench"
              onClick={() => {
                void navigate(`/hall/account/${visit.id}`);
              }}
            >
              The account
            </Button>
          )}
          <Button className="on-bench" component={Link} to="/hall">
            Hall <kbd>y</kbd>
          </Button>
        </span>
      </div>
      <p className="practice-came" role="status" data-testid="came">
        {problem ? (
          <span className="look-here">{problem}</span>
        ) : busy ? (
          'One moment\u2026'
        ) : last ? (
          <>
            {last.words}: <strong>{last.came}</strong>
          </>
        ) : waits && !begun ? (
          'Type what matters of it into the line, or take it as said; Enter opens the docket.'
        ) : null}
      </p>
      {begun && open === 'ask' && (
        <AskDialog
          visit={waits}
          onClose={() => setOpen(null)}
          onDeed={(deed) => doing(() => act(waits, deed))}
        />
      )}
      {begun && open === 'look' && (
        <LookDialog
          visit={waits}
          onClose={() => setOpen(null)}
          onDeed={(deed) => doing(() => act(waits, deed))}
        />
      )}
      {begun && open === 'send' && (
        <SendDialog
          visit={waits}
          onClose={() => setOpen(null)}
          onSend={(deed, sent) =>
            doing(async () => {
              const after = await act(waits, deed, sent);
              if (after.over) await navigate(`/hall/account/${after.id}`);
            })
          }
        />
      )}
    </section>
  );
}

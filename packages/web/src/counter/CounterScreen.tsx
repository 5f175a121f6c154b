import Skeleton from '@mui/material/Skeleton';
import InputBase from '@mui/material/InputBase';
import { useCallback, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { call } from '../api/client.ts';
import type { DocketLine, DocketView, Figures } from '../api/types.ts';
import { Desk } from '../desk/Desk.tsx';
import { useCounter } from '../state/useCounter.ts';
import { CounterLine } from './CounterLine.tsx';
import { DocketTable } from './DocketTable.tsx';
import { FiguresPanel } from './FiguresPanel.tsx';

const EXAMPLE = 'merrowby 2018 minibus, abs light, C0A31-13 front left';

/** The counter: one line to type into, the dockets that wait, and the day. */
export function CounterScreen() {
  const navigate = useNavigate();
  const { reading, moves, clear, type } = useCounter();
  const [dockets, setDockets] = useState<DocketLine[] | null>(null);
  const [figures, setFigures] = useState<Figures | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [search, setSearch] = useState('');

  const load = useCallback(async (words: string) => {
    try {
      const [lines, day] = await Promise.all([
        call<DocketLine[]>(
          `/dockets?state=${words.trim() ? 'all' : 'current'}&q=${encodeURIComponent(words)}`,
        ),
        call<Figures>('/figures'),
      ]);
      setDockets(lines);
      setFigures(day);
      setError(null);
    } catch (problem) {
      setError(problem instanceof Error ? problem.message : String(problem));
    }
  }, []);

  useEffect(() => {
    const timer = setTimeout(() => void load(search), search ? 150 : 0);
    return () => clearTimeout(timer);
  }, [load, search]);

  const open = async (words: string) => {
    try {
      const view = await call<DocketView>('/dockets', { method: 'POST', body: { words, moves } });
      clear();
      await navigate(`/docket/${view.id}`);
    } catch (problem) {
      setError(problem instanceof Error ? problem.message : String(problem));
    }
  };

  return (
    <Desk>
      <div className="sheet counter-sheet">
        <h1 className="unseen">Counter</h1>
        <section className="counter-top" aria-label="New docket">
          <CounterLine
            label="Counter line"
            placeholder="What does the customer say? Vehicle, lamps, codes, corner, what was done…"
            size="large"
            onEnter={(words) => void open(words)}
            autoFocus
          />
          <p className="soft hint">
            {reading ? (
              <>
                <kbd>Enter</kbd> opens a docket
              </>
            ) : (
              <>
                Type or paste anything, for example{' '}
                <button type="button" className="as-text" onClick={() => type(EXAMPLE)}>
                  {EXAMPLE}
                </button>
              </>
            )}
          </p>
          {error && (
            <p className="look-here" role="alert">
              {error}
            </p>
          )}
        </section>
        <div className="counter-zones">
          <section aria-label="Dockets">
            <div className="row-head">
              <h2 className="kicker">{search.trim() ? 'Found' : 'On the counter'}</h2>
              <InputBase
                className="search"
                value={search}
                onChange={(event) => setSearch(event.target.value)}
                placeholder="find any docket, closed ones too"
                slotProps={{ input: { 'aria-label': 'Find a docket' } }}
              />
            </div>
            {dockets === null &&
              !error &&
              [1, 2, 3, 4].map((i) => <Skeleton key={i} variant="rectangular" height={40} className="gap" />)}
            {dockets?.length === 0 && (
              <p className="empty">
                {search.trim()
                  ? 'No docket has these words. A number, a fleet number, a vehicle or a customer will do.'
                  : 'Nothing waits. The next customer starts in the line above.'}
              </p>
            )}
            {dockets && dockets.length > 0 && (
              <DocketTable dockets={dockets} caption={search ? 'Dockets found' : 'Dockets on the counter'} />
            )}
          </section>
          <aside>
            {figures ? (
              <FiguresPanel figures={figures} />
            ) : (
              !error && <Skeleton variant="rectangular" height={240} />
            )}
          </aside>
        </div>
      </div>
    </Desk>
  );
}

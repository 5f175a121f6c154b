import Skeleton from '@mui/material/Skeleton';
import InputBase from '@mui/material/InputBase';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useCounter } from '../state/useCounter.ts';
import { useSettled } from '../state/useSettled.ts';
import { CounterLine } from './CounterLine.tsx';
import { DocketTable } from './DocketTable.tsx';
import { FiguresPanel } from './FiguresPanel.tsx';
import { setHandingOver } from './line.ts';
import './counter.css';
import ButtonBase from '@mui/material/ButtonBase';

/** A search is sent when the typing rests so long, in milliseconds. */
const SETTLES_MS = 150;
const EXAMPLE = 'merrowby 2018 minibus, abs light, C0A31-13 front left';

/** The counter: one line to type into, the dockets that wait, and the day. */
export function CounterScreen() {
  const navigate = useNavigate();
  const { reading, moves, taken, type } = useCounter();
  const [error, setError] = useState<string | null>(null);
  const [search, setSearch] = useState('');
  const words = useSettled(search, SETTLES_MS);
  const lines = useQuery({
    queryKey: ['dockets', words],
    queryFn: ({ signal }) =>
      call('GET /dockets', { query: { state: words.trim() ? 'all' : 'current', q: words }, signal }),
    placeholderData: keepPreviousData,
  });
  const day = useQuery({ queryKey: ['figures'], queryFn: ({ signal }) => call('GET /figures', { signal }) });
  const dockets = lines.data ?? null;
  const figures = day.data ?? null;
  const problem = error ?? (lines.error && !lines.data ? problemInWords(lines.error) : null);
  useTitle('Counter');

  const open = async (said: string) => {
    setError(null);
    setHandingOver(true);
    try {
      const view = await call('POST /dockets', { body: { words: said, moves: { ...moves } } });
      taken(said);
      await navigate(`/docket/${view.id}`);
    } catch (failure) {
      setHandingOver(false);
      setError(problemInWords(failure));
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
                <ButtonBase className="as-text" onClick={() => type(EXAMPLE)}>
                  {EXAMPLE}
                </ButtonBase>
              </>
            )}
          </p>
          {problem && (
            <p className="look-here" role="alert">
              {problem}
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
              !problem &&
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
              !problem && <Skeleton variant="rectangular" height={240} />
            )}
          </aside>
        </div>
      </div>
    </Desk>
  );
}

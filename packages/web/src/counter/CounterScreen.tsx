import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import InputBase from '@mui/material/InputBase';
import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiProblem, call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { docketOfCode } from '../docket/docketCode.ts';
import { pathOfDocket } from '../state/pathOfDocket.ts';
import { keepDraft, readDraft } from '../desk/useDraft.ts';
import { useTitle } from '../desk/useTitle.ts';
import { useCounter } from '../state/useCounter.ts';
import { whenServerIsBack } from '../state/serverBack.ts';
import { useSettled } from '../state/useSettled.ts';
import { CounterLine } from './CounterLine.tsx';
import { DocketTable } from './DocketTable.tsx';
import { FiguresPanel } from './FiguresPanel.tsx';
import { setHandingOver } from './line.ts';
import './counter.css';
import ButtonBase from '@mui/material/ButtonBase';

/** A search is sent when the typing rests so long, in milliseconds. */
const SETTLES_MS = 150;
/** Dockets on a page of the list. */
const PAGE = 50;
/** Words that were sent and not acknowledged, with the name of the docket they open: sent again they open the same. */
const OPENING = 'opening';
const EXAMPLE = 'merrowby 2018 minibus, abs light, C0A31-13 front left';

/** The counter: one line to type into, the dockets that wait, and the day. */
export function CounterScreen() {
  const navigate = useNavigate();
  const { reading, moves, taken, type } = useCounter();
  const [error, setError] = useState<string | null>(null);
  const [search, setSearch] = useState('');
  const words = useSettled(search, SETTLES_MS);
  const lines = useInfiniteQuery({
    queryKey: ['dockets', 'pages', words],
    queryFn: ({ signal, pageParam: offset }) =>
      call('GET /dockets', {
        query: { state: words.trim() ? 'all' : 'current', q: words, limit: PAGE, offset },
        signal,
      }),
    initialPageParam: 0,
    getNextPageParam: (last, all) => {
      const shown = all.reduce((sum, { dockets }) => sum + dockets.length, 0);
      return last.dockets.length === PAGE && (last.isMore || shown < last.total) ? shown : undefined;
    },
    placeholderData: keepPreviousData,
  });
  const day = useQuery({ queryKey: ['figures'], queryFn: ({ signal }) => call('GET /figures', { signal }) });
  const dockets = lines.data?.pages.flatMap((page) => page.dockets) ?? null;
  const [first] = lines.data?.pages ?? [];
  const figures = day.data ?? null;
  const problem = error ?? (lines.error && !lines.data ? problemInWords(lines.error) : null);
  useTitle('Counter');

  const opening = useRef<string | null>(null);
  const isHere = useRef(false);
  useEffect(() => {
    isHere.current = true;
    return () => void (isHere.current = false);
  }, []);
  const open = async (said: string) => {
    if (opening.current === said) return;
    const sheet = docketOfCode(said);
    if (sheet !== null) {
      taken(said);
      await navigate(await pathOfDocket(sheet));
      return;
    }
    opening.current = said;
    setError(null);
    const sent = readDraft<{ said: string; id: string }>(OPENING);
    const id = sent?.said === said ? sent.id : crypto.randomUUID();
    keepDraft(OPENING, { said, id });
    setHandingOver(true);
    try {
      const view = await call('POST /dockets', { body: { id, words: said, moves: { ...moves } } });
      keepDraft(OPENING, null);
      taken(said);
      await navigate(`/docket/${view.id}`);
    } catch (failure) {
      setHandingOver(false);
      setError(problemInWords(failure));
      // Words that were changed meanwhile are for a person to send.
      if (failure instanceof ApiProblem && (failure.status === 0 || failure.status >= 500))
        whenServerIsBack(() => {
          if (isHere.current && useCounter.getState().text === said) void open(said);
        });
    } finally {
      opening.current = null;
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
            {dockets && first && dockets.length > 0 && (
              <p className="soft small list-foot" role="status">
                {lines.hasNextPage
                  ? `${dockets.length} of ${first.isMore ? `more than ${first.total}` : first.total} shown, newest first`
                  : `${dockets.length} in all`}{' '}
                {lines.hasNextPage && (
                  <Button
                    variant="text"
                    disabled={lines.isFetchingNextPage}
                    onClick={() => void lines.fetchNextPage()}
                  >
                    show {PAGE} more
                  </Button>
                )}
              </p>
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

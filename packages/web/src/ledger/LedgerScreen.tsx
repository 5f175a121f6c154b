import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { AskList } from './AskList.tsx';
import { CalibrationView } from './CalibrationView.tsx';
import { FiguresView } from './FiguresView.tsx';
import { LedgerFilters } from './LedgerFilters.tsx';
import { NO_FILTER, queryOf } from './ledgerFilter.ts';
import './ledger.css';

const VIEWS = [
  { name: 'ask', title: 'To ask', key: 'a' },
  { name: 'figures', title: 'Figures', key: 'f' },
  { name: 'said', title: 'Said and so', key: 's' },
] as const;
type View = (typeof VIEWS)[number]['name'];

/** What came back: whom to ask, what it came to, and how good what was said has been. */
export function LedgerScreen() {
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const view: View = VIEWS.find(({ name }) => name === search.get('show'))?.name ?? 'ask';
  const [filter, setFilter] = useState({ ...NO_FILTER, customer: search.get('customer') ?? '' });
  const query = queryOf(filter);
  const show = (name: View) => setSearch({ show: name }, { replace: true });
  const shop = useQuery({ queryKey: ['shop'], queryFn: ({ signal }) => call('GET /shop', { signal }) });
  const ledger = useQuery({
    queryKey: ['ledger', query],
    queryFn: ({ signal }) => call('GET /ledger', { query, signal }),
    placeholderData: (before) => before,
  });
  const calibration = useQuery({
    queryKey: ['calibration', query],
    queryFn: ({ signal }) => call('GET /ledger/calibration', { query, signal }),
    enabled: view === 'said',
    placeholderData: (before) => before,
  });
  useTitle('Ledger');
  useKeys({
    b: () => void navigate('/'),
    ...Object.fromEntries(VIEWS.map(({ name, key }) => [key, () => show(name)])),
  });
  const wrong = ledger.error ?? (view === 'said' ? calibration.error : null);
  const address = new URLSearchParams(query as Record<string, string>).toString();
  return (
    <Desk>
      <div className="sheet ledger-sheet">
        <div className="docket-head">
          <h1>Ledger</h1>
          <div className="answers" role="group" aria-label="What is shown">
            {VIEWS.map(({ name, title, key }) => (
              <Button
                key={name}
                variant={name === view ? 'contained' : 'outlined'}
                aria-pressed={name === view}
                onClick={() => show(name)}
              >
                {title} <kbd>{key}</kbd>
              </Button>
            ))}
          </div>
          <span className="docket-tools">
            <Button variant="text" component="a" href={`/api/ledger/file${address ? `?${address}` : ''}`}>
              as CSV
            </Button>
          </span>
        </div>
        {view !== 'ask' && filter.customer !== '' && (
          <p className="soft">
            Jobs of one customer only.{' '}
            <Button variant="text" onClick={() => setFilter({ ...filter, customer: '' })}>
              all customers
            </Button>
          </p>
        )}
        {view !== 'ask' && (
          <LedgerFilters
            filter={filter}
            lines={ledger.data?.lines ?? []}
            desks={ledger.data?.desks ?? []}
            onChange={setFilter}
          />
        )}
        {wrong && (
          <p className="look-here" role="alert">
            {problemInWords(wrong)}
          </p>
        )}
        {view === 'ask' && <AskList />}
        {view === 'figures' && ledger.data && (
          <FiguresView ledger={ledger.data} currency={shop.data?.currency ?? 'EUR'} />
        )}
        {view === 'said' && calibration.data && <CalibrationView calibration={calibration.data} />}
      </div>
    </Desk>
  );
}

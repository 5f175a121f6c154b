import type { LearnedLine } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { call, problemInWords } from '../api/client.ts';
import { assumptionName } from './assumptionName.ts';

interface Props {
  on: boolean;
  /** Version of the settings: what is in force changes with it. */
  version: number;
  onTurn: (on: boolean) => void;
  /** A number held where it is, or null: let go. */
  onFreeze: (name: string, value: number | null) => void;
}

/** Less than a ten-thousandth of a number is none to anybody. */
const short = (value: number): string =>
  Math.abs(value) < 1e-5
    ? '0'
    : Math.abs(value) >= 100
      ? value.toFixed(0)
      : Number(value.toPrecision(3)).toString();
const HELD: Readonly<Record<LearnedLine['held'], string>> = {
  learned: 'as learned',
  'too-few': 'as judged',
  frozen: 'frozen',
  shop: 'set by the shop',
};

const columnsFor = (onFreeze: Props['onFreeze']): GridColDef<LearnedLine>[] => [
  {
    field: 'name',
    headerName: 'number',
    flex: 1,
    minWidth: 170,
    cellClassName: 'learned-name',
    valueGetter: (_, row) => `${row.line ? `${row.line}: ` : ''}${assumptionName(row.key)}`,
  },
  { field: 'prior', headerName: 'judgement', width: 84, renderCell: ({ row }) => short(row.prior) },
  {
    field: 'learned',
    headerName: 'learned, likely between',
    width: 176,
    renderCell: ({ row }) => `${short(row.learned)} (${short(row.low)} to ${short(row.high)})`,
  },
  {
    field: 'sound',
    headerName: 'sound or lucky',
    width: 96,
    renderCell: ({ row }) => (row.sound ? <strong>sound</strong> : <span className="soft">may be luck</span>),
  },
  { field: 'jobs', headerName: 'jobs', width: 50, renderCell: ({ row }) => Math.round(row.jobs) },
  {
    field: 'inForce',
    headerName: 'in force',
    width: 132,
    renderCell: ({ row }) => (
      <span>
        {short(row.inForce)} <span className="soft small">{HELD[row.held]}</span>
      </span>
    ),
  },
  {
    field: 'act',
    headerName: 'hold it',
    width: 144,
    sortable: false,
    renderCell: ({ row }) =>
      row.held === 'shop' ? (
        <span className="soft">below</span>
      ) : row.held === 'frozen' ? (
        <Button variant="text" onClick={() => onFreeze(row.name, null)} aria-label={`Let ${row.name} go`}>
          learn again
        </Button>
      ) : (
        <>
          <Button
            variant="text"
            onClick={() => onFreeze(row.name, row.learned)}
            aria-label={`Freeze ${row.name} as learned`}
          >
            freeze
          </Button>
          <Button
            variant="text"
            onClick={() => onFreeze(row.name, row.prior)}
            aria-label={`Set ${row.name} back to judgement`}
          >
            set back
          </Button>
        </>
      ),
  },
];

/** What closed jobs taught, beside the judgement it stands in for: prior, learned, in force, and how much is behind it. */
export function LearnedPanel({ on, version, onTurn, onFreeze }: Props) {
  const queries = useQueryClient();
  const [search, setSearch] = useState('');
  const [soundOnly, setSoundOnly] = useState(true);
  const picker = useRef<HTMLInputElement>(null);
  const learned = useQuery({
    queryKey: ['learned', version],
    queryFn: ({ signal }) => call('GET /ledger/learned', { signal }),
    placeholderData: (before) => before,
  });
  const again = useMutation({
    mutationFn: () => call('POST /ledger/relearn', { body: {} }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['learned'] }),
  });
  const pool = useMutation({
    mutationFn: async (file: File) =>
      call('POST /ledger/counts', { body: JSON.parse(await file.text()) as unknown }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['learned'] }),
  });
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const all = learned.data ?? [];
  const rows = all
    .filter(({ sound, held }) => !soundOnly || sound || held === 'frozen')
    .filter(({ key, line }) =>
      words.every((word) => `${line ?? ''} ${key} ${assumptionName(key)}`.toLowerCase().includes(word)),
    );
  const wrong = learned.error ?? again.error ?? pool.error;
  return (
    <section aria-label="What closed jobs taught" className="learned">
      <div className="row-head">
        <h2 className="kicker">
          What closed jobs taught: {rows.length} of {all.length}
        </h2>
        <InputBase
          className="search"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          placeholder="find: ring, budget, a line"
          slotProps={{ input: { 'aria-label': 'Find a learned number' } }}
        />
      </div>
      <div className="answers">
        <Button variant={on ? 'contained' : 'outlined'} aria-pressed={on} onClick={() => onTurn(!on)}>
          {on ? 'Learning counts' : 'Learning does not count'}
        </Button>
        <Button
          variant={soundOnly ? 'contained' : 'outlined'}
          aria-pressed={soundOnly}
          onClick={() => setSoundOnly(!soundOnly)}
        >
          only what is further than luck
        </Button>
        <Button disabled={again.isPending} onClick={() => again.mutate()}>
          {again.isPending ? 'Learning\u2026' : 'Learn anew from all jobs'}
        </Button>
        <Button component="a" href="/api/ledger/counts" download="learned-counts.json">
          counts as a file
        </Button>
        <input
          ref={picker}
          type="file"
          className="unseen"
          tabIndex={-1}
          accept="application/json,.json"
          aria-label="Counts of another shop"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) pool.mutate(file);
            event.target.value = '';
          }}
        />
        <Button onClick={() => picker.current?.click()}>add another shop{'\u2019'}s</Button>
        {again.data && <span role="status">{again.data.jobs} jobs gone through.</span>}
        {pool.data && (
          <span role="status">
            {pool.data.counts} counts of {pool.data.shop} are in.
          </span>
        )}
      </div>
      {wrong && (
        <p className="look-here" role="alert">
          {wrong instanceof SyntaxError
            ? 'That file is not JSON: choose one of learned counts.'
            : problemInWords(wrong)}
        </p>
      )}
      {all.length === 0 ? (
        <p className="soft">Nothing yet: close dockets with what came of them.</p>
      ) : (
        <DataGrid
          aria-label="Learned numbers"
          rows={rows}
          columns={columnsFor(onFreeze)}
          getRowId={({ name }) => name}
          columnHeaderHeight={32}
          getRowHeight={() => 'auto'}
          getEstimatedRowHeight={() => 34}
          density="compact"
          // Every column is there for whoever goes by keyboard, seen or not.
          columnBufferPx={1000}
          sx={{ height: 320 }}
          hideFooter
          disableColumnMenu
          disableRowSelectionOnClick
        />
      )}
    </section>
  );
}

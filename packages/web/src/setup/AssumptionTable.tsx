import type { AssumptionLine } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useState } from 'react';
import { assumptionName } from './assumptionName.ts';
import { AssumptionValue } from './AssumptionValue.tsx';
import { RangePicture } from './RangePicture.tsx';

interface Props {
  lines: readonly AssumptionLine[];
  overrides: Readonly<Record<string, number>>;
  /** Keys people change most, shown first while nothing is searched. */
  daily: readonly string[];
  /** Letters of the shop's currency. */
  currency: string;
  /** Null: back to the default. */
  onChange: (key: string, value: number | null) => void;
}

const columnsFor = ({ overrides, currency, onChange }: Props): GridColDef<AssumptionLine>[] => [
  {
    field: 'name',
    headerName: 'name',
    flex: 2,
    valueGetter: (_, line) => assumptionName(line.key),
    renderCell: ({ row, value }) => <strong title={`in files: ${row.key}`}>{value as string}</strong>,
  },
  {
    field: 'value',
    headerName: 'value',
    width: 178,
    valueGetter: (_, line) => overrides[line.key] ?? line.value,
    renderCell: ({ row }) => (
      <AssumptionValue
        line={row}
        value={overrides[row.key]}
        currency={currency}
        onChange={(value) => onChange(row.key, value)}
      />
    ),
  },
  {
    field: 'range',
    headerName: 'in its range',
    width: 118,
    sortable: false,
    renderCell: ({ row }) => (
      <div>
        <RangePicture
          min={row.min}
          max={row.max}
          standard={row.value}
          now={overrides[row.key] ?? row.value}
        />
        <div className="soft small">
          {row.min} to {row.max.toLocaleString('en-GB')}
        </div>
      </div>
    ),
  },
  {
    field: 'reason',
    headerName: 'why',
    flex: 4,
    sortable: false,
    renderCell: ({ row }) => (
      <div className="soft">
        {row.reason}
        {overrides[row.key] !== undefined && (
          <Button
            variant="text"
            onClick={() => onChange(row.key, null)}
            aria-label={`${assumptionName(row.key)} back to ${row.value}`}
          >
            back to {row.value}
          </Button>
        )}
      </div>
    ),
  },
];

/** Every judgement number: found by words, changed in place within its range, each with its unit and reason. */
export function AssumptionTable(props: Props) {
  const { lines, overrides, daily } = props;
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found =
    words.length === 0
      ? [...lines].sort((a, b) => Number(daily.includes(b.key)) - Number(daily.includes(a.key)))
      : lines.filter(({ key, reason, unit }) =>
          words.every((w) => `${key} ${assumptionName(key)} ${reason} ${unit}`.toLowerCase().includes(w)),
        );
  return (
    <section aria-label="Assumptions" className="assumptions">
      <div className="row-head">
        <h2 className="kicker">
          Every number that is judgement: {found.length} of {lines.length}
        </h2>
        <InputBase
          className="search"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          placeholder="find: labour, salt, seizure"
          slotProps={{ input: { 'aria-label': 'Find an assumption' } }}
        />
      </div>
      <DataGrid
        aria-label="Judgement numbers"
        rows={found}
        columns={columnsFor(props)}
        getRowId={({ key }) => key}
        getRowClassName={({ row }) => (overrides[row.key] === undefined ? '' : 'changed')}
        getRowHeight={() => 'auto'}
        getEstimatedRowHeight={() => 52}
        columnHeaderHeight={32}
        density="compact"
        hideFooter
        disableColumnMenu
        disableRowSelectionOnClick
      />
    </section>
  );
}

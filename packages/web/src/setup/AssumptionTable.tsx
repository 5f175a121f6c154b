import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { useState } from 'react';
import { assumptionName, unitInWords, valueInWords } from './assumptionName.ts';
import type { AssumptionLine } from '@hardy/core/contract';

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

const SHOWN = 40;

/** Every judgement number: found by words, changed in place within its range, each with its unit and reason. */
export function AssumptionTable({ lines, overrides, daily, currency, onChange }: Props) {
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found =
    words.length === 0
      ? [...lines].sort((a, b) => Number(daily.includes(b.key)) - Number(daily.includes(a.key)))
      : lines.filter(({ key, reason, unit }) =>
          words.every((w) => `${key} ${assumptionName(key)} ${reason} ${unit}`.toLowerCase().includes(w)),
        );
  return (
    <section aria-label="Assumptions">
      <div className="row-head">
        <h2 className="kicker">Every number that is judgement</h2>
        <InputBase
          className="search"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          placeholder="find: labour, salt sensor, seizure, code open\u2026"
          slotProps={{ input: { 'aria-label': 'Find an assumption' } }}
        />
      </div>
      <table className="assumptions">
        <thead>
          <tr>
            <th scope="col">name</th>
            <th scope="col">value</th>
            <th scope="col">range</th>
            <th scope="col">why</th>
            <th scope="col">
              <span className="unseen">reset</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.slice(0, SHOWN).map((line) => (
            <Row
              key={line.key}
              line={line}
              currency={currency}
              value={overrides[line.key]}
              onChange={onChange}
            />
          ))}
        </tbody>
      </table>
      <p className="soft">
        {found.length > SHOWN ? `${found.length - SHOWN} more: narrow the search` : `${found.length} shown`}
      </p>
    </section>
  );
}

function Row({
  line,
  currency,
  value,
  onChange,
}: {
  line: AssumptionLine;
  currency: string;
  value: number | undefined;
  onChange: Props['onChange'];
}) {
  const unit = unitInWords(line.unit, currency);
  const now = value ?? line.value;
  const [text, setText] = useState(String(now));
  const [shown, setShown] = useState(now);
  if (shown !== now) {
    setShown(now);
    setText(String(now));
  }
  const typed = Number(text.replace(',', '.'));
  const bad = text.trim() === '' || !Number.isFinite(typed) || typed < line.min || typed > line.max;
  const keep = () => {
    if (!bad && typed !== now) onChange(line.key, typed === line.value ? null : typed);
  };
  return (
    <tr className={value === undefined ? '' : 'changed'}>
      <th scope="row" title={`in files: ${line.key}`}>
        {assumptionName(line.key)}
      </th>
      <td className="nowrap">
        <input
          className={bad ? 'plain-field bad' : 'plain-field'}
          aria-label={`${assumptionName(line.key)}, ${unit}`}
          aria-invalid={bad}
          value={text}
          size={8}
          onChange={(event) => setText(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => {
            if (event.key === 'Enter') keep();
            if (event.key === 'Escape') setText(String(now));
          }}
        />{' '}
        {unit === 'probability' ? <span className="soft">{bad ? '' : valueInWords(typed, unit)}</span> : unit}
      </td>
      <td className="soft nowrap">
        {bad ? (
          <span className="look-here">
            from {line.min} to {line.max}
          </span>
        ) : (
          `${line.min} to ${line.max}`
        )}
      </td>
      <td className="soft">{line.reason}</td>
      <td>
        {value !== undefined && (
          <Button
            variant="text"
            onClick={() => onChange(line.key, null)}
            aria-label={`${assumptionName(line.key)} back to ${line.value}`}
          >
            back to {line.value}
          </Button>
        )}
      </td>
    </tr>
  );
}

import type { Unheard } from '@hardy/core/contract';
import { OUTCOME_RESULTS, type OutcomeResult } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { useKeys } from '../desk/useKeys.ts';
import { RESULT_IN_WORDS, resultInWords } from '../docket/outcomeWords.ts';
import { changeDocket } from '../state/useDocket.ts';
import { today } from '../today.ts';

/** Orders of which nobody said what came of them, oldest first: who to call, what to ask, one key for the answer. */
export function AskList() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [at, setAt] = useState(0);
  const [wrong, setWrong] = useState<string | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const list = useQuery({
    queryKey: ['unheard'],
    queryFn: ({ signal }) => call('GET /ledger/unheard', { signal }),
  });
  const rows = list.data?.unheard ?? [];
  const row: Unheard | undefined = rows[Math.min(at, rows.length - 1)];
  const answer = async (result: OutcomeResult) => {
    if (!row) return;
    try {
      setWrong(null);
      const done = await changeDocket(row.id, `closed: ${result}`, (d) => ({
        ...d,
        outcome: { ...d.outcome, result, on: today() },
      }));
      if (done) setTold(`${row.number}: ${resultInWords(result)}`);
      await queries.invalidateQueries({ queryKey: ['unheard'] });
    } catch (problem) {
      setWrong(problemInWords(problem));
    }
  };
  const late = rows.filter((each) => each.late);
  /** Who has not been heard of for so long will not be: each is noted, one after the other. */
  const giveUp = async () => {
    try {
      setWrong(null);
      for (const { id } of late)
        await changeDocket(id, 'closed: never-heard', (d) => ({
          ...d,
          outcome: { ...d.outcome, result: 'never-heard', on: today() },
        }));
      setTold(`${late.length} never heard`);
    } catch (problem) {
      setWrong(problemInWords(problem));
    }
    await queries.invalidateQueries({ queryKey: ['unheard'] });
  };
  useKeys({
    ArrowDown: () => setAt(Math.min(rows.length - 1, at + 1)),
    ArrowUp: () => setAt(Math.max(0, at - 1)),
    Enter: () => {
      if (row) void navigate(`/docket/${row.id}`);
    },
    ...Object.fromEntries(OUTCOME_RESULTS.map((result, i) => [String(i + 1), () => void answer(result)])),
  });
  if (list.error)
    return (
      <p className="look-here" role="alert">
        {problemInWords(list.error)}
      </p>
    );
  if (rows.length === 0)
    return (
      <p className="empty" role="status">
        {told ? `Noted: ${told}. ` : ''}
        {list.data ? 'Every order that went out has been heard of.' : ''}
      </p>
    );
  return (
    <section aria-label="Orders not heard of">
      <p className="soft" role="status">
        {list.data?.total === 1 ? '1 order' : `${list.data?.total} orders`} went out and nobody said what came
        of it. {told ? `Noted: ${told}.` : ''}{' '}
        {late.length > 0 && (
          <Button onClick={() => void giveUp()}>
            Take {late.length} that went out too long ago as never heard
          </Button>
        )}
      </p>
      {wrong && (
        <p className="look-here" role="alert">
          {wrong}
        </p>
      )}
      <table className="ledger-table">
        <thead>
          <tr>
            <th scope="col">Docket</th>
            <th scope="col">Went out</th>
            <th scope="col">Who</th>
            <th scope="col">Phone</th>
            <th scope="col">Vehicle</th>
            <th scope="col">Parts</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((each, i) => (
            <tr
              key={each.id}
              className={each === row ? 'chosen' : ''}
              aria-selected={each === row}
              onClick={() => setAt(i)}
            >
              <td>
                <Link to={`/docket/${each.id}`}>{each.number}</Link>
              </td>
              <td>{each.handedOn}</td>
              <td>{each.customerName ?? 'not known'}</td>
              <td className="mono">{each.phone ?? 'no phone'}</td>
              <td>{each.vehicleName ?? 'not known'}</td>
              <td className="mono small">{each.parts}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {row && (
        <div className="ask-now">
          <p>
            <strong>{row.number}</strong>: {row.ask}
          </p>
          <div className="answers" role="group" aria-label={`What came of docket ${row.number}`}>
            {OUTCOME_RESULTS.map((result, i) => (
              <Button key={result} onClick={() => void answer(result)}>
                <kbd>{i + 1}</kbd> {RESULT_IN_WORDS[result]}
              </Button>
            ))}
          </div>
        </div>
      )}
    </section>
  );
}

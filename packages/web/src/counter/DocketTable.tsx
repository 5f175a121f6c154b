import { useNavigate } from 'react-router';
import { memo, type KeyboardEvent } from 'react';
import type { DocketLine } from '@hardy/core/contract';
import { resultInWords } from '../docket/outcomeWords.ts';
import { age } from '../format.ts';

const STATE_IN_WORDS = { open: 'open', ordered: 'ordered', closed: 'closed' } as const;
const ACTION_MARK = { sell: '\u25B6 sell', check: '? check', 'no-part': '\u00D7 no part' } as const;

const walk = (event: KeyboardEvent<HTMLElement>): void => {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (!step) return;
  event.preventDefault();
  const links = [...(event.currentTarget.querySelectorAll<HTMLAnchorElement>('a.docket-link') ?? [])];
  const at = links.indexOf(document.activeElement as HTMLAnchorElement);
  links[Math.min(links.length - 1, Math.max(0, at + step))]?.focus();
};

/** One docket of the list; drawn anew only when it changed: a key in the line above does not touch it. */
const Row = memo(function Row({ line }: { line: DocketLine }) {
  const navigate = useNavigate();
  return (
    <tr onClick={() => void navigate(`/docket/${line.id}`)}>
      <td className="mono">
        <a
          className="docket-link"
          href={`/docket/${line.id}`}
          onClick={(event) => {
            event.preventDefault();
            event.stopPropagation();
            void navigate(`/docket/${line.id}`);
          }}
        >
          {line.number}
        </a>
      </td>
      <td className="nowrap">{age(line.createdAt)}</td>
      <td>
        <strong>{line.vehicleName ?? 'vehicle not known'}</strong>
        <span className="soft">
          {' '}
          {[line.fleetNumber, line.customerName].filter(Boolean).join(' \u00B7 ')}
        </span>
      </td>
      <td className="mono">{line.wheelEnd ?? '\u2014'}</td>
      <td className="headline">{line.headline}</td>
      <td className="nowrap">
        {line.state === 'closed'
          ? resultInWords(line.outcome)
          : line.state === 'ordered'
            ? STATE_IN_WORDS.ordered
            : ACTION_MARK[line.action]}
      </td>
    </tr>
  );
});

/** Dockets with age, corner and state; arrows walk them, Enter opens one. */
export function DocketTable({ dockets, caption }: { dockets: readonly DocketLine[]; caption: string }) {
  return (
    <table className="dockets" onKeyDown={walk}>
      <caption className="unseen">{caption}</caption>
      <thead>
        <tr>
          <th scope="col">No.</th>
          <th scope="col">Age</th>
          <th scope="col">Vehicle</th>
          <th scope="col">Corner</th>
          <th scope="col">What to say</th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        {dockets.map((line) => (
          <Row key={line.id} line={line} />
        ))}
      </tbody>
    </table>
  );
}

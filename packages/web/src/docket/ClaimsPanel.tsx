import { changeClaim, foundOnIt, raiseClaim, type Claim, type Docket } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { price } from '../format.ts';
import { today } from '../today.ts';
import { EditableField } from './EditableField.tsx';
import type { Change } from './factEdits.ts';
import { numberWithin } from './numberWithin.ts';

interface Props {
  id: string;
  docket: Docket;
  currency: string;
  change: Change;
  /** Parts that are with the customer or came back: what may be claimed. */
  parts: readonly string[];
}

const STATE_IN_WORDS: Readonly<Record<Claim['state'], string>> = {
  raised: 'raised, not sent yet',
  sent: 'sent to the supplier',
  accepted: 'accepted',
  refused: 'refused',
};

/** Claims on parts that failed: what the returned one shows, what its supplier says, how it was settled. */
export function ClaimsPanel({ id, docket, currency, change, parts }: Props) {
  const claims = docket.claims ?? [];
  const open = parts.filter((part) => !claims.some(({ partNumber }) => partNumber === part));
  if (claims.length === 0 && open.length === 0) return null;
  const put = (at: number, label: string, more: Partial<Claim>) =>
    change(`claim: ${label}`, (d) => changeClaim(d, at, more));
  return (
    <details className="claims" open={claims.length > 0}>
      <summary>{claims.length === 0 ? 'A part failed' : `Claims: ${claims.length}`}</summary>
      {claims.map((claim, i) => (
        <section key={`${claim.partNumber}-${i}`} aria-label={`Claim on ${claim.partNumber}`}>
          <p>
            <span className="mono">{claim.partNumber}</span>,{' '}
            {claim.fromBox ? 'bad from the box' : 'failed in use'},{' '}
            <strong>{STATE_IN_WORDS[claim.state]}</strong>{' '}
            <Link to={`/docket/${id}/claim/${i + 1}`}>page</Link>
          </p>
          <dl className="vehicle-fields">
            <EditableField
              label="Batch"
              longest={60}
              value={claim.batch}
              onChange={(batch) => put(i, 'batch', { batch })}
            />
            <EditableField
              label="Metered, ohm"
              value={claim.ohms == null ? null : String(claim.ohms)}
              placeholder="1150, open or unsteady"
              problemWith={(text) => {
                if (/^(open|unsteady)$/i.test(text.trim())) return null;
                const read = numberWithin(text, 'ohm', 0, 1e9);
                return 'problem' in read ? `${read.problem} Or write open, or unsteady.` : null;
              }}
              onChange={(text) => {
                if (text === null) return put(i, 'metered', { ohms: null });
                const word = text.trim().toLowerCase();
                if (word === 'open' || word === 'unsteady') return put(i, 'metered', { ohms: word });
                const read = numberWithin(text, 'ohm', 0, 1e9);
                if ('value' in read) put(i, 'metered', { ohms: read.value });
              }}
            />
            <EditableField
              label="Looked at"
              longest={300}
              value={claim.looked}
              onChange={(looked) => put(i, 'looked at', { looked })}
            />
            {claim.state !== 'raised' && (
              <EditableField
                label="Supplier says"
                longest={300}
                value={claim.answer}
                onChange={(answer) =>
                  put(i, 'answer', { answer, answeredOn: answer === null ? null : today() })
                }
              />
            )}
            {claim.settled === 'refund' && (
              <EditableField
                label="Refunded"
                value={claim.refundCents == null ? null : price(claim.refundCents / 100, currency)}
                problemWith={(text) => {
                  const read = numberWithin(text, '', 0, 1e6);
                  return 'problem' in read ? read.problem : null;
                }}
                onChange={(text) => {
                  const read = text === null ? { value: null } : numberWithin(text, '', 0, 1e6);
                  if ('value' in read)
                    put(i, 'refund', {
                      refundCents: read.value === null ? null : Math.round(read.value * 100),
                    });
                }}
              />
            )}
          </dl>
          <p className="soft small">{foundOnIt(claim)}</p>
          <div className="answers">
            {claim.state === 'raised' && (
              <Button onClick={() => put(i, 'sent', { state: 'sent' })}>Sent to the supplier</Button>
            )}
            {claim.state === 'sent' && (
              <>
                <Button
                  onClick={() =>
                    put(i, 'exchange', { state: 'accepted', settled: 'exchange', answeredOn: today() })
                  }
                >
                  Accepted: exchange
                </Button>
                <Button
                  onClick={() =>
                    put(i, 'refund', { state: 'accepted', settled: 'refund', answeredOn: today() })
                  }
                >
                  Accepted: refund
                </Button>
                <Button onClick={() => put(i, 'refused', { state: 'refused', answeredOn: today() })}>
                  Refused
                </Button>
              </>
            )}
          </div>
        </section>
      ))}
      {open.length > 0 && (
        <p className="answers">
          {open.map((partNumber) => (
            <Button
              key={partNumber}
              variant="text"
              onClick={() =>
                change('claim raised', (d) =>
                  raiseClaim(d, { partNumber, quantity: 1, on: today(), fromBox: false }),
                )
              }
            >
              claim {partNumber}
            </Button>
          ))}
        </p>
      )}
    </details>
  );
}

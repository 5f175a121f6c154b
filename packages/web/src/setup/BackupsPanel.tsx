import Button from '@mui/material/Button';
import { problemInWords } from '../api/client.ts';
import { age } from '../format.ts';
import { jumpInWords, megabytes, WHY_IN_WORDS } from './backupWords.ts';
import { HeldBackups } from './HeldBackups.tsx';
import { useBackups } from './useBackups.ts';

/** Backups shown at once; the others are one click away. */
const SHOWN = 5;

/** The backups of the shop: when they were made, what they still hold, what cannot be read, and one made now. */
export function BackupsPanel() {
  const { view, make, remove, error } = useBackups();
  if (!view) return error ? <p className="look-here">{problemInWords(error)}</p> : null;
  const { folder, making, problem, backups, unreadable, clock } = view;
  if (folder === null) return <p className="none">This server makes no backups.</p>;
  const line = (backup: (typeof backups)[number]) => (
    <li key={backup.name}>
      {age(backup.at)} ago, {WHY_IN_WORDS[backup.why]}{' '}
      <span className="soft">
        {megabytes(backup.bytes)}
        {backup.training ? ', with training' : ''}
      </span>
    </li>
  );
  return (
    <section aria-label="Backups">
      {(error ?? problem) && (
        <p className="look-here" role="alert">
          {error ? problemInWords(error) : `The last backup failed: ${problem}.`}
        </p>
      )}
      {clock.map(({ at, byMs }) => (
        <p key={at} className="look-here">
          The clock of this machine moved {jumpInWords(byMs)}, seen {age(at)} ago. Check its date.
        </p>
      ))}
      {backups.length === 0 && <p className="none">None yet.</p>}
      <ul>{backups.slice(0, SHOWN).map(line)}</ul>
      {backups.length > SHOWN && (
        <details>
          <summary>{backups.length - SHOWN} older</summary>
          <ul>{backups.slice(SHOWN).map(line)}</ul>
        </details>
      )}
      <HeldBackups view={view} busy={remove.isPending} onDelete={(names) => remove.mutate(names)} />
      {unreadable.length > 0 && (
        <>
          <p className="look-here">
            {unreadable.length === 1 ? 'One entry' : `${unreadable.length} entries`} of the folder cannot be
            read and {unreadable.length === 1 ? 'does' : 'do'} not count as a backup:
          </p>
          <ul className="soft">
            {unreadable.map(({ name, reason }) => (
              <li key={name}>
                <span className="mono">{name}</span>: {reason}
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="answers">
        <Button disabled={making !== null || make.isPending} onClick={() => make.mutate()}>
          {making ? `Backing up\u2026 ${Math.round(making.progress * 100)} %` : 'Back up now'}
        </Button>
      </div>
      <p className="soft small">
        In <span className="mono">{folder}</span>. Copy this folder to another disk.
      </p>
    </section>
  );
}

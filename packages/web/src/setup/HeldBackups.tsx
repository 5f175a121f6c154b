import type { BackupsView } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { age } from '../format.ts';
import { deletable, heldInWords, WHY_IN_WORDS } from './backupWords.ts';

interface Props {
  view: BackupsView;
  busy: boolean;
  onDelete: (names: readonly string[]) => void;
}

/** Older backups that still hold customers who were erased, with a button that deletes them. */
export function HeldBackups({ view, busy, onDelete }: Props) {
  const held = deletable(view);
  if (held.length === 0) return null;
  return (
    <div className="held-backups">
      <p>
        {held.length === 1 ? 'One older backup still holds' : `${held.length} older backups still hold`}{' '}
        erased customers:
      </p>
      <ul>
        {held.map((backup) => (
          <li key={backup.name}>
            {age(backup.at)} ago, {WHY_IN_WORDS[backup.why]}{' '}
            <span className="soft">{heldInWords(backup)}</span>
          </li>
        ))}
      </ul>
      <Button disabled={busy} onClick={() => onDelete(held.map(({ name }) => name))}>
        {held.length === 1 ? 'Delete this backup' : `Delete these ${held.length} backups`}
      </Button>
    </div>
  );
}

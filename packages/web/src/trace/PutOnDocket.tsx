import { type TraceFinding } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { DocketChoice } from '../desk/DocketChoice.tsx';

interface Props {
  finding: TraceFinding;
  /** The docket this log was opened from, if any. */
  docketId: string | null;
  busy: boolean;
  onPut: (docketId: string) => void;
}

/** One press puts the finding on the docket it belongs to; without one, it is chosen first. */
export function PutOnDocket({ finding, docketId, busy, onPut }: Props) {
  const [chosen, setChosen] = useState('');
  const target = docketId ?? (chosen || null);
  return (
    <div className="put-on">
      {!docketId && (
        <DocketChoice value={chosen} onChoice={setChosen} label="Docket to put it on" ask="which docket?" />
      )}
      <Button variant="contained" disabled={!target || busy} onClick={() => target && onPut(target)}>
        Put {finding.wheelEnd} on the docket
      </Button>
    </div>
  );
}

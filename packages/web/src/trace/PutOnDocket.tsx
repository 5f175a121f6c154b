import { type TraceFinding } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../api/client.ts';
import { Choice } from '../desk/Choice.tsx';

interface Props {
  finding: TraceFinding;
  /** The docket this log was opened from, if any. */
  docketId: string | null;
  busy: boolean;
  onPut: (docketId: string) => void;
}

/** One press puts the finding on the docket it belongs to; without one, it is chosen first. */
export function PutOnDocket({ finding, docketId, busy, onPut }: Props) {
  const { data } = useQuery({
    queryKey: ['dockets', ''],
    queryFn: ({ signal }) => call('GET /dockets', { query: { state: 'current' }, signal }),
    enabled: docketId === null,
  });
  const [chosen, setChosen] = useState('');
  const target = docketId ?? (chosen || null);
  return (
    <div className="put-on">
      {!docketId && (
        <Choice
          value={chosen}
          onChoice={setChosen}
          label="Docket to put it on"
          options={[
            { value: '', label: 'which docket?' },
            ...(data?.dockets ?? []).map((docket) => ({
              value: docket.id,
              label: `${docket.number} ${docket.fleetNumber ?? docket.vehicleName ?? docket.customerName ?? ''}`,
            })),
          ]}
        />
      )}
      <Button variant="contained" disabled={!target || busy} onClick={() => target && onPut(target)}>
        Put {finding.wheelEnd} on the docket
      </Button>
    </div>
  );
}

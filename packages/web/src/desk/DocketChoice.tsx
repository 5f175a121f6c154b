import { useQuery } from '@tanstack/react-query';
import { call } from '../api/client.ts';
import { Choice } from './Choice.tsx';

interface Props {
  value: string;
  /** What stands there while none is chosen. */
  ask: string;
  label: string;
  onChoice: (id: string) => void;
}

/** One of the dockets on the counter: its number and what it is known by. */
export function DocketChoice({ value, ask, label, onChoice }: Props) {
  const { data } = useQuery({
    queryKey: ['dockets', ''],
    queryFn: ({ signal }) => call('GET /dockets', { query: { state: 'current' }, signal }),
  });
  return (
    <Choice
      value={value}
      onChoice={onChoice}
      label={label}
      options={[
        { value: '', label: ask },
        ...(data?.dockets ?? []).map((docket) => ({
          value: docket.id,
          label: `${docket.number} ${docket.fleetNumber ?? docket.vehicleName ?? docket.customerName ?? ''}`,
        })),
      ]}
    />
  );
}

import type { VisitView } from '@hardy/core/contract';
import {
  PART_CLASSES,
  PART_IN_WORDS,
  partsOf,
  type PartClass,
  type PracticeDeed,
  type SentWith,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { Choice } from '../desk/Choice.tsx';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { submitOnEnter } from './submitOnEnter.ts';
import { useDocket } from '../state/useDocket.ts';

const WORKS = [
  ['seating', 'clean the seat, set the sensor home'],
  ['loom', 'mend the loom'],
  ['tyre', 'tyres of one size'],
  ['supply', 'battery and supply'],
  ['none-present', 'clear the code and drive'],
] as const;
const NOT_FITTED: ReadonlySet<PartClass> = new Set(['sender']);

interface Props {
  visit: VisitView;
  onClose: () => void;
  onSend: (deed: PracticeDeed, sent: SentWith) => void;
}

/** What the customer is sent away with: the parts of the order, other parts, work without a part, or a workshop's address. */
export function SendDialog({ visit, onClose, onSend }: Props) {
  const { view } = useDocket(visit.docketId);
  const chosen = view?.docket.chosen ?? null;
  const ordered = chosen ? partsOf(chosen).map(({ part }) => part) : [];
  const [way, setWay] = useState<string | null>(null);
  const [place, setPlace] = useState<string | null>(null);
  const [sheet, setSheet] = useState(false);
  const [stop, setStop] = useState(false);
  const options = [
    ...(chosen
      ? [{ value: 'order', label: `the order: ${ordered.map((part) => PART_IN_WORDS[part]).join(' and ')}` }]
      : []),
    ...PART_CLASSES.filter((part) => !NOT_FITTED.has(part)).map((part) => ({
      value: `part ${part}`,
      label: PART_IN_WORDS[part],
    })),
    ...WORKS.map(([work, label]) => ({ value: `work ${work}`, label: `no part: ${label}` })),
    { value: 'refer', label: 'to a workshop' },
  ];
  const now = way ?? (chosen ? 'order' : 'part sensor');
  const at = place ?? chosen?.wheelEnd ?? view?.advice.wheelEnd ?? visit.wheels[0]?.wheelEnd ?? 'A1L';
  const deed = (): PracticeDeed => {
    if (now === 'order' && chosen) return { kind: 'parts', parts: ordered, at: chosen.wheelEnd };
    if (now === 'refer') return { kind: 'refer' };
    const [kind, what = ''] = now.split(' ');
    return kind === 'work'
      ? { kind: 'work', work: what as (typeof WORKS)[number][0], at: what === 'supply' ? null : at }
      : { kind: 'parts', parts: [what as PartClass], at };
  };
  const needsPlace = now !== 'order' && now !== 'refer' && now !== 'work supply';
  return (
    <DeskDialog open onClose={onClose} aria-labelledby="send-title">
      <form
        onKeyDown={submitOnEnter}
        onSubmit={(event) => {
          event.preventDefault();
          onClose();
          onSend(deed(), { sheet, stop });
        }}
      >
        <DialogTitle id="send-title">Send the customer away</DialogTitle>
        <DialogContent className="practice-fields">
          <label htmlFor="send-way">With</label>
          <Choice id="send-way" value={now} options={options} onChoice={setWay} fullWidth autoFocus />
          {needsPlace && (
            <>
              <label htmlFor="send-at">For</label>
              <Choice
                id="send-at"
                value={at}
                options={visit.wheels.map(({ wheelEnd, words }) => ({ value: wheelEnd, label: words }))}
                onChoice={setPlace}
                fullWidth
              />
            </>
          )}
          <FormControlLabel
            control={<Checkbox checked={sheet} onChange={(_, is) => setSheet(is)} />}
            label="They have the sheet, and its cautions were said"
          />
          <FormControlLabel
            control={<Checkbox checked={stop} onChange={(_, is) => setStop(is)} />}
            label="They were told not to drive it"
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Not yet</Button>
          <Button type="submit" variant="contained">
            Send away
          </Button>
        </DialogActions>
      </form>
    </DeskDialog>
  );
}

import {
  declineWay,
  takeWay,
  type ChosenOffer,
  type ComparedWay,
  type Comparison,
  type DeclinedOffer,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { today } from '../today.ts';
import { useDraft } from '../desk/useDraft.ts';
import { money } from '../format.ts';

interface Props {
  way: ComparedWay | null;
  comparison: Comparison;
  /** The ways that were on the screen: those are the ones declined. */
  shown: readonly ComparedWay[];
  onClose: () => void;
  onTake: (chosen: ChosenOffer, declined: DeclinedOffer[]) => void;
}

const USUAL = [
  'dearer on this job',
  'must leave today',
  'not on the shelf',
  'the customer would not',
  'another brand wanted',
];

/** Taking a way: what was compared and left is kept with the reason. */
export function TakeWayDialog({ way, onClose, ...rest }: Props) {
  return (
    <DeskDialog open={way !== null} onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="take-title">
      {way && <TakeWay key={way.id} way={way} onClose={onClose} {...rest} />}
    </DeskDialog>
  );
}

function TakeWay({ way, comparison, shown, onClose, onTake }: Props & { way: ComparedWay }) {
  const others = shown.filter(({ id, kind }) => id !== way.id && kind === 'parts');
  const [draft, setReasons] = useDraft<Record<string, string>>(`take.${window.location.pathname}.${way.id}`);
  const reasons = draft ?? {};
  const own = comparison.ways.findIndex(({ id }) => id === way.id);
  const usual = (other: ComparedWay): string => {
    const gap = other.allIn.mean - way.allIn.mean;
    const wins = comparison.beats[own]?.[comparison.ways.findIndex(({ id }) => id === other.id)] ?? 0;
    return gap >= 0
      ? `${money(gap, comparison.currency)} dearer on average, dearer in ${Math.round(wins * 100)} of 100`
      : `not wanted, though ${money(-gap, comparison.currency)} cheaper on average`;
  };
  const take = () => {
    const chosen = takeWay(way, today());
    if (chosen)
      onTake(
        chosen,
        others.map((other) => {
          const said = (reasons[other.id] ?? '').trim();
          // What was advised, or what the counter has a reason for, is printed.
          return declineWay(other, said || usual(other), said !== '' || other.id === comparison.ways[0]?.id);
        }),
      );
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <DialogTitle id="take-title">Take the {way.label}</DialogTitle>
      <DialogContent>
        <p className="soft gap">Why not the others? Left as it is, the figures are the reason.</p>
        <ul className="declines">
          {others.map((other) => (
            <li key={other.id}>
              <TextField
                size="small"
                fullWidth
                label={other.label}
                value={reasons[other.id] ?? ''}
                placeholder={usual(other)}
                slotProps={{
                  htmlInput: { list: 'usual-reasons', maxLength: 300 },
                  inputLabel: { shrink: true },
                }}
                onChange={(event) => setReasons({ ...reasons, [other.id]: event.target.value })}
              />
            </li>
          ))}
        </ul>
        <datalist id="usual-reasons">
          {USUAL.map((reason) => (
            <option key={reason} value={reason} />
          ))}
        </datalist>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not yet</Button>
        <Button type="submit" variant="contained" autoFocus>
          Put it on the order
        </Button>
      </DialogActions>
    </form>
  );
}

import type { DocketView } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { age } from '../format.ts';

interface Props {
  view: DocketView;
  /** Changes the server has not taken yet. */
  waiting: number;
  /** Whether they wait for a server that is away. */
  held: boolean;
  onStep: (way: 'undo' | 'redo') => void;
}

/** Which docket this is, what of it is not saved yet, and the way back. */
export function DocketHead({ view, waiting, held, onStep }: Props) {
  const { docket, advice } = view;
  return (
    <div className="docket-head">
      <h1>
        Docket <span className="mono">{view.number}</span>
      </h1>
      <span className="soft">
        {[
          docket.customer?.name,
          advice.vehicle.name,
          docket.vehicle?.fleetNumber,
          `opened ${age(view.createdAt)} ago`,
          view.state,
        ]
          .filter(Boolean)
          .join(' \u00B7 ')}
      </span>
      {waiting > 0 && (
        <span
          className={held ? 'unsaved look-here' : 'unsaved soft'}
          // What is saved in a moment need not be read aloud.
          role={held ? 'status' : undefined}
        >
          {waiting === 1 ? 'not saved yet' : `${waiting} changes not saved yet`}
        </span>
      )}
      <span className="docket-tools">
        <Button variant="text" disabled={!view.canUndo} onClick={() => onStep('undo')}>
          undo <kbd>u</kbd>
        </Button>
        <Button variant="text" disabled={!view.canRedo} onClick={() => onStep('redo')}>
          redo <kbd>r</kbd>
        </Button>
        <Button variant="text" component={Link} to={`/docket/${view.id}/devices`}>
          devices <kbd>d</kbd>
        </Button>
        <Button variant="text" component="a" href={`/api/dockets/${view.id}/file`}>
          export
        </Button>
        <Button variant="text" component={Link} to="/">
          counter <kbd>b</kbd>
        </Button>
      </span>
    </div>
  );
}

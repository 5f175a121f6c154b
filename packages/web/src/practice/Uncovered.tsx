import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Desk } from '../desk/Desk.tsx';
import { useDocket } from '../state/useDocket.ts';
import { useCovered } from './covered.ts';

/** A screen that tells what to do: at the practice counter it waits until the learner has decided. */
export function Uncovered({ untilTaken = false, children }: { untilTaken?: boolean; children: ReactNode }) {
  const { id = '' } = useParams();
  const hides = useCovered(id);
  const { view } = useDocket(hides ? id : null);
  if (!hides || (untilTaken && view?.docket.chosen)) return children;
  return (
    <Desk>
      <div className="sheet">
        <h1>Covered</h1>
        <p className="empty">
          {untilTaken
            ? 'The sheet comes with what is sold: take a part on the docket first, or send the customer away without one.'
            : 'What each way costs is for you to say with this customer. Uncover the advice, and it is shown.'}{' '}
          <Link to={`/docket/${id}`}>Back to the docket</Link>
        </p>
      </div>
    </Desk>
  );
}

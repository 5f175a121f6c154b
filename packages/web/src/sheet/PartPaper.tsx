import type { DocketView } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { useNavigate, useParams } from 'react-router';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { useDocket } from '../state/useDocket.ts';
import { claimPaper } from './claimPaper.ts';
import type { Paper } from './paper.ts';
import { PaperHead } from './PaperHead.tsx';
import { PaperTools } from './PaperTools.tsx';
import { returnPaper } from './returnPaper.ts';
import './sheet.css';

/** A page about one part, for the supplier or for the books, with the same as an open file; who the customer is stands on neither. */
function PartPaper({
  kind,
  paper,
}: {
  kind: 'claim' | 'return';
  paper: (view: DocketView, n: number) => Paper | null;
}) {
  const { id = '', n = '1' } = useParams();
  const navigate = useNavigate();
  const { view } = useDocket(id);
  const shown = view ? paper(view, Number(n)) : null;
  useTitle(shown?.title ?? kind, view ? `docket ${view.number}` : null);
  useKeys({ b: () => void navigate(`/docket/${id}`), p: () => window.print() });
  if (!view) return null;
  // A plate is who somebody is, too.
  const anonymous: DocketView = {
    ...view,
    docket: {
      ...view.docket,
      customer: null,
      vehicle: { ...view.docket.vehicle, plate: null, fleetNumber: null },
    },
  };
  const file = {
    format: `hardy-spoke/${kind}`,
    version: 1,
    docket: view.number,
    vehicle: view.advice.vehicle.name,
    ...shown?.file,
  };
  return (
    <div className="paper-desk">
      <PaperTools docketId={id}>
        {shown && (
          <Button
            className="on-bench"
            component="a"
            download={`${kind}-${view.number}-${n}.json`}
            href={`data:application/json,${encodeURIComponent(JSON.stringify(file, null, 2))}`}
          >
            file
          </Button>
        )}
      </PaperTools>
      <main className="paper">
        {shown ? (
          <>
            <PaperHead
              view={anonymous}
              title={shown.title}
              part={view.docket.chosen?.part ?? null}
              wheelEnd={shown.fitted ? (view.docket.chosen?.wheelEnd ?? null) : null}
            />
            <table className="claim-rows">
              <tbody>
                {shown.rows.map(([name, value]) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{value}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="soft">{shown.foot} Signed at the counter: ____________________</p>
          </>
        ) : (
          <p>
            There is no {kind} {n} on this docket.
          </p>
        )}
      </main>
    </div>
  );
}

/** A claim as a page of its own, for the supplier. */
export const ClaimScreen = () => <PartPaper kind="claim" paper={claimPaper} />;

/** A return as a page of its own. */
export const ReturnScreen = () => <PartPaper kind="return" paper={returnPaper} />;

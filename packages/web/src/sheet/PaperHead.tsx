import type { PartClass, WheelEnd } from '@hardy/core/words';
import { format } from 'date-fns/format';
import type { DocketView } from '@hardy/core/contract';
import { PartDrawing } from '../drawings/PartDrawing.tsx';

interface Props {
  view: DocketView;
  title: string;
  part: PartClass | null;
  wheelEnd: WheelEnd;
}

/** The head of a page that leaves the counter: what it is, for which vehicle, and which wheel is meant. */
export function PaperHead({ view, title, part, wheelEnd }: Props) {
  const { docket, advice } = view;
  return (
    <header className="paper-head">
      {part ? <PartDrawing part={part} size={64} /> : <span />}
      <div>
        <h1>{title}</h1>
        <p>
          {[
            advice.vehicle.name,
            docket.vehicle?.fleetNumber,
            docket.vehicle?.plate,
            docket.vehicle?.buildDate ? `built ${docket.vehicle.buildDate}` : null,
          ]
            .filter(Boolean)
            .join(' \u00B7 ')}
        </p>
        <p className="soft">
          Docket {view.number} {'\u00B7'} {format(new Date(view.updatedAt), 'd MMMM yyyy')}
          {docket.customer?.name ? ` \u00B7 ${docket.customer.name}` : ''}
        </p>
      </div>
      <p className="paper-corner">
        <span>left and right as seated facing forward</span>
        <strong className="mono">{wheelEnd}</strong>
      </p>
    </header>
  );
}

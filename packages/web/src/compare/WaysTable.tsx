import {
  SCHOOL_IN_WORDS,
  wheelEndInWords,
  type WheelNames,
  type Comparison,
  type ComparedWay,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import { hours, money, price } from '../format.ts';
import { CostBars } from './CostBars.tsx';

const CHART_WIDTH = 300;

interface Props {
  comparison: Comparison;
  ways: readonly ComparedWay[];
  vehicle: WheelNames;
  /** Whose prices: what the customer sees, or with the shop's own figures. */
  trade: boolean;
  onTake: (way: ComparedWay) => void;
}

const days = (way: ComparedWay): string =>
  way.kind !== 'parts'
    ? ''
    : way.waitDays === 0
      ? way.from === 'shelf'
        ? 'here now'
        : 'ask'
      : `${way.waitDays} d${way.from === 'branch' ? ', branch' : ''}`;

/** Every way with its figures, its bar on the common axis, and what each school would do. */
export function WaysTable({ comparison, ways, vehicle, trade, onTake }: Props) {
  const { currency } = comparison;
  const schoolsAt = (way: ComparedWay) =>
    comparison.schools.filter((each) => each.way === way.id).map(({ school }) => SCHOOL_IN_WORDS[school]);
  const index = (way: ComparedWay) => comparison.ways.findIndex(({ id }) => id === way.id);
  return (
    <table className="ways">
      <thead>
        <tr>
          <th scope="col">Way</th>
          {trade ? (
            <>
              <th scope="col">List</th>
              <th scope="col">Pays</th>
              <th scope="col">Margin</th>
            </>
          ) : (
            <>
              <th scope="col">Cures</th>
              <th scope="col">Parts</th>
              <th scope="col">Work</th>
            </>
          )}
          <th scope="col">All in, by what it is made of</th>
          <th scope="col">Mean</th>
          <th scope="col">Beats first</th>
          <th scope="col">
            <span className="unseen">Take</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way, i) => {
          const margin = way.costPrice === null ? null : way.price - way.costPrice;
          const schools = schoolsAt(way);
          const ends = [...new Set(way.parts.map(({ wheelEnd }) => wheelEnd))];
          return (
            <tr key={way.id} className={i === 0 ? 'ways-best' : undefined}>
              <th scope="row" title={way.because.join('; ')}>
                <span className="ways-label">{way.label}</span>
                <span className="soft small ways-more">
                  {schools.length > 0 ? (
                    <>
                      <span className="school-mark" aria-hidden="true">
                        {'\u25B8'}
                      </span>
                      {schools.length === comparison.schools.length && schools.length > 1
                        ? 'every school takes this'
                        : schools.join(', ')}
                    </>
                  ) : (
                    ends.map((end) => wheelEndInWords(end, vehicle)).join(' and ')
                  )}
                </span>
              </th>
              {trade ? (
                <>
                  <td>{price(way.listPrice, currency)}</td>
                  <td>{price(way.price, currency)}</td>
                  <td>
                    {margin === null || way.price <= 0 ? (
                      '\u2014'
                    ) : (
                      <>
                        {price(margin, currency)}
                        <span className="soft small ways-more">
                          {Math.round((margin / way.price) * 100)} % on {price(way.costPrice ?? 0, currency)}
                        </span>
                      </>
                    )}
                  </td>
                </>
              ) : (
                <>
                  <td>{Math.round(way.cures * 100)} in 100</td>
                  <td>{price(way.price, currency)}</td>
                  <td>
                    {way.labourHours > 0 ? hours(way.labourHours) : '\u2014'}
                    <span className="soft small ways-more">{days(way)}</span>
                  </td>
                </>
              )}
              {i === 0 && (
                <td rowSpan={ways.length + 1} className="ways-chart">
                  <CostBars ways={ways} width={CHART_WIDTH} currency={currency} />
                </td>
              )}
              <td>
                <strong>{money(way.allIn.mean, currency)}</strong>
                <span className="soft small ways-more">
                  {money(way.allIn.p10, currency)} to {money(way.allIn.p90, currency)}
                </span>
              </td>
              <td>
                {i === 0 ? '\u2014' : `${Math.round((comparison.beats[index(way)]?.[0] ?? 0) * 100)} in 100`}
              </td>
              <td>
                {way.parts.length > 0 && (
                  <Button
                    onClick={() => onTake(way)}
                    variant={i === 0 ? 'contained' : 'outlined'}
                    aria-label={`Take ${way.label}`}
                  >
                    Take
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
        <tr className="ways-axis">
          <td colSpan={4} />
          <td colSpan={3} />
        </tr>
      </tbody>
    </table>
  );
}

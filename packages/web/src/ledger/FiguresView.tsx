import type { Answer, LedgerGroup, LedgerShare } from '@hardy/core/contract';
import { CAUSE_SHORT, PART_IN_WORDS, type Cause, type PartClass } from '@hardy/core/words';
import { Bar, BarChart, Legend, XAxis, YAxis } from 'recharts';
import { Link } from 'react-router';
import { price } from '../format.ts';
import { ShareBar } from './ShareBar.tsx';

type Ledger = Answer<'GET /ledger'>;

const Row = ({ name, share }: { name: string; share: LedgerShare }) => (
  <tr>
    <th scope="row">{name}</th>
    <td>
      {share.n} of {share.of}
    </td>
    <td>{share.interval ? `${Math.round(share.interval.mean * 100)} in 100` : ''}</td>
    <td>
      <ShareBar share={share} />
    </td>
    <td className="soft">
      {share.interval
        ? `${Math.round(share.interval.low * 100)} to ${Math.round(share.interval.high * 100)}`
        : 'none counted'}
    </td>
  </tr>
);

const mixInWords = (mix: LedgerGroup['parts'], words: (name: string) => string = (name) => name): string =>
  mix.map(({ name, n }) => `${words(name)} ${n}`).join(', ') || 'none';

function Group({ title, group }: { title: string; group: LedgerGroup }) {
  return (
    <section aria-label={title}>
      <h3 className="kicker">
        {title}: {group.jobs}
      </h3>
      <table className="ledger-table">
        <tbody>
          <Row name="cured first time" share={group.cured} />
          <Row name="wrong part or not cured" share={group.wrongPart} />
          <Row name="came back" share={group.comeback} />
        </tbody>
      </table>
      <p className="soft small">
        said to cure: {group.said ? `${Math.round(group.said.mean * 100)} in 100` : 'not known'}
        <br />
        parts: {mixInWords(group.parts, (part) => PART_IN_WORDS[part as PartClass])}
        <br />
        causes: {mixInWords(group.causes, (cause) => CAUSE_SHORT[cause as Cause])}
        <br />
        lines: {mixInWords(group.lines)}
      </p>
    </section>
  );
}

/** Counts and money of closed jobs, by month, and what came of advice that was followed or not. */
export function FiguresView({ ledger, currency }: { ledger: Ledger; currency: string }) {
  const { figures, bad, weak } = ledger;
  if (figures.jobs === 0) return <p className="empty">No closed job is like that.</p>;
  const months = figures.months.slice(-18).map(({ month, cured, jobs }) => ({
    month: month.slice(2),
    cured: cured.n,
    'not cured': cured.of - cured.n,
    'not said': Math.max(0, jobs - cured.of),
  }));
  return (
    <div className="ledger-zones">
      <section aria-label="Counts">
        <h2 className="kicker">{figures.jobs} closed jobs</h2>
        <table className="ledger-table">
          <tbody>
            <Row name="cured first time" share={figures.cured} />
            <Row name="wrong part or not cured" share={figures.wrongPart} />
            <Row name="came back" share={figures.comeback} />
            <Row name="something returned" share={figures.returned} />
            <Row name="bad from the box" share={figures.badFromBox} />
            <Row name="old sensor snapped" share={figures.snapped} />
          </tbody>
        </table>
        <p>
          margin {price(figures.marginCents / 100, currency)}
          {figures.marginEach
            ? `, ${price(figures.marginEach.mean / 100, currency)} a job (${price(figures.marginEach.low / 100, currency)} to ${price(figures.marginEach.high / 100, currency)})`
            : ''}
          {figures.minutes ? ` \u00B7 ${figures.minutes.mean.toFixed(0)} min at the counter` : ''}
          {figures.neverHeard > 0 ? ` \u00B7 ${figures.neverHeard} never heard of` : ''}
        </p>
        <figure aria-label="Jobs by month">
          <div aria-hidden="true">
            <BarChart data={months} width={560} height={170} margin={{ left: 0 }} accessibilityLayer={false}>
              <XAxis dataKey="month" fontSize={11} />
              <YAxis width={30} fontSize={11} allowDecimals={false} />
              <Legend
                wrapperStyle={{ fontSize: 12 }}
                formatter={(name: string) => <span style={{ color: 'var(--ink)' }}>{name}</span>}
              />
              <Bar dataKey="cured" stackId="jobs" fill="#4b555a" isAnimationActive={false} />
              <Bar dataKey="not cured" stackId="jobs" fill="#b93a10" isAnimationActive={false} />
              <Bar dataKey="not said" stackId="jobs" fill="#cfc6b2" isAnimationActive={false} />
            </BarChart>
          </div>
          <figcaption className="unseen">
            {figures.months.map(({ month, jobs, cured }) => `${month}: ${cured.n} of ${jobs} cured. `)}
          </figcaption>
        </figure>
      </section>
      <section aria-label="Advice followed or not">
        <h2 className="kicker">Advice followed, or not</h2>
        <p className="soft small">
          People overrule for reasons: two groups of other jobs are not a trial. Look at what each is made of.
        </p>
        <Group title="Followed" group={figures.followed} />
        <Group title="Overruled" group={figures.overruled} />
        {bad.length > 0 && (
          <>
            <h3 className="kicker">Of all jobs: parts that came back bad from the box</h3>
            <ul>
              {bad.slice(0, 8).map((part) => (
                <li key={part.partNumber}>
                  <Link to={`/shelf?part=${encodeURIComponent(part.partNumber)}`} className="mono">
                    {part.partNumber}
                  </Link>{' '}
                  {part.tier}: {Math.round(part.bad)} of {Math.round(part.sold)}; likely{' '}
                  {Math.round(part.interval.low * 100)} to {Math.round(part.interval.high * 100)} in 100
                  {part.batches.length > 0
                    ? `; batches ${part.batches.map(({ batch, bad: n }) => `${batch} ${Math.round(n)}`).join(', ')}`
                    : ''}
                </li>
              ))}
            </ul>
          </>
        )}
        {weak.length > 0 && (
          <>
            <h3 className="kicker">Weak places of this line</h3>
            <ul>
              {weak.map(({ wheelEnd, cause, n, of, place }) => (
                <li key={`${wheelEnd} ${cause}`}>
                  {wheelEnd}: {CAUSE_SHORT[cause]} in {n} of {of}
                  {place ? `, ${place}` : ''}
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
    </div>
  );
}

import type { AccountStep } from '@hardy/core/words';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { Room } from './Room.tsx';
import { money } from '../format.ts';
import { SKILL_IN_WORDS } from './skillWords.ts';
import { took, useAtCounter, walkIn } from './useVisit.ts';

function Bar({ step, most, currency }: { step: AccountStep; most: number; currency: string }) {
  const width = (amount: number) =>
    `${(100 * Math.min(1, Math.abs(amount) / Math.max(1, most))).toFixed(1)}%`;
  return (
    <>
      <td className="account-bar">
        <span className="account-regret" style={{ width: width(step.regret) }} aria-hidden="true" />
        {step.better ? `${money(step.regret, currency)} too much` : 'as good as the best'}
      </td>
      <td className="account-bar">
        <span
          className={step.luck > 0 ? 'account-luck account-bad' : 'account-luck'}
          style={{ width: width(step.luck) }}
          aria-hidden="true"
        />
        {Math.round(Math.abs(step.luck)) === 0
          ? 'as expected'
          : `${money(Math.abs(step.luck), currency)} ${step.luck > 0 ? 'bad luck' : 'good luck'}`}
      </td>
    </>
  );
}

/** What a customer came to: judgement and luck apart, step by step, and one thing to practise next. */
export function AccountScreen() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { stands } = useAtCounter();
  const [problem, setProblem] = useState<string | null>(null);
  const { data: visit, error } = useQuery({
    queryKey: ['visit', id],
    queryFn: ({ signal }) => call('GET /practice/visits/:id', { params: { id }, signal }),
  });
  const account = visit?.account ?? null;
  useTitle('Account', visit?.learner);
  const attempt = (how: () => Promise<unknown>) => {
    setProblem(null);
    void how().catch((why: unknown) => setProblem(problemInWords(why)));
  };
  const again = (keep: number) =>
    attempt(async () => {
      const next = await call('POST /practice/visits/:id/replay', { params: { id }, body: { keep } });
      await took(next);
      stands(next.id);
      await navigate('/');
    });
  const next = () =>
    attempt(async () => {
      if (!visit) return;
      await walkIn(visit);
      await navigate('/');
    });
  useKeys({ n: next, b: () => void navigate('/hall') });
  const currency = visit?.currency ?? 'EUR';
  const most = Math.max(0, ...(account?.steps ?? []).flatMap(({ regret, luck }) => [regret, Math.abs(luck)]));
  const failure = problem ?? (error ? problemInWords(error) : null);
  return (
    <Room
      title="The account"
      note={
        visit &&
        `${visit.learner}, level ${visit.level}: ${visit.levelName}${visit.helped ? ', with help' : ''}`
      }
      tools={
        <Button onClick={next}>
          Next customer <kbd>n</kbd>
        </Button>
      }
      problem={failure}
      className="account-sheet"
    >
      {!visit && !failure && <Skeleton variant="rectangular" height={400} />}
      {visit && !account && <p className="empty">The customer is still here: send them away first.</p>}
      {visit && account && (
        <>
          <p className="account-sum" data-testid="sum">
            It came to <strong>{money(account.cost, currency)}</strong>. When they walked in,{' '}
            {money(account.fair, currency)} was to be expected by what was known;{' '}
            <strong>{money(account.regret, currency)}</strong> went on judgement, and luck{' '}
            {account.luck > 0 ? 'took' : 'gave back'} {money(Math.abs(account.luck), currency)}.
          </p>
          <div className="account-zones">
            <section aria-label="Step by step">
              <h2 className="kicker">Step by step</h2>
              <table className="account-steps">
                <thead>
                  <tr>
                    <th scope="col">What was done, and what came of it</th>
                    <th scope="col">Judgement</th>
                    <th scope="col">Luck</th>
                    <th scope="col">
                      <span className="unseen">Again from here</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {account.steps.map((step, i) => (
                    <tr key={`${i} ${step.words}`} className={step.unsafe ? 'account-unsafe' : ''}>
                      <td>
                        <strong>{step.words}</strong>
                        <span className="soft">
                          {' '}
                          {Math.round(step.minutes)} min, {money(step.money, currency)}
                        </span>
                        <br />
                        {step.came}
                        {step.better && (
                          <p className="account-better">
                            {step.unsafe ? 'First, whatever it costs: ' : 'Better, by what was known: '}
                            {step.better}
                          </p>
                        )}
                      </td>
                      <Bar step={step} most={most} currency={currency} />
                      <td>
                        <Button onClick={() => again(i)} aria-label={`Again from step ${i + 1}`}>
                          again from here
                        </Button>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
            <aside>
              <h2 className="kicker">What was so</h2>
              <p>{account.truth.join('; ')}</p>
              <p className="soft">
                {Math.round(account.minutes)} of {account.hadMinutes} minutes, {account.visits}{' '}
                {account.visits === 1 ? 'visit' : 'visits'}; they had {money(account.budget, currency)}.
              </p>
              {account.lapses.length > 0 && (
                <>
                  <h2 className="kicker hall-gap">What was missed</h2>
                  <ul className="account-lapses">
                    {account.lapses.map(({ what, words }) => (
                      <li key={words}>
                        <span className="account-what">{what}</span> {words}
                      </li>
                    ))}
                  </ul>
                </>
              )}
              <h2 className="kicker hall-gap">Practise next</h2>
              <p data-testid="next-skill">{account.next.words}</p>
              {account.next.skill && (
                <p>
                  <Button variant="contained" component={Link} to={`/hall/exercise/${account.next.skill}`}>
                    {SKILL_IN_WORDS[account.next.skill][0]}
                  </Button>
                </p>
              )}
            </aside>
          </div>
        </>
      )}
    </Room>
  );
}

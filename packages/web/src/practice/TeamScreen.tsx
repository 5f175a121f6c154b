import type { LearnerView, RoundScores } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Area, ComposedChart, Line, XAxis, YAxis } from 'recharts';
import { call, problemInWords } from '../api/client.ts';
import { Choice } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { Room } from './Room.tsx';
import { money } from '../format.ts';
import { SKILL_IN_WORDS, SKILLS } from './skillWords.ts';

const LEVELS = ['1', '2', '3', '4', '5'].map((value) => ({ value, label: `level ${value}` }));
/** A round is so many customers, unless told otherwise. */
const USUAL_ROUND = 10;

const inHundredths = (share: number): number => Math.round(share * 100);

function SkillsTable({ learners }: { learners: readonly LearnerView[] }) {
  return (
    <table className="team-skills">
      <caption className="unseen">Chance of a right answer by person and skill, of a hundred</caption>
      <thead>
        <tr>
          <th scope="col">Who</th>
          {SKILLS.map((skill) => (
            <th key={skill} scope="col">
              {SKILL_IN_WORDS[skill][0]}
            </th>
          ))}
          <th scope="col">Customers</th>
          <th scope="col" />
        </tr>
      </thead>
      <tbody>
        {learners.map((learner) => (
          <tr key={learner.id}>
            <th scope="row">{learner.name}</th>
            {learner.skills.map(({ skill, answers, chance, low, high }) => (
              <td key={skill} className={learner.weakest === skill ? 'team-weakest' : ''}>
                {answers === 0 ? (
                  <span className="soft">{'\u2013'}</span>
                ) : (
                  <>
                    {inHundredths(chance)}{' '}
                    <span className="soft small">
                      {inHundredths(low)}
                      {'\u2013'}
                      {inHundredths(high)}
                    </span>
                    {learner.weakest === skill && <span className="small"> weakest</span>}
                  </>
                )}
              </td>
            ))}
            <td>{learner.visits.filter(({ over }) => over).length}</td>
            <td>
              <Link to={`/hall/certificate/${learner.id}`}>certificate</Link>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Progress({ learner }: { learner: LearnerView }) {
  return (
    <div className="team-progress">
      {learner.skills
        .filter(({ weeks }) => weeks.length > 0)
        .map(({ skill, weeks }) => (
          <figure key={skill}>
            <figcaption className="small">{SKILL_IN_WORDS[skill][0]}</figcaption>
            <ComposedChart
              width={230}
              height={110}
              data={weeks.map(({ week, chance, low, high }) => ({
                week: week.slice(5),
                chance: inHundredths(chance),
                band: [inHundredths(low), inHundredths(high)],
              }))}
              margin={{ top: 4, right: 6, bottom: 0, left: 0 }}
            >
              <XAxis dataKey="week" stroke="var(--soft)" tick={{ fontSize: 11 }} />
              <YAxis domain={[0, 100]} width={30} stroke="var(--soft)" tick={{ fontSize: 11 }} />
              <Area dataKey="band" stroke="none" fill="var(--hairline)" isAnimationActive={false} />
              <Line dataKey="chance" stroke="var(--ink)" strokeWidth={2} isAnimationActive={false} />
            </ComposedChart>
          </figure>
        ))}
    </div>
  );
}

function Round({ scores: { round, scores, apart }, currency }: { scores: RoundScores; currency: string }) {
  return (
    <section className="card" aria-label={round.name}>
      <p className="card-lead">
        {round.name}: {round.customers} customers of level {round.level}
      </p>
      {scores.length === 0 && <p className="soft">Nobody has begun.</p>}
      <ol className="team-scores">
        {scores.map(({ learnerId, name, done, regret, give, unsafe }) => (
          <li key={learnerId}>
            <strong>{name}</strong>: {money(regret, currency)} too much a customer
            {give === null ? '' : ` \u00B1 ${money(give, currency)}`}, {done} of {round.customers} seen to
            {unsafe > 0 && <span className="look-here">, safety passed over {unsafe} times</span>}
          </li>
        ))}
      </ol>
      {apart.map(({ one, other, difference, give, isSure, needed }) => (
        <p key={`${one} ${other}`} className="small">
          {isSure
            ? `${one} did better than ${other}: ${money(difference, currency)} a customer, \u00B1 ${money(give ?? 0, currency)}.`
            : `${one} and ${other} cannot be told apart by this${needed === null || needed <= round.customers ? '.' : `: it would take about ${needed} customers each, ${Math.ceil(needed / round.customers)} rounds like this one.`}`}
        </p>
      ))}
    </section>
  );
}

/** Who can do what, over time; rounds that are the same for all, and whether their scores tell anything. */
export function TeamScreen() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [level, setLevel] = useState('1');
  const [customers, setCustomers] = useState(String(USUAL_ROUND));
  const [who, setWho] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { data: team, error } = useQuery({
    queryKey: ['team'],
    queryFn: ({ signal }) => call('GET /practice/team', { signal }),
  });
  useTitle('Team');
  useKeys({ b: () => void navigate('/hall') });
  const set = () => {
    setProblem(null);
    const count = Number(customers);
    if (!name.trim() || !Number.isInteger(count) || count < 1 || count > 20) {
      setProblem('A round needs a name, and 1 to 20 customers.');
      return;
    }
    call('POST /practice/rounds', { body: { name, level: Number(level), customers: count } }).then(
      () => {
        setName('');
        void client.invalidateQueries({ queryKey: ['team'] });
        void client.invalidateQueries({ queryKey: ['practice'] });
      },
      (why: unknown) => setProblem(problemInWords(why)),
    );
  };
  const shown = team?.learners.find(({ id }) => id === who) ?? null;
  const failure = problem ?? (error ? problemInWords(error) : null);
  return (
    <Room
      title="Team"
      note="of a hundred questions of middling difficulty so many right, with the interval"
      problem={failure}
    >
      {!team && !failure && <Skeleton variant="rectangular" height={300} />}
      {team?.learners.length === 0 && <p className="empty">Nobody practises yet.</p>}
      {team && team.learners.length > 0 && (
        <>
          <SkillsTable learners={team.learners} />
          <p className="hall-gap">
            Over the weeks:{' '}
            <Choice
              label="Whose weeks"
              value={who}
              options={[
                { value: '', label: 'choose somebody' },
                ...team.learners.map(({ id, name: label }) => ({ value: id, label })),
              ]}
              onChoice={setWho}
            />
          </p>
          {shown && <Progress learner={shown} />}
        </>
      )}
      {team && (
        <>
          <h2 className="kicker hall-gap">Rounds</h2>
          <form
            className="hall-new"
            onSubmit={(event) => {
              event.preventDefault();
              set();
            }}
          >
            <Field
              label="Name of the round"
              placeholder="a round for all, by name"
              value={name}
              onText={setName}
              size={26}
            />
            <Choice label="Level" value={level} options={LEVELS} onChoice={setLevel} />
            <Field label="Customers" value={customers} onText={setCustomers} size={4} inputMode="numeric" />
            <span>customers</span>
            <Button type="submit">Set it</Button>
          </form>
          <div className="team-rounds">
            {team.rounds.map((scores) => (
              <Round key={scores.round.id} scores={scores} currency={team.currency} />
            ))}
          </div>
        </>
      )}
    </Room>
  );
}

import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Choice } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { Room } from './Room.tsx';
import { SkillBars } from './SkillBars.tsx';
import { SKILL_IN_WORDS, SKILLS } from './skillWords.ts';
import { useAtCounter, useVisit, walkIn } from './useVisit.ts';

/** Where practice begins: who, how hard, a customer or an exercise. */
export function HallScreen() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const { learnerId, learns } = useAtCounter();
  const { data: now } = useVisit();
  const [name, setName] = useState('');
  const [calling, setCalling] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const home = useQuery({
    queryKey: ['practice'],
    queryFn: ({ signal }) => call('GET /practice', { signal }),
  });
  const learner = useQuery({
    queryKey: ['learner', learnerId],
    queryFn: ({ signal }) => call('GET /practice/learners/:id', { params: { id: learnerId ?? '' }, signal }),
    enabled: learnerId !== null,
  });
  useTitle('Practice');
  const attempt = (how: () => Promise<unknown>) => {
    setProblem(null);
    void how().catch((why: unknown) => setProblem(problemInWords(why)));
  };
  const add = () =>
    attempt(async () => {
      if (!name.trim()) return;
      const { id } = await call('POST /practice/learners', { body: { name } });
      setName('');
      // The next key is a level, not a letter of a name.
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      learns(id);
      await client.invalidateQueries({ queryKey: ['practice'] });
    });
  const take = (level: number, roundId: string | null = null) => {
    if (!learnerId || calling) return;
    setCalling(true);
    attempt(async () => {
      try {
        const visit = await walkIn({ learnerId, level, roundId });
        await navigate(visit.docketId ? `/docket/${visit.docketId}` : '/');
      } finally {
        setCalling(false);
      }
    });
  };
  useKeys({
    ...Object.fromEntries([1, 2, 3, 4, 5].map((level) => [String(level), () => take(level)])),
    e: () => learnerId && void navigate('/hall/exercise'),
    m: () => void navigate('/hall/team'),
    b: () => void navigate(now?.docketId ? `/docket/${now.docketId}` : '/'),
  });
  const failure = problem ?? (home.error ? problemInWords(home.error) : null);
  const due = learner.data?.skills.reduce((sum, skill) => sum + skill.due, 0) ?? 0;
  return (
    <Room
      title={'The newcomer\u2019s counter'}
      note={'customers to learn on; nothing here reaches the shop\u2019s books'}
      tools={
        <Button component={Link} to="/hall/team">
          Team <kbd>m</kbd>
        </Button>
      }
      problem={failure}
      className="hall-sheet"
      toHall={false}
    >
      {!home.data && !failure && <Skeleton variant="rectangular" height={320} />}
      {home.data && (
        <div className="hall-zones">
          <section aria-label="Who practises">
            <h2 className="kicker">Who practises</h2>
            {home.data.learners.length > 0 && (
              <Choice
                label="Your name"
                fullWidth
                value={learnerId ?? ''}
                options={[
                  { value: '', label: 'choose your name' },
                  ...home.data.learners.map(({ id, name: label }) => ({ value: id, label })),
                ]}
                onChoice={(id) => learns(id || null)}
              />
            )}
            <form
              className="hall-new"
              onSubmit={(event) => {
                event.preventDefault();
                add();
              }}
            >
              <Field label="A new name" placeholder="a new name" value={name} onText={setName} size={18} />
              <Button type="submit">Add</Button>
            </form>
            {learner.data && (
              <>
                <h2 className="kicker hall-gap">What {learner.data.name} can do</h2>
                <SkillBars skills={learner.data.skills} />
                <p className="soft small">
                  The chance of a right answer to a question of middling difficulty; the pale band holds nine
                  times in ten.
                </p>
                <p>
                  <Link to={`/hall/certificate/${learner.data.id}`}>Certificate page</Link>
                </p>
              </>
            )}
          </section>
          <section aria-label="A customer">
            <h2 className="kicker">A customer walks in</h2>
            {!learnerId && <p className="empty">Say who you are first, on the left.</p>}
            <ul className="hall-levels">
              {home.data.levels.map(({ level, name: words, minutes }) => (
                <li key={level}>
                  <Button className="hall-level" disabled={!learnerId || calling} onClick={() => take(level)}>
                    <kbd>{level}</kbd>
                    <span>{words}</span>
                    <span className="soft">{minutes} min</span>
                  </Button>
                </li>
              ))}
            </ul>
            {calling && <p role="status">Somebody is parking outside{'\u2026'}</p>}
            {now && !now.over && (
              <p>
                {now.learner}
                {'\u2019'}s customer still waits:{' '}
                <Link to={now.docketId ? `/docket/${now.docketId}` : '/'}>
                  go on <kbd>b</kbd>
                </Link>
              </p>
            )}
            <h2 className="kicker hall-gap">Rounds set for all</h2>
            {home.data.rounds.length === 0 && (
              <p className="soft">None is set. A lead sets one on the team{'\u2019'}s page.</p>
            )}
            <ul className="hall-rounds">
              {home.data.rounds.map((round) => {
                const done =
                  learner.data?.visits.filter((visit) => visit.roundId === round.id && visit.over).length ??
                  0;
                return (
                  <li key={round.id}>
                    <strong>{round.name}</strong>, level {round.level}: {done} of {round.customers} seen to{' '}
                    <Button
                      disabled={!learnerId || calling || done >= round.customers}
                      onClick={() => take(round.level, round.id)}
                    >
                      {done === 0 ? 'Begin' : 'Next customer'}
                    </Button>
                  </li>
                );
              })}
            </ul>
          </section>
          <section aria-label="One skill at a time">
            <h2 className="kicker">One skill at a time</h2>
            <p>
              <Button
                variant="contained"
                disabled={!learnerId}
                onClick={() => void navigate('/hall/exercise')}
              >
                {due > 0 ? `${due} due again, and what lags` : 'What lags most'} <kbd>e</kbd>
              </Button>
            </p>
            <ul className="hall-skills">
              {SKILLS.map((skill) => (
                <li key={skill}>
                  <Link to={`/hall/exercise/${skill}`} aria-disabled={!learnerId}>
                    {SKILL_IN_WORDS[skill][0]}
                  </Link>
                  <span className="soft small"> {SKILL_IN_WORDS[skill][1]}</span>
                </li>
              ))}
            </ul>
          </section>
        </div>
      )}
    </Room>
  );
}

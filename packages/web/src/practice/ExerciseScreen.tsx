import type { Answered } from '@hardy/core/contract';
import type { ExerciseView, Skill } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Field } from '../desk/Field.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { Room } from './Room.tsx';
import { inHundred } from '../format.ts';
import { Shown } from './Shown.tsx';
import { SKILL_IN_WORDS, SKILLS } from './skillWords.ts';
import { useAtCounter } from './useVisit.ts';

/** Who answers after an hour was at lunch: milliseconds that are told. */
const MOST_MS = 3_600_000;

/** Seconds since it came up, counted on until `stopped`. */
function Clock({ stopped }: { stopped: boolean }) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (stopped) return undefined;
    const timer = setInterval(() => setSeconds((n) => n + 1), 1000);
    return () => clearInterval(timer);
  }, [stopped]);
  return (
    <span className="mono" role="timer" aria-label="seconds">
      {seconds} s
    </span>
  );
}

function Question({
  given,
  answered,
  onAnswer,
}: {
  given: ExerciseView;
  answered: Answered | null;
  onAnswer: (answer: string) => void;
}) {
  const [number, setNumber] = useState('');
  useKeys(
    answered
      ? {}
      : Object.fromEntries(given.choices.map(({ key }, i) => [String(i + 1), () => onAnswer(key)])),
  );
  return (
    <>
      <p className="exercise-prompt">{given.prompt}</p>
      <Shown shows={given.shows} />
      {given.choices.length > 0 ? (
        <ol className="exercise-choices">
          {given.choices.map(({ key, words }, i) => (
            <li key={key}>
              <Button disabled={answered !== null} onClick={() => onAnswer(key)}>
                <kbd>{i + 1}</kbd> {words}
              </Button>
            </li>
          ))}
        </ol>
      ) : (
        <form
          className="hall-new"
          onSubmit={(event) => {
            event.preventDefault();
            if (number.trim() && !answered) onAnswer(number);
          }}
        >
          <Field
            label="Your answer"
            value={number}
            onText={setNumber}
            inputMode="decimal"
            size={10}
            autoFocus
          />
          <Button type="submit" disabled={answered !== null}>
            That is it
          </Button>
        </form>
      )}
    </>
  );
}

/** Questions of one skill, or of what lags, one after the other against the clock. */
export function ExerciseScreen() {
  const { skill: asked } = useParams();
  const skill = SKILLS.includes(asked as Skill) ? (asked as Skill) : null;
  const navigate = useNavigate();
  const learnerId = useAtCounter((state) => state.learnerId);
  const [turn, setTurn] = useState(0);
  const [answered, setAnswered] = useState<Answered | null>(null);
  const [score, setScore] = useState({ right: 0, all: 0 });
  const [problem, setProblem] = useState<string | null>(null);
  const nextButton = useRef<HTMLButtonElement>(null);
  const question = useQuery({
    queryKey: ['exercise', learnerId, skill, turn],
    queryFn: ({ signal }) =>
      call('POST /practice/exercises', { body: { learnerId: learnerId ?? '', skill }, signal }),
    enabled: learnerId !== null,
    staleTime: Infinity,
  });
  const given = question.data ?? null;
  const shownAt = useRef(0);
  useEffect(() => {
    shownAt.current = performance.now();
  }, [given]);
  useTitle(skill ? SKILL_IN_WORDS[skill][0] : 'Exercises');
  const next = () => {
    setAnswered(null);
    setTurn((n) => n + 1);
  };
  const answer = (said: string) => {
    if (!given || !learnerId || answered) return;
    setProblem(null);
    call('POST /practice/answers', {
      body: {
        learnerId,
        skill: given.skill,
        variant: given.variant,
        seed: given.seed,
        answer: said,
        ms: Math.min(MOST_MS, Math.round(performance.now() - shownAt.current)),
      },
    }).then(
      (told) => {
        setAnswered(told);
        setScore(({ right, all }) => ({ right: right + (told.right ? 1 : 0), all: all + 1 }));
      },
      (why: unknown) => setProblem(problemInWords(why)),
    );
  };
  useEffect(() => {
    if (answered) nextButton.current?.focus();
  }, [answered]);
  useKeys({ b: () => void navigate('/hall'), ...(answered && { n: next }) });
  const failure = problem ?? (question.error ? problemInWords(question.error) : null);
  return (
    <Room
      title={given ? SKILL_IN_WORDS[given.skill][0] : 'Exercises'}
      note={
        given?.because === 'due'
          ? 'missed before, and due again'
          : given
            ? SKILL_IN_WORDS[given.skill][1]
            : ''
      }
      tools={
        <>
          <Clock key={given?.seed ?? 0} stopped={answered !== null} />
          <span>
            {score.right} of {score.all} right
          </span>
        </>
      }
      problem={failure}
      className="exercise-sheet"
    >
      {!learnerId && (
        <p className="empty">
          Say who you are first: <Link to="/hall">in the hall</Link>.
        </p>
      )}
      {given && <Question key={given.seed} given={given} answered={answered} onAnswer={answer} />}
      <div role="status" className="exercise-told">
        {answered && (
          <>
            <p className={answered.right ? 'exercise-right' : 'exercise-wrong'}>
              {answered.right ? '\u2713 Right.' : `\u00D7 No: ${answered.answer}.`}
            </p>
            <p>{answered.why}</p>
            <p className="soft small">A question of middling difficulty: {inHundred(answered.chance)} now.</p>
          </>
        )}
      </div>
      {answered && (
        <Button ref={nextButton} variant="contained" onClick={next}>
          Next <kbd>n</kbd>
        </Button>
      )}
    </Room>
  );
}

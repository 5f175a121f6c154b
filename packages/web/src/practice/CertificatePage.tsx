import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useQuery } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { inHundred } from '../format.ts';
import { today } from '../today.ts';
import { SKILL_IN_WORDS } from './skillWords.ts';

/** A page to print: what somebody has shown they can do, with the numbers it rests on. */
export function CertificatePage() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { data: learner, error } = useQuery({
    queryKey: ['learner', id],
    queryFn: ({ signal }) => call('GET /practice/learners/:id', { params: { id }, signal }),
  });
  useTitle('Certificate', learner?.name);
  useKeys({ p: () => window.print(), b: () => void navigate('/hall') });
  const shown = learner?.skills.filter(({ skill }) => learner.certified.includes(skill)) ?? [];
  const alone = learner?.visits.filter(({ over, helped }) => over && !helped) ?? [];
  const safe = alone.filter(({ unsafe }) => !unsafe).length;
  return (
    <Desk
      strip={
        <Button className="on-bench" onClick={() => window.print()}>
          Print <kbd>p</kbd>
        </Button>
      }
    >
      {error && (
        <p className="sheet look-here" role="alert">
          {problemInWords(error)}
        </p>
      )}
      {!learner && !error && <Skeleton variant="rectangular" height={600} className="sheet" />}
      {learner && (
        <article className="sheet certificate">
          <h1>{learner.name}</h1>
          <p>
            has practised at the newcomer{'\u2019'}s counter, and by {today()} has shown:
          </p>
          {shown.length === 0 && (
            <p className="empty">
              nothing yet that {learner.certifiesFrom} answers would bear out: the lower end of the interval
              must reach {inHundred(learner.certifiesAt)}.
            </p>
          )}
          <ul>
            {shown.map(({ skill, answers, right, chance, low, high }) => (
              <li key={skill}>
                <strong>{SKILL_IN_WORDS[skill][0]}</strong>: {SKILL_IN_WORDS[skill][1]}.{' '}
                <span className="soft">
                  {right} of {answers} right; {inHundred(chance)} of middling difficulty,{' '}
                  {Math.round(low * 100)} to {Math.round(high * 100)} nine times in ten.
                </span>
              </li>
            ))}
          </ul>
          <p>
            {alone.length} customers seen to without help, {safe} of them without passing over a rule of
            safety.
          </p>
          <p className="soft small">
            Practice on simulated vehicles. It licenses nobody to work on brakes: local rules and licensed
            people decide that.
          </p>
        </article>
      )}
    </Desk>
  );
}

import type { Question } from '@hardy/core/words';
import Button from '@mui/material/Button';

/** One question, answered with one key. */
export function QuestionCard({
  question,
  numbered,
  onAnswer,
}: {
  question: Question;
  numbered: boolean;
  onAnswer: (value: string) => void;
}) {
  return (
    <section className="card question" aria-label="Question">
      <h2 className="kicker">To be asked</h2>
      <p className="card-lead">{question.ask}</p>
      <p className="soft">{question.because}</p>
      <div className="answers">
        {question.answers.map(({ label, value }, i) => (
          <Button key={value} onClick={() => onAnswer(value)}>
            {numbered && i < 9 && <kbd>{i + 1}</kbd>} {label}
          </Button>
        ))}
      </div>
    </section>
  );
}

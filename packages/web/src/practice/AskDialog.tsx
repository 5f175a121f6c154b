import type { VisitView } from '@hardy/core/contract';
import type { PracticeDeed } from '@hardy/core/words';
import Button from '@mui/material/Button';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { DeskDialog } from '../desk/DeskDialog.tsx';

const QUESTIONS = [
  ['lamps', 'What exactly lights up, and when?'],
  ['corner', 'Which corner do you mean?'],
  ['history', 'What was done to it lately?'],
  ['noise', 'Does a wheel hum or growl?'],
] as const;

interface Props {
  visit: VisitView;
  onClose: () => void;
  onDeed: (deed: PracticeDeed) => void;
}

/** Questions to the customer, and what can be looked up. Each takes two minutes. */
export function AskDialog({ visit, onClose, onDeed }: Props) {
  const take = (deed: PracticeDeed) => {
    onClose();
    onDeed(deed);
  };
  const deeds: Array<readonly [string, PracticeDeed]> = [
    ...QUESTIONS.map(([about, words]) => [words, { kind: 'question', about }] as const),
    ...visit.wheels
      .filter((_, i) => i % 2 === 0)
      .map(
        ({ wheelEnd, words }) =>
          [`Look up how the ${words.replace(/ left$/, '')} is built`, { kind: 'ask', at: wheelEnd }] as const,
      ),
  ];
  return (
    <DeskDialog
      open
      onClose={onClose}
      aria-labelledby="ask-title"
      onKeyDown={(event) => {
        const chosen = deeds[Number(event.key) - 1];
        if (chosen) take(chosen[1]);
      }}
    >
      <DialogTitle id="ask-title">Ask</DialogTitle>
      <DialogContent>
        <ul className="practice-list">
          {deeds.map(([words, deed], i) => (
            <li key={words}>
              <Button autoFocus={i === 0} onClick={() => take(deed)}>
                <kbd>{i + 1}</kbd> {words}
              </Button>
            </li>
          ))}
        </ul>
      </DialogContent>
    </DeskDialog>
  );
}

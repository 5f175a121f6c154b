import { isPractice } from '../space.ts';
import { DeskDialog } from './DeskDialog.tsx';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';

/** Keys of the practice counter, on top of those of its screens. */
const PRACTICE = {
  where: 'Practice',
  keys: [
    ['y', 'the hall: who practises, customers, exercises'],
    ['1 \u2026 5', 'in the hall: a customer of that level'],
    ['F2', 'write the customer\u2019s words down as said'],
    ['a', 'ask the customer, or look something up'],
    ['g', 'read every controller'],
    ['k', 'look, feel, meter'],
    ['s', 'send the customer away'],
    ['v', 'uncover the advice'],
    ['n', 'next customer, next question'],
    ['e', 'in the hall: exercises; m: the team'],
  ],
} as const;

const GROUPS: ReadonlyArray<{ where: string; keys: ReadonlyArray<readonly [string, string]> }> = [
  {
    where: 'Anywhere',
    keys: [
      ['words', 'typed or pasted anywhere go to the counter line; a letter alone is a command'],
      ['/', 'counter line, or on a docket: add what you hear'],
      ['?', 'these shortcuts'],
      ['F1', 'on a word that is marked, pointed at or has the focus: what it means'],
      ['Esc', 'leave a field or a dialog'],
    ],
  },
  {
    where: 'Counter',
    keys: [
      ['Enter', 'open a docket from what was typed'],
      ['\u2191 \u2193', 'walk the dockets'],
    ],
  },
  {
    where: 'Docket',
    keys: [
      ['1 \u2026 9', 'answer the question or the next step'],
      ['c', 'add a check'],
      ['f', 'bench arithmetic: frequency, lowest speed, ratio'],
      ['o', 'walk the offers, Enter takes one'],
      ['w', 'every way of fixing it compared'],
      ['t', 'wheel-speed log for this docket'],
      ['d', 'devices: reader, meter, bench'],
      ['h', 'hand over what is put aside'],
      ['q', 'quote'],
      ['p', 'sheets: stop, fit, check first, no part'],
      ['x', 'close the docket with what happened'],
      ['u', 'undo'],
      ['r', 'do again what was undone'],
      ['b', 'back to the counter'],
    ],
  },
  {
    where: 'Ways compared',
    keys: [
      ['y', 'the customer\u2019s view or the trade\u2019s'],
      ['p', 'page for the customer'],
      ['b', 'back to the docket'],
    ],
  },
  {
    where: 'Shelf',
    keys: [
      ['m', 'match the old part by measuring it'],
      ['scan', 'a barcode, anywhere, finds the part'],
    ],
  },
  {
    where: 'Trace bench',
    keys: [
      ['l', 'choose a log'],
      ['\u2191 \u2193', 'walk the wheels'],
      ['+ \u2212 \u2190 \u2192 0', 'on a plot: closer, wider, earlier, later, whole log'],
      ['v', 'live speeds from the reader; g drives the bench, s stops and studies it'],
      ['Esc', 'stop a long study, or leave the live speeds'],
    ],
  },
  {
    where: 'Devices',
    keys: [
      ['i', 'ask every device whether it is there'],
      ['r', 'read every controller; Esc stops'],
      ['p', 'put what was read on the docket'],
      ['c', 'clear codes, after a question'],
      ['v', 'live speeds'],
      ['o', 'put the docket’s vehicle on the bench'],
      ['e', 'to the end of the drive'],
    ],
  },
];

export function ShortcutsDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <DeskDialog open={open} onClose={onClose} aria-labelledby="shortcuts-title" maxWidth="md" fullWidth>
      <DialogTitle id="shortcuts-title">Keys</DialogTitle>
      {/* Reachable by Tab: on a low screen it scrolls. */}
      <DialogContent tabIndex={0} className="keys-columns">
        {[...(isPractice ? [PRACTICE] : []), ...GROUPS].map(({ where, keys }) => (
          <section key={where}>
            <h3 className="kicker">{where}</h3>
            <dl className="keys">
              {keys.map(([key, what]) => (
                <div key={key}>
                  <dt>
                    <kbd>{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </DialogContent>
    </DeskDialog>
  );
}

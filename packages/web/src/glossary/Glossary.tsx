import { GLOSSARY, glossaryAt, glossaryOf, type GlossaryEntry } from '@hardy/core/words';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useState } from 'react';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { Field } from '../desk/Field.tsx';
import { isDialogOpen } from '../desk/dialogs.ts';
import { LampGlyph } from '../devices/LampGlyph.tsx';
import { FindingPicture } from '../drawings/FindingPicture.tsx';
import { PartDrawing } from '../drawings/PartDrawing.tsx';
import { Sketch } from './Sketch.tsx';
import './glossary.css';

const KEY = 'F1';
/** A mouse that rests so long over a word asks for it, milliseconds. */
const RESTS_MS = 900;
const KIND_IN_WORDS = {
  lamp: 'lamps',
  reader: 'words of readers',
  code: 'codes',
  part: 'parts',
  tool: 'tools',
  word: 'words of the counter',
} as const;
/** What is typed, and what is pressed, explains itself. */
const NOT_HERE = 'input, textarea, select, [contenteditable], .glossary, [role=dialog]';

const caretAt = (x: number, y: number): { text: string; place: number; node: Node } | null => {
  const caret = document.caretPositionFromPoint?.(x, y);
  const node = caret?.offsetNode;
  return caret && node?.nodeType === Node.TEXT_NODE
    ? { text: node.textContent ?? '', place: caret.offset, node }
    : null;
};

/** The word of the trade under a point of the screen. */
const entryAt = (x: number, y: number): GlossaryEntry | null => {
  const found = caretAt(x, y);
  if (!found || found.node.parentElement?.closest(NOT_HERE)) return null;
  // A caret is found beside a line too: the word must lie under the point.
  const range = document.createRange();
  range.selectNodeContents(found.node);
  const isUnder = [...range.getClientRects()].some(
    (box) => x >= box.left && x <= box.right && y >= box.top && y <= box.bottom,
  );
  return isUnder ? glossaryAt(found.text, found.place) : null;
};

/** The word that is marked, or the first one in what has the focus. */
const entryMeant = (): GlossaryEntry | null => {
  const marked = window.getSelection()?.toString().trim() ?? '';
  const own = marked ? glossaryOf(marked) : null;
  if (own) return own;
  const focused = document.activeElement;
  if (!focused || focused === document.body || focused.matches('input, textarea, select')) return null;
  const text = focused.textContent ?? '';
  for (const word of text.matchAll(/[\p{L}\p{N}-]+/gu)) {
    const entry = glossaryAt(text, word.index);
    if (entry) return entry;
  }
  return null;
};

function Drawing({ entry: { drawing } }: { entry: GlossaryEntry }) {
  return (
    <span className="glossary-drawing">
      {drawing.as === 'part' && <PartDrawing part={drawing.part as never} />}
      {drawing.as === 'look' && <FindingPicture check={drawing.check} result={drawing.result} />}
      {drawing.as === 'sketch' && <Sketch of={drawing.of} />}
      {drawing.as === 'lamp' && <LampGlyph lit={drawing.lit} />}
    </span>
  );
}

function Entry({ entry }: { entry: GlossaryEntry }) {
  return (
    <article className="glossary-entry" aria-label={entry.term}>
      <Drawing entry={entry} />
      <div>
        <h3>{entry.term}</h3>
        {entry.lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
    </article>
  );
}

/** Words of the trade, from every screen: by one key on the word, or by resting the mouse on it. */
export function Glossary() {
  const [open, setOpen] = useState(false);
  const [wanted, setWanted] = useState('');
  const [tip, setTip] = useState<{ entry: GlossaryEntry; x: number; y: number } | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let mouse = { x: -1, y: -1 };
    const moved = (event: PointerEvent) => {
      mouse = { x: event.clientX, y: event.clientY };
      clearTimeout(timer);
      setTip(null);
      if (event.pointerType !== 'mouse' || event.buttons !== 0) return;
      timer = setTimeout(() => {
        if (isDialogOpen()) return;
        const entry = entryAt(mouse.x, mouse.y);
        if (entry) setTip({ entry, ...mouse });
      }, RESTS_MS);
    };
    const pressed = (event: KeyboardEvent) => {
      clearTimeout(timer);
      setTip(null);
      if (event.key !== KEY) return;
      event.preventDefault();
      const entry = entryMeant() ?? (mouse.x >= 0 ? entryAt(mouse.x, mouse.y) : null);
      setWanted(entry?.term ?? '');
      setOpen(true);
    };
    const gone = () => {
      clearTimeout(timer);
      setTip(null);
    };
    window.addEventListener('pointermove', moved);
    window.addEventListener('keydown', pressed, true);
    window.addEventListener('scroll', gone, true);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pointermove', moved);
      window.removeEventListener('keydown', pressed, true);
      window.removeEventListener('scroll', gone, true);
    };
  }, []);
  const words = wanted.trim().toLowerCase();
  const exact = glossaryOf(words);
  const found = !words
    ? GLOSSARY
    : [
        ...(exact ? [exact] : []),
        ...GLOSSARY.filter(
          (entry) =>
            entry !== exact &&
            [entry.term, ...entry.also, ...entry.lines].some((each) => each.toLowerCase().includes(words)),
        ),
      ];
  return (
    <>
      {tip && (
        <div
          className="glossary-tip glossary"
          role="tooltip"
          style={{
            left: Math.min(tip.x + 12, window.innerWidth - 340),
            top: Math.min(tip.y + 18, window.innerHeight - 130),
          }}
        >
          <strong>{tip.entry.term}</strong>: {tip.entry.lines[0]} <kbd>{KEY}</kbd> says more
        </div>
      )}
      <DeskDialog
        open={open}
        onClose={() => setOpen(false)}
        aria-labelledby="glossary-title"
        className="glossary"
        maxWidth="md"
        fullWidth
      >
        <DialogTitle id="glossary-title">Words of the trade</DialogTitle>
        <DialogContent tabIndex={0}>
          <Field
            label="Find a word"
            placeholder="find a word"
            value={wanted}
            onText={setWanted}
            autoFocus
            fullWidth
          />
          {found.length === 0 && <p className="empty">That word is not explained here.</p>}
          {(Object.keys(KIND_IN_WORDS) as Array<keyof typeof KIND_IN_WORDS>).map((kind) => {
            const of = words ? [] : found.filter((entry) => entry.kind === kind);
            return of.length === 0 ? null : (
              <section key={kind}>
                <h2 className="kicker">{KIND_IN_WORDS[kind]}</h2>
                {of.map((entry) => (
                  <Entry key={entry.term} entry={entry} />
                ))}
              </section>
            );
          })}
          {words && found.map((entry) => <Entry key={entry.term} entry={entry} />)}
        </DialogContent>
      </DeskDialog>
    </>
  );
}

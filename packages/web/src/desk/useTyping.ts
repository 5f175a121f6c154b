import { useEffect, useEffectEvent } from 'react';
import { useNavigate } from 'react-router';
import { focusLine, hasLine, isHandingOver, isLine, whenLineGoes } from '../counter/line.ts';
import { useCounter } from '../state/useCounter.ts';
import { ownPath } from '../space.ts';
import { Burst, TOGETHER_MS } from './burst.ts';
import { commandFor } from './commands.ts';
import { isDialogOpen } from './dialogs.ts';
import { SCANNED } from './scanned.ts';

const FIELD =
  'input:not([type=button]):not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable="true"], [role=combobox]';
/** A screen being opened brings its counter line within this time; one that has none is left for one that has. */
const LINE_COMES_MS = 600;

/** A timer this much late, in milliseconds, says that the page was busy: keys may be waiting. */
const BUSY_MS = 30;

/** Calls back after `ms`; where the page was busy meanwhile, only when the keys that waited have been heard. */
const unhurried = (act: () => void, ms: number): (() => void) => {
  const due = performance.now() + ms;
  let timer = setTimeout(() => {
    if (performance.now() - due < BUSY_MS) act();
    else timer = setTimeout(act, TOGETHER_MS);
  }, ms);
  return () => clearTimeout(timer);
};

/** Where the words of a screen without a counter line go: to its docket, else to the counter. */
const lineOf = (path: string): string => /^\/docket\/[^/]+/.exec(path)?.[0] ?? '/';

/**
 * Whatever is typed as words while no field has the focus goes to the counter line, wherever one is: after a dialog
 * closed, while a screen is opened, on a screen that has none. A key alone is a command of the screen.
 */
export const useTyping = (): void => {
  const navigate = useNavigate();
  // What is being typed outlives a change of screen: it is set up once.
  const go = useEffectEvent((path: string) => void navigate(path));
  useEffect(() => {
    let leave: ReturnType<typeof setTimeout> | undefined;
    /** Whether the words being typed began outside the line. */
    let carried = false;
    // The screen may be on its way out: whether there is a line is looked at when it has settled.
    const bring = () => {
      clearTimeout(leave);
      leave = setTimeout(() => {
        // A scan was taken back meanwhile: there is nothing to bring anywhere.
        if (hasLine() || !useCounter.getState().text.trim()) return;
        focusLine();
        go(lineOf(ownPath(window.location.pathname)));
      }, LINE_COMES_MS);
    };
    const words = (characters: string) => {
      carried = true;
      useCounter.getState().append(characters);
      focusLine();
      bring();
    };
    // The words were begun while a screen with a line was being left.
    whenLineGoes(() => {
      if (carried) bring();
      return carried;
    });
    const burst = new Burst({
      words,
      command: (key) => {
        const act = commandFor(key);
        act?.();
        return act !== undefined;
      },
      later: unhurried,
    });
    /** What comes next is no more of the words typed so far. */
    const ended = () => {
      carried = false;
      burst.rest();
    };
    const isField = (target: EventTarget | null) =>
      target instanceof Element && target.closest(FIELD) !== null;
    /**
     * The line may have taken the focus in the middle of a word, before it shows all of it: until the typing rests, keys
     * go on to the words themselves, not through what the field happens to hold. So they do from the moment words were
     * sent until the line of the next screen is there: between a key and its letter the field may go.
     */
    const goesOn = (event: KeyboardEvent): boolean => {
      if (!isLine(event.target)) return false;
      const printable = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
      if (!printable) {
        if (event.key !== 'Shift') ended();
        return false;
      }
      if (!burst.isTyping(event.timeStamp)) carried = false;
      if (carried || isHandingOver()) {
        event.preventDefault();
        // In the line no key is a command, the first one neither.
        burst.note(event.timeStamp);
        burst.key(event.key, event.timeStamp);
      } else burst.note(event.timeStamp);
      return true;
    };
    const pressed = (event: KeyboardEvent) => {
      if (goesOn(event)) return;
      if (event.altKey || event.defaultPrevented || isField(event.target) || isDialogOpen()) return;
      if (event.ctrlKey || event.metaKey) {
        const act = commandFor(`ctrl+${event.shiftKey ? 'shift+' : ''}${event.key.toLowerCase()}`);
        if (!act) return;
        event.preventDefault();
        act();
        return;
      }
      if (event.key.length !== 1) {
        if (event.key === 'Backspace' && carried) {
          event.preventDefault();
          // The words wait for their line: a slip is mended on them.
          const { text, type } = useCounter.getState();
          type(text.slice(0, -1));
          return;
        }
        if (event.key !== 'Shift') ended();
        const act = commandFor(event.key);
        if (!act) return;
        event.preventDefault();
        act();
        return;
      }
      const typing = burst.isTyping(event.timeStamp);
      // Alone, the space bar presses what has the focus, or scrolls.
      if (event.key === ' ' && !typing) return;
      event.preventDefault();
      // The line itself is asked for by name: what follows is typed into it.
      if (event.key === '/' && !typing && commandFor('/')) commandFor('/')?.();
      else burst.key(event.key, event.timeStamp);
    };
    const pasted = (event: ClipboardEvent) => {
      if (isField(event.target) || isDialogOpen()) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (!text) return;
      event.preventDefault();
      words(text);
    };
    window.addEventListener('keydown', pressed);
    window.addEventListener('paste', pasted);
    window.addEventListener('pointerdown', ended, true);
    window.addEventListener(SCANNED, ended);
    return () => {
      window.removeEventListener('keydown', pressed);
      window.removeEventListener('paste', pasted);
      window.removeEventListener('pointerdown', ended, true);
      window.removeEventListener(SCANNED, ended);
      clearTimeout(leave);
    };
  }, []);
};

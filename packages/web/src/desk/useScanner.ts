import { isEan13 } from '@hardy/core/words';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { SCANNED } from './scanned.ts';
import { docketOfCode } from '../docket/docketCode.ts';
import { pathOfDocket } from '../state/pathOfDocket.ts';
import { useCounter } from '../state/useCounter.ts';

/**
 * A barcode wedge types faster than fingers: so many milliseconds a character on average, with no longer break than
 * this; a busy computer may hold up one of them.
 */
const FASTEST_FINGERS = 50;
const LONGEST_BREAK = 150;
const LEAST_LENGTH = 6;

/** Takes what was typed out of a field again, as React sees it. */
const takeOut = (field: HTMLInputElement | HTMLTextAreaElement, code: string): void => {
  if (!field.value.endsWith(code)) return;
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  const own = Object.getOwnPropertyDescriptor(kind.prototype, 'value');
  own?.set?.call(field, field.value.slice(0, -code.length));
  field.dispatchEvent(new Event('input', { bubbles: true }));
};

/** Takes a code out of the words it was taken for while no field had the focus. */
const takeBack = (code: string): void => {
  const { text, type } = useCounter.getState();
  if (text.endsWith(code)) type(text.slice(0, -code.length));
};

/**
 * Scanning anywhere finds the part, or opens the docket of a sheet: a wedge is a keyboard that types a code at once and ends with Enter. What fingers
 * type is not taken for one, unless it is a whole barcode with a right check digit and nothing else in the field: that
 * is a code read off by eye, or a wedge held up by a busy computer. A character no barcode has ends the code.
 */
export const useScanner = (): void => {
  const navigate = useNavigate();
  useEffect(() => {
    let code = '';
    let last = 0;
    let first = 0;
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const now = event.timeStamp;
      if (event.key === 'Enter') {
        const fast =
          (last - first) / Math.max(1, code.length - 1) < FASTEST_FINGERS && now - last < LONGEST_BREAK;
        const field = event.target;
        const typedInto =
          field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement ? field : null;
        const whole = typedInto?.value.trim() ?? '';
        const scanned = isEan13(whole) ? whole : code.length >= LEAST_LENGTH && fast ? code : null;
        code = '';
        if (!scanned || !/\d/.test(scanned)) return;
        event.preventDefault();
        event.stopPropagation();
        if (typedInto) takeOut(typedInto, scanned);
        else takeBack(scanned);
        window.dispatchEvent(new Event(SCANNED));
        const docket = docketOfCode(scanned);
        if (docket === null) void navigate(`/shelf?q=${encodeURIComponent(scanned)}`);
        else void pathOfDocket(docket).then((path) => navigate(path));
        return;
      }
      if (event.key.length !== 1) return;
      if (!/[\w.-]/.test(event.key)) {
        code = '';
        return;
      }
      if (now - last >= LONGEST_BREAK) code = '';
      if (code === '') first = now;
      code += event.key;
      last = now;
    };
    window.addEventListener('keydown', listen, true);
    return () => window.removeEventListener('keydown', listen, true);
  }, [navigate]);
};

import type { Rewrite, Rewriter } from './rewriter.ts';

/** A place as lists name it, what was found there, or a mark for "the same". */
const CELL = /^(\s*[A-Za-z][\w./]{0,4}(?:\s+(?:left|right|front|rear))?\s*[:=-]?\s+)(.+?)\s*\.?\s*$/;
const DITTO = /^(?:"|''|\u3003|\u2033|ditto|do\.)$/;

/** Finds marks for "the same as before" in a list: `FL ok / FR " / RL "`. */
export const dittoMarks: Rewriter = (text) => {
  if (!/"|''|\u3003|\u2033|\bditto\b|\bdo\./.test(text)) return [];
  const found: Rewrite[] = [];
  let last: string | null = null;
  for (const cell of text.matchAll(
    /(?:^|[/,;\n]|\. |[:]\s|\u2192|- )([^/,;\n\u2192]*?)(?=$|[/,;\n\u2192]|\. )/g,
  )) {
    const [whole, inner = ''] = cell;
    const [, label, said] = CELL.exec(inner) ?? [];
    if (label === undefined || said === undefined) continue;
    if (!DITTO.test(said)) last = said;
    else if (last !== null) {
      const start = cell.index + whole.length - inner.length + label.length;
      found.push({ start, end: start + said.length, written: last });
    }
  }
  return found;
};

import { useEffect, useRef } from 'react';

const TYPING = 'input, textarea, select, [contenteditable="true"]';

/**
 * Single-key shortcuts while nothing is being typed and no dialog is open. Keys are written as `KeyboardEvent.key`,
 * with `ctrl+` before those held with Control or Command.
 */
export const useKeys = (keys: Readonly<Record<string, () => void>>, active = true): void => {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    if (!active) return;
    const listen = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (event.altKey || event.defaultPrevented) return;
      if (target?.closest(TYPING) || document.querySelector('[role="dialog"]')) return;
      const held =
        event.ctrlKey || event.metaKey
          ? `ctrl+${event.shiftKey ? 'shift+' : ''}${event.key.toLowerCase()}`
          : event.key;
      const act = current.current[held];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [active]);
};

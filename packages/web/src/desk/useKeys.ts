import { useEffect, useRef } from 'react';
import { addCommands, type Commands } from './commands.ts';

/** Keys of a screen while nothing is typed and no dialog is open; `useTyping` tells a key from words. */
export const useKeys = (keys: Commands): void => {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => addCommands(current), []);
};

import InputBase from '@mui/material/InputBase';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import { useCounter } from '../state/useCounter.ts';
import { useKeys } from '../desk/useKeys.ts';
import { Chips } from './Chips.tsx';

interface Props {
  label: string;
  placeholder: string;
  size: 'large' | 'small';
  onEnter: (words: string) => void;
  context?: { steeringSide?: string | null; axles?: number | null };
  autoFocus?: boolean;
}

/** The line where everything begins: typed or pasted words, read as they come. */
export function CounterLine({ label, placeholder, size, onEnter, context, autoFocus }: Props) {
  const { text, reading, error, type } = useCounter();
  const input = useRef<HTMLInputElement | HTMLTextAreaElement>(null);
  useKeys({ '/': () => input.current?.focus() });
  useEffect(() => {
    if (autoFocus) input.current?.focus();
  }, [autoFocus]);
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      if (text.trim()) onEnter(text);
    } else if (event.key === 'Escape') input.current?.blur();
  };
  return (
    <div className={`counter-line counter-line-${size}`}>
      <InputBase
        inputRef={input}
        value={text}
        onChange={(event) => type(event.target.value, context)}
        onKeyDown={keys}
        placeholder={placeholder}
        multiline
        maxRows={size === 'large' ? 6 : 1}
        fullWidth
        slotProps={{
          input: {
            'aria-label': label,
            spellCheck: false,
            autoComplete: 'off',
            'aria-describedby': 'counter-line-reading',
          },
        }}
      />
      <div id="counter-line-reading" className="reading" aria-live="polite">
        {error && <p className="look-here">{error}</p>}
        {text.trim() && reading && <Chips reading={reading} />}
      </div>
    </div>
  );
}

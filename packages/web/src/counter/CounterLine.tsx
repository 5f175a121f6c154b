import { decodeText, type Chip } from '@hardy/core/words';
import InputBase from '@mui/material/InputBase';
import { useEffect, useEffectEvent, useRef, useState, type DragEvent, type KeyboardEvent } from 'react';
import { useKeys } from '../desk/useKeys.ts';
import { useCounter, type CounterContext } from '../state/useCounter.ts';
import { useCovered } from '../practice/covered.ts';
import { AnswerLine } from './AnswerLine.tsx';
import { chipEffect } from './chipEffect.ts';
import { Chips } from './Chips.tsx';
import { focusLine, lineCame, lineGoes } from './line.ts';
import './counter.css';

interface Props {
  label: string;
  placeholder: string;
  size: 'large' | 'small';
  onEnter: (words: string) => void;
  context?: CounterContext;
  autoFocus?: boolean;
}

/** Files larger than this are not scan reports. */
const MOST_BYTES = 4_000_000;

/** The line where everything begins: typed or pasted words and dropped reports, read as they come. */
export function CounterLine({ label, placeholder, size, onEnter, context, autoFocus }: Props) {
  const { text, reading, preview, error, type, move, fail, arrive, depart } = useCounter();
  const [over, setOver] = useState(false);
  const hides = useCovered(context?.docketId ?? null);
  const input = useRef<HTMLTextAreaElement>(null);
  useKeys({ '/': () => focusLine() });
  useEffect(() => (input.current ? lineCame(input.current) : undefined), []);
  useEffect(() => {
    if (autoFocus) input.current?.focus();
  }, [autoFocus]);
  const about = context?.docketId ?? null;
  const readAgain = useEffectEvent(() => {
    // As it stands now, not as it was drawn: typing does not wait for the drawing.
    const { text: now } = useCounter.getState();
    if (now.trim()) type(now, context);
  });
  // Each line has its own words: those of this one come back, and are read anew for the docket they stand on.
  useEffect(() => {
    arrive(about ?? '');
    readAgain();
    return () => depart(lineGoes());
  }, [about, arrive, depart]);
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      if (text.trim()) onEnter(text);
    } else if (event.key === 'Escape') input.current?.blur();
  };
  const pick = (chip: Chip) => {
    input.current?.focus();
    input.current?.setSelectionRange(chip.start, chip.end);
  };
  const drop = (chip: Chip) => {
    const rest =
      `${text.slice(0, chip.start).replace(/[\s,;]+$/, '')} ${text.slice(chip.end).replace(/^[\s,;]+/, '')}`.trim();
    type(rest, context);
    input.current?.focus();
  };
  const take = async (file: File) => {
    if (file.size > MOST_BYTES)
      return fail(
        `${file.name} is ${(file.size / 1e6).toFixed(0)} MB; a scan report has less than ${MOST_BYTES / 1e6} MB. What was typed is still here.`,
      );
    try {
      const report = decodeText(new Uint8Array(await file.arrayBuffer()), file.name);
      type([text, report].filter((part) => part.trim()).join('\n'), context);
      input.current?.focus();
    } catch (problem) {
      fail(problem instanceof Error ? problem.message : String(problem));
    }
  };
  const dropped = (event: DragEvent) => {
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (!file) return;
    event.preventDefault();
    void take(file);
  };
  return (
    <div
      className={`counter-line counter-line-${size} ${over ? 'counter-line-over' : ''}`}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={dropped}
    >
      <div className="counter-line-row">
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
        <label className="file-pick">
          report file
          <input
            type="file"
            aria-label="Take a scan report from a file"
            accept=".txt,.csv,.tsv,.json,.log,.htm,text/*"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) void take(file);
            }}
          />
        </label>
      </div>
      <div id="counter-line-reading" className="reading" aria-live="polite">
        {error && <p className="look-here">{error}</p>}
        {text.trim() && reading && (
          <Chips
            reading={reading}
            text={text}
            axles={context?.axles ?? reading.vehicle.axles ?? preview?.advice.vehicle.axles ?? 2}
            effectOf={(chip) => chipEffect(chip, preview)}
            said={[preview?.advice.verdict.sentence, preview?.advice.questions[0]?.ask].filter(
              (line) => line !== undefined,
            )}
            onChange={pick}
            onDrop={drop}
            onMove={(chip, wheelEnd) => chip.key && move(chip.key, wheelEnd, context)}
          />
        )}
        {text.trim() && preview && !hides && (
          <AnswerLine advice={preview.advice} stale={preview.text !== text} />
        )}
      </div>
    </div>
  );
}

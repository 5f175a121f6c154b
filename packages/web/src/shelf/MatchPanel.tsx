import {
  PART_CLASSES,
  PART_FIGURES,
  PART_IN_WORDS,
  type CataloguePart,
  type PartClass,
} from '@hardy/core/words';
import type { MatchAnswer } from '@hardy/core/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useMemo } from 'react';
import { keepDraft, useDraft } from '../desk/useDraft.ts';
import { call, problemInWords } from '../api/client.ts';
import { useSettled } from '../state/useSettled.ts';
import { Choice, plainOptions } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import ButtonBase from '@mui/material/ButtonBase';

interface Props {
  vehicleId: string | null;
  partClass: PartClass;
  onClass: (partClass: PartClass) => void;
  /** The best match with what was measured and what to measure next, for the drawing. */
  onLead: (part: CataloguePart | null, measured: Record<string, number>, mark: string | null) => void;
  onPick: (number: string) => void;
}

const TOOL_WORDS = { caliper: 'caliper', ruler: 'ruler', tape: 'tape', eye: 'by eye' } as const;
type Tool = keyof typeof TOOL_WORDS;

interface ReadingTyped {
  readonly key: string;
  readonly value: number | string;
  readonly tool: Tool;
}

/** Readings are sent when the typing rests so long, in milliseconds. */
const SETTLES_MS = 120;

interface Measured {
  readonly values: Readonly<Record<string, string>>;
  readonly tools: Readonly<Record<string, Tool>>;
}
const MEASURED = 'measured';
const NOTHING_MEASURED: Measured = { values: {}, tools: {} };

/** What can be measured or seen on the old part, with the tool used; candidates ranked as it is typed. */
export function MatchPanel({ vehicleId, partClass, onClass, onLead, onPick }: Props) {
  const [draft, setDraft] = useDraft<Measured>(MEASURED);
  const { values, tools } = draft ?? NOTHING_MEASURED;
  // It outlives a reload; the next part on the counter begins with nothing.
  useEffect(() => () => keepDraft(MEASURED, null), []);
  const figures = PART_FIGURES[partClass];
  const readings = useMemo(
    () =>
      figures.flatMap(({ key, kind }): ReadingTyped[] => {
        const text = (values[key] ?? '').trim();
        if (!text) return [];
        if (kind === 'look') return [{ key, value: text, tool: 'eye' }];
        const value = Number(text.replace(',', '.').replace(/\s*(mm|")$/, ''));
        // Inches are written with their mark.
        return Number.isFinite(value)
          ? [{ key, value: text.endsWith('"') ? value * 25.4 : value, tool: tools[key] ?? 'caliper' }]
          : [];
      }),
    [figures, values, tools],
  );
  const settled = useSettled(readings, SETTLES_MS);
  const match = useQuery({
    queryKey: ['match', partClass, vehicleId, settled],
    queryFn: ({ signal }) =>
      call('POST /match', { body: { partClass, vehicleId, readings: [...settled] }, signal }),
    enabled: settled.length > 0,
    placeholderData: keepPreviousData,
  });
  const answer = match.data ?? null;
  const error = match.error ? problemInWords(match.error) : null;
  const lead = useEffectEvent((next: MatchAnswer) =>
    onLead(
      next.ranked[0]?.part ?? null,
      Object.fromEntries(
        settled.flatMap(({ key, value }) => (typeof value === 'number' ? [[key, value] as const] : [])),
      ),
      next.next?.figure.key ?? null,
    ),
  );
  useEffect(() => {
    if (match.data && !match.isPlaceholderData) lead(match.data);
  }, [match.data, match.isPlaceholderData]);
  const shown = readings.length > 0 ? answer : null;
  return (
    <section aria-label="Match the old part">
      <div className="row-head">
        <h2 className="kicker">The old part on the counter</h2>
        <Choice<PartClass>
          label="What it is"
          value={partClass}
          onChoice={(which) => {
            setDraft({ values: {}, tools });
            onClass(which);
          }}
          options={PART_CLASSES.map((each) => ({ value: each, label: PART_IN_WORDS[each] }))}
        />
      </div>
      <div className="figure-grid">
        {figures.map((figure) => {
          const next = shown?.next?.figure.key === figure.key;
          return (
            <label
              key={figure.key}
              className={next ? 'figure-field next' : 'figure-field'}
              title={figure.how}
            >
              <span>
                {figure.words}
                {next && <strong className="look-here"> next</strong>}
              </span>
              {figure.kind === 'look' ? (
                <Choice
                  value={values[figure.key] ?? ''}
                  onChoice={(value) => setDraft({ values: { ...values, [figure.key]: value }, tools })}
                  options={[{ value: '', label: 'not seen' }, ...plainOptions(figure.values ?? [])]}
                />
              ) : (
                <span className="figure-number">
                  <Field
                    value={values[figure.key] ?? ''}
                    size={6}
                    inputMode="decimal"
                    onText={(text) => setDraft({ values: { ...values, [figure.key]: text }, tools })}
                  />
                  {figure.kind === 'length' ? (
                    <>
                      mm
                      <Choice<Tool>
                        label={`${figure.words}: tool`}
                        value={tools[figure.key] ?? 'caliper'}
                        onChoice={(tool) => setDraft({ values, tools: { ...tools, [figure.key]: tool } })}
                        options={Object.entries(TOOL_WORDS).map(([tool, label]) => ({
                          value: tool as Tool,
                          label,
                        }))}
                      />
                    </>
                  ) : (
                    'counted'
                  )}
                </span>
              )}
            </label>
          );
        })}
      </div>
      {error && (
        <p className="look-here" role="alert">
          {error}
        </p>
      )}
      <p className="card-lead" role="status">
        {shown ? shown.said : 'Measure or look at anything above.'}
      </p>
      {shown?.next && (
        <p className="soft">
          {shown.next.figure.how}{' '}
          {shown.next.between.map(({ number, value }) => `${number}: ${value}`).join(' against ')}
        </p>
      )}
      <ol className="matches">
        {shown?.ranked
          .filter(({ probability }) => probability >= 0.005)
          .map(({ part, sameAs, probability }) => (
            <li key={part.number}>
              <ButtonBase onClick={() => onPick(part.number)}>
                <span className="mono">{part.number}</span> {part.description}
                <span className="bar" aria-hidden="true">
                  <span style={{ width: `${probability * 100}%` }} />
                </span>
                <span className="nowrap">{Math.round(probability * 100)} in 100</span>
                {sameAs.length > 0 && <span className="soft"> same design: {sameAs.join(', ')}</span>}
              </ButtonBase>
            </li>
          ))}
      </ol>
    </section>
  );
}

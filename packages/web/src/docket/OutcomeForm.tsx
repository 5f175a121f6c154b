import {
  CAUSES,
  CAUSE_SHORT,
  CHECK_IN_WORDS,
  CHECK_NAMES,
  GOT_OUT,
  KNOWN_BY,
  OUTCOME_RESULTS,
  readOutcome,
  SYMPTOM_IN_WORDS,
  symptomOf,
  wheelEndInWords,
  type Advice,
  type Docket,
  type Outcome,
  type OutcomeResult,
  type Symptom,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import type { KeyboardEvent, ReactNode } from 'react';
import { Choice } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import { useDraft } from '../desk/useDraft.ts';
import { today } from '../today.ts';
import { GOT_OUT_IN_WORDS, KNOWN_IN_WORDS, RESULT_IN_WORDS } from './outcomeWords.ts';

interface Props {
  docketId: string;
  docket: Docket;
  /** Wheel ends of the vehicle, and the letters of the shop’s currency. */
  vehicle: Advice['vehicle'];
  currency: string;
  onClose: () => void;
  onSave: (outcome: Outcome | null) => void;
}

/** What a person set by hand, and the words; numbers as they are typed. */
interface Draft {
  readonly words: string;
  readonly set: Omit<Partial<Outcome>, 'result'> & { result?: OutcomeResult };
  readonly hours: string;
  readonly spent: string;
  readonly days: string;
}

const text = (value: number | null | undefined, times = 1): string =>
  value == null ? '' : String(value / times);
/** A number as typed; null for none, undefined for no number. */
const numberFrom = (typed: string, most: number): number | null | undefined => {
  const said = typed.trim().replace(',', '.');
  if (said === '') return null;
  const n = Number(said);
  return Number.isFinite(n) && n >= 0 && n <= most ? n : undefined;
};

const Row = ({ label, children }: { label: string; children: ReactNode }) => (
  <label className="outcome-row">
    <span>{label}</span>
    {children}
  </label>
);

/** What came of it, in words or by key: fifteen seconds, and nothing but the first answer has to be given. */
export function OutcomeForm({ docketId, docket, vehicle, currency, onClose, onSave }: Props) {
  const was = docket.outcome ?? null;
  const [kept, setDraft] = useDraft<Draft>(`close.${docketId}`);
  const draft: Draft = kept ?? {
    words: was?.note ?? '',
    set: was ?? {},
    hours: text(was?.hours),
    spent: text(was?.spentCents, 100),
    days: text(was?.afterDays),
  };
  const heard = draft.words ? readOutcome(draft.words) : {};
  // What was set by hand stands; what was not is as the words say.
  const now = {
    ...heard,
    ...Object.fromEntries(Object.entries(draft.set).filter(([, value]) => value != null)),
  } as Draft['set'];
  const put = (more: Partial<Draft>) => setDraft({ ...draft, ...more });
  const set = (more: Draft['set']) => put({ set: { ...draft.set, ...more } });
  const hours = draft.hours === '' ? (heard.hours ?? null) : numberFrom(draft.hours, 1000);
  const spent = draft.spent === '' ? (heard.spentCents ?? null) : numberFrom(draft.spent, 1e7);
  const days = draft.days === '' ? (heard.afterDays ?? null) : numberFrom(draft.days, 36525);
  const bad = [
    hours === undefined && 'Hours: a number from 0 to 1000.',
    spent === undefined && 'Paid: an amount such as 210 or 210.50.',
    days === undefined && 'Days: a number.',
  ].filter(Boolean);
  const complaints = [...new Set((docket.symptoms ?? []).map(symptomOf))];
  const stayed = new Set<Symptom>(now.stayed ?? []);
  const save = (next: Outcome | null) => {
    setDraft(null);
    onSave(next);
  };
  const keys = (event: KeyboardEvent) => {
    if (/^(INPUT|TEXTAREA|SELECT)$/.test((event.target as HTMLElement).tagName)) return;
    const picked = OUTCOME_RESULTS[Number(event.key) - 1];
    if (picked) {
      event.preventDefault();
      set({ result: picked });
    }
  };
  const submit = () => {
    const { result } = now;
    if (!result || bad.length > 0) return;
    save({
      ...was,
      result,
      trueCause: now.trueCause ?? null,
      trueWheelEnd: now.trueCause ? (now.trueWheelEnd ?? null) : null,
      knownBy: now.trueCause ? (now.knownBy ?? null) : null,
      place: now.place?.trim() ? now.place.trim() : null,
      stayed: result === 'partly' ? [...stayed] : null,
      afterDays: result === 'came-back' ? (days ?? null) : null,
      snapped: now.snapped ?? null,
      gotOut: now.snapped ? (now.gotOut ?? null) : null,
      hours: hours ?? null,
      spentCents: spent == null ? null : draft.spent === '' ? spent : Math.round(spent * 100),
      toldBy: now.toldBy ?? null,
      on: was?.on ?? today(),
      note: draft.words.trim() || null,
    });
  };
  return (
    <form
      className="dialog-body"
      tabIndex={-1}
      ref={(node) => {
        if (node && !node.contains(document.activeElement)) node.focus();
      }}
      onKeyDown={keys}
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <DialogTitle id="close-title">What happened?</DialogTitle>
      <DialogContent className="outcome">
        <div className="answers" role="group" aria-label="Outcome">
          {OUTCOME_RESULTS.map((name, i) => (
            <Button
              key={name}
              variant={name === now.result ? 'contained' : 'outlined'}
              aria-pressed={name === now.result}
              onClick={() => set({ result: name })}
            >
              <kbd>{i + 1}</kbd> {RESULT_IN_WORDS[name]}
            </Button>
          ))}
        </div>
        <TextField
          label="In words: what was it, how was it found, did it snap, how long, what was paid"
          value={draft.words}
          onChange={(event) => put({ words: event.target.value })}
          fullWidth
          multiline
          minRows={2}
          slotProps={{ htmlInput: { maxLength: 1000 } }}
          onKeyDown={(event) => {
            // One line is enough: Enter is done.
            if (event.key === 'Enter' && !event.shiftKey) {
              event.preventDefault();
              submit();
            }
          }}
        />
        <div className="outcome-rows">
          <Row label="What was really wrong">
            <Choice
              value={now.trueCause ?? ''}
              onChoice={(picked) => set({ trueCause: picked === '' ? null : picked })}
              options={[
                { value: '', label: 'not known' },
                ...CAUSES.map((name) => ({ value: name, label: CAUSE_SHORT[name] })),
              ]}
            />
          </Row>
          <Row label="How that is known">
            <Choice
              value={now.knownBy ?? ''}
              onChoice={(picked) => set({ knownBy: picked === '' ? null : picked })}
              options={[
                { value: '', label: 'not said' },
                ...KNOWN_BY.map((name) => ({ value: name, label: KNOWN_IN_WORDS[name] })),
              ]}
            />
          </Row>
          <Row label="The check that told">
            <Choice
              value={now.toldBy ?? ''}
              onChoice={(picked) => set({ toldBy: picked === '' ? null : picked })}
              options={[
                { value: '', label: 'none, or not said' },
                ...CHECK_NAMES.map((name) => ({ value: name, label: CHECK_IN_WORDS[name] })),
              ]}
            />
          </Row>
          <Row label="At which wheel">
            <Choice
              value={now.trueWheelEnd ?? ''}
              onChoice={(picked) => set({ trueWheelEnd: picked === '' ? null : picked })}
              options={[
                { value: '', label: 'where the part went' },
                ...vehicle.wheelEnds.map(({ wheelEnd }) => ({
                  value: wheelEnd,
                  label: wheelEndInWords(wheelEnd, vehicle),
                })),
              ]}
            />
          </Row>
          <Row label="Where exactly">
            <Field
              value={draft.set.place ?? ''}
              placeholder="lead chafed at the strut"
              onText={(value) => set({ place: value.slice(0, 200) })}
            />
          </Row>
          <Row label="Old sensor">
            <Choice
              value={now.snapped == null ? '' : now.snapped ? 'yes' : 'no'}
              onChoice={(picked) => set({ snapped: picked === '' ? null : picked === 'yes' })}
              options={[
                { value: '', label: 'not said' },
                { value: 'no', label: 'came out whole' },
                { value: 'yes', label: 'snapped' },
              ]}
            />
          </Row>
          <Row label="The rest was">
            <Choice
              value={now.snapped ? (now.gotOut ?? '') : ''}
              onChoice={(picked) => set({ gotOut: picked === '' ? null : picked })}
              options={[
                { value: '', label: 'not said' },
                ...GOT_OUT.map((name) => ({ value: name, label: GOT_OUT_IN_WORDS[name] })),
              ]}
            />
          </Row>
          <Row label="Work, h">
            <Field
              value={draft.hours}
              placeholder={text(heard.hours)}
              inputMode="decimal"
              bad={hours === undefined}
              onText={(value) => put({ hours: value })}
            />
          </Row>
          <Row label={`Paid in all, ${currency}`}>
            <Field
              value={draft.spent}
              placeholder={text(heard.spentCents, 100)}
              inputMode="decimal"
              bad={spent === undefined}
              onText={(value) => put({ spent: value })}
            />
          </Row>
          {now.result === 'came-back' && (
            <Row label="Came back after, days">
              <Field
                value={draft.days}
                placeholder={text(heard.afterDays)}
                inputMode="numeric"
                bad={days === undefined}
                onText={(value) => put({ days: value })}
              />
            </Row>
          )}
        </div>
        {now.result === 'partly' && complaints.length > 0 && (
          <div className="answers" role="group" aria-label="What stayed">
            <span className="soft">stayed:</span>
            {complaints.map((symptom) => (
              <Button
                key={symptom}
                variant={stayed.has(symptom) ? 'contained' : 'outlined'}
                aria-pressed={stayed.has(symptom)}
                onClick={() =>
                  set({
                    stayed: stayed.has(symptom)
                      ? [...stayed].filter((each) => each !== symptom)
                      : [...stayed, symptom],
                  })
                }
              >
                {SYMPTOM_IN_WORDS[symptom]}
              </Button>
            ))}
          </div>
        )}
        {bad.length > 0 && (
          <p className="look-here" role="alert">
            {bad.join(' ')}
          </p>
        )}
      </DialogContent>
      <DialogActions>
        {was && (
          <Button variant="text" onClick={() => save(null)}>
            Open it again
          </Button>
        )}
        <Button
          onClick={() => {
            setDraft(null);
            onClose();
          }}
        >
          Cancel
        </Button>
        <Button type="submit" variant="contained" disabled={!now.result || bad.length > 0}>
          {was ? 'Save' : 'Close docket'}
        </Button>
      </DialogActions>
    </form>
  );
}

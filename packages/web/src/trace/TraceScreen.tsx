import type { LivePattern, TraceFinding } from '@hardy/core/words';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useKeys } from '../desk/useKeys.ts';
import { useDevices } from '../devices/useDevices.ts';
import { changeDocket, useDocket } from '../state/useDocket.ts';
import { checkFromFinding } from './checkFromFinding.ts';
import { CircumferenceField } from './CircumferenceField.tsx';
import { FindingList, patternInWords } from './FindingList.tsx';
import { LivePanel } from './LivePanel.tsx';
import { LogPlots } from './LogPlots.tsx';
import { MappingDialog } from './MappingDialog.tsx';
import { PutOnDocket } from './PutOnDocket.tsx';
import { useTrace } from './useTrace.ts';
import './trace.css';

const PRACTICE: readonly LivePattern[] = [
  'once-per-turn',
  'drops-out',
  'weak-at-low-speed',
  'reads-low',
  'noisy',
  'no-signal',
  'normal',
];

/** Which finding is looked at first: of those that are off the surest, else the first. */
const surestOff = (findings: readonly TraceFinding[]): number =>
  findings.reduce((best, { pattern, confidence }, i) => {
    const known = findings[best];
    const isOff = pattern !== 'normal';
    const beats = known === undefined || known.pattern === 'normal' || confidence > known.confidence;
    return isOff && beats ? i : best;
  }, 0);

/** The Trace bench: a wheel-speed log in, what each wheel shows out. */
export function TraceScreen() {
  const { id = null } = useParams();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const live = search.has('live');
  const setLive = (on: boolean) => setSearch(on ? { live: '' } : {}, { replace: true });
  const { data: devices } = useDevices();
  const hasReader = devices?.devices.some(({ kind }) => kind === 'reader') ?? false;
  const trace = useTrace();
  const { file, reading, guess, progress, error, circumference, worker } = trace;
  const { view: docket, busy } = useDocket(id);
  const [selected, setSelected] = useState(0);
  const [over, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);

  useTitle('Trace bench', docket ? `docket ${docket.number}` : file?.name);
  const tyre = Object.values(docket?.docket.vehicle?.tyres ?? {})[0] ?? null;

  // The wheel that is off is looked at first; of several the surest.
  const [shown, setShown] = useState(reading);
  if (reading !== shown) {
    setShown(reading);
    setSelected(surestOff(reading?.findings ?? []));
  }
  const finding = reading?.findings[Math.min(selected, reading.findings.length - 1)] ?? null;
  const axles = Math.max(2, ...(reading?.findings.map(({ wheelEnd }) => Number(wheelEnd[1])) ?? [2]));

  const put = async (docketId: string) => {
    if (!finding) return;
    try {
      const done = await changeDocket(
        docketId,
        `log: ${finding.wheelEnd} ${patternInWords(finding.pattern)}`,
        (d) => ({ ...d, checks: [...(d.checks ?? []), checkFromFinding(finding)] }),
      );
      if (done) await navigate(`/docket/${docketId}`);
    } catch (problem) {
      trace.fail(problemInWords(problem));
    }
  };
  const keep = async (docketId: string, as: 'before' | 'after', from: number, to: number) => {
    const kept = await worker?.keep(file?.name ?? 'log', from, to);
    if (!kept) return;
    try {
      const done = await changeDocket(docketId, `log kept as ${as} the fix`, (d) => ({
        ...d,
        proof: { ...d.proof, [as]: kept },
      }));
      if (done) await navigate(`/docket/${docketId}`);
    } catch (problem) {
      trace.fail(problemInWords(problem));
    }
  };
  const step = (by: number) => () => {
    const count = reading?.findings.length ?? 0;
    if (count > 0) setSelected((selected + by + count) % count);
  };
  useKeys({
    l: () => picker.current?.click(),
    ArrowDown: step(1),
    ArrowUp: step(-1),
    b: () => void navigate(id ? `/docket/${id}` : '/'),
    ...(live ? {} : { Escape: () => trace.cancel() }),
    ...(hasReader && !live && { v: () => setLive(true) }),
  });

  const take = (files: FileList | null) => {
    const first = files?.[0];
    if (first) void trace.open(first);
  };
  return (
    <Desk>
      <div
        className={over ? 'sheet trace-sheet over' : 'sheet trace-sheet'}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          take(event.dataTransfer.files);
        }}
      >
        <div className="docket-head">
          <h1>Trace bench</h1>
          <span className="soft">
            {[
              docket && `for docket ${docket.number}`,
              file?.name,
              reading &&
                `${reading.samples.toLocaleString('en-GB')} samples, ${reading.sampleRateHz} Hz, ${reading.seconds} s`,
            ]
              .filter(Boolean)
              .join(' \u00B7 ')}
          </span>
          <span className="docket-tools">
            <input
              ref={picker}
              type="file"
              className="unseen"
              tabIndex={-1}
              aria-label="Wheel-speed log"
              accept=".csv,.txt,.tsv,.log,text/*"
              onChange={(event) => {
                take(event.target.files);
                event.target.value = '';
              }}
            />
            {hasReader && !live && (
              <Button onClick={() => setLive(true)}>
                Live from the reader <kbd>v</kbd>
              </Button>
            )}
            <Button onClick={() => picker.current?.click()}>
              Choose a log <kbd>l</kbd>
            </Button>
            {file && (
              <Button variant="text" onClick={() => void trace.chooseColumns()}>
                columns
              </Button>
            )}
            <Button variant="text" component={Link} to={id ? `/docket/${id}` : '/'}>
              {id ? 'docket' : 'counter'} <kbd>b</kbd>
            </Button>
          </span>
        </div>
        {error && (
          <p className="look-here gap" role="alert">
            {file?.name}: {error}{' '}
            <Button variant="text" onClick={() => void trace.chooseColumns()}>
              choose the columns
            </Button>
          </p>
        )}
        {trace.alone && (
          <p className="soft gap" role="status">
            No thread starts on this computer: the page studies the log itself and stands still now and then.
          </p>
        )}
        {progress !== null && (
          <div className="trace-progress">
            <LinearProgress
              variant="determinate"
              value={progress * 100}
              aria-label="Reading and studying the log"
            />
            <span>{Math.round(progress * 100)} %</span>
            <Button onClick={() => trace.cancel()}>
              Stop <kbd>Esc</kbd>
            </Button>
          </div>
        )}
        {live && (
          <LivePanel
            docketId={id}
            onStudy={(log) => {
              setLive(false);
              void trace.open(log);
            }}
            onLeave={() => setLive(false)}
          />
        )}
        {!live && !reading && progress === null && (
          <section className="trace-empty" aria-label="No log yet">
            <p className="card-lead">Drop a wheel-speed log here.</p>
            <p>
              A CSV from any reader or logger: a time and one speed for each wheel. A minute of driving will
              do; some of it at walking pace shows a cracked ring best.
            </p>
            <p>
              Without one, learn on a made-up log:{' '}
              {PRACTICE.map((pattern) => (
                <Button key={pattern} onClick={() => void trace.practice(pattern, 'A1R')}>
                  {patternInWords(pattern)}
                </Button>
              ))}
            </p>
          </section>
        )}
        {!live && reading && finding && worker && progress === null && (
          <div className="trace-zones">
            <div>
              <h2 className="kicker">What each wheel shows</h2>
              <FindingList reading={reading} axles={axles} selected={selected} onSelect={setSelected} />
              <PutOnDocket finding={finding} docketId={id} busy={busy} onPut={(target) => void put(target)} />
              <p className="soft gap">
                This log can show a bad place of the ring below {reading.onceVisibleBelowKmh.toFixed(0)} km/h;
                faster it has under two samples a turn.
              </p>
              <CircumferenceField
                metres={circumference}
                tyre={tyre}
                onChange={(metres) => trace.setCircumference(metres)}
              />
              {reading.notes.map((note) => (
                <p key={note} className="soft">
                  {note}
                </p>
              ))}
            </div>
            <LogPlots
              key={`${file?.name} ${reading.samples}`}
              reading={reading}
              worker={worker}
              selected={selected}
              onKeep={id === null ? null : (as, from, to) => void keep(id, as, from, to)}
            />
          </div>
        )}
      </div>
      <MappingDialog guess={guess} onClose={trace.dismiss} onUse={(mapping) => void trace.study(mapping)} />
    </Desk>
  );
}

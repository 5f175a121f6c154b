import type { DevicesView } from '@hardy/core/contract';
import { takeReaderCodes } from '@hardy/core/words';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useRef } from 'react';
import { Link } from 'react-router';
import { call } from '../api/client.ts';
import { changeDocket } from '../state/useDocket.ts';
import { lookAgain } from './useDevices.ts';

interface Props {
  onFrameLog: (text: string) => void;
  view: DevicesView;
  docketId: string;
  /** Runs something that may fail; the words of the failure are shown. */
  act: (how: () => Promise<unknown>) => void;
  onPut: () => void;
  onClear: () => void;
}

/** Begins to read every controller for a docket. */
export const readAll = (docketId: string) => async (): Promise<void> => {
  await call('POST /devices/reader/read', { body: { docketId } });
  await lookAgain();
};

/** Puts what was read on the docket it was read for. */
export const putCodes = (view: DevicesView, docketId: string) => async (): Promise<void> => {
  const { result } = view.reading;
  if (!result || view.reading.docketId !== docketId) return;
  const { length } = result.codes;
  await changeDocket(docketId, length === 0 ? 'read: no codes' : `read: ${length} codes`, (docket) =>
    takeReaderCodes(docket, result),
  );
};

/** Puts the codes of a frame log on a docket; says how many there were. */
export const putFrameLog = async (docketId: string, text: string): Promise<string> => {
  const result = await call('POST /devices/frame-log', { body: { text } });
  const { length } = result.codes;
  await changeDocket(docketId, `frame log: ${length} codes`, (docket) => takeReaderCodes(docket, result));
  return length === 0
    ? 'No code stands in it, and none stood: that is on the docket.'
    : `${result.codes.map(({ code, status }) => `${code} ${status}`).join(', ')}: on the docket.`;
};

/** Read every controller, put it on the docket, clear. */
export function ReaderPanel({ view, docketId, act, onPut, onClear, onFrameLog }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  const { reading } = view;
  const mine = reading.docketId === docketId ? reading : null;
  const result = mine?.result ?? null;
  return (
    <section className="card" aria-label="Reader">
      <div className="row-head">
        <h2 className="kicker">Reader</h2>
        <span className="device-acts">
          <Button
            variant={result ? 'outlined' : 'contained'}
            disabled={reading.state === 'reading'}
            onClick={() => act(readAll(docketId))}
          >
            Read every controller <kbd>r</kbd>
          </Button>
          <Button component={Link} to={`/docket/${docketId}/trace?live`}>
            Live speeds <kbd>v</kbd>
          </Button>
          <input
            ref={picker}
            type="file"
            className="unseen"
            tabIndex={-1}
            aria-label="Frame log"
            accept=".log,.txt,text/*"
            onChange={({ target }) => {
              void target.files?.[0]?.text().then(onFrameLog);
              target.value = '';
            }}
          />
          <Button onClick={() => picker.current?.click()}>From a frame log&hellip;</Button>
          <Button onClick={onClear}>
            Clear codes&hellip; <kbd>c</kbd>
          </Button>
        </span>
      </div>
      {reading.state === 'reading' && (
        <div className="trace-progress">
          <LinearProgress
            variant="determinate"
            value={(100 * reading.done) / Math.max(1, reading.of)}
            aria-label="Reading the controllers"
          />
          <span>
            {reading.done} of {reading.of} controllers
          </span>
          <Button onClick={() => act(() => call('POST /devices/reader/stop', { body: {} }))}>
            Stop <kbd>Esc</kbd>
          </Button>
        </div>
      )}
      {mine?.problem && (
        <p className={mine.state === 'stopped' ? 'soft' : 'look-here'} role="alert">
          {mine.state === 'stopped' ? 'Stopped: nothing was taken over.' : mine.problem}
        </p>
      )}
      {result && (
        <>
          <table className="device-codes">
            <caption className="unseen">Codes as read</caption>
            <thead>
              <tr>
                <th scope="col">controller</th>
                <th scope="col">code</th>
                <th scope="col">now</th>
              </tr>
            </thead>
            <tbody>
              {result.codes.map(({ module, code, status }) => (
                <tr key={`${module} ${code}`}>
                  <td>{module}</td>
                  <td className="mono">{code}</td>
                  <td>{status}</td>
                </tr>
              ))}
              {result.read
                .filter((name) => !result.codes.some(({ module }) => module === name))
                .map((name) => (
                  <tr key={name} className="soft">
                    <td>{name}</td>
                    <td>no code</td>
                    <td />
                  </tr>
                ))}
              {result.unread.map(({ name, why }) => (
                <tr key={name} className="look-here">
                  <td>{name}</td>
                  <td colSpan={2}>not read: {why}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {result.wasCleared && (
            <p className="look-here">
              The codes were cleared before. What only a drive finds is not back before one: drive above
              walking pace, then read again.
            </p>
          )}
          <Button variant="contained" onClick={onPut}>
            {result.wasCleared ? 'It was driven since: put it on the docket' : 'Put them on the docket'}{' '}
            <kbd>p</kbd>
          </Button>
        </>
      )}
      {!result && reading.state !== 'reading' && !mine?.problem && (
        <p className="empty">
          Ignition on, plug in, read: echoes in other controllers are tied to their root.
        </p>
      )}
    </section>
  );
}

import Button from '@mui/material/Button';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useRef, useState } from 'react';
import type { ImportProgress } from '@hardy/core/contract';
import { CATALOGUE_FILES } from '@hardy/core/words';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { call, problemInWords } from '../api/client.ts';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';

const SHOWN = 12;
/** How often a running import is asked how far it is, in milliseconds. */
const POLL_MS = 300;

const isUnderWay = (state: ImportProgress['state'] | undefined): boolean =>
  state === undefined || state === 'running' || state === 'uploading';

/** The catalogue out as files and in from files: good rows or all or nothing, every bad row told. */
export function ImportDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [files, setFiles] = useState<File[]>([]);
  const [mode, setMode] = useState<'whole' | 'good'>('whole');
  const [begun, setId] = useState<string | null>(null);
  const [sending, setSending] = useState<string | null>(null);
  // One that runs, or ran, was perhaps begun before this page was loaded.
  const newest = useQuery({
    queryKey: ['import'],
    queryFn: ({ signal }) => call('GET /imports', { signal }),
    enabled: open && begun === null,
  });
  const id = begun ?? (files.length === 0 ? (newest.data?.import?.id ?? null) : null);
  const [error, setError] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const { data: now = null } = useQuery({
    queryKey: ['import', id],
    queryFn: ({ signal }) => call('GET /imports/:id', { params: { id: id ?? '' }, signal }),
    enabled: id !== null,
    refetchInterval: ({ state }) => (isUnderWay(state.data?.state) ? POLL_MS : false),
  });
  const running = id !== null && sending === null && isUnderWay(now?.state);
  const queries = useQueryClient();
  useEffect(() => {
    // What stood on the shelf may be another now.
    if (now?.state === 'done') void queries.invalidateQueries();
  }, [now?.state, queries]);

  const start = async () => {
    setError(null);
    setId(null);
    try {
      const { id: next } = await call('POST /imports', { body: {} });
      for (const file of files) {
        setSending(file.name);
        const response = await fetch(`/api/imports/${next}/files/${file.name}`, {
          method: 'PUT',
          body: file,
        });
        if (!response.ok) {
          const problem = (await response.json().catch(() => ({}))) as { detail?: string };
          throw new Error(problem.detail ?? `${file.name} could not be sent`);
        }
      }
      await call('POST /imports/:id/run', { params: { id: next }, body: { mode } });
      setId(next);
    } catch (problem) {
      setError(problemInWords(problem));
    } finally {
      setSending(null);
    }
  };
  const report = now?.report ?? null;
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="md" fullWidth aria-labelledby="import-title">
      <DialogTitle id="import-title">Catalogue files</DialogTitle>
      <DialogContent>
        <p className="gap">
          Out:{' '}
          {[...CATALOGUE_FILES, 'manifest.json'].map((file) => (
            <span key={file}>
              <a href={`/api/catalogue/${file}`} download={file}>
                {file}
              </a>{' '}
            </span>
          ))}
        </p>
        <p className="gap">In: choose any of these files; what is there already is changed by its key.</p>
        <p className="gap">
          <Button onClick={() => picker.current?.click()}>Choose files</Button>
          <input
            ref={picker}
            type="file"
            multiple
            className="unseen"
            tabIndex={-1}
            accept=".csv,.json"
            aria-label="Catalogue files to bring in"
            onChange={(event) => {
              setFiles([...(event.target.files ?? [])]);
              setId(null);
            }}
          />{' '}
          <span className="soft">{files.map(({ name }) => name).join(', ') || 'none chosen'}</span>
        </p>
        <RadioGroup
          row
          aria-label="When a row is bad"
          value={mode}
          onChange={(_, chosen) => setMode(chosen as typeof mode)}
        >
          <FormControlLabel
            value="whole"
            control={<Radio size="small" />}
            label="one bad row and nothing goes in"
          />
          <FormControlLabel value="good" control={<Radio size="small" />} label="the good rows go in" />
        </RadioGroup>
        {error && (
          <p className="look-here" role="alert">
            {error}
          </p>
        )}
        {sending !== null && <p role="status">Sending {sending}…</p>}
        {running && (
          <LinearProgress
            variant="determinate"
            value={(now?.progress ?? 0) * 100}
            aria-label="Reading the catalogue files"
          />
        )}
        <div role="status">
          {now?.state === 'failed' && <p className="look-here">{now.problem}</p>}
          {now?.state === 'cancelled' && <p>Stopped: nothing went in.</p>}
          {now?.state === 'done' && report && (
            <>
              <p>
                {report.written
                  ? `In: ${Object.entries(report.rows)
                      .map(([file, count]) => `${count} of ${file}`)
                      .join(', ')}.`
                  : 'Nothing went in.'}{' '}
                {report.errorCount > 0 ? `${report.errorCount} bad rows.` : 'No bad rows.'}
              </p>
              {report.errorCount > 0 && (
                <>
                  <table className="mapping">
                    <thead>
                      <tr>
                        <th scope="col">file</th>
                        <th scope="col">line</th>
                        <th scope="col">column</th>
                        <th scope="col">why</th>
                      </tr>
                    </thead>
                    <tbody>
                      {report.errors.slice(0, SHOWN).map((bad, i) => (
                        <tr key={i}>
                          <td>{bad.file}</td>
                          <td>{bad.line > 0 ? bad.line : ''}</td>
                          <td>{bad.column}</td>
                          <td>{bad.reason}</td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                  <a href={`/api/imports/${id}/errors.csv`} download="bad-rows.csv">
                    all bad rows as a file
                  </a>
                </>
              )}
            </>
          )}
        </div>
      </DialogContent>
      <DialogActions>
        {running ? (
          <Button onClick={() => void call('DELETE /imports/:id', { params: { id: id ?? '' } })}>Stop</Button>
        ) : (
          <Button
            variant="contained"
            disabled={files.length === 0 || sending !== null}
            onClick={() => void start()}
          >
            Bring in {files.length > 0 ? `${files.length} files` : ''}
          </Button>
        )}
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </DeskDialog>
  );
}

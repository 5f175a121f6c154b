import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { DocketChoice } from '../desk/DocketChoice.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { useDocket } from '../state/useDocket.ts';
import { BenchPanel } from './BenchPanel.tsx';
import { ClearDialog } from './ClearDialog.tsx';
import { DeviceCard, SupplierLine } from './DeviceCard.tsx';
import { MeterPanel } from './MeterPanel.tsx';
import { putCodes, putFrameLog, readAll, ReaderPanel } from './ReaderPanel.tsx';
import { endDrive, isOthers, lookAgain, putOnBench, useDevices } from './useDevices.ts';
import './devices.css';

/** A docket for what is read: chosen where none came along. */
function ChooseDocket() {
  const navigate = useNavigate();
  return (
    <section className="card" aria-label="Which docket">
      <p className="card-lead">Which docket are they for?</p>
      <p>
        What is read, measured and driven goes on a docket.{' '}
        <DocketChoice
          value=""
          onChoice={(id) => void navigate(`/docket/${id}/devices`)}
          label="Docket"
          ask="choose one"
        />
      </p>
    </section>
  );
}

/** Reader, meter, bench and suppliers: how they stand, what was said last, and what they do for a docket. */
export function DevicesScreen() {
  const { id = null } = useParams();
  const navigate = useNavigate();
  const { data: view, error } = useDevices();
  const { view: docket, error: docketError } = useDocket(id);
  const [clearing, setClearing] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const act = (how: () => Promise<unknown>, said: string | null = null) => {
    setProblem(null);
    setDone(null);
    void how().then(
      () => said !== null && setDone(said),
      (why: unknown) => {
        setProblem(problemInWords(why));
        void lookAgain();
      },
    );
  };
  const has = (kind: string) => view?.devices.some((device) => device.kind === kind) ?? false;
  const canRead = id !== null && has('reader');
  const put = () => {
    if (view && id && view.reading.result) act(putCodes(view, id), 'The codes stand on the docket.');
  };
  useTitle('Devices', docket ? `docket ${docket.number}` : undefined);
  useKeys({
    b: () => void navigate(id ? `/docket/${id}` : '/'),
    i: () => act(() => call('POST /devices/find', { body: {} }).then(lookAgain)),
    ...(canRead && {
      r: () => act(readAll(id)),
      p: put,
      c: () => setClearing(true),
      v: () => void navigate(`/docket/${id}/trace?live`),
      Escape: () => act(() => call('POST /devices/reader/stop', { body: {} })),
    }),
    ...(id !== null &&
      view?.bench && {
        o: () => act(() => putOnBench(id)),
        e: () => act(endDrive),
      }),
  });
  const advice = docket?.advice ?? null;
  const failure = problem ?? docketError ?? (error ? problemInWords(error) : null);
  return (
    <Desk>
      <div className="sheet devices-sheet">
        <div className="docket-head">
          <h1>Devices</h1>
          <span className="soft">
            {docket
              ? [`for docket ${docket.number}`, advice?.vehicle.name, docket.docket.vehicle?.fleetNumber]
                  .filter(Boolean)
                  .join(' \u00B7 ')
              : 'reader, meter and suppliers\u2019 services of this shop'}
          </span>
          <span className="docket-tools">
            {view && !view.off && (
              <Button onClick={() => act(() => call('POST /devices/find', { body: {} }).then(lookAgain))}>
                Is everybody there? <kbd>i</kbd>
              </Button>
            )}
            <Button variant="text" component={Link} to={id ? `/docket/${id}` : '/'}>
              {id ? 'docket' : 'counter'} <kbd>b</kbd>
            </Button>
          </span>
        </div>
        {failure && (
          <p className="look-here" role="alert">
            {failure}
          </p>
        )}
        {done && <p role="status">{done}</p>}
        {!view && !failure && <Skeleton variant="rectangular" height={300} />}
        {view?.off && (
          <section className="card" aria-label="No devices">
            <p className="card-lead">No device is named.</p>
            <p>
              A reader, a meter or a supplier{'\u2019'}s service is named in a file that the server is started
              with (<span className="mono">--devices FILE</span>), and nowhere else: no screen and nobody from
              outside can make this computer call another. The form of the file stands in docs/formats.md.
            </p>
          </section>
        )}
        {view && !view.off && (
          <div className="devices-zones">
            <section aria-label="How they stand">
              <h2 className="kicker">How they stand</h2>
              <ul>
                {view.devices
                  .filter(({ kind }) => kind !== 'supplier')
                  .map((device) => (
                    <DeviceCard key={device.kind} device={device} />
                  ))}
              </ul>
              {has('supplier') && <h3 className="suppliers-head">Suppliers by wire</h3>}
              <ul>
                {view.devices
                  .filter(({ kind }) => kind === 'supplier')
                  .map((device) => (
                    <SupplierLine key={device.id} device={device} />
                  ))}
              </ul>
            </section>
            <div className="devices-work">
              {id === null && <ChooseDocket />}
              {id !== null && docket && advice && (
                <>
                  {has('reader') && (
                    <ReaderPanel
                      view={view}
                      docketId={id}
                      act={(how) => act(how)}
                      onPut={put}
                      onFrameLog={(text) => act(() => putFrameLog(id, text).then(setDone))}
                      onClear={() => setClearing(true)}
                    />
                  )}
                  {has('meter') && (
                    <MeterPanel
                      docketId={id}
                      ends={view.bench?.vehicle?.ends ?? advice.corners.map(({ wheelEnd }) => wheelEnd)}
                      corner={advice.wheelEnd}
                      names={advice.vehicle}
                      onBench={view.bench?.vehicle != null}
                      isOther={isOthers(view, id)}
                      act={(how) => act(how)}
                    />
                  )}
                  {view.bench && (
                    <BenchPanel
                      bench={view.bench}
                      docketId={id}
                      docket={docket.docket}
                      advice={advice}
                      act={(how) => act(how)}
                    />
                  )}
                </>
              )}
            </div>
          </div>
        )}
      </div>
      {id !== null && (
        <ClearDialog
          open={clearing}
          docketId={id}
          known={view?.reading.docketId === id ? view.reading.result : null}
          onClose={() => setClearing(false)}
        />
      )}
    </Desk>
  );
}

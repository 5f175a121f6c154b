import type { BenchEnd, BenchState, BenchWork } from '@hardy/core/contract';
import {
  CHECK_IN_WORDS,
  CHECK_NAMES,
  PART_IN_WORDS,
  partsOf,
  wheelEndInWords,
  type Advice,
  type Check,
  type CheckName,
  type Docket,
  type WheelEnd,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useState } from 'react';
import { call } from '../api/client.ts';
import { Choice } from '../desk/Choice.tsx';
import { changeDocket } from '../state/useDocket.ts';
import { LampGlyph } from './LampGlyph.tsx';
import { putFrameLog } from './ReaderPanel.tsx';
import { endDrive, lookAgain, putOnBench } from './useDevices.ts';

interface Props {
  bench: BenchState;
  docketId: string;
  docket: Docket;
  advice: Advice;
  act: (how: () => Promise<unknown>) => void;
}

const DRIVES = [
  ['yard', 'Yard'],
  ['town', 'Yard and town'],
  ['road', 'Town and road'],
  ['wet stop', 'Wet stop'],
] as const;
const WORKS = [
  { value: 'seating', label: 'clean the seat' },
  { value: 'loom', label: 'mend the loom' },
  { value: 'tyre', label: 'the right tyres' },
  { value: 'supply', label: 'battery and supply' },
] as const;
const TIERS = ['dealer', 'good', 'budget'] as const;
type Tier = (typeof TIERS)[number];
const NOT_ON_BENCH: ReadonlySet<CheckName> = new Set(['meter.resistance', 'meter.ac', 'meter.supply']);
const CHECKS = CHECK_NAMES.filter((name) => !NOT_ON_BENCH.has(name)).map((value) => ({
  value,
  label: CHECK_IN_WORDS[value],
}));

/** The bench that stands in for this docket's vehicle: driven, looked at, mended, driven again. */
export function BenchPanel({ bench, docketId, docket, advice, act }: Props) {
  const corner = (docket.chosen?.wheelEnd ?? advice.wheelEnd) as BenchEnd | null;
  const [end, setEnd] = useState<BenchEnd | null>(null);
  const [check, setCheck] = useState<CheckName | null>(null);
  const [work, setWork] = useState<(typeof WORKS)[number]['value']>('seating');
  const [told, setTold] = useState<string | null>(null);
  const { vehicle, driving, lamp, grinds } = bench;
  const isMine = vehicle?.docketId === docketId;
  const here = end ?? corner ?? 'A1L';
  const asked = check ?? advice.verdict.check ?? 'visual.connector';
  const names = advice.vehicle;
  const tell = (how: () => Promise<string | null>) =>
    act(async () => {
      setTold(null);
      const said = await how();
      await lookAgain();
      setTold(said);
    });
  const mend = (body: BenchWork, said: string) =>
    tell(async () => {
      await call('POST /devices/bench/work', { body });
      return said;
    });
  const look = (name: CheckName) =>
    tell(async () => {
      const { found } = await call('POST /devices/bench/check', { body: { check: name, wheelEnd: here } });
      if (!found) return `${CHECK_IN_WORDS[name]}: it told nothing.`;
      await changeDocket(docketId, `${CHECK_IN_WORDS[name]}: on the bench`, (d) => ({
        ...d,
        checks: [...(d.checks ?? []), found],
      }));
      return `${CHECK_IN_WORDS[name]} at ${wheelEndInWords(here, names)}: ${foundInWords(found)}. It stands on the docket.`;
    });
  const parts = docket.chosen ? partsOf(docket.chosen) : [];
  /** Quality of a part as it was ordered; null where nobody said. */
  const tierOf = (partNumber: string | null | undefined): Tier | null =>
    TIERS.find(
      (tier) => tier === docket.chosen?.lines?.find((line) => line.partNumber === partNumber)?.tier,
    ) ?? null;
  return (
    <section className="card" aria-label="Bench">
      <div className="row-head">
        <h2 className="kicker">On the bench, in place of a vehicle</h2>
        <Button
          variant={isMine ? 'outlined' : 'contained'}
          onClick={() =>
            tell(async () => {
              await putOnBench(docketId);
              return null;
            })
          }
        >
          {isMine ? 'Another fault' : 'Put this vehicle on'} <kbd>o</kbd>
        </Button>
      </div>
      {!vehicle && (
        <p className="empty">
          The bench is empty. A fault that fits the docket is found for it, and kept to itself.
        </p>
      )}
      {vehicle && !isMine && (
        <p className="look-here">
          Another docket{'\u2019'}s vehicle stands on it: {vehicle.name}. It is read for its own docket alone.
        </p>
      )}
      {vehicle && (
        <>
          <p className="bench-lamps">
            <LampGlyph lit={lamp} />{' '}
            <strong data-testid="lamp">{lamp ? 'anti-lock lamp lit' : 'anti-lock lamp out'}</strong>
            {grinds && <span className="look-here"> the pedal grinds when stopping</span>}
          </p>
          {vehicle.trailer && (
            <p className="device-acts">
              A trailer speaks over its bus, not to this reader:
              <Button
                onClick={() =>
                  tell(async () => putFrameLog(docketId, (await call('GET /devices/bench/frame-log')).log))
                }
              >
                Listen to its bus
              </Button>
            </p>
          )}
          {driving ? (
            <div className="trace-progress">
              <LinearProgress
                variant="determinate"
                value={(100 * driving.seconds) / Math.max(1, driving.of)}
                aria-label="The drive"
              />
              <span>
                {driving.drive}: {driving.seconds.toFixed(0)} of {driving.of} s, {driving.kmh.toFixed(0)} km/h
              </span>
              <Button
                onClick={() =>
                  tell(async () => {
                    await endDrive();
                    return 'The drive is over.';
                  })
                }
              >
                to its end <kbd>e</kbd>
              </Button>
            </div>
          ) : (
            <>
              <p className="device-acts">
                drive:{' '}
                {DRIVES.map(([drive, label]) => (
                  <Button
                    key={drive}
                    onClick={() =>
                      tell(async () => {
                        await call('POST /devices/bench/drive', { body: { drive } });
                        return null;
                      })
                    }
                  >
                    {label}
                  </Button>
                ))}
              </p>
              <p className="device-acts">
                at{' '}
                <Choice
                  value={here}
                  onChoice={setEnd}
                  label="Wheel on the bench"
                  options={vehicle.ends.map((value) => ({
                    value,
                    label: wheelEndInWords(value as WheelEnd, names),
                  }))}
                />
              </p>
              <p className="device-acts">
                <Choice value={asked} onChoice={setCheck} label="Check" options={CHECKS} />
                <Button onClick={() => look(asked)}>Do this check</Button>
              </p>
              <p className="device-acts">
                {parts.map(({ part, wheelEnd, partNumber }) => (
                  <Button
                    key={`${part} ${wheelEnd}`}
                    variant="contained"
                    disabled={part === 'sender'}
                    onClick={() =>
                      mend(
                        {
                          wheelEnd: wheelEnd as BenchEnd,
                          fit: part === 'sender' ? null : part,
                          tier: tierOf(partNumber),
                          work: null,
                        },
                        `${PART_IN_WORDS[part]} fitted at ${wheelEndInWords(wheelEnd, names)}. Clear, drive, read again.`,
                      )
                    }
                  >
                    Fit the {PART_IN_WORDS[part]} {wheelEndInWords(wheelEnd, names)}
                  </Button>
                ))}
                {parts.length === 0 && <span className="soft">what the docket takes can be fitted here</span>}
              </p>
              <p className="device-acts">
                <Choice value={work} onChoice={setWork} label="Work without a part" options={WORKS} />
                <Button
                  onClick={() =>
                    mend(
                      { wheelEnd: here, fit: null, work },
                      `Done: ${WORKS.find(({ value }) => value === work)?.label ?? work}. Clear, drive, read again.`,
                    )
                  }
                >
                  Do this work
                </Button>
              </p>
            </>
          )}
          {told && <p role="status">{told}</p>}
        </>
      )}
    </section>
  );
}

/** What a check found, as one says it. */
const foundInWords = (check: Check): string => {
  const { result, pattern, percent, counted, restingVolts } = check as unknown as Record<string, unknown>;
  const said = result ?? pattern;
  if (typeof said === 'string')
    return [said.replace(/-/g, ' '), typeof percent === 'number' ? `${percent} %` : null]
      .filter(Boolean)
      .join(', ');
  if (typeof counted === 'number') return `${counted} counted`;
  if (typeof restingVolts === 'number') return `${restingVolts} V at rest`;
  return 'noted';
};

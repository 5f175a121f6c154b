import {
  CHECK_IN_WORDS,
  EVENT_IN_WORDS,
  SYMPTOM_IN_WORDS,
  wheelEndInWords,
  type Advice,
  type Check,
  type Docket,
} from '@hardy/core/plain';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { CodeList } from './CodeList.tsx';
import { EditableField } from './EditableField.tsx';
import { Fact } from './Fact.tsx';

type Change = (label: string, edit: (docket: Docket) => Docket) => void;

interface Props {
  docket: Docket;
  advice: Advice;
  change: Change;
  onAddCheck: () => void;
}

const checkResult = (check: Check): string => {
  switch (check.check) {
    case 'live':
      return `${check.pattern.replace(/-/g, ' ')}${check.percent != null ? ` ${check.percent} %` : ''}`;
    case 'meter.resistance':
      return typeof check.ohms === 'number' ? `${check.ohms} ohm` : check.ohms;
    case 'meter.supply':
    case 'meter.ac':
      return `${check.volts} V`;
    case 'battery':
      return [
        check.restingVolts != null ? `${check.restingVolts} V at rest` : null,
        check.crankingVolts != null ? `${check.crankingVolts} V cranking` : null,
      ]
        .filter(Boolean)
        .join(', ');
    case 'tyres':
      return Object.entries(check.sizes)
        .map(([end, size]) => `${end} ${size}`)
        .join(', ');
    default:
      return check.result.replace(/-/g, ' ');
  }
};

const Section = ({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) => (
  <section className="facts-section" aria-label={title}>
    <div className="row-head">
      <h2 className="kicker">{title}</h2>
      {action}
    </div>
    {children}
  </section>
);

const without = <T,>(list: readonly T[] | null | undefined, at: number): T[] =>
  (list ?? []).filter((_, i) => i !== at);

/** The facts in the order of the work, each with what it did to the answer. */
export function FactsPanel({ docket, advice, change, onAddCheck }: Props) {
  const vehicle = docket.vehicle ?? {};
  const axles = advice.vehicle.axles;
  const said = (path: string): string | undefined => {
    const fact = advice.facts.find((f) => f.path === path);
    return fact && fact.said !== 'changes little' ? fact.said : undefined;
  };
  const place = (end: string | null | undefined): string => (end ? ` ${wheelEndInWords(end, axles)}` : '');
  const setVehicle = (key: string, label: string) => (value: string | null) =>
    change(label, (d) => ({ ...d, vehicle: { ...d.vehicle, [key]: value } }));
  const leftOver = docket.leftOver ?? [];
  return (
    <div className="facts">
      <Section title="Vehicle">
        <dl className="vehicle-fields">
          <EditableField
            label="Name"
            value={vehicle.name ?? advice.vehicle.name}
            onChange={setVehicle('name', 'vehicle named')}
          />
          <EditableField
            label="Fleet no."
            value={vehicle.fleetNumber}
            onChange={setVehicle('fleetNumber', 'fleet number')}
          />
          <EditableField
            label="Built"
            value={vehicle.buildDate}
            said={said('vehicle.buildDate')}
            placeholder="YYYY-MM"
            onChange={setVehicle('buildDate', 'build date')}
          />
          <EditableField
            label="Road salt"
            value={vehicle.saltExposure}
            options={['none', 'some', 'high']}
            said={said('vehicle.saltExposure')}
            onChange={setVehicle('saltExposure', 'road salt')}
          />
          <EditableField
            label="Steering"
            value={vehicle.steeringSide ?? advice.vehicle.steeringSide}
            options={['left', 'right']}
            onChange={setVehicle('steeringSide', 'steering side')}
          />
        </dl>
        {advice.vehicle.wheelEnds
          .filter(({ wheelEnd }) => wheelEnd === advice.wheelEnd)
          .map(({ wheelEnd, sensing }) => (
            <p key={wheelEnd} className="sensing">
              {wheelEndInWords(wheelEnd, axles)}: {sensing}
            </p>
          ))}
      </Section>
      <Section title="Codes">
        <CodeList codes={advice.codes} said={said} change={change} />
      </Section>
      <Section title="Complaint">
        <ul className="fact-list">
          {docket.wheelEnd && (
            <Fact
              what="corner named"
              mark="corner"
              said={said('wheelEnd')}
              onRemove={() =>
                change('corner no longer named', (d) => ({ ...d, wheelEnd: null, positions: [] }))
              }
            >
              {wheelEndInWords(docket.wheelEnd, axles)}
            </Fact>
          )}
          {(docket.symptoms ?? []).map((symptom, i) => (
            <Fact
              key={symptom}
              what={SYMPTOM_IN_WORDS[symptom]}
              said={said(`symptoms[${i}]`)}
              onRemove={() =>
                change(`${SYMPTOM_IN_WORDS[symptom]} dropped`, (d) => ({
                  ...d,
                  symptoms: without(d.symptoms, i),
                }))
              }
            >
              {SYMPTOM_IN_WORDS[symptom]}
            </Fact>
          ))}
        </ul>
        {(docket.symptoms ?? []).length === 0 && !docket.wheelEnd && <p className="none">nothing yet</p>}
      </Section>
      {(docket.history ?? []).length > 0 && (
        <Section title="Before">
          <ul className="fact-list">
            {(docket.history ?? []).map((event, i) => (
              <Fact
                key={`${event.event}-${i}`}
                what={EVENT_IN_WORDS[event.event]}
                said={said(`history[${i}]`)}
                onRemove={() =>
                  change(`${EVENT_IN_WORDS[event.event]} dropped`, (d) => ({
                    ...d,
                    history: without(d.history, i),
                  }))
                }
              >
                {EVENT_IN_WORDS[event.event]}
                {place(event.wheelEnd)}
                <span className="soft">
                  {event.daysAgo != null ? `, ${event.daysAgo} days ago` : ''}
                  {event.cured === 'for-a-while'
                    ? `, good for ${event.daysUntilReturn ?? 'some'} days`
                    : event.cured === 'no'
                      ? ', no change'
                      : ''}
                </span>
              </Fact>
            ))}
          </ul>
        </Section>
      )}
      <Section
        title="Checks"
        action={
          <Button onClick={onAddCheck} variant="outlined">
            Add a check <kbd>c</kbd>
          </Button>
        }
      >
        {(docket.checks ?? []).length === 0 && <p className="none">none made</p>}
        <ul className="fact-list">
          {(docket.checks ?? []).map((check, i) => (
            <Fact
              key={`${check.check}-${i}`}
              what={CHECK_IN_WORDS[check.check]}
              said={said(`checks[${i}]`) ?? 'changes little'}
              onRemove={() =>
                change(`${CHECK_IN_WORDS[check.check]} dropped`, (d) => ({
                  ...d,
                  checks: without(d.checks, i),
                }))
              }
            >
              {CHECK_IN_WORDS[check.check]}
              {place(check.wheelEnd)}: <strong>{checkResult(check)}</strong>
            </Fact>
          ))}
        </ul>
      </Section>
      {leftOver.length > 0 && (
        <Section title="Not understood">
          <ul className="chips">
            {leftOver.map((words, i) => (
              <li key={`${words}-${i}`} className="chip chip-left-over">
                {words}
              </li>
            ))}
          </ul>
        </Section>
      )}
    </div>
  );
}

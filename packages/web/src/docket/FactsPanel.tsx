import {
  LONGEST,
  OLD_SENSOR,
  SYMPTOM_IN_WORDS,
  centsFrom,
  centsInWords,
  isThere,
  symptomOf,
  wheelEndInWords,
  type Advice,
  type Docket,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { CheckList } from './CheckList.tsx';
import { CodeList } from './CodeList.tsx';
import { CUSTOMER_KINDS } from './customerKinds.ts';
import { EarlierPanel } from './EarlierPanel.tsx';
import { EditableField } from './EditableField.tsx';
import { Fact } from './Fact.tsx';
import { without, type Change } from './factEdits.ts';
import { HistoryList } from './HistoryList.tsx';
import { KnownFirst } from './KnownFirst.tsx';
import { WishList } from './WishList.tsx';
import { isDay } from './isDay.ts';
import { numberWithin } from './numberWithin.ts';

interface Props {
  id: string;
  docket: Docket;
  advice: Advice;
  change: Change;
  onAddCheck: () => void;
}

const kmFrom = (text: string) => numberWithin(text, 'km', 0, 5_000_000);

const Section = ({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) => (
  <section className="facts-section" aria-label={title}>
    <div className="row-head">
      <h2 className="kicker">{title}</h2>
      {action}
    </div>
    {children}
  </section>
);

/** The facts in the order of the work, each with what it did to the answer. */
export function FactsPanel({ id, docket, advice, change, onAddCheck }: Props) {
  const vehicle = docket.vehicle ?? {};
  const said = (path: string): string | undefined => {
    const fact = advice.facts.find((f) => f.path === path);
    return fact && fact.said !== 'changes little' ? fact.said : undefined;
  };
  const setVehicle = (key: string, label: string) => (value: string | null) =>
    change(label, (d) => ({ ...d, vehicle: { ...d.vehicle, [key]: value } }));
  const setCustomer = (key: 'name' | 'phone' | 'firm' | 'kind', label: string) => (value: string | null) =>
    change(label, (d) => ({ ...d, customer: { ...d.customer, [key]: value } }));
  const leftOver = docket.leftOver ?? [];
  const lists = { docket, advice, change, said };
  const aside = (docket.positions ?? []).filter((p) => p.role === 'past' || p.role === 'denied');
  return (
    <div className="facts">
      <Section title="Vehicle">
        <KnownFirst className="vehicle-fields">
          <EditableField
            label="Name"
            longest={LONGEST.vehicleName}
            value={vehicle.name ?? advice.vehicle.name}
            onChange={setVehicle('name', 'vehicle named')}
          />
          <EditableField
            label="Fleet no."
            longest={LONGEST.fleetNumber}
            value={vehicle.fleetNumber}
            onChange={setVehicle('fleetNumber', 'fleet number')}
          />
          <EditableField
            label="Plate"
            longest={LONGEST.plate}
            value={vehicle.plate}
            onChange={setVehicle('plate', 'plate')}
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
            label="Driven, km"
            value={vehicle.distanceKm == null ? null : String(vehicle.distanceKm)}
            said={said('vehicle.distanceKm')}
            problemWith={(text) => {
              const read = kmFrom(text);
              return 'problem' in read ? read.problem : null;
            }}
            onChange={(text) => {
              const read = text === null ? { value: null } : kmFrom(text);
              if ('value' in read)
                change('distance driven', (d) => ({
                  ...d,
                  vehicle: { ...d.vehicle, distanceKm: read.value },
                }));
            }}
          />
          <EditableField
            label="Knuckle"
            value={vehicle.knuckle}
            options={['iron', 'aluminium']}
            said={said('vehicle.knuckle')}
            onChange={setVehicle('knuckle', 'knuckle metal')}
          />
          <EditableField
            label="Old sensor"
            value={docket.options?.seizure?.old}
            options={OLD_SENSOR}
            onChange={(value) =>
              change('how the old sensor is', (d) => ({
                ...d,
                options: {
                  ...d.options,
                  seizure: {
                    ...d.options?.seizure,
                    old: value as (typeof OLD_SENSOR)[number] | null,
                    oldAt: value === null ? null : advice.wheelEnd,
                  },
                },
              }))
            }
          />
          <EditableField
            label="Steering"
            value={vehicle.steeringSide ?? advice.vehicle.steeringSide}
            options={['left', 'right']}
            onChange={setVehicle('steeringSide', 'steering side')}
          />
        </KnownFirst>
        {advice.vehicle.wheelEnds
          .filter(({ wheelEnd }) => wheelEnd === advice.wheelEnd)
          .map(({ wheelEnd, sensing }) => (
            <p key={wheelEnd} className="sensing">
              {wheelEndInWords(wheelEnd, advice.vehicle)}: {sensing}
            </p>
          ))}
      </Section>
      <Section title="Customer">
        <KnownFirst className="vehicle-fields">
          <EditableField
            label="Customer"
            longest={LONGEST.customerName}
            value={docket.customer?.name}
            onChange={setCustomer('name', 'customer named')}
          />
          <EditableField
            label="Phone"
            longest={LONGEST.phone}
            value={docket.customer?.phone}
            onChange={setCustomer('phone', 'phone number')}
          />
          <EditableField
            label="Firm"
            longest={LONGEST.customerName}
            value={docket.customer?.firm}
            onChange={setCustomer('firm', 'firm named')}
          />
          <EditableField
            label="Pays as"
            value={docket.customer?.kind}
            options={CUSTOMER_KINDS}
            onChange={setCustomer('kind', 'kind of customer')}
          />
          <EditableField
            label="Needed by"
            value={docket.neededBy}
            placeholder="YYYY-MM-DD"
            problemWith={(text) => (isDay(text) ? null : 'write the day as YYYY-MM-DD')}
            onChange={(value) => change('needed by', (d) => ({ ...d, neededBy: value }))}
          />
          <EditableField
            label="May cost"
            value={docket.budgetCents == null ? null : centsInWords(docket.budgetCents)}
            placeholder="120.00"
            problemWith={(text) => (centsFrom(text) === null ? 'write a price such as 120.00' : null)}
            onChange={(value) =>
              change('budget', (d) => ({ ...d, budgetCents: value === null ? null : centsFrom(value) }))
            }
          />
          <EditableField
            label="Asked all"
            value={docket.askedEverywhere == null ? null : docket.askedEverywhere ? 'yes' : 'no'}
            options={['yes', 'no']}
            onChange={(value) =>
              change('asked everywhere', (d) => ({
                ...d,
                askedEverywhere: value === null ? null : value === 'yes',
              }))
            }
          />
        </KnownFirst>
        <WishList docket={docket} change={change} />
        <EarlierPanel id={id} docket={docket} change={change} />
      </Section>
      <Section title="Codes">
        <CodeList {...lists} />
        <KnownFirst className="fields">
          <EditableField
            label="Reader"
            value={docket.reader}
            options={['full', 'engine', 'none']}
            onChange={(value) =>
              change('reader at hand', (d) => ({ ...d, reader: value as Docket['reader'] }))
            }
          />
          {(docket.codes ?? []).length > 0 && (
            <EditableField
              label="Cleared"
              value={docket.codesCleared == null ? null : docket.codesCleared ? 'yes' : 'no'}
              options={['yes', 'no']}
              onChange={(value) =>
                change('codes cleared', (d) => ({
                  ...d,
                  codesCleared: value === null ? null : value === 'yes',
                }))
              }
            />
          )}
        </KnownFirst>
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
              {wheelEndInWords(docket.wheelEnd, advice.vehicle)}
            </Fact>
          )}
          {(docket.symptoms ?? []).map((given, i) => {
            const words = SYMPTOM_IN_WORDS[symptomOf(given)];
            return (
              <Fact
                key={`${words}-${i}`}
                what={words}
                said={said(`symptoms[${i}]`)}
                onRemove={() =>
                  change(`${words} dropped`, (d) => ({ ...d, symptoms: without(d.symptoms, i) }))
                }
              >
                {words}
                {isThere(given) ? '' : ': cured since'}
              </Fact>
            );
          })}
        </ul>
        {aside.map((p, i) => (
          <p key={`${p.text}-${i}`} className="none">
            {'\u201C'}
            {p.text}
            {'\u201D'} {p.role === 'past' ? 'was before' : 'is not it'}
          </p>
        ))}
        {(docket.symptoms ?? []).length === 0 && !docket.wheelEnd && <p className="none">nothing yet</p>}
      </Section>
      {(docket.history ?? []).length > 0 && (
        <Section title="Before">
          <HistoryList {...lists} />
        </Section>
      )}
      <Section
        title="Checks"
        action={
          <>
            <Button component={Link} to={`/docket/${id}/trace`} variant="text">
              log <kbd>t</kbd>
            </Button>
            <Button onClick={onAddCheck} variant="outlined">
              Add a check <kbd>c</kbd>
            </Button>
          </>
        }
      >
        {(docket.checks ?? []).length === 0 && <p className="none">none made</p>}
        <CheckList {...lists} />
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

import type { Docket } from '@hardy/core/words';
import { CUSTOMER_KINDS } from '../docket/customerKinds.ts';
import { InlineSelect, InlineText } from '../docket/Inline.tsx';
import { numberWithin } from '../docket/numberWithin.ts';
import ButtonBase from '@mui/material/ButtonBase';

interface Props {
  docket: Docket;
  change: (label: string, how: (docket: Docket) => Docket) => void;
}

type Options = NonNullable<Docket['options']>;

const hoursFrom = (text: string) => numberWithin(text, 'h', 0, 1000);

/** What only this job knows: whose it is, and what is known of the old sensor in its bore. */
export function JobFacts({ docket, change }: Props) {
  const seizure = docket.options?.seizure ?? {};
  const setOptions = (label: string, options: Partial<Options>) =>
    change(label, (d) => ({ ...d, options: { ...d.options, ...options } }));
  const setSeizure = (label: string, more: NonNullable<Options['seizure']>) =>
    setOptions(label, { seizure: { ...seizure, ...more } });
  const soaked = (text: string | null) => {
    const read = text === null ? { value: null } : hoursFrom(text);
    if ('value' in read) setSeizure('soaking time', { soakedHours: read.value });
  };
  return (
    <section aria-label="This job">
      <h2 className="kicker">This job</h2>
      <dl className="vehicle-fields">
        <div className="field">
          <dt>
            <label htmlFor="job-kind">Customer</label>
          </dt>
          <dd>
            <InlineSelect
              id="job-kind"
              value={docket.customer?.kind ?? null}
              none="list price"
              options={CUSTOMER_KINDS}
              onChange={(kind) =>
                change('kind of customer', (d) => ({
                  ...d,
                  customer: { ...d.customer, kind: kind as 'garage' | 'fleet' | 'self' | null },
                }))
              }
            />
          </dd>
        </div>
        <div className="field">
          <dt>
            <label htmlFor="job-housing">Old sensor</label>
          </dt>
          <dd>
            <InlineSelect
              id="job-housing"
              value={seizure.housing}
              none="body not known"
              options={[
                { value: 'plastic', label: 'plastic body' },
                { value: 'metal', label: 'metal body' },
              ]}
              onChange={(housing) =>
                setSeizure('body of the old sensor', { housing: housing as 'plastic' | 'metal' | null })
              }
            />
          </dd>
        </div>
        <div className="field">
          <dt>
            <label htmlFor="job-coated">Bore</label>
          </dt>
          <dd>
            <InlineSelect
              id="job-coated"
              value={seizure.coated == null ? null : seizure.coated ? 'yes' : 'no'}
              none="grease not known"
              options={[
                { value: 'yes', label: 'greased' },
                { value: 'no', label: 'dry' },
              ]}
              onChange={(coated) =>
                setSeizure('bore greased', { coated: coated === null ? null : coated === 'yes' })
              }
            />
          </dd>
        </div>
        <div className="field">
          <dt>
            <label htmlFor="job-soaked">Soaked, h</label>
          </dt>
          <dd>
            <InlineText
              id="job-soaked"
              name="Soaked"
              value={seizure.soakedHours == null ? null : String(seizure.soakedHours)}
              placeholder="not yet"
              problemWith={(text) => {
                const read = hoursFrom(text);
                return 'problem' in read ? read.problem : null;
              }}
              onChange={soaked}
            />
          </dd>
        </div>
      </dl>
      {seizure.chance != null && (
        <p className="small">
          Chance of snapping set by hand to {Math.round(seizure.chance * 100)} in 100.{' '}
          <ButtonBase
            className="as-text"
            onClick={() => setSeizure('chance by the figures', { chance: null })}
          >
            by the figures again
          </ButtonBase>
        </p>
      )}
    </section>
  );
}

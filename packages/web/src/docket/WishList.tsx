import { SYMPTOM_IN_WORDS, symptomOf, type Docket } from '@hardy/core/words';
import type { Change } from './factEdits.ts';
import { Choice } from '../desk/Choice.tsx';

type Matters = 'must' | 'can-live' | '';

/** What of the complaint must be cured, and what the customer can live with. */
export function WishList({ docket, change }: { docket: Docket; change: Change }) {
  const complaints = [...new Set((docket.symptoms ?? []).map((given) => SYMPTOM_IN_WORDS[symptomOf(given)]))];
  if (complaints.length < 2 && (docket.wishes ?? []).length === 0) return null;
  const wishes = docket.wishes ?? [];
  const put = (what: string, matters: Matters) =>
    change(`what matters: ${what}`, (d) => {
      const rest = (d.wishes ?? []).filter((wish) => wish.what !== what);
      return { ...d, wishes: matters === '' ? rest : [...rest, { what, matters }] };
    });
  return (
    <dl className="vehicle-fields" aria-label="What matters to the customer">
      {[...new Set([...complaints, ...wishes.map(({ what }) => what)])].map((what) => (
        <div key={what} className="field">
          <dt>{what}</dt>
          <dd>
            <Choice<Matters>
              look="in-text"
              label={`How much it matters: ${what}`}
              value={wishes.find((wish) => wish.what === what)?.matters ?? ''}
              onChoice={(matters) => put(what, matters)}
              options={[
                { value: '', label: 'not said' },
                { value: 'must', label: 'must be cured' },
                { value: 'can-live', label: 'can live with it' },
              ]}
            />
          </dd>
        </div>
      ))}
    </dl>
  );
}

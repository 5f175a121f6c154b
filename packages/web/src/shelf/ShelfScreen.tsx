import { PART_CLASSES, PART_IN_WORDS, type CataloguePart, type PartClass } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useKeys } from '../desk/useKeys.ts';
import { price } from '../format.ts';
import { useSettled } from '../state/useSettled.ts';
import { ImportDialog } from './ImportDialog.tsx';
import { MatchPanel } from './MatchPanel.tsx';
import { PartPanel } from './PartPanel.tsx';
import { PartToScale } from './PartToScale.tsx';
import './shelf.css';
import { Field } from '../desk/Field.tsx';
import ButtonBase from '@mui/material/ButtonBase';

/** A search is sent when the typing rests so long, in milliseconds. */
const SETTLES_MS = 80;

/** The shelf: found by number, barcode or words, browsed by class, or matched by measuring the old part. */
export function ShelfScreen() {
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const query = params.get('q') ?? '';
  const partClass = (params.get('class') as PartClass | null) ?? null;
  const matching = params.get('match') !== null;
  const number = params.get('part');
  const vehicleId = params.get('vehicle');
  const [lead, setLead] = useState<{
    part: CataloguePart;
    measured: Record<string, number>;
    mark: string | null;
  } | null>(null);
  const [importing, setImporting] = useState(false);
  const looked = useSettled(query, SETTLES_MS);
  const shop = useQuery({ queryKey: ['shop'], queryFn: ({ signal }) => call('GET /shop', { signal }) });
  const currency = shop.data?.currency ?? 'EUR';
  const search = useQuery({
    queryKey: ['parts', looked, partClass],
    queryFn: ({ signal }) => call('GET /parts', { query: { q: looked, class: partClass }, signal }),
    enabled: !matching,
    placeholderData: keepPreviousData,
  });
  const found = search.data ?? null;
  const picked = useQuery({
    queryKey: ['part', number],
    queryFn: ({ signal }) => call('GET /parts/:number', { params: { number: number ?? '' }, signal }),
    enabled: number !== null,
  });
  const failure = search.error ?? picked.error;
  const error = failure ? problemInWords(failure) : null;
  useTitle(matching ? 'Match a part' : 'Shelf', number ?? query);

  const put = (changes: Record<string, string | null>) =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        for (const [key, value] of Object.entries(changes))
          if (value === null) next.delete(key);
          else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const showFound = useEffectEvent((parts: readonly CataloguePart[]) => {
    // A scanned code or a whole number names one part: it is shown at once, unless another was picked meanwhile.
    const only = parts[0];
    if (only && number === null && (parts.length === 1 || only.barcode === query)) put({ part: only.number });
  });
  const fresh = search.isPlaceholderData ? null : found;
  useEffect(() => {
    if (fresh) showFound(fresh);
  }, [fresh]);
  const pick = (which: string) => {
    setLead(null);
    put({ part: which });
  };
  useKeys({
    m: () => put({ match: matching ? null : '1', part: null }),
    b: () => void navigate('/'),
  });
  const shown = number && picked.data?.part.number === number ? picked.data : null;
  return (
    <Desk>
      <div className="sheet shelf-sheet">
        <div className="docket-head">
          <h1>Shelf</h1>
          <span className="soft">
            {matching ? 'match the old part by measuring it' : 'find a part, or scan it'}
          </span>
          <span className="docket-tools">
            <Button aria-pressed={matching} onClick={() => put({ match: matching ? null : '1', part: null })}>
              {matching ? 'Find instead' : 'Match by measuring'} <kbd>m</kbd>
            </Button>
            <Button variant="text" onClick={() => setImporting(true)}>
              catalogue files
            </Button>
            <Button variant="text" component={Link} to="/">
              counter <kbd>b</kbd>
            </Button>
          </span>
        </div>
        {error && (
          <p className="look-here gap" role="alert">
            {error}
          </p>
        )}
        <div className={shown || lead || matching ? 'shelf-zones' : 'shelf-zones shelf-zones-list'}>
          {matching ? (
            <MatchPanel
              key={partClass ?? 'tone-ring'}
              vehicleId={vehicleId}
              partClass={partClass ?? 'tone-ring'}
              onClass={(which) => {
                setLead(null);
                put({ class: which, part: null });
              }}
              onLead={(part, measured, mark) => setLead(part ? { part, measured, mark } : null)}
              onPick={pick}
            />
          ) : (
            <section aria-label="Find a part">
              <Field
                // The shelf is opened to look something up: typing starts at once.
                autoFocus
                fullWidth
                className="shelf-search"
                value={query}
                placeholder="number in any spacing, barcode, or words: ring tern 48"
                label="Find a part"
                onText={(text) => put({ q: text || null, part: null })}
              />
              <div className="answers" role="group" aria-label="Class of part">
                {PART_CLASSES.map((each) => (
                  <Button
                    key={each}
                    variant={partClass === each ? 'contained' : 'outlined'}
                    aria-pressed={partClass === each}
                    onClick={() => put({ class: partClass === each ? null : each, part: null })}
                  >
                    {PART_IN_WORDS[each]}
                  </Button>
                ))}
              </div>
              {found?.length === 0 && (
                <p className="empty">
                  Nothing is called that. Try a piece of the number, or match the old part by measuring it.
                </p>
              )}
              <ul className="shelf-list">
                {found?.map((part) => (
                  <li key={part.number}>
                    <ButtonBase aria-pressed={part.number === number} onClick={() => pick(part.number)}>
                      <span className="mono">{part.number}</span>
                      <span>{part.description}</span>
                      <span className="soft nowrap">
                        {part.stock > 0 ? `${part.stock} in ${part.bin ?? 'stock'}` : 'to order'}
                      </span>
                      <span className="nowrap">{price(part.priceCents / 100, currency)}</span>
                    </ButtonBase>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <div>
            {shown && <PartPanel view={shown} currency={currency} onPick={pick} />}
            {!shown && lead && (
              <section aria-label="The leader over what was measured">
                <h2 className="kicker">
                  <span className="mono">{lead.part.number}</span>, with what you measured over it, dashed
                </h2>
                <PartToScale part={lead.part} measured={lead.measured} mark={lead.mark} />
              </section>
            )}
            {!shown && !lead && (
              <p className="empty">A part is shown here: drawn to scale, with its figures.</p>
            )}
          </div>
        </div>
      </div>
      <ImportDialog open={importing} onClose={() => setImporting(false)} />
    </Desk>
  );
}

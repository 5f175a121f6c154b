import { addQuote, quoteCsv, quoteFile, type ComparedWay } from '@hardy/core/words';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Skeleton from '@mui/material/Skeleton';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { call } from '../api/client.ts';
import { useComparison } from '../compare/useComparison.ts';
import { Desk } from '../desk/Desk.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { money } from '../format.ts';
import { useDocket } from '../state/useDocket.ts';
import { today } from '../today.ts';
import { PaperTools } from '../sheet/PaperTools.tsx';
import { useLanguage } from '../sheet/useLanguage.ts';
import { PaperQuote } from './PaperQuote.tsx';
import '../sheet/sheet.css';
import './quote.css';

/** Ways put before the counter to choose from; one that is on the quote already stands whatever its place. */
const SHOWN = 8;

/** A quote: the ways the counter chooses, with or without work, printed and kept on the docket. */
export function QuoteScreen() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { language, turn } = useLanguage();
  const { view, error, change } = useDocket(id);
  const { comparison, nothing, error: problem } = useComparison(view);
  const shop = useQuery({ queryKey: ['shop'], queryFn: ({ signal }) => call('GET /shop', { signal }) });
  const [picked, setPicked] = useState<ReadonlySet<string> | null>(null);
  const [withWork, setWithWork] = useState(true);
  const quotes = view?.docket.quotes ?? [];
  const quote = quotes.at(-1) ?? null;
  const ways = (comparison?.ways ?? []).filter(({ kind }) => kind !== 'refer').slice(0, SHOWN);
  // The cheapest two, until the counter has chosen.
  const chosen = picked ?? new Set(ways.slice(0, 2).map((way) => way.id));
  const on = ways.filter((way) => chosen.has(way.id));
  const pick = (way: ComparedWay, isOn: boolean) =>
    setPicked(new Set(isOn ? [...chosen, way.id] : [...chosen].filter((each) => each !== way.id)));
  const make = () => {
    if (comparison && on.length > 0)
      void change('quote made', (docket) =>
        addQuote(docket, {
          ways: on,
          withWork,
          taxPercent: comparison.taxPercent,
          on: today(),
          days: comparison.quoteDays,
        }),
      );
  };
  useTitle('Quote', view && `docket ${view.number}`, view?.advice.vehicle.name);
  useKeys({
    b: () => void navigate(`/docket/${id}`),
    p: () => window.print(),
    l: turn,
    n: make,
    ...Object.fromEntries(ways.map((way, i) => [String(i + 1), () => pick(way, !chosen.has(way.id))])),
  });
  return (
    <Desk
      strip={
        <PaperTools docketId={id} language={language} onTurn={turn}>
          {quote && view && (
            <>
              <Button
                className="on-bench"
                component="a"
                download={`quote-${view.number}-${quote.number}.json`}
                href={`data:application/json,${encodeURIComponent(
                  JSON.stringify(quoteFile(quote, view.number, view.advice.currency), null, 2),
                )}`}
              >
                JSON
              </Button>
              <Button
                className="on-bench"
                component="a"
                download={`quote-${view.number}-${quote.number}.csv`}
                href={`data:text/csv,${encodeURIComponent(quoteCsv(quote, view.number, view.advice.currency))}`}
              >
                CSV
              </Button>
            </>
          )}
        </PaperTools>
      }
    >
      <style>{`@page { size: A4; margin: 14mm; }`}</style>
      {(error ?? problem) && (
        <p className="sheet look-here" role="alert">
          {error ?? problem}
        </p>
      )}
      {!view && !error && <Skeleton variant="rectangular" height={600} className="sheet" />}
      {view && (
        <div className="quote-zones">
          <section className="sheet quote-maker" aria-label="Make a quote">
            <h1>Quote</h1>
            {nothing && (
              <p className="empty">
                Nothing to quote yet: the corner is not known. Answer the question on the docket first.
              </p>
            )}
            {!nothing && ways.length === 0 && <Skeleton variant="rectangular" height={240} />}
            <div role="group" aria-label="Ways on the quote">
              {ways.map((way, i) => (
                <FormControlLabel
                  key={way.id}
                  className="quote-way"
                  control={
                    <Checkbox
                      size="small"
                      checked={chosen.has(way.id)}
                      onChange={(event) => pick(way, event.target.checked)}
                    />
                  }
                  label={
                    <>
                      <kbd>{i + 1}</kbd> {way.label}{' '}
                      <span className="soft">{money(way.sure, view.advice.currency)} sure</span>
                    </>
                  }
                />
              ))}
            </div>
            <FormControlLabel
              control={
                <Checkbox
                  size="small"
                  checked={withWork}
                  onChange={(event) => setWithWork(event.target.checked)}
                />
              }
              label="with work"
            />
            <Button variant="contained" onClick={make} disabled={on.length === 0}>
              {quote ? 'Another quote' : 'Make the quote'} <kbd>n</kbd>
            </Button>
            {quotes.length > 1 && (
              <p className="soft">{quotes.length - 1} made before stand in the history.</p>
            )}
          </section>
          <PaperQuote view={view} quote={quote} language={language} shop={shop.data?.name ?? ''} />
        </div>
      )}
    </Desk>
  );
}

import { tellSheet } from '@hardy/core/sheets';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { call } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { orderLines } from '../docket/orderLines.ts';
import { useDocket } from '../state/useDocket.ts';
import { PaperSheet } from './PaperSheet.tsx';
import { PaperTools } from './PaperTools.tsx';
import { useLanguage } from './useLanguage.ts';
import './sheet.css';

/** Everything of a docket that leaves the counter on paper: a stop first, then what is fitted, checked or cured without a part. */
export function SheetScreen() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { language, turn } = useLanguage();
  const { view, error } = useDocket(id);
  const shop = useQuery({ queryKey: ['shop'], queryFn: ({ signal }) => call('GET /shop', { signal }) });
  const [paper, setPaper] = useState<'A4' | 'letter'>('A4');
  useTitle('Sheets', view && `docket ${view.number}`, view?.advice.vehicle.name);
  useKeys({
    b: () => void navigate(`/docket/${id}`),
    p: () => window.print(),
    l: turn,
    q: () => void navigate(`/docket/${id}/quote`),
  });
  const sheets = view
    ? view.advice.sheets.map((sheet) =>
        tellSheet(sheet, {
          language,
          names: view.advice.vehicle,
          docketNumber: view.number,
          phone: shop.data?.phone ?? null,
        }),
      )
    : [];
  return (
    <Desk
      strip={
        <PaperTools docketId={id} language={language} onTurn={turn}>
          <Button
            className="on-bench"
            onClick={() => setPaper(paper === 'A4' ? 'letter' : 'A4')}
            aria-label={`Paper: ${paper === 'A4' ? 'A4' : 'Letter'}. Change.`}
          >
            Paper: {paper === 'A4' ? 'A4' : 'Letter'}
          </Button>
        </PaperTools>
      }
    >
      <style>{`@page { size: ${paper}; margin: 12mm; }`}</style>
      {error && !view && (
        <p className="sheet look-here" role="alert">
          {error}
        </p>
      )}
      {!view && !error && <Skeleton variant="rectangular" height={700} className="sheet" />}
      {view && sheets.length === 0 && (
        <div className="sheet">
          <h1>Sheets</h1>
          <p className="empty">
            Nothing is to be handed over yet: take an offer on the docket, or answer what it asks first.
          </p>
        </div>
      )}
      {view && (
        <div className="papers">
          {sheets.map((sheet) => (
            <PaperSheet
              key={sheet.kind}
              view={view}
              sheet={sheet}
              language={language}
              paper={paper}
              lines={orderLines(view.docket, view.advice)}
            />
          ))}
        </div>
      )}
    </Desk>
  );
}

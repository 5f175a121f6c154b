import type { OrderedLine } from '@hardy/core/words';
import { tell, type LanguageCode, type ToldSheet } from '@hardy/core/sheets';
import type { DocketView } from '@hardy/core/contract';
import type { ReactNode } from 'react';
import { docketCode } from '../docket/docketCode.ts';
import { Barcode } from '../shelf/Barcode.tsx';
import { PaperHead } from './PaperHead.tsx';
import { PaperParts } from './PaperParts.tsx';
import { PaperTable } from './PaperTable.tsx';

interface Props {
  view: DocketView;
  sheet: ToldSheet;
  language: LanguageCode;
  paper: 'A4' | 'letter';
  /** Parts that go along with a sheet for fitting. */
  lines: readonly OrderedLine[];
}
type Told = ToldSheet['sections'][number];

/** Blocks in their order; two short ones that follow each other stand side by side. */
const rows = (sections: readonly Told[]): Told[][] =>
  sections.reduce<Told[][]>((sofar, section) => {
    const last = sofar.at(-1);
    if (section.narrow && last?.length === 1 && last[0]?.narrow) last.push(section);
    else sofar.push([section]);
    return sofar;
  }, []);

/** One page that leaves the counter. */
export function PaperSheet({ view, sheet, language, paper, lines }: Props) {
  const t = (name: string, gaps?: Record<string, string>) => tell(language, `frame/${name}`, gaps);
  const skipped = view.docket.chosen?.skipped ?? [];
  const declined = (view.docket.declined ?? []).filter((way) => way.advised);
  const body = ({ as, lines: said }: Told): ReactNode => {
    switch (as) {
      case 'parts':
        return (
          <>
            <PaperParts lines={lines} currency={view.advice.currency} language={language} />
            {skipped.length > 0 && (
              <p>
                <strong>{t('skipped')}:</strong>{' '}
                {skipped.map(({ quantity, description }) => `${quantity} ${description}`).join('; ')}
              </p>
            )}
            {declined.length > 0 && (
              <p>
                <strong>{t('declined')}:</strong>{' '}
                {declined.map(({ label, because }) => `${label} (${because})`).join('; ')}
              </p>
            )}
          </>
        );
      case 'torques':
        return (
          <PaperTable
            heads={[t('fastener'), t('figure'), t('again')]}
            rows={sheet.torques.map(({ what, figure, again }) => [what, figure, again])}
          />
        );
      case 'results':
        return (
          <PaperTable
            heads={[t('press'), t('result'), t('means')]}
            rows={sheet.results.map(({ key, word, means }) => [String(key), word, means])}
          />
        );
      case 'run':
        return <p>{said.join(' \u00B7 ')}</p>;
      case 'steps':
        return (
          <ol>
            {said.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        );
      default:
        return (
          <ul>
            {said.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        );
    }
  };
  const block = (section: Told) => (
    <section
      key={`${section.as} ${section.heading}`}
      className={section.as === 'warn' ? 'paper-cautions' : undefined}
    >
      <h2>{section.heading}</h2>
      {body(section)}
    </section>
  );
  return (
    <article className={`paper paper-${paper} paper-${sheet.kind}`} aria-label={sheet.title} lang={language}>
      <PaperHead
        view={view}
        title={sheet.title}
        part={sheet.part}
        wheelEnd={sheet.wheelEnd}
        language={language}
      />
      {rows(sheet.sections)
        .filter(([first]) => first?.as !== 'parts' || lines.length > 0)
        .map((row) =>
          row.length > 1 ? (
            <div className="paper-columns" key={row[0]?.heading}>
              {row.map(block)}
            </div>
          ) : (
            row.map(block)
          ),
        )}
      <footer className="paper-foot">
        <span>{t('foot')}</span>
        <Barcode code={docketCode(view.number)} label={t('docket', { number: String(view.number) })} />
      </footer>
    </article>
  );
}

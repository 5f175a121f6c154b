import { toPay, type Quote } from '@hardy/core/words';
import { languageOf, tell, type LanguageCode } from '@hardy/core/sheets';
import type { DocketView } from '@hardy/core/contract';
import { docketCode } from '../docket/docketCode.ts';
import { PaperHead } from '../sheet/PaperHead.tsx';
import { Barcode } from '../shelf/Barcode.tsx';

interface Props {
  view: DocketView;
  quote: Quote | null;
  language: LanguageCode;
  shop: string;
}

const WORKS = ['seating', 'loom', 'tyre', 'supply', 'none-present'] as const;

/** What a way is, in the language of the quote. A price from elsewhere stands as the customer named it. */
const labelOf = ({ way, label, parts }: Quote['ways'][number], language: LanguageCode): string => {
  const works = WORKS.filter((work) => way.split('+').includes(`work:${work}`)).map((work) =>
    tell(language, `quote/work-${work}`),
  );
  if (!parts?.length) return works.join(', ') || label;
  const names = [...new Set(parts.map(({ part }) => tell(language, `parts/${part}`)))];
  const ends = new Set(parts.map(({ wheelEnd }) => wheelEnd));
  const [tier] = parts.length === 1 ? [parts[0]?.tier] : [];
  return [
    names.join(` ${tell(language, 'frame/and')} `),
    ...(ends.size > 1 ? [tell(language, 'quote/both')] : []),
    ...works,
    ...(tier ? [tell(language, `quote/tier-${tier}`)] : []),
  ].join(', ');
};

/** The quote as the customer takes it away: number, day, until when, each way with tax shown. */
export function PaperQuote({ view, quote, language, shop }: Props) {
  const { docket, advice } = view;
  const t = (name: string, gaps?: Record<string, string>) => tell(language, `quote/${name}`, gaps);
  const { locale } = languageOf(language);
  const sum = (cents: number) =>
    new Intl.NumberFormat(locale, { style: 'currency', currency: advice.currency }).format(cents / 100);
  const hour = new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 });
  const day = (date: string) =>
    new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(
      new Date(`${date}T00:00:00Z`),
    );
  const number = `${view.number}-${quote?.number ?? 1}`;
  const declined = (docket.declined ?? []).filter(({ advised }) => advised);
  return (
    <article className="paper paper-A4" aria-label={t('title', { number })} lang={language}>
      <PaperHead
        view={view}
        title={t('title', { number })}
        part={null}
        wheelEnd={advice.wheelEnd}
        language={language}
      />
      {!quote ? (
        <p className="empty">{t('nothing')}</p>
      ) : (
        <>
          <p>
            {shop} {'\u00B7'} {t('date', { date: day(quote.on) })} {'\u00B7'}{' '}
            <strong>{t('until', { date: day(quote.until) })}</strong>
            {docket.customer?.name ? ` \u00B7 ${t('for', { name: docket.customer.name })}` : ''}
            {docket.customer?.firm ? `, ${docket.customer.firm}` : ''}
          </p>
          {advice.cautions.includes('stop-driving') && (
            <section className="paper-cautions">
              <ul>
                <li>{tell(language, 'cautions/stop-driving')}</li>
              </ul>
            </section>
          )}
          {quote.ways.map((way) => (
            <section key={way.way}>
              <h2>{labelOf(way, language)}</h2>
              <p className="soft">
                {t('cures', { count: String(Math.round(way.cures * 100)) })} {'\u00B7'}{' '}
                {way.waitDays > 0 ? t('awaited', { days: String(way.waitDays) }) : t('stock')}
              </p>
              <table className="order">
                <tbody>
                  <tr>
                    <th scope="row">{tell(language, 'frame/parts')}</th>
                    <td>{sum(way.partsCents)}</td>
                  </tr>
                  {quote.withWork && (
                    <tr>
                      <th scope="row">{t('work', { hours: `${hour.format(way.workHours)} h` })}</th>
                      <td>{sum(way.workCents)}</td>
                    </tr>
                  )}
                  <tr>
                    <th scope="row">{t('tax', { percent: String(quote.taxPercent) })}</th>
                    <td>{sum(way.taxCents)}</td>
                  </tr>
                  <tr className="quote-total">
                    <th scope="row">{t('total')}</th>
                    <td>{sum(toPay(way))}</td>
                  </tr>
                </tbody>
              </table>
              {way.depositCents > 0 && <p>{t('deposit', { sum: sum(way.depositCents) })}</p>}
            </section>
          ))}
          {!quote.withWork && <p>{t('no-work')}</p>}
          {(docket.elsewhere ?? []).map((other) => (
            <p key={`${other.what}-${other.cents}`} className="soft">
              {t('elsewhere', { what: other.what })}: {sum(other.cents + (other.feeCents ?? 0))}
            </p>
          ))}
          {declined.map((way) => (
            <p key={way.way}>{t('declined', { what: way.label, why: way.because })}</p>
          ))}
          <footer className="paper-foot">
            <span>{t('foot')}</span>
            <Barcode
              code={docketCode(view.number)}
              label={tell(language, 'frame/docket', { number: String(view.number) })}
            />
          </footer>
        </>
      )}
    </article>
  );
}

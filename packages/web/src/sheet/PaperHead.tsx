import { tell, languageOf, type LanguageCode } from '@hardy/core/sheets';
import type { PartClass, WheelEnd } from '@hardy/core/words';
import type { DocketView } from '@hardy/core/contract';
import { PartDrawing } from '../drawings/PartDrawing.tsx';

interface Props {
  view: DocketView;
  title: string;
  part: PartClass | null;
  wheelEnd: WheelEnd | null;
  language?: LanguageCode;
}

/** The head of a page that leaves the counter: what it is, for which vehicle, and which wheel is meant. */
export function PaperHead({ view, title, part, wheelEnd, language = 'en' }: Props) {
  const t = (name: string, gaps?: Record<string, string>) => tell(language, `frame/${name}`, gaps);
  const { docket, advice } = view;
  return (
    <header className={part ? 'paper-head' : 'paper-head paper-head-plain'}>
      {part && <PartDrawing part={part} size={64} />}
      <div>
        <h1>{title}</h1>
        <p>
          {[
            advice.vehicle.name,
            docket.vehicle?.fleetNumber,
            docket.vehicle?.plate,
            docket.vehicle?.buildDate ? t('built', { date: docket.vehicle.buildDate }) : null,
          ]
            .filter(Boolean)
            .join(' \u00B7 ')}
        </p>
        <p className="soft">
          {t('docket', { number: String(view.number) })} {'\u00B7'}{' '}
          {new Intl.DateTimeFormat(languageOf(language).locale, { dateStyle: 'long' }).format(
            new Date(view.updatedAt),
          )}
          {docket.customer?.name ? ` \u00B7 ${docket.customer.name}` : ''}
        </p>
      </div>
      {wheelEnd ? (
        <p className="paper-corner">
          <span>{t('sides')}</span>
          <strong className="mono">{wheelEnd}</strong>
        </p>
      ) : (
        <span />
      )}
    </header>
  );
}

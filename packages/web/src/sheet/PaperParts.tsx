import type { OrderedLine } from '@hardy/core/words';
import { tell, type LanguageCode } from '@hardy/core/sheets';
import { price } from '../format.ts';
import { listedLines, orderTotal } from '../docket/orderLines.ts';

interface Props {
  lines: readonly OrderedLine[];
  currency: string;
  language: LanguageCode;
}

/** The parts the customer takes along, with their sum: neither bins nor what the shop pays. */
export function PaperParts({ lines, currency, language }: Props) {
  const t = (name: string) => tell(language, `frame/${name}`);
  const { parts, deposits } = orderTotal(lines);
  return (
    <table className="order">
      <thead>
        <tr>
          <th scope="col">{t('part')}</th>
          <th scope="col">{t('quantity')}</th>
          <th scope="col">{t('price')}</th>
        </tr>
      </thead>
      <tbody>
        {listedLines(lines).map(({ line }, i) => (
          <tr key={`${line.partNumber}-${i}`}>
            <td>
              <span className="mono">{line.partNumber ?? t('to-be-identified')}</span> {line.description}
              <span className="soft"> {line.brand}</span>
            </td>
            <td>{line.quantity}</td>
            <td className="nowrap">{price((line.unitCents * line.quantity) / 100, currency)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" colSpan={2}>
            {t('parts-in-all')}
          </th>
          <td className="nowrap">{price(parts / 100, currency)}</td>
        </tr>
        {deposits > 0 && (
          <tr>
            <th scope="row" colSpan={2}>
              {t('deposit')}
            </th>
            <td className="nowrap">{price(deposits / 100, currency)}</td>
          </tr>
        )}
      </tfoot>
    </table>
  );
}

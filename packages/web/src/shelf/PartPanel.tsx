import { askFor, PART_FIGURES, type CataloguePart } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { price } from '../format.ts';
import { Barcode } from './Barcode.tsx';
import { PartToScale } from './PartToScale.tsx';
import type { PartView } from '@hardy/core/contract';
import ButtonBase from '@mui/material/ButtonBase';

interface Props {
  view: PartView;
  currency: string;
  onPick: (number: string) => void;
}

const built = (from: string | null, to: string | null): string =>
  from && to ? `, built ${from} to ${to}` : from ? `, built from ${from}` : to ? `, built to ${to}` : '';

const stockOf = (part: CataloguePart): string =>
  part.stock > 0
    ? `${part.stock} on the shelf${part.bin ? `, bin ${part.bin}` : ''}`
    : part.branchStock > 0
      ? `none here, ${part.branchStock} at the branch`
      : `none here, ${part.supplierDays} days from the supplier`;

/** One part: drawn to scale, with its figures, its place on the shelf, what took its place and what it fits. */
export function PartPanel({ view, currency, onPick }: Props) {
  const { part, chain, group, contents, fits } = view;
  const figures = part.partClass === 'companion' ? [] : PART_FIGURES[part.partClass];
  const link = (number: string) => (
    <ButtonBase className="as-text mono" onClick={() => onPick(number)}>
      {number}
    </ButtonBase>
  );
  return (
    <section aria-label={`Part ${part.number}`} className="part-panel">
      <div className="row-head">
        <h2 className="part-number mono">{part.number}</h2>
        <strong>{price(part.priceCents / 100, currency)}</strong>
      </div>
      <p>{part.description}</p>
      <p className="soft">
        {part.brand}, {part.tier} {'\u00B7'} {stockOf(part)} {'\u00B7'} {part.warrantyMonths} months warranty
        {part.packQuantity > 1 ? ` \u00B7 pack of ${part.packQuantity}` : ''}
      </p>
      {chain.length > 1 && (
        <p className="look-here">
          {chain.slice(1).length > 0 && 'Superseded: '}
          {chain.map((number, i) => (
            <span key={number}>
              {i > 0 && ' \u2192 '}
              {i === 0 ? <span className="mono">{number}</span> : link(number)}
            </span>
          ))}
        </p>
      )}
      <PartToScale part={part} />
      <dl className="part-figures">
        {figures.map(({ key, words, kind }) => {
          const value = kind === 'look' ? part.looks[key] : part.measures[key];
          return value === undefined ? null : (
            <div key={key}>
              <dt>{words}</dt>
              <dd>
                {value}
                {kind === 'length' && (
                  <>
                    {' '}
                    mm <span className="soft">({(Number(value) / 25.4).toFixed(3)} in)</span>
                  </>
                )}
              </dd>
            </div>
          );
        })}
        {part.ohmsLow !== null && (
          <div>
            <dt>coil at 20 {'\u00B0'}C</dt>
            <dd>
              {part.ohmsLow} to {part.ohmsHigh} ohm
            </dd>
          </div>
        )}
      </dl>
      {contents.length > 0 && (
        <p>
          The kit holds:{' '}
          {contents.map((piece, i) => (
            <span key={piece.number}>
              {i > 0 && ', '}
              {link(piece.number)} {piece.description}
            </span>
          ))}
          . Find out which one fits before the hub is pressed.
        </p>
      )}
      {group.length > 0 && (
        <p>
          Same design:{' '}
          {group.map((other, i) => (
            <span key={other.number}>
              {i > 0 && ', '}
              {link(other.number)}{' '}
              <span className="soft">
                {other.brand}, {other.tier}, {price(other.priceCents / 100, currency)}
              </span>
            </span>
          ))}
        </p>
      )}
      {fits.length > 0 && (
        <>
          <h3 className="kicker">Fits</h3>
          <ul className="fits">
            {fits.map((row, i) => (
              <li key={i}>
                {row.vehicle} <span className="mono">{row.wheelEnds}</span>
                {built(row.builtFrom, row.builtTo)}
                {Object.entries(row.conditions).map(([key, value]) => `, ${askFor(key).name} ${value}`)}
              </li>
            ))}
          </ul>
        </>
      )}
      {part.barcode && <Barcode code={part.barcode} label={`Barcode ${part.barcode}`} />}
      <div className="answers">
        <Button component={Link} to={`/shelf/print/${encodeURIComponent(part.number)}`}>
          Print life size
        </Button>
        <Button component={Link} to={`/shelf/labels?numbers=${encodeURIComponent(part.number)}`}>
          Print a bin label
        </Button>
      </div>
    </section>
  );
}

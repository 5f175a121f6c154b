import {
  PART_IN_WORDS,
  partsOf as partsTaken,
  wheelEndInWords,
  type Advice,
  type ChosenOffer,
  type Offer,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useState, type KeyboardEvent, type RefObject } from 'react';
import { Link } from 'react-router';
import { PartDrawing } from '../drawings/PartDrawing.tsx';
import { hours, money, price } from '../format.ts';

interface Props {
  id: string;
  advice: Advice;
  /** The vehicle’s place in the catalogue, when it has one. */
  vehicleId: string | null;
  /** What was taken already: an offer is added to it. */
  taken: ChosenOffer | null;
  first: RefObject<HTMLButtonElement | null>;
  onChoose: (offer: Offer) => void;
}

/** The parts of an offer as one says them. */
const partsOf = (offer: Offer): string =>
  [offer.part, ...offer.with].map((part) => PART_IN_WORDS[part]).join(' and ') +
  (offer.work ? ` with ${offer.work}` : '');

/** What is bought: the parts and what goes along, as the comparison counts it. */
const boughtFor = ({ costs }: Offer): number =>
  costs.reduce(
    (sum, { kind, amount }) => (kind === 'parts' || kind === 'companions' ? sum + amount : sum),
    0,
  );

function Range({ offer, most, currency }: { offer: Offer; most: number; currency: string }) {
  const at = (value: number) => `${Math.min(100, (value / most) * 100)}%`;
  const { mean, p10, p50, p90 } = offer.allIn;
  return (
    <div
      className="range"
      role="img"
      aria-label={`all in: one in ten below ${money(p10, currency)}, half below ${money(p50, currency)}, one in ten above ${money(p90, currency)}`}
    >
      <span className="range-span" style={{ left: at(p10), width: `calc(${at(p90)} - ${at(p10)})` }} />
      <span className="range-half" style={{ left: at(p50) }} />
      <span className="range-mean" style={{ left: at(mean) }} />
    </div>
  );
}

function OfferCard({
  offer,
  advice,
  most,
  best,
  adds,
  button,
  onChoose,
}: {
  offer: Offer;
  advice: Advice;
  most: number;
  best: boolean;
  /** It is added to what was taken. */
  adds: boolean;
  button?: RefObject<HTMLButtonElement | null>;
  onChoose: () => void;
}) {
  const { currency } = advice;
  const place = wheelEndInWords(offer.wheelEnd, advice.vehicle);
  const verdict =
    advice.verdict.part === offer.part &&
    advice.verdict.with.join() === offer.with.join() &&
    (offer.work === null || advice.verdict.sentence.includes(offer.work)) &&
    advice.verdict.wheelEnd === offer.wheelEnd &&
    advice.verdict.action === 'sell';
  return (
    <li className={`offer ${verdict ? 'offer-verdict' : ''}`}>
      <PartDrawing part={offer.part} size={44} />
      <div className="offer-body">
        <div className="row-head">
          <h3>
            {partsOf(offer)} <span className="soft">{place}</span>
          </h3>
          <span className="offer-all-in" title="expected cost, everything counted">
            {money(offer.allIn.mean, currency)}
          </span>
        </div>
        <Range offer={offer} most={most} currency={currency} />
        <div className="row-head">
          <dl className="offer-figures">
            <div>
              <dt>cures</dt>
              <dd>{Math.round(offer.cures * 100)} in 100</dd>
            </div>
            <div>
              <dt>parts</dt>
              <dd title="with the bolts, clips and grease that go along">
                {price(boughtFor(offer), currency)}
              </dd>
            </div>
            <div>
              <dt>work</dt>
              <dd>{hours(offer.labourHours)}</dd>
            </div>
          </dl>
          <Button
            ref={button}
            onClick={onChoose}
            variant={verdict && !adds ? 'contained' : 'outlined'}
            className="offer-take"
            aria-label={`${adds ? 'Add' : 'Take'} the ${partsOf(offer)} ${place}`}
          >
            {adds ? 'Add' : 'Take'}
          </Button>
        </div>
        <p className="offer-why">
          {best && <strong>cheapest all in</strong>}
          {best && ' \u00B7 '}
          {offer.because
            .slice(1)
            .concat(
              offer.costs
                .filter((c) => c.kind === 'comeback' && c.amount > offer.allIn.mean * 0.3)
                .map((c) => `${money(c.amount, currency)} of it is the chance of coming back`),
            )
            .join(' \u00B7 ') || offer.because[0]}
        </p>
      </div>
    </li>
  );
}

/** Whether all parts of an offer are on the order. */
const isTaken = (offer: Offer, taken: ChosenOffer | null): boolean => {
  const parts = taken ? partsTaken(taken) : [];
  return [offer.part, ...offer.with].every((part) =>
    parts.some((each) => each.part === part && each.wheelEnd === offer.wheelEnd),
  );
};

const walk = (event: KeyboardEvent<HTMLElement>): void => {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (!step) return;
  event.preventDefault();
  const buttons = [...event.currentTarget.querySelectorAll<HTMLButtonElement>('.offer-take')];
  buttons[
    Math.min(
      buttons.length - 1,
      Math.max(0, buttons.indexOf(document.activeElement as HTMLButtonElement) + step),
    )
  ]?.focus();
};

/** Offers side by side on one money scale. */
export function OffersPanel({ id, advice, vehicleId, taken, first, onChoose }: Props) {
  const [all, setAll] = useState(false);
  const offers = advice.offers.filter((offer) => !isTaken(offer, taken));
  const likely = offers.filter((offer) => !offer.folded);
  const rest = offers.length - likely.length;
  const shown = all ? offers : likely;
  const most = Math.max(1, ...shown.map((offer) => offer.allIn.p90));
  if (taken && offers.length === 0) return null;
  if (advice.offers.length === 0)
    return (
      <section aria-label="Offers">
        <h2 className="kicker">Offers</h2>
        <p className="empty">
          No offer yet: every part is for one corner, and the corner is not known. Answer the question in the
          middle, or pick a wheel on the plan.
        </p>
      </section>
    );
  return (
    <section aria-label="Offers">
      <div className="row-head">
        <h2 className="kicker">{taken ? 'Add to the order' : 'Offers, all-in cost'}</h2>
        <span className="soft scale-end">
          0 to {money(most, advice.currency)} <kbd>o</kbd>
        </span>
      </div>
      <ul className="offers" onKeyDown={walk}>
        {shown.map((offer, i) => (
          <OfferCard
            key={`${[offer.part, ...offer.with, offer.work ?? ''].join('-')}-${offer.wheelEnd}`}
            offer={offer}
            advice={advice}
            most={most}
            best={i === 0 && !taken}
            adds={taken !== null}
            {...(i === 0 ? { button: first } : {})}
            onChoose={() => onChoose(offer)}
          />
        ))}
      </ul>
      {rest > 0 && (
        <Button variant="text" onClick={() => setAll(!all)}>
          {all ? 'hide' : 'show'} {rest} that would hardly ever cure it
        </Button>
      )}
      <p className="offer-links">
        <Link to={`/docket/${id}/compare`}>
          Compare every way <kbd>w</kbd>
        </Link>
        <Link
          to={`/shelf?match=1&class=${advice.offers[0]?.part ?? 'sensor'}${vehicleId ? `&vehicle=${encodeURIComponent(vehicleId)}` : ''}`}
        >
          Match the old part by measuring it
        </Link>
      </p>
      <p className="soft legend">
        bar: 8 in 10 jobs fall within {'\u00B7'} thin mark: half {'\u00B7'} diamond: mean
      </p>
    </section>
  );
}

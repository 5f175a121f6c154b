import { PART_IN_WORDS, wheelEndInWords, type Advice, type Offer } from '@hardy/core/words';
import Button from '@mui/material/Button';
import type { RefObject } from 'react';
import { price } from '../format.ts';

interface Props {
  advice: Advice;
  first: RefObject<HTMLButtonElement | null>;
  onChoose: (offer: Offer) => void;
}

/** What could be sold, by the alphabet and at its price: which of it cures, and what it really costs, is for the learner to say. */
export function CoveredOffers({ advice, first, onChoose }: Props) {
  return (
    <section aria-label="Parts">
      <h2 className="kicker">On the shelf for it</h2>
      {advice.offers.length === 0 && (
        <p className="empty">Name the corner on the plan, or look further; then parts are shown for it.</p>
      )}
      <ul className="covered-offers">
        {advice.offers
          .filter((offer) => offer.with.length === 0)
          .map((offer, i) => (
            <li key={`${offer.part} ${offer.wheelEnd}`}>
              <span>
                {PART_IN_WORDS[offer.part]}, {wheelEndInWords(offer.wheelEnd, advice.vehicle)}
              </span>
              <span className="mono">{price(offer.price, advice.currency)}</span>
              <Button ref={i === 0 ? first : null} onClick={() => onChoose(offer)}>
                Take
              </Button>
            </li>
          ))}
      </ul>
    </section>
  );
}

import type { PositionContext } from '../positions/placePhrase.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';

const NEED_IN_WORDS = {
  steeringSide: 'steering side',
  trafficSide: 'side of the road',
  axle: 'axle',
  side: 'side',
} as const;

/** A place as a chip: its wheels, or what is missing. */
export const cornerChip = (p: LocatedPosition, context: PositionContext): Chip => {
  const place = p.wheelEnds.map((end) => wheelEndInWords(end, context)).join(', ');
  const role = p.role === 'past' ? ' (before)' : p.role === 'denied' ? ' (not this)' : '';
  return {
    kind: 'corner',
    label: p.needs ? `${p.text}: which ${NEED_IN_WORDS[p.needs]}?` : `${place}${role}`,
    words: p.text,
    start: p.start,
    end: p.end,
    note: p.needs ? 'not placed yet' : null,
    carried: p.carried ?? false,
  };
};

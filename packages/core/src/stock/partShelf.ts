/** What one docket has to do with one part: what it wants, what left, what came back, and what is put aside for it. */
export interface Claim {
  readonly docket: string;
  /** Counts up with each new claim: who came first is served first. */
  readonly since: number;
  readonly wanted: number;
  /** Pieces the customer took away, came back as they left, and came back opened. */
  readonly handed: number;
  readonly returned: number;
  readonly opened: number;
  /** Pieces on the shelf put aside for this docket. */
  readonly reserved: number;
  /** YYYY-MM-DD: after this day nothing stays put aside; null for as long as it takes. */
  readonly until: string | null;
}

/** One part on the shelf: pieces there, put aside or not, and who has to do with it. */
export interface PartShelf {
  readonly onHand: number;
  readonly claims: readonly Claim[];
}

/** What a docket says of a part now. */
export type Asked = Omit<Claim, 'since' | 'reserved'>;

/** A movement of pieces; `change` is what it did to the shelf. */
export interface Move {
  readonly docket: string | null;
  readonly kind: 'sold' | 'sale-undone' | 'returned' | 'return-undone' | 'opened' | 'received';
  readonly quantity: number;
  readonly change: number;
}

export interface Settled {
  readonly shelf: PartShelf;
  readonly moves: readonly Move[];
}

/** Refused: so many more were to be handed over than are on the shelf for this docket. */
export interface Short {
  readonly short: number;
}

/** Pieces a claim still waits for, until its day has passed. */
export const outstanding = ({ wanted, handed, until }: Asked, today: string): number =>
  until !== null && until < today ? 0 : Math.max(0, wanted - handed);

const sumOf = (claims: readonly Claim[], of: (claim: Claim) => number): number =>
  claims.reduce((sum, claim) => sum + of(claim), 0);

/**
 * Puts pieces aside: what was put aside stays so, as far as it is still wanted; what is free goes to whoever came first,
 * `first` before everybody. Never more than there are, never more than one waits for.
 */
export const allot = (shelf: PartShelf, today: string, first: string | null = null): PartShelf => {
  const kept = shelf.claims.map((claim) => ({
    ...claim,
    reserved: Math.min(claim.reserved, outstanding(claim, today)),
  }));
  // Fewer may be there than were put aside: a count found less. The last to come goes without.
  let over = Math.max(0, sumOf(kept, (claim) => claim.reserved) - shelf.onHand);
  const held = [...kept]
    .sort((x, y) => y.since - x.since)
    .map((claim) => {
      const less = Math.min(over, claim.reserved);
      over -= less;
      return { ...claim, reserved: claim.reserved - less };
    });
  let free = shelf.onHand - sumOf(held, (claim) => claim.reserved);
  const rank = (claim: Claim) => (claim.docket === first ? -1 : claim.since);
  const claims = held
    .sort((x, y) => rank(x) - rank(y))
    .map((claim) => {
      const more = Math.min(free, outstanding(claim, today) - claim.reserved);
      free -= more;
      return { ...claim, reserved: claim.reserved + more };
    })
    .sort((x, y) => x.since - y.since);
  return { onHand: shelf.onHand, claims };
};

/**
 * Brings the shelf to what a docket says now: sold is booked out, brought back as it left is booked in, opened is not;
 * what is still wanted is put aside as far as there is any. A step back on the docket undoes the movement.
 * Refused where more is to be handed over than lies there for this docket.
 */
export const settlePart = (shelf: PartShelf, asked: Asked, today: string): Settled | Short => {
  const before = shelf.claims.find(({ docket }) => docket === asked.docket);
  const since = before?.since ?? Math.max(0, ...shelf.claims.map((claim) => claim.since)) + 1;
  // What is wanted now is put aside first, so that it can be handed over in one go.
  const wanting = allot(
    {
      onHand: shelf.onHand,
      claims: [
        ...shelf.claims.filter(({ docket }) => docket !== asked.docket),
        {
          ...asked,
          until: null,
          handed: before?.handed ?? 0,
          wanted: Math.max(asked.wanted, asked.handed),
          since,
          reserved: before?.reserved ?? 0,
        },
      ],
    },
    today,
  );
  const aside = wanting.claims.find(({ docket }) => docket === asked.docket)?.reserved ?? 0;
  const sold = asked.handed - (before?.handed ?? 0);
  if (sold > aside) return { short: sold - aside };
  const back = asked.returned - (before?.returned ?? 0);
  const opened = asked.opened - (before?.opened ?? 0);
  const onHand = shelf.onHand - sold + back;
  // A return that is undone was sold again meanwhile.
  if (onHand < 0) return { short: -onHand };
  const gone = asked.wanted === 0 && asked.handed === 0 && asked.returned === 0 && asked.opened === 0;
  const settled = allot(
    {
      onHand,
      claims: [
        ...wanting.claims.filter(({ docket }) => docket !== asked.docket),
        ...(gone ? [] : [{ ...asked, since, reserved: Math.max(0, aside - Math.max(0, sold)) }]),
      ],
    },
    today,
  );
  const { docket } = asked;
  const moves: Move[] = [
    ...(sold > 0 ? [{ docket, kind: 'sold' as const, quantity: sold, change: -sold }] : []),
    ...(sold < 0 ? [{ docket, kind: 'sale-undone' as const, quantity: -sold, change: -sold }] : []),
    ...(back > 0 ? [{ docket, kind: 'returned' as const, quantity: back, change: back }] : []),
    ...(back < 0 ? [{ docket, kind: 'return-undone' as const, quantity: -back, change: back }] : []),
    ...(opened > 0 ? [{ docket, kind: 'opened' as const, quantity: opened, change: 0 }] : []),
  ];
  return { shelf: settled, moves };
};

/** Pieces that came in from a supplier: for the dockets they were ordered for, in that order, then for whoever waits. */
export const receivePart = (
  shelf: PartShelf,
  quantity: number,
  ordered: readonly string[],
  today: string,
): Settled => {
  let next: PartShelf = { ...shelf, onHand: shelf.onHand + quantity };
  for (const docket of ordered) {
    const reserved = sumOf(next.claims, (claim) => claim.reserved);
    const free = next.onHand - reserved;
    next = {
      ...next,
      claims: next.claims.map((claim) =>
        claim.docket === docket
          ? {
              ...claim,
              reserved: claim.reserved + Math.min(free, outstanding(claim, today) - claim.reserved),
            }
          : claim,
      ),
    };
  }
  return {
    shelf: allot(next, today),
    moves: [{ docket: null, kind: 'received', quantity, change: quantity }],
  };
};

import type { Docket } from '../vocabulary/docket.ts';
import type { Claim } from '../vocabulary/sale.ts';

/** Raises a claim on pieces that came back bad; one of the same part and day counts up. */
export const raiseClaim = (docket: Docket, claim: Omit<Claim, 'state'>): Docket => ({
  ...docket,
  claims: [...(docket.claims ?? []), { ...claim, state: 'raised' }],
});

/** Puts what is known of a claim since: what was metered, what its supplier said. */
export const changeClaim = (docket: Docket, at: number, more: Partial<Claim>): Docket => ({
  ...docket,
  claims: (docket.claims ?? []).map((claim, i) => (i === at ? { ...claim, ...more } : claim)),
});

/** What was found on the part, in one line. */
export const foundOnIt = ({ ohms, looked }: Claim): string =>
  [
    ohms == null
      ? null
      : typeof ohms === 'number'
        ? `metered ${ohms.toLocaleString('en-GB')} ohm`
        : `metered ${ohms}`,
    looked,
  ]
    .filter(Boolean)
    .join('; ') || 'not looked at yet';

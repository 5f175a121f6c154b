import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** What two lines are compared by. */
interface Mergeable {
  readonly partNumber: string | null;
  readonly quantity: number;
  readonly wheelEnd?: WheelEnd | null | undefined;
  readonly companion?: boolean | null | undefined;
}

/**
 * One list without doubles: what two parts at one wheel end have in common goes along once, as many as the one that needs
 * more; what serves the whole order goes along once; the same bolt at another wheel end is another bolt. Parts themselves
 * are never put together. Nothing gets lost or more by the order in which they come (property tested).
 */
export const mergeLines = <L extends Mergeable>(lines: readonly L[]): L[] =>
  lines.reduce<L[]>((sofar, line) => {
    const at =
      line.companion && line.partNumber !== null
        ? sofar.findIndex(
            (other) =>
              other.companion &&
              other.partNumber === line.partNumber &&
              (other.wheelEnd ?? null) === (line.wheelEnd ?? null),
          )
        : -1;
    return at < 0
      ? [...sofar, line]
      : sofar.map((other, i) =>
          i === at ? { ...other, quantity: Math.max(other.quantity, line.quantity) } : other,
        );
  }, []);

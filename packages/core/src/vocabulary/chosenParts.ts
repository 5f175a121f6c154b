import type { ChosenOffer, OrderedLine } from './docket.ts';
import type { PartClass } from './words.ts';
import type { WheelEnd } from './wheelEnd.ts';

/** One part that was taken, and where it is fitted. */
export interface TakenPart {
  readonly part: PartClass;
  readonly wheelEnd: WheelEnd;
  readonly partNumber?: string | null | undefined;
}

/** Every part of what was taken, the main one first; an older docket names only that. */
export const partsOf = (chosen: ChosenOffer): readonly TakenPart[] =>
  chosen.parts?.length
    ? chosen.parts
    : [{ part: chosen.part, wheelEnd: chosen.wheelEnd, partNumber: chosen.partNumber ?? null }];

/** The line of the part itself, the first that goes along with none; null where an older docket has no lines. */
export const mainLine = ({ lines }: ChosenOffer): OrderedLine | null =>
  lines?.find(({ companion }) => companion !== true) ?? null;

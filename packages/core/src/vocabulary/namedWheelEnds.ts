import type { Docket } from './docket.ts';
import type { WheelEnd } from './wheelEnd.ts';

/** A wheel end a docket names, and where. */
export interface NamedWheelEnd {
  readonly path: string;
  readonly wheelEnd: WheelEnd;
}

/** Every wheel end a docket names, with its path, so that one that cannot exist on the vehicle is named exactly. */
export const namedWheelEnds = (docket: Docket): NamedWheelEnd[] => {
  const found: Array<{ path: string; wheelEnd: WheelEnd | null | undefined }> = [
    { path: 'wheelEnd', wheelEnd: docket.wheelEnd },
    ...(docket.codes ?? []).map((code, i) => ({ path: `codes[${i}].wheelEnd`, wheelEnd: code.wheelEnd })),
    ...(docket.history ?? []).map((event, i) => ({
      path: `history[${i}].wheelEnd`,
      wheelEnd: event.wheelEnd,
    })),
    ...(docket.checks ?? []).flatMap((check, i) => [
      { path: `checks[${i}].wheelEnd`, wheelEnd: check.wheelEnd },
      ...(check.check === 'swap' ? [{ path: `checks[${i}].with`, wheelEnd: check.with }] : []),
      ...(check.check === 'tyres'
        ? Object.keys(check.sizes).map((end) => ({ path: `checks[${i}].sizes.${end}`, wheelEnd: end }))
        : []),
    ]),
    ...(docket.doubts ?? []).map((doubt, i) => ({ path: `doubts[${i}].wheelEnd`, wheelEnd: doubt.wheelEnd })),
    ...(docket.positions ?? []).flatMap((position, i) =>
      position.wheelEnds.map((wheelEnd, j) => ({ path: `positions[${i}].wheelEnds[${j}]`, wheelEnd })),
    ),
    ...Object.keys(docket.vehicle?.tyres ?? {}).map((end) => ({
      path: `vehicle.tyres.${end}`,
      wheelEnd: end,
    })),
    ...Object.keys(docket.vehicle?.wheelEnds ?? {}).map((end) => ({
      path: `vehicle.wheelEnds.${end}`,
      wheelEnd: end,
    })),
    { path: 'chosen.wheelEnd', wheelEnd: docket.chosen?.wheelEnd },
    ...(docket.chosen?.parts ?? []).map((part, i) => ({
      path: `chosen.parts[${i}].wheelEnd`,
      wheelEnd: part.wheelEnd,
    })),
  ];
  return found.filter((entry): entry is NamedWheelEnd => Boolean(entry.wheelEnd));
};

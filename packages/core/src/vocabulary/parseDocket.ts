import { BadInput } from './badInput.ts';
import { CHECK_NAMES } from './check.ts';
import { Docket } from './docket.ts';
import { parse } from './parse.ts';
import { axleOf } from './wheelEndWords.ts';
import type { WheelEnd } from './wheelEnd.ts';

const isRecord = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** Every wheel end a docket names, with its path, so that one that cannot exist on the vehicle is named exactly. */
const namedWheelEnds = (docket: Docket): Array<{ path: string; wheelEnd: WheelEnd }> => {
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
    ...Object.keys(docket.vehicle?.tyres ?? {}).map((end) => ({
      path: `vehicle.tyres.${end}`,
      wheelEnd: end,
    })),
    ...Object.keys(docket.vehicle?.wheelEnds ?? {}).map((end) => ({
      path: `vehicle.wheelEnds.${end}`,
      wheelEnd: end,
    })),
    { path: 'chosen.wheelEnd', wheelEnd: docket.chosen?.wheelEnd },
  ];
  return found.filter((entry): entry is { path: string; wheelEnd: WheelEnd } => Boolean(entry.wheelEnd));
};

/**
 * Validates a docket from outside: its shape, its words, and that every wheel end exists on its vehicle.
 * @throws BadInput with the path of the first problem.
 */
export const parseDocket = (input: unknown): Docket => {
  if (!isRecord(input)) throw new BadInput('', 'a docket is a JSON object; this is something else');
  if (input.format !== 'hardy-spoke/docket')
    throw new BadInput(
      'format',
      `${JSON.stringify(input.format) ?? 'nothing'} is not hardy-spoke/docket; is this a docket file?`,
    );
  if (input.version !== 1)
    throw new BadInput(
      'version',
      `${JSON.stringify(input.version) ?? 'nothing'} is not 1, the only version read here`,
    );
  const checks = input.checks;
  if (Array.isArray(checks))
    checks.forEach((check, i) => {
      const name = isRecord(check) ? check.check : undefined;
      if (!CHECK_NAMES.some((known) => known === name))
        throw new BadInput(
          `checks[${i}].check`,
          `${JSON.stringify(name) ?? 'nothing'} is not a known check; use one of ${CHECK_NAMES.join(' | ')}`,
        );
    });
  const docket = parse(Docket, input);
  const axles = docket.vehicle?.axles;
  if (axles)
    for (const { path, wheelEnd } of namedWheelEnds(docket))
      if (axleOf(wheelEnd) > axles)
        throw new BadInput(
          path,
          `${wheelEnd} is on axle ${axleOf(wheelEnd)}, but vehicle.axles is ${axles}; correct one of the two`,
        );
  return docket;
};

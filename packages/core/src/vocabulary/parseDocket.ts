import { BadInput } from './badInput.ts';
import { CHECK_NAMES } from './check.ts';
import { mustBeShallow } from './depth.ts';
import { Docket, MOST_LEFT_OVER } from './docket.ts';
import { parse } from './parse.ts';
import { namedWheelEnds } from './namedWheelEnds.ts';
import { axleOf } from './wheelEndWords.ts';

const isRecord = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** Where an older docket may hold fields under other names, which are read into the ones of today. */
const READ_INTO_OTHERS: ReadonlySet<string> = new Set(['chosen', 'options']);

/** Fields that were given and that no docket has, in words. */
const unknownFields = (given: unknown, read: unknown, path = ''): string[] => {
  if (Array.isArray(given))
    return given.flatMap((each, i) =>
      unknownFields(each, Array.isArray(read) ? read[i] : undefined, `${path}[${i}]`),
    );
  if (!isRecord(given)) return [];
  return Object.entries(given).flatMap(([name, value]) => {
    const at = path ? `${path}.${name}` : name;
    if (value == null || READ_INTO_OTHERS.has(at)) return [];
    if (!isRecord(read) || !(name in read))
      return [`${at}: ${(JSON.stringify(value) ?? '').slice(0, 200)} is not a field of a docket`];
    return unknownFields(value, read[name], at);
  });
};

/** What nobody here knows stays in sight, as words that were not understood. */
const withUnknown = (docket: Docket, unknown: readonly string[]): Docket =>
  unknown.length === 0
    ? docket
    : { ...docket, leftOver: [...(docket.leftOver ?? []), ...unknown].slice(0, MOST_LEFT_OVER) };

/**
 * Validates a docket from outside: its shape, its words, and that every wheel end exists on its vehicle. A field that
 * no docket has is named among what was not understood.
 * @throws BadInput with the path of the first problem.
 */
export const parseDocket = (input: unknown): Docket => {
  mustBeShallow(input);
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
  const read = parse(Docket, input);
  const docket = withUnknown(read, unknownFields(input, read));
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

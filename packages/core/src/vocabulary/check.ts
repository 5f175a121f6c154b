import { z } from 'zod';
import type { CheckField, CheckKind } from '../checkKinds/checkKind.ts';
import { CHECK_KINDS } from '../checkKinds/checkKinds.ts';
import { kindOf, type Check as CheckValue } from '../checkKinds/checkTypes.ts';
import { TyreSizes } from './tyreSizes.ts';
import { WheelEnd } from './wheelEnd.ts';

export { CHECK_NAMES, type CheckName } from '../checkKinds/checkTypes.ts';

const schemaOf = (field: CheckField, results: z.ZodType): z.ZodType => {
  switch (field.is) {
    case 'result':
      return results;
    case 'number':
      return z.number().min(field.least).max(field.most);
    case 'count':
      return z.number().int().min(field.least).max(field.most);
    case 'number-or-result':
      return z.union([z.number().min(field.least).max(field.most), results]);
    case 'choice':
      return z.enum(field.of).default(field.otherwise);
    case 'yes-no':
      return z.boolean();
    case 'wheel':
      return WheelEnd;
    case 'sizes':
      return TyreSizes;
  }
};

const checkOf = ({ name, fields, results }: CheckKind) =>
  z.object({
    check: z.literal(name),
    wheelEnd: WheelEnd.nullish(),
    /** The reading was asked about as a likely slip of unit and is as it stands. */
    confirmed: z.boolean().nullish(),
    ...Object.fromEntries(
      Object.entries(fields).map(([field, of]) => {
        const schema = schemaOf(of, z.enum(Object.keys(results)));
        return [field, 'optional' in of && of.optional ? schema.nullish() : schema];
      }),
    ),
  });

type Checks = [ReturnType<typeof checkOf>, ...Array<ReturnType<typeof checkOf>>];

/**
 * One check made on the vehicle or on the counter, with its result; made from the kinds of check, types and all. Units as
 * in their fields: ohm, V, degC, turns/s, %.
 */
export const Check = z.discriminatedUnion(
  'check',
  CHECK_KINDS.map((kind: CheckKind) => checkOf(kind)) as Checks,
) as unknown as z.ZodType<CheckValue, unknown>;
export type Check = CheckValue;

const wordsOf = <T extends object>(words: T) => z.enum(Object.keys(words) as [keyof T & string]);
export const LivePattern = wordsOf(kindOf('live').results);
export type LivePattern = z.infer<typeof LivePattern>;

import { FAULT_SHOWS } from '../faultKinds/faultData.ts';
import type { CheckField, CheckKind, CheckTable } from './checkKind.ts';
import { CHECK_KINDS } from './checkKinds.ts';
import { kindOf, type Check, type CheckName, type ResultOf } from './checkTypes.ts';

const KINDS: readonly CheckKind[] = CHECK_KINDS;
const byName = <T>(of: (kind: CheckKind) => T): Readonly<Record<CheckName, T>> =>
  Object.fromEntries(KINDS.map((kind) => [kind.name, of(kind)])) as Record<CheckName, T>;

/** Each check as one would ask for it. */
export const CHECK_IN_WORDS = byName(({ words }) => words);

/** Results one can pick, by check; none for one that is only measured. */
export const CHECK_RESULTS = byName(({ results }) => Object.keys(results)) as unknown as {
  readonly [N in CheckName]: ReadonlyArray<ResultOf<N>>;
};

/** A table with what faults say of it themselves; one that says nothing leaves it as on a sound vehicle. */
const withFaults = (name: string, table: CheckTable): CheckTable => {
  const own = FAULT_SHOWS.flatMap(([fault, shows]) => (shows[name] ? [[fault, shows[name]] as const] : []));
  const silent = FAULT_SHOWS.flatMap(([fault, shows]) => (shows[name] ? [] : [fault]));
  return {
    ...table,
    rows: { ...table.rows, ...Object.fromEntries(own) },
    unmoved: [...table.unmoved, ...silent],
  };
};

/** Every likelihood table by its name, with the rows of the kinds and those the faults bring along. */
export const CHECK_TABLES: Readonly<Record<string, CheckTable>> = Object.fromEntries(
  KINDS.flatMap(({ tables }) => Object.entries(tables)).map(([name, table]) => [
    name,
    withFaults(name, table),
  ]),
);

/** The result that says that nothing is wrong here, for each table. */
export const SOUND_RESULT: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(CHECK_TABLES).map(([table, { sound }]) => [table, sound]),
);

/** A number of a check with its field. */
export interface NumberOfCheck {
  readonly key: string;
  readonly field: Extract<CheckField, { least: number }>;
}

const isNumber = (field: CheckField): field is NumberOfCheck['field'] => 'least' in field;

/** The numbers a form asks for, in their order. */
export const numbersOf = (check: CheckName): NumberOfCheck[] =>
  Object.entries(kindOf(check).fields as CheckKind['fields']).flatMap(([key, field]) =>
    isNumber(field) && field.ask !== undefined ? [{ key, field }] : [],
  );

/** The field a picked result is written into; null for a check that is only measured. */
const pickedField = (check: CheckName): string | null =>
  Object.entries(kindOf(check).fields as CheckKind['fields']).find(
    ([, { is }]) => is === 'result' || is === 'number-or-result',
  )?.[0] ?? null;

type Loose = Readonly<Record<string, unknown>>;

/** The result that was picked; null where a number was given. */
export const pickedResult = (check: Check): string | null => {
  const field = pickedField(check.check);
  const value = field === null ? null : (check as Loose)[field];
  return typeof value === 'string' ? value : null;
};

/** A check with a picked result. */
export const checkWithResult = (check: CheckName, result: string, wheelEnd: string | null): Check => {
  const fields = kindOf(check).fields as CheckKind['fields'];
  const choices = Object.entries(fields).flatMap(([key, field]) =>
    field.is === 'choice' ? [[key, field.otherwise]] : [],
  );
  const field = pickedField(check);
  return {
    check,
    wheelEnd,
    ...Object.fromEntries(choices),
    ...(field ? { [field]: result } : {}),
  } as Check;
};

/** What was found, as it stands on a chip: the result, or the numbers in their units. */
const foundInWords = (check: Check): string => {
  const picked = pickedResult(check);
  const numbers = Object.entries(kindOf(check.check).fields as CheckKind['fields']).flatMap(
    ([key, field]) => {
      const value = (check as Loose)[key];
      if (field.is === 'sizes') return ['sizes'];
      return isNumber(field) && field.shown && typeof value === 'number'
        ? [field.shown.replace('{}', String(value))]
        : [];
    },
  );
  const words = [...(picked === null ? [] : [picked.replace(/-/g, ' ')]), ...numbers];
  return words.join((kindOf(check.check) as CheckKind).between ?? ' ');
};

/** A check with its result, as a chip or a fact is called. */
export const checkInWords = (check: Check): string =>
  `${CHECK_IN_WORDS[check.check]}: ${foundInWords(check)}`;

/** Whether a picked result says that something is wrong: it is none that is sound or silent. */
export const isPickedFault = (check: Check): boolean => {
  const picked = pickedResult(check);
  const { tables, silent, worst, tellsHowItStands } = kindOf(check.check) as CheckKind;
  if (tellsHowItStands || picked === null || silent?.includes(picked) || worst?.[0] === picked) return false;
  return !Object.values(tables).some(({ sound }) => sound === picked);
};

/** How bad a result is among those of which the worse stands; null where the later reading counts. */
export const worstFirst = (check: Check): number | null => {
  const { worst } = kindOf(check.check) as CheckKind;
  const picked = pickedResult(check);
  return worst && picked !== null ? worst.indexOf(picked) : null;
};

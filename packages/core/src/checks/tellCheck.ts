import type { Assumptions } from '../assumptions/assumptions.ts';
import { isPickedFault, pickedResult } from '../checkKinds/checkData.ts';
import type { CheckKind } from '../checkKinds/checkKind.ts';
import { kindOf } from '../checkKinds/checkTypes.ts';
import type { Check } from '../vocabulary/check.ts';
import type { CheckSetting, ToldCheck } from './computedCheck.ts';
import { computedOf } from './computedKinds.ts';

/** Does the arithmetic of a check and says in words what it amounts to, or that it says nothing. */
export const tellCheck = (check: Check, setting: CheckSetting, a: Assumptions): ToldCheck => {
  const tells = computedOf(check.check)?.tells;
  if (tells) return tells(check as never, setting, a);
  const { silent } = kindOf(check.check) as CheckKind;
  const picked = pickedResult(check);
  if (picked !== null && silent?.includes(picked)) return { lines: [], says: 'nothing' };
  return { lines: [], says: isPickedFault(check) ? 'faulty' : 'sound' };
};

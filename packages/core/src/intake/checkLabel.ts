import { CHECK_IN_WORDS, foundInWords } from '../checkKinds/checkData.ts';
import type { Check } from '../vocabulary/check.ts';

/** A check with its result, for a chip. */
export const checkLabel = (check: Check): string => `${CHECK_IN_WORDS[check.check]}: ${foundInWords(check)}`;

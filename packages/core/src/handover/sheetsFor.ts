import type { Dangers } from '../safety/dangers.ts';
import type { Verdict } from '../vocabulary/advice.ts';
import type { Sheet } from '../vocabulary/sheet.ts';
import type { Caution } from '../vocabulary/words.ts';
import { checkSheet } from './checkSheet.ts';
import { fitJob, type Fitted, type SheetKnowledge } from './fitJob.ts';
import { fitSheet } from './fitSheet.ts';
import { noPartSheet } from './noPartSheet.ts';
import { stopSheet } from './stopSheet.ts';

/** What decides which pages leave the counter. */
export interface Ending extends SheetKnowledge {
  readonly verdict: Verdict;
  readonly dangers: Dangers;
  readonly cautions: readonly Caution[];
  /** Minutes of the check the verdict asks for. */
  readonly minutes: number | null;
  /** What was taken, or what the verdict sells. */
  readonly handed: readonly Fitted[];
}

/**
 * The pages that leave the counter, in the order they print: a stop always first, then what is fitted, or else the check
 * that comes first or what cures it without a part.
 */
export const sheetsFor = (ending: Ending): Sheet[] => {
  const { docket, verdict, dangers, cautions, minutes, handed } = ending;
  const job = fitJob(handed, ending);
  const taken = docket.chosen != null;
  return [
    ...(dangers.stop ? [stopSheet(dangers)] : []),
    // What would be sold after a check is not fitted yet.
    ...(handed.length > 0 && (taken || verdict.action === 'sell') ? [fitSheet(job, cautions)] : []),
    ...(!taken && verdict.check ? [checkSheet(verdict.check, verdict.wheelEnd, minutes, cautions)] : []),
    ...(!taken && verdict.action === 'no-part' ? [noPartSheet(verdict, job, cautions)] : []),
  ];
};

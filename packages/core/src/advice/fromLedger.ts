import type { Offer, Verdict } from '../vocabulary/advice.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { CAUSE_SHORT } from '../vocabulary/inWords.ts';
import { wheelEndInWords, type WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { judge } from './judge.ts';
import { judgedOnly, type Knowledge } from './knowledge.ts';

/** Whether two verdicts send the customer away with something else. */
const differs = (x: Verdict, y: Verdict): boolean =>
  x.action !== y.action || x.part !== y.part || x.wheelEnd !== y.wheelEnd || x.check !== y.check;

const jobs = (n: number): string => `${Math.round(n)} ${Math.round(n) === 1 ? 'job' : 'jobs'}`;

/**
 * What closed jobs say here, in words: nothing changes silently. A verdict that judgement alone would have given otherwise,
 * the weak places of this vehicle line, and parts on offer of which too many came back bad from the box.
 */
export const fromLedger = (
  docket: Docket,
  knowledge: Knowledge,
  verdict: Verdict,
  offers: readonly Offer[],
  names: WheelNames,
  corner: WheelEnd | null,
): string[] => {
  const { overrides, lineJobs, jobs: all, bad, weak } = knowledge.learned;
  const isMoved = [overrides, knowledge.slice.bad ?? {}].some((moved) => Object.keys(moved).length > 0);
  const judged = isMoved ? judge(docket, judgedOnly(knowledge)).verdict : verdict;
  const numbers = new Set(offers.flatMap(({ lines }) => lines.flatMap(({ partNumber }) => partNumber ?? [])));
  return [
    ...(differs(verdict, judged)
      ? [
          `Turned since ${lineJobs >= 1 ? `${jobs(lineJobs)} of this line and ${jobs(all)} in all` : jobs(all)}. By judgement alone: ${judged.sentence}`,
        ]
      : []),
    ...weak
      .filter(({ wheelEnd }) => corner === null || wheelEnd === corner)
      .map(
        ({ wheelEnd, cause, n, of, place }) =>
          `This line ${wheelEndInWords(wheelEnd, names)}: ${CAUSE_SHORT[cause]} in ${n} of ${of} jobs${place ? ` (${place})` : ''}.`,
      ),
    ...[...numbers].flatMap((number) => {
      const known = bad[number];
      return known
        ? [
            `${number}: ${known.bad} of ${known.sold} came back bad from the box${known.batch ? `; look for batch ${known.batch}` : ''}.`,
          ]
        : [];
    }),
  ];
};

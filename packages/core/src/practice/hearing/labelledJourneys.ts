import { docketFromReading } from '../../intake/docketFromReading.ts';
import type { IntakeContext } from '../../intake/context.ts';
import { mergeReading } from '../../intake/mergeReading.ts';
import { readIntake } from '../../intake/readIntake.ts';
import type { IntakeReading } from '../../vocabulary/intakeReading.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import { factsOf } from './readingFacts.ts';

/** What a docket must hold, and must not hold, after a line was typed. */
interface JourneyStep {
  readonly words: string;
  readonly holds: readonly string[];
  readonly holdsNot: readonly string[];
}

/** A job as it is typed at the counter, line by line. */
export interface LabelledJourney {
  readonly name: string;
  /** The letter of a labelled sentence's context. */
  readonly context: string;
  readonly steps: readonly JourneyStep[];
}

const factsIn = (labels: string): string[] =>
  labels
    .split(';')
    .map((fact) => fact.trim())
    .filter(Boolean);

/**
 * Reads a data file of journeys: `## name | context`, then `> words` for each line typed, followed by what the docket then
 * holds (`= fact; fact`) and must not hold (`! fact`).
 */
export const parseJourneys = (file: string): LabelledJourney[] =>
  file
    .split(/^## /m)
    .slice(1)
    .map((block) => {
      const [head = '', ...lines] = block.split('\n');
      const [name = '', context = ''] = head.split('|').map((part) => part.trim());
      const steps: Array<{ words: string; holds: string[]; holdsNot: string[] }> = [];
      for (const line of lines) {
        const rest = line.slice(1).trim();
        if (line.startsWith('>')) steps.push({ words: rest, holds: [], holdsNot: [] });
        if (line.startsWith('=')) steps.at(-1)?.holds.push(...factsIn(rest));
        if (line.startsWith('!')) steps.at(-1)?.holdsNot.push(...factsIn(rest));
      }
      return { name, context, steps };
    });

/** A docket in the short facts of labelled sentences; a check without a wheel is at the docket's corner. */
const factsOfDocket = (docket: Docket): string[] => {
  const wheelEnd = docket.wheelEnd ?? null;
  const { trafficSide: _, ...vehicle } = docket.vehicle ?? {};
  return factsOf({
    positions: (docket.positions ?? []) as IntakeReading['positions'],
    codes: docket.codes ?? [],
    symptoms: docket.symptoms ?? [],
    history: (docket.history ?? []).map((event) => ({ ...event, wheelEnd: event.wheelEnd ?? wheelEnd })),
    checks: (docket.checks ?? []).map((check) => ({ ...check, wheelEnd: check.wheelEnd ?? wheelEnd })),
    tyres: docket.vehicle?.tyres ?? {},
    vehicle: vehicle,
    wants: docket.wants ?? [],
    reader: docket.reader ?? null,
    codesCleared: docket.codesCleared ?? null,
  });
};

/** How a journey was heard: at each marked line, what was missing and what should not be there. */
export interface HeardJourney {
  readonly journey: LabelledJourney;
  readonly marked: number;
  readonly right: number;
  readonly wrong: ReadonlyArray<{
    readonly words: string;
    readonly missing: readonly string[];
    readonly extra: readonly string[];
    readonly has: readonly string[];
  }>;
}

/** Days since differ by what "last week" may mean. */
const isSame = (said: string, wanted: string): boolean => {
  const [a, b] = [/(\d+)d\b/.exec(said), /(\d+)d\b/.exec(wanted)];
  const without = (fact: string) => fact.replace(/ \d+d\b/, '');
  if (!b) return said === wanted || (a !== null && without(said) === wanted);
  const [x, y] = [Number(a?.[1]), Number(b[1])];
  return a !== null && without(said) === without(wanted) && Math.abs(x - y) <= Math.max(4, 0.2 * y);
};

/** Types a journey into a docket as the server does, and holds it against its labels. */
export const hearJourney = (journey: LabelledJourney, context: IntakeContext): HeardJourney => {
  let docket: Docket | null = null;
  let marked = 0;
  const wrong: Array<HeardJourney['wrong'][number]> = [];
  for (const { words, holds, holdsNot } of journey.steps) {
    const now: IntakeContext = {
      ...context,
      steeringSide: docket?.vehicle?.steeringSide ?? context.steeringSide,
      axles: docket?.vehicle?.axles ?? context.axles,
    };
    const reading = readIntake(words, now);
    docket = docket
      ? mergeReading(docket, reading, words)
      : docketFromReading(reading, words, context.trafficSide);
    if (holds.length + holdsNot.length === 0) continue;
    marked++;
    const has = factsOfDocket(docket);
    const missing = holds.filter((fact) => !has.some((each) => isSame(each, fact)));
    const extra = holdsNot.filter((fact) => has.some((each) => isSame(each, fact)));
    if (missing.length + extra.length > 0) wrong.push({ words, missing, extra, has });
  }
  return { journey, marked, right: marked - wrong.length, wrong };
};

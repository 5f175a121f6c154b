import { drawLife, type End } from '@hardy/bench-vehicle';
import {
  bareKnowledge,
  chooseDeed,
  judge,
  type Assumptions,
  type Deed,
  type Judged,
  type WayToWork,
} from '@hardy/core/trial';
import { randomFrom } from '@hardy/core/chance';
import type { Docket } from '@hardy/core/words';
import { docketOf } from '../bench/docketOf.ts';
import { BenchJob } from './benchJob.ts';

/** How a vehicle was dealt with. */
export interface Played {
  readonly cost: number;
  /** Parts fitted after which the complaint was still there, or came back. */
  readonly wrongParts: number;
  readonly visits: number;
  readonly minutes: number;
  readonly referred: boolean;
  /** Let go, after any visit, with a loose wheel that had been felt. */
  readonly unsafe: boolean;
  /** Let go, after any visit or to another workshop, with a loose wheel that nobody had felt. */
  readonly overlooked: boolean;
  /** Stopped for a loose wheel that was none. */
  readonly needlessStop: boolean;
  /** What was done, in order. */
  readonly deeds: readonly Deed[];
}

/** What was said before the first deed, and what was so: for calibration. */
export interface FirstWords {
  readonly judged: Judged;
  readonly befell: ReadonlyArray<readonly [string, string | null]>;
}

const MOST_STEPS = 24;

/**
 * Deals with one bench vehicle to the end by one way to work. The way sees only the docket. All ways meet the same vehicle
 * and the same prices.
 */
export const playVehicle = (
  way: WayToWork,
  seed: number,
  prices: Assumptions,
  today: string,
  told: (words: FirstWords) => void = () => undefined,
  /** Told the docket as it stands before every step. */
  watch: (docket: Docket) => void = () => undefined,
): Played => {
  const life = drawLife(seed);
  const knowledge = { ...bareKnowledge(today), assumptions: prices };
  const job = new BenchJob({
    vehicle: life.vehicle,
    docket: docketOf(life, today, randomFrom(seed * 7 + 2)),
    prices,
    today,
    random: randomFrom(seed * 7 + 1),
  });
  told({ judged: judge(job.docket, knowledge), befell: life.befell });
  const deeds: Deed[] = [];
  const isOver = (deed: Deed): boolean => {
    switch (deed.kind) {
      case 'refer':
        job.refer();
        return true;
      case 'ask':
        job.ask(deed.at);
        return false;
      case 'check':
        job.check(deed.check, deed.at as End | null);
        return false;
      case 'parts':
        return job.fit(deed.parts, deed.at as End).cured;
      case 'work':
        return job.workOn(deed.work, deed.at as End | null).cured;
    }
  };
  let referred = false;
  let over = false;
  for (let step = 0; step < MOST_STEPS && !over; step++) {
    watch(job.docket);
    const deed = chooseDeed(way, {
      docket: job.docket,
      ends: job.ends,
      architectureOf: job.architectureOf,
      tried: job.tried,
      knowledge,
    });
    deeds.push(deed);
    over = isOver(deed);
    referred = deed.kind === 'refer';
  }
  if (!over) {
    job.refer();
    referred = true;
  }
  const { cost, wrongParts, visits, minutes, unsafe, overlooked, needlessStop } = job;
  return { cost, wrongParts, visits, minutes, referred, unsafe, overlooked, needlessStop, deeds };
};

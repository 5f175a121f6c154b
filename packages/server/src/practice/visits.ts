import { benchOrder, BadInput, docketFromReading, parse, type Docket, type Knowledge } from '@hardy/core';
import type { VisitView } from '@hardy/core/contract';
import { PracticeDeed, SentWith } from '@hardy/core/practice';
import { wheelEndInWords, wheelsOf, type Account } from '@hardy/core/words';
import { applied, deedKey, LEVEL_RULES, type CustomerGiven, type Sale } from '@hardy/practice';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomInt, randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Advising } from '../advising/advising.ts';
import type { WorkerPool } from '../advising/workerPool.ts';
import { notFound, problem } from '../problem.ts';
import { docketsOf } from '../routes/docketsOf.ts';
import { allVehicles, knowledgeFor, today } from '../store/catalogueStore.ts';
import { LearnerRow, PracticeRoundRow, PracticeVisitRow } from '../store/entities.ts';
import { shopSettings } from '../store/shopStore.ts';
import type { JobGiven, JobSeen } from './practiceTasks.ts';

/** What was done, with what the customer left with where they left. */
const Deeds = z.array(z.object({ deed: PracticeDeed, sent: SentWith.nullable() }));
type Done = z.infer<typeof Deeds>[number];

/** A job is played from its first deed each time: more than so many nobody waits for, no customer and no page. */
const MOST_DEEDS = 60;
/** Seeds of lives start here: far from those of trials. */
const FIRST_SEED = 40_000_000;
/** From the seed of one vehicle that has no customer of a level to that of the next, and so many are tried. */
const NEXT_VEHICLE = 1;
const MOST_VEHICLES = 4;
/** From a customer of a round to the next. */
const NEXT_CUSTOMER = 101;

/** A visit nothing was done in yet. */
const FRESH = {
  deeds: '[]',
  docketId: null,
  helped: false,
  over: false,
  account: null,
  endedAt: null,
} as const;

/** How a job stands, whether it was played or stands in its account. */
type Seen = Pick<JobSeen, 'minutes' | 'cost' | 'budget' | 'hadMinutes'> & {
  readonly steps: ReadonlyArray<Pick<JobSeen['steps'][number], 'words' | 'came' | 'minutes' | 'money'>>;
};

/** Another request did something with the customer first: nothing of this one is written. */
class DoneMeanwhile extends Error {}
const doneMeanwhile = () =>
  problem(409, 'Something was done meanwhile', 'this customer is looked after at another desk too');

const givenOf = ({ given }: Pick<PracticeVisitRow, 'given'>): CustomerGiven =>
  JSON.parse(given) as CustomerGiven;
const doneOf = ({ deeds }: Pick<PracticeVisitRow, 'deeds'>): Done[] =>
  parse(Deeds, JSON.parse(deeds), 'deeds');
const nothingReads = (level: number): boolean => LEVEL_RULES[level]?.codes === 'no reader';

/** Customers in practice: each is a seed, a vehicle and what was done with it. */
export class Visits {
  constructor(
    private readonly em: EntityManager,
    private readonly advising: Advising,
    private readonly pool: WorkerPool,
  ) {}

  async #learner(id: string) {
    const row = await this.em.findOne(LearnerRow, { id });
    if (!row) throw notFound(`learner ${id}`);
    return row;
  }
  async #row(id: string, anew = false) {
    const row = await this.em.findOne(PracticeVisitRow, { id }, { refresh: anew });
    if (!row) throw notFound(`customer ${id}`);
    return row;
  }

  /** A vehicle of the shop's catalogue that the bench can stand in for, and how its owner calls it. */
  async #vehicle(seed: number): Promise<Pick<CustomerGiven, 'bench' | 'vehicle' | 'vehicleWords'>> {
    const year = Number(today().slice(0, 4));
    const vehicles = (await allVehicles(this.em)).filter(({ axles }) => axles === 2 || axles === 3);
    for (let i = 0; i < vehicles.length; i++) {
      const line = vehicles[(seed + i * 7) % vehicles.length];
      if (!line) break;
      const from = Math.max(Number(line.builtFrom.slice(0, 4)), year - 16);
      const to = Math.min(Number((line.builtTo ?? String(year - 2)).slice(0, 4)), year - 2);
      if (to < from) continue;
      const built = from + (seed % (to - from + 1));
      const named = `${line.make} ${line.model}`;
      // An estate called Estate is not named twice.
      const kind = named.toLowerCase().includes(line.kind.toLowerCase()) ? '' : ` ${line.kind}`;
      const vehicleWords = `${named}${kind} ${built}`;
      const { trafficSide } = await this.advising.intake();
      const docket = docketFromReading(await this.advising.read(vehicleWords, {}), vehicleWords, trafficSide);
      const known: Docket = {
        ...docket,
        vehicle: {
          ...docket.vehicle,
          catalogueId: docket.vehicle?.catalogueId ?? line.id,
          saltExposure: (['some', 'high', 'high'] as const)[seed % 3] ?? 'some',
        },
      };
      try {
        const knowledge = await knowledgeFor(this.em, known);
        const bench = benchOrder(known, 'practice', seed, knowledge);
        return { bench, vehicle: known.vehicle ?? {}, vehicleWords };
      } catch (error) {
        // One the bench has no place for: another.
        if (!(error instanceof BadInput)) throw error;
      }
    }
    throw problem(
      409,
      'No vehicle to practise on',
      'the catalogue has no vehicle with two or three axles and a sensor at each wheel; import one first',
    );
  }

  /** Somebody who fits the level, on one of the shop's vehicles. */
  async #find(first: number, level: number) {
    for (let i = 0; i < MOST_VEHICLES; i++) {
      const seed = first + i * NEXT_VEHICLE;
      const { overrides } = await shopSettings(this.em);
      const given: CustomerGiven = { seed, level, today: today(), overrides, ...(await this.#vehicle(seed)) };
      const found = await this.pool.run('findCustomerTask', { given });
      if (found) return { given, ...found };
    }
    throw problem(
      409,
      'Nobody walks in',
      'no vehicle that was looked at has a fault of this level that can be found out; try once more, or another level',
    );
  }

  /** A round as far as somebody is with it. @throws problem 404 where there is none, 409 where it is done */
  async #roundOf(em: EntityManager, learnerId: string, roundId: string) {
    const round = await em.findOne(PracticeRoundRow, { id: roundId });
    if (!round) throw notFound(`round ${roundId}`);
    const before = await em.find(PracticeVisitRow, { learnerId, roundId }, { orderBy: { place: 'asc' } });
    const open = before.find(({ over }) => !over) ?? null;
    if (!open && before.length >= round.customers)
      throw problem(409, 'Round done', `all ${round.customers} customers of this round were seen to`);
    return { round, open, place: before.length };
  }

  /** A customer walks in. One whose id is known already is given as they are; in a round the one who waits comes first. */
  async begin(given: {
    id: string | null;
    learnerId: string;
    level: number;
    roundId: string | null;
  }): Promise<VisitView> {
    const { learnerId, roundId } = given;
    const waiting = async (em: EntityManager) => {
      const known = given.id ? await em.findOne(PracticeVisitRow, { id: given.id }) : null;
      if (known && (known.learnerId !== learnerId || (known.roundId ?? null) !== roundId))
        throw problem(409, 'Id used already', 'this id belongs to another customer; send it under a new id');
      const round = roundId && !known ? await this.#roundOf(em, learnerId, roundId) : null;
      return { there: known ?? round?.open ?? null, round };
    };
    await this.#learner(learnerId);
    const { there, round } = await waiting(this.em);
    if (there) return this.view(there.id);
    const place = round?.place ?? 0;
    const level = round?.round.level ?? given.level;
    const seed = round ? round.round.seed + place * NEXT_CUSTOMER : FIRST_SEED + randomInt(1_000_000_000);
    const found = await this.#find(seed, level);
    const row = {
      id: given.id ?? randomUUID(),
      learnerId,
      roundId,
      place,
      level,
      life: found.life,
      given: JSON.stringify(found.given),
      words: found.words,
      ...FRESH,
      at: new Date(),
    };
    // Looked for meanwhile by another hand: then theirs stands.
    const id = await this.em.transactional(async (tx) => {
      const { there: meanwhile } = await waiting(tx);
      if (meanwhile) return meanwhile.id;
      await tx.insert(PracticeVisitRow, row);
      return row.id;
    });
    return this.view(id);
  }

  /** What a job is played from. */
  async #job(row: Pick<PracticeVisitRow, 'given' | 'life'>, done: readonly Done[]): Promise<JobGiven> {
    const given = givenOf(row);
    const knowledge: Knowledge = await knowledgeFor(this.em, {
      format: 'hardy-spoke/docket',
      version: 1,
      vehicle: given.vehicle,
    });
    return { given, life: row.life, deeds: done.map(({ deed }) => deed), knowledge };
  }

  async view(id: string): Promise<VisitView> {
    const row = await this.#row(id);
    return this.#view(row, await this.#seen(row));
  }
  /** How a job stands. Of a customer who has left the account says it: nothing is played again. */
  async #seen(row: PracticeVisitRow): Promise<Seen> {
    if (row.account) {
      const { cost, ...account } = JSON.parse(row.account) as Account;
      return { ...account, cost };
    }
    return this.pool.run('playJobTask', await this.#job(row, doneOf(row)));
  }
  async #view(visit: PracticeVisitRow, seen: Seen): Promise<VisitView> {
    const { bench, vehicle } = givenOf(visit);
    return {
      id: visit.id,
      learnerId: visit.learnerId,
      learner: (await this.#learner(visit.learnerId)).name,
      level: visit.level,
      levelName: LEVEL_RULES[visit.level]?.name ?? '',
      roundId: visit.roundId ?? null,
      words: visit.words,
      canRead: !nothingReads(visit.level),
      hadMinutes: seen.hadMinutes,
      minutes: seen.minutes,
      money: seen.cost,
      budget: seen.budget,
      currency: (await shopSettings(this.em)).currency,
      over: visit.over,
      helped: visit.helped,
      docketId: visit.docketId ?? null,
      wheels: wheelsOf(bench.axles).map((wheelEnd) => ({
        wheelEnd,
        words: wheelEndInWords(wheelEnd, { axles: bench.axles, driveline: vehicle.driveline }),
      })),
      steps: seen.steps.map(({ words, came, minutes, money }) => ({ words, came, minutes, money })),
      account: visit.account ? (JSON.parse(visit.account) as Account) : null,
    };
  }

  /** Says which docket is this customer's. */
  async bind(id: string, docketId: string): Promise<VisitView> {
    const row = await this.#row(id);
    await docketsOf(this.em, this.advising).read(docketId);
    if (row.docketId && row.docketId !== docketId)
      throw problem(409, 'Another docket', 'this customer has a docket already; go on with that one');
    row.docketId = docketId;
    await this.em.flush();
    return this.view(id);
  }

  async uncover(id: string): Promise<VisitView> {
    const row = await this.#row(id);
    if (!row.over) row.helped = true;
    await this.em.flush();
    return this.view(id);
  }

  /** What was sold and said beside the parts: by the learner's own docket and what the advice asked for at each leaving. */
  async #sale(row: Pick<PracticeVisitRow, 'docketId'>, done: readonly Done[], seen: JobSeen): Promise<Sale> {
    const cautions = new Set<string>();
    const leftOut = new Set<string>();
    const leavings = seen.steps.flatMap((step, i) => {
      const { kind } = step.deed;
      return kind === 'parts' || kind === 'work' || kind === 'refer'
        ? [{ step, sent: done[i]?.sent ?? null }]
        : [];
    });
    const docket = row.docketId ? await docketsOf(this.em, this.advising).read(row.docketId) : null;
    for (const { step } of leavings) {
      const advice = await this.advising.advise(this.em, step.before);
      for (const caution of advice.cautions) cautions.add(caution);
      if (step.deed.kind !== 'parts') continue;
      const { parts, at } = step.deed;
      const offer = advice.offers.find(({ part, wheelEnd }) => wheelEnd === at && parts[0] === part);
      const taken = new Set((docket?.chosen?.lines ?? []).map(({ description }) => description));
      for (const line of offer?.lines ?? [])
        if (line.companion && !taken.has(line.description)) leftOut.add(line.description);
    }
    return {
      cautions: [...cautions],
      leftOut: [...leftOut],
      sent: {
        sheet: leavings.every(({ sent }) => sent?.sheet === true),
        stop: leavings.some(({ sent }) => sent?.stop === true),
      },
    };
  }

  /**
   * Does something with the customer's vehicle. What it brings to light goes onto the learner's docket. All of it is reckoned
   * first; then it is written only where nothing else was done meanwhile.
   * @throws problem 409 where something was, or the customer has left
   */
  async act(id: string, after: number, deed: PracticeDeed, sent: SentWith | null): Promise<VisitView> {
    const row = await this.#row(id);
    const done = doneOf(row);
    const isSame = (each: Done | undefined) => each !== undefined && deedKey(each.deed) === deedKey(deed);
    // Sent twice it is done once.
    if (done.length === after + 1 && isSame(done[after])) return this.view(id);
    if (row.over)
      throw problem(409, 'The customer has left', 'the account says what it came to; take the next');
    if (done.length !== after) throw doneMeanwhile();
    if (after >= MOST_DEEDS && deed.kind !== 'refer')
      throw problem(
        409,
        'Patience is at an end',
        `${MOST_DEEDS} things were done already; hand the job to a workshop`,
      );
    const wheels = wheelsOf(givenOf(row).bench.axles);
    if ('at' in deed && deed.at !== null && !wheels.includes(deed.at))
      throw new BadInput('deed.at', `is ${deed.at}; this vehicle has ${wheels.join(', ')}`);
    if (deed.kind === 'read' && nothingReads(row.level))
      throw new BadInput('deed', 'nothing here reads the brakes’ controller of this customer');
    const next = [...done, { deed, sent }];
    const job = await this.#job(row, next);
    const seen = await this.pool.run('playJobTask', job);
    const account = seen.over
      ? await this.pool.run('accountTask', { ...job, sale: await this.#sale(row, next, seen) })
      : null;
    const keep = async (tx: EntityManager): Promise<void> => {
      const written = await tx.nativeUpdate(
        PracticeVisitRow,
        { id, deeds: row.deeds },
        {
          deeds: JSON.stringify(next),
          ...(account && { over: true, endedAt: new Date(), account: JSON.stringify(account) }),
        },
      );
      if (written === 0) throw new DoneMeanwhile();
    };
    const step = seen.steps.at(-1);
    try {
      // One transaction: what was done with the vehicle and what the docket says of it.
      if (row.docketId && step)
        await docketsOf(this.em, this.advising).hear(
          row.docketId,
          (docket) => Promise.resolve(applied(docket, step.before, step.after)),
          { label: `practice: ${step.words.slice(0, 160)}` },
          keep,
        );
      else await this.em.transactional(keep);
    } catch (error) {
      if (!(error instanceof DoneMeanwhile)) throw error;
      const now = doneOf(await this.#row(id, true));
      if (now.length === next.length && isSame(now[after])) return this.view(id);
      throw doneMeanwhile();
    }
    return this.#view(await this.#row(id, true), seen);
  }

  /** The same customer again, with the first deeds done. */
  async replay(id: string, keep: number): Promise<VisitView> {
    const row = await this.#row(id);
    const done = doneOf(row).slice(0, keep);
    const seen = await this.pool.run('playJobTask', await this.#job(row, done));
    if (seen.over)
      throw new BadInput('keep', 'is past the end: the customer had left by then; keep fewer steps');
    const { learnerId, level, life, given, words } = row;
    const again = randomUUID();
    await this.em.insert(PracticeVisitRow, {
      id: again,
      learnerId,
      // A second go does not count for a round, and its truth is known.
      roundId: null,
      place: 0,
      level,
      life,
      given,
      words,
      ...FRESH,
      helped: true,
      deeds: JSON.stringify(done),
      at: new Date(),
    });
    return this.view(again);
  }
}

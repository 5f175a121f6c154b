import { benchOrder, BadInput, docketFromReading, parse, type Docket, type Knowledge } from '@hardy/core';
import type { VisitView } from '@hardy/core/contract';
import { PracticeDeed, SentWith } from '@hardy/core/practice';
import { wheelEndInWords, type Account } from '@hardy/core/words';
import { applied, LEVEL_RULES, type CustomerGiven, type Sale } from '@hardy/practice';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomInt, randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Advising } from '../advising/advising.ts';
import type { Thinkers } from '../advising/thinkers.ts';
import { notFound, problem } from '../problem.ts';
import { docketsOf } from '../routes/docketsOf.ts';
import { allVehicles, knowledgeFor, today } from '../store/catalogueStore.ts';
import { LearnerRow, PracticeRoundRow, PracticeVisitRow } from '../store/entities.ts';
import { shopSettings } from '../store/shopStore.ts';
import type { JobSeen } from './practiceTasks.ts';

/** What was done, with what the customer left with where they left. */
const Deeds = z.array(z.object({ deed: PracticeDeed, sent: SentWith.nullable() }));
type Done = z.infer<typeof Deeds>[number];

const MOST_SEED = 2 ** 31 - 1;
/** A job is played from its first deed each time: more than so many nobody waits for, no customer and no page. */
const MOST_DEEDS = 60;
/** Seeds of lives start here: far from those of trials. */
const FIRST_SEED = 40_000_000;

const wheelsOf = (axles: number): string[] =>
  Array.from({ length: axles }, (_, i) => [`A${i + 1}L`, `A${i + 1}R`]).flat();

/** Customers in practice: each is a seed, a vehicle and what was done with it. */
export class Visits {
  constructor(
    private readonly em: EntityManager,
    private readonly advising: Advising,
    private readonly thinkers: Thinkers,
  ) {}

  async #learner(id: string) {
    const row = await this.em.findOne(LearnerRow, { id });
    if (!row) throw notFound(`learner ${id}`);
    return row;
  }
  async #row(id: string) {
    const row = await this.em.findOne(PracticeVisitRow, { id });
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

  /** A customer walks in. One whose id is known already is given as they are. */
  async begin(given: {
    id: string | null;
    learnerId: string;
    level: number;
    roundId: string | null;
  }): Promise<VisitView> {
    const known = given.id ? await this.em.findOne(PracticeVisitRow, { id: given.id }) : null;
    if (known) return this.view(known.id);
    await this.#learner(given.learnerId);
    const round = given.roundId ? await this.em.findOne(PracticeRoundRow, { id: given.roundId }) : null;
    if (given.roundId && !round) throw notFound(`round ${given.roundId}`);
    const before = round
      ? await this.em.find(
          PracticeVisitRow,
          { learnerId: given.learnerId, roundId: round.id },
          { orderBy: { place: 'asc' } },
        )
      : [];
    const open = before.find(({ over }) => !over);
    if (open) return this.view(open.id);
    if (round && before.length >= round.customers)
      throw problem(409, 'Round done', `all ${round.customers} customers of this round were seen to`);
    const place = before.length;
    const level = round?.level ?? given.level;
    const seed = round ? round.seed + place * 101 : FIRST_SEED + randomInt(1_000_000_000);
    const customer: CustomerGiven = { seed, level, today: today(), ...(await this.#vehicle(seed)) };
    const { life, words } = await this.thinkers.do('findCustomerTask', { given: customer });
    const id = given.id ?? randomUUID();
    await this.em.insert(PracticeVisitRow, {
      id,
      learnerId: given.learnerId,
      roundId: round?.id ?? null,
      place,
      level,
      seed: seed % MOST_SEED,
      life,
      given: JSON.stringify(customer),
      words,
      deeds: '[]',
      docketId: null,
      helped: false,
      over: false,
      account: null,
      at: new Date(),
      endedAt: null,
    });
    return this.view(id);
  }

  async #job(row: { given: string; life: number }, done: readonly Done[]) {
    const given = JSON.parse(row.given) as CustomerGiven;
    const knowledge: Knowledge = await knowledgeFor(this.em, {
      format: 'hardy-spoke/docket',
      version: 1,
      vehicle: given.vehicle,
    });
    const job = { given, life: row.life, deeds: done.map(({ deed }) => deed), knowledge };
    return { job, seen: await this.thinkers.do('playJobTask', job) };
  }

  async view(id: string): Promise<VisitView> {
    const row = await this.#row(id);
    const done = parse(Deeds, JSON.parse(row.deeds), 'deeds');
    const { seen } = await this.#job(row, done);
    return this.#view(row, seen);
  }
  async #view(visit: PracticeVisitRow, seen: JobSeen): Promise<VisitView> {
    const vehicle = seen.first.vehicle ?? {};
    return {
      id: visit.id,
      learnerId: visit.learnerId,
      learner: (await this.#learner(visit.learnerId)).name,
      level: visit.level,
      levelName: LEVEL_RULES[visit.level]?.name ?? '',
      roundId: visit.roundId ?? null,
      words: visit.words,
      canRead: seen.canRead,
      hadMinutes: seen.hadMinutes,
      minutes: seen.minutes,
      money: seen.cost,
      budget: seen.budget,
      currency: (await shopSettings(this.em)).currency,
      over: visit.over,
      helped: visit.helped,
      docketId: visit.docketId ?? null,
      wheels: seen.ends.map((wheelEnd) => ({
        wheelEnd,
        words: wheelEndInWords(wheelEnd, { axles: seen.ends.length / 2, driveline: vehicle.driveline }),
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
   * Does something with the customer's vehicle. What it brings to light goes onto the learner's docket.
   * @throws problem 409 where something else was done meanwhile, or the customer has left
   */
  async act(id: string, after: number, deed: PracticeDeed, sent: SentWith | null): Promise<VisitView> {
    const row = await this.#row(id);
    const done = parse(Deeds, JSON.parse(row.deeds), 'deeds');
    // Sent twice it is done once.
    if (done.length === after + 1 && JSON.stringify(done[after]?.deed) === JSON.stringify(deed))
      return this.view(id);
    if (row.over)
      throw problem(409, 'The customer has left', 'the account says what it came to; take the next');
    if (done.length !== after)
      throw problem(409, 'Something was done meanwhile', 'this customer is looked after at another desk too');
    if (after >= MOST_DEEDS && deed.kind !== 'refer')
      throw problem(
        409,
        'Patience is at an end',
        `${MOST_DEEDS} things were done already; hand the job to a workshop`,
      );
    const { axles } = (JSON.parse(row.given) as CustomerGiven).bench;
    if ('at' in deed && deed.at !== null && !wheelsOf(axles).includes(deed.at))
      throw new BadInput('deed.at', `is ${deed.at}; this vehicle has ${wheelsOf(axles).join(', ')}`);
    if (deed.kind === 'read' && LEVEL_RULES[row.level]?.codes === 'no reader')
      throw new BadInput('deed', 'nothing here reads the brakes’ controller of this customer');
    const next = [...done, { deed, sent }];
    const { job, seen } = await this.#job(row, next);
    const step = seen.steps.at(-1);
    if (row.docketId && step)
      await docketsOf(this.em, this.advising).hear(
        row.docketId,
        (docket) => Promise.resolve(applied(docket, step.before, step.after)),
        { label: `practice: ${step.words.slice(0, 160)}` },
      );
    row.deeds = JSON.stringify(next);
    if (seen.over) {
      row.over = true;
      row.endedAt = new Date();
      row.account = JSON.stringify(
        await this.thinkers.do('accountTask', { ...job, sale: await this.#sale(row, next, seen) }),
      );
    }
    await this.em.flush();
    return this.#view(row, seen);
  }

  /** The same customer again, with the first deeds done. */
  async replay(id: string, keep: number): Promise<VisitView> {
    const row = await this.#row(id);
    const done = parse(Deeds, JSON.parse(row.deeds), 'deeds').slice(0, keep);
    const { seen } = await this.#job(row, done);
    if (seen.over)
      throw new BadInput('keep', 'is past the end: the customer had left by then; keep fewer steps');
    const again = randomUUID();
    await this.em.insert(PracticeVisitRow, {
      id: again,
      learnerId: row.learnerId,
      // A second go does not count for a round.
      roundId: null,
      place: 0,
      level: row.level,
      seed: row.seed,
      life: row.life,
      given: row.given,
      words: row.words,
      deeds: JSON.stringify(done),
      docketId: null,
      helped: true,
      over: false,
      account: null,
      at: new Date(),
      endedAt: null,
    });
    return this.view(again);
  }
}

import { mainLine, PART_IN_WORDS, parseDocket, PARTS, soldOn, warrantyOf, type Docket } from '@hardy/core';
import { partsOf, RENEWED } from '@hardy/core/words';
import type { Comeback } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { notFound, problem } from '../problem.ts';
import { rawRows } from './catalogueRows.ts';
import { earlierDockets } from './customers.ts';
import { DocketRow } from './entities.ts';
import { adviceGiven } from './givenAdvice.ts';
import { docketOf } from './people.ts';

const DAY = 86_400_000;
export const daysBetween = (from: string, to: string): number =>
  Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / DAY));

const comebackFrom = async (
  em: EntityManager,
  line: { id: string; number: number; headline: string },
  own: Docket,
  sameVehicle: boolean,
  today: string,
): Promise<Comeback | null> => {
  const row = await em.findOne(DocketRow, { id: line.id });
  if (!row) return null;
  const docket = await docketOf(em, row.document);
  const { chosen } = docket;
  if (!chosen) return null;
  const main = mainLine(chosen);
  const partNumber = main?.partNumber ?? chosen.partNumber ?? null;
  const sold = soldOn(docket, partNumber);
  if (!sold) return null;
  const [part] = partNumber ? await rawRows(em, 'select * from part where number = ?', [partNumber]) : [];
  const warranty = warrantyOf(sold, part ? PARTS.kept(part).warrantyMonths : null, today);
  const given = await adviceGiven(em, line.id);
  return {
    id: line.id,
    number: line.number,
    sameVehicle,
    partNumber,
    what: partsOf(chosen)
      .map((each) => PART_IN_WORDS[each.part])
      .join(' and '),
    wheelEnd: chosen.wheelEnd,
    part: chosen.part,
    tier: main?.tier ?? null,
    soldOn: sold,
    daysAgo: daysBetween(sold, today),
    advised: given?.advice.verdict.sentence ?? line.headline,
    warrantyUntil: warranty?.until ?? null,
    underWarranty: warranty?.runs ?? false,
    outcome: docket.outcome?.result ?? null,
    linked: own.comebackOf === line.number,
  };
};

/** A docket’s number, and the sales to its vehicle or its customer that a docket may have come back from, newest first. */
export const comebacksFor = async (
  em: EntityManager,
  id: string,
  today: string,
): Promise<{ number: number; comebacks: Comeback[] }> => {
  const row = await em.findOne(DocketRow, { id });
  if (!row) throw notFound(`docket ${id}`);
  const own = await docketOf(em, row.document);
  const { customer, vehicle } = await earlierDockets(em, id);
  const seen = new Set<string>();
  const out: Comeback[] = [];
  for (const [lines, same] of [
    [vehicle, true],
    [customer, false],
  ] as const)
    for (const line of lines) {
      if (seen.has(line.id) || line.number > row.number) continue;
      seen.add(line.id);
      const comeback = await comebackFrom(em, line, own, same, today);
      if (comeback) out.push(comeback);
    }
  out.sort((p, q) => Number(q.sameVehicle) - Number(p.sameVehicle) || q.number - p.number);
  return { number: row.number, comebacks: out };
};

/** A docket that came back from an earlier one: what was fitted then is its history now. */
export const linkedBack = (docket: Docket, of: Comeback): Docket => {
  const renewed = of.part ? RENEWED[of.part as keyof typeof RENEWED] : null;
  const known = (docket.history ?? []).some(
    ({ event, wheelEnd }) => event === renewed && (wheelEnd ?? of.wheelEnd) === of.wheelEnd,
  );
  return parseDocket({
    ...docket,
    comebackOf: of.number,
    history: [
      ...(docket.history ?? []),
      ...(renewed && of.wheelEnd && !known
        ? [{ event: renewed, wheelEnd: of.wheelEnd, daysAgo: of.daysAgo, cured: 'no' }]
        : []),
    ],
  });
};

/** The earlier docket with its outcome put right: it came back, and on which docket. */
export const cameBack = (docket: Docket, of: Comeback, on: number, today: string): Docket => ({
  ...docket,
  outcome: {
    ...docket.outcome,
    result: 'came-back',
    afterDays: of.daysAgo,
    backOn: on,
    on: docket.outcome?.on ?? today,
  },
});

export const theComeback = (comebacks: readonly Comeback[], of: number): Comeback => {
  const found = comebacks.find(({ number }) => number === of);
  if (!found)
    throw problem(
      404,
      'Not an earlier sale',
      `docket ${of} sold nothing to this vehicle or this customer; look at the number. Nothing was changed.`,
    );
  return found;
};

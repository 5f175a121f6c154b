import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { advise } from '../packages/core/src/advice/advise.ts';
import { bareKnowledge, type Knowledge } from '../packages/core/src/advice/knowledge.ts';
import { assumptionsWith, type Assumptions } from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom, type Random } from '../packages/core/src/chance/random.ts';
import { resultsOf, checkChance } from '../packages/core/src/diagnosis/checkTable.ts';
import { faultPrior } from '../packages/core/src/diagnosis/priors.ts';
import { faultsAt } from '../packages/core/src/diagnosis/states.ts';
import { diagnose } from '../packages/core/src/advice/diagnose.ts';
import { causeOf, type Fault } from '../packages/core/src/faultKinds/faultData.ts';
import { takeOffer } from '../packages/core/src/handover/takeOffer.ts';
import { entryOf } from '../packages/core/src/ledger/entryOf.ts';
import { cureChance } from '../packages/core/src/offers/fixes.ts';
import { drawWeighted } from '../packages/core/src/practice/drawCase.ts';
import type { Advice } from '../packages/core/src/vocabulary/advice.ts';
import type { Check } from '../packages/core/src/vocabulary/check.ts';
import type { Docket, Outcome } from '../packages/core/src/vocabulary/docket.ts';
import type { WheelEnd } from '../packages/core/src/vocabulary/wheelEnd.ts';
import { sliceFromFolder, vehiclesFromFolder } from '../packages/cli/src/sliceFromFolder.ts';

/*
 * A year of closed dockets for the demo, of a truth that differs from the judgement in three ways: the rear rings of one line
 * crack early, one tier of parts is bad from the box, and old sensors in iron snap oftener. Seeded: the same year each time.
 * Use: npm run demo-year [jobs]
 */
const JOBS = Number(process.argv[2] ?? 900);
const SEED = 20_261;
const TODAY = '2026-11-26';
const DEMO = join(import.meta.dirname, '..', 'demo');
const CRACKS = 'mer-shoal-17';
const BAD_TIER = 'budget';
const judged = assumptionsWith();
const truth = assumptionsWith({
  'seizure.iron': 0.27,
  'tier.bad-out-of-box.budget': 0.16,
});
const cracked = assumptionsWith({ ...truth.overrides, 'line.rear.ring': 8 });
const PACE = 1.15;

const ENDS: readonly WheelEnd[] = ['A1L', 'A1R', 'A2L', 'A2R'];
const CODE_OF: Readonly<Record<WheelEnd, string>> = {
  A1L: 'C0031',
  A1R: 'C0034',
  A2L: 'C0037',
  A2R: 'C003A',
};
const PLACES: Partial<Readonly<Record<Fault, readonly string[]>>> = {
  ring: ['ring split along the weld', 'ring cracked at its seat'],
  joint: ['plug behind the liner full of salt water', 'terminal green at the chassis plug'],
  loom: ['lead chafed at the tank strap', 'loom chafed at the strut bracket'],
  seating: ['rust under the sensor pad'],
};
const NAMES = [
  'Ada Fathom',
  'Bram Holm',
  'Cato Reed',
  'Dora Voe',
  'Edda Marsh',
  'Finn Sound',
  'Greta Ness',
  'Hugo Wick',
];

const dayBefore = (days: number): string =>
  new Date(Date.parse(TODAY) - days * 86_400_000).toISOString().slice(0, 10);
const round = (value: number, digits = 3): number => Number(value.toPrecision(digits));

const drawFault = (
  random: Random,
  docket: Docket,
  knowledge: Knowledge,
  a: Assumptions,
): { end: WheelEnd; fault: Fault } => {
  const { groups, docket: filled } = diagnose(docket, knowledge);
  const all = ENDS.flatMap((end) => {
    const architecture = groups.find(({ ends }) => ends.some((each) => each === end))?.options[0]
      ?.architecture;
    return architecture
      ? [...faultsAt(end, architecture), 'none-present' as const].map(
          (fault) =>
            [
              { end, fault },
              faultPrior(fault, architecture, filled.vehicle ?? {}, knowledge.today, a, end),
            ] as const,
        )
      : [];
  });
  const shared = (['module', 'supply'] as const).map(
    (fault) => [{ end: random.pick(ENDS), fault: fault }, a.get(`prior.${fault}`)] as const,
  );
  return drawWeighted(random, [...all, ...shared]);
};

const checked = (check: string, result: string, wheelEnd: WheelEnd): Check | null =>
  [
    'visual.ring',
    'visual.connector',
    'visual.sensor',
    'bearing.play',
    'bearing.noise',
    'visual.harness',
    'wiggle',
  ].includes(check)
    ? ({ check, wheelEnd, result } as Check)
    : check === 'live'
      ? ({ check, wheelEnd, pattern: result } as Check)
      : null;

const main = async (): Promise<void> => {
  const random = randomFrom(SEED);
  const cars = (await vehiclesFromFolder(DEMO)).filter(
    ({ axles, driveline }) => axles === 2 && driveline !== 'trailer',
  );
  const slices = new Map(
    await Promise.all(cars.map(async ({ id }) => [id, await sliceFromFolder(DEMO, id)] as const)),
  );
  const lines: string[] = [];
  const expected: Record<string, unknown> = {};
  for (let i = 0; i < JOBS; i++) {
    const vehicle = random.chance(0.12) ? cars.find(({ id }) => id === CRACKS) : random.pick(cars);
    const slice = vehicle && slices.get(vehicle.id);
    if (!vehicle || !slice) continue;
    // Oldest first, so that numbers rise with the days.
    const daysAgo = Math.round(365 - (360 * i) / JOBS) + random.below(4);
    const today = dayBefore(daysAgo);
    const knowledge: Knowledge = { ...bareKnowledge(today), slice };
    const from = Number(vehicle.builtFrom.slice(0, 4));
    const to = Math.min(2024, Number((vehicle.builtTo ?? '2024').slice(0, 4)));
    const built = Math.round((from + to) / 2);
    const bare: Docket = {
      format: 'hardy-spoke/docket',
      version: 1,
      vehicle: {
        catalogueId: vehicle.id,
        name: `${vehicle.make} ${vehicle.model}`,
        buildDate: `${built}-06`,
        saltExposure: 'high',
      },
    };
    const a = vehicle.id === CRACKS ? cracked : truth;
    const { end, fault } = drawFault(random, bare, knowledge, a);
    const caller = random.below(NAMES.length);
    let docket: Docket = {
      ...bare,
      customer: {
        name: NAMES[caller] ?? null,
        phone: `555 01${60 + caller}`,
        kind: random.chance(0.3) ? 'garage' : null,
      },
      reader: 'full',
      modulesRead: ['ABS'],
      codes: [
        { module: 'ABS', code: CODE_OF[end] ?? '', status: fault === 'none-present' ? 'stored' : 'active' },
      ],
      symptoms: ['lamp.abs'],
      ...(random.chance(vehicle.id === CRACKS ? 0.4 : 0.15) ? { wants: ['cheapest'] } : {}),
    };
    let advice: Advice = advise(docket, knowledge);
    for (let looks = 0; looks < 4 && advice.verdict.action === 'check' && advice.verdict.check; looks++) {
      const { check } = advice.verdict;
      if (resultsOf(check).length === 0) break;
      const result = drawWeighted(
        random,
        resultsOf(check).map((each) => [each, checkChance(check, each, fault, a)] as const),
      );
      const made = result ? checked(check, result, end) : null;
      if (!made) break;
      docket = { ...docket, checks: [...(docket.checks ?? []), made] };
      advice = advise(docket, knowledge);
    }
    const offers = advice.offers.filter(
      ({ wheelEnd, lines: [line], with: also }) => wheelEnd === end && line?.partNumber && also.length === 0,
    );
    const advised = offers.find(({ part }) => part === advice.verdict.part) ?? offers[0];
    const overruled = random.chance(0.12) ? offers.find(({ part }) => part === 'sensor') : undefined;
    const offer = overruled ?? advised;
    // Who is told to look first looks, or sends for someone who can; a few sell all the same.
    const looksFirst = advice.verdict.action === 'check' && !overruled && !random.chance(0.1);
    if (!offer || looksFirst || (advice.verdict.action === 'no-part' && !overruled)) {
      i--;
      continue;
    }
    const tier = offer.lines[0]?.tier ?? 'good';
    const part = offer.lines[0]?.partNumber ?? '';
    const bad = random.chance(
      tier === BAD_TIER && vehicle.id === CRACKS ? 0.4 : truth.get(`tier.bad-out-of-box.${tier}`),
    );
    const architecture = diagnose(docket, knowledge).groups.find(({ ends }) =>
      ends.some((each) => each === end),
    )?.options[0]?.architecture;
    const cured =
      fault === 'none-present'
        ? random.chance(0.95)
        : random.chance(
            Math.max(architecture ? cureChance(offer.part, fault, architecture, truth) : 0, 0.05),
          );
    const told = random.chance(0.6);
    const snapped =
      offer.seizure === null
        ? null
        : random.chance(Math.min(0.8, offer.seizure * (vehicle.knuckle === 'iron' ? 0.27 / 0.16 : 1)));
    const never = random.chance(0.1);
    const hours = offer.labourHours * PACE * Math.exp(0.3 * random.normal());
    const spent =
      (offer.price + (offer.labourHours > 0 ? hours * judged.get('labour.rate') : 0) + (snapped ? 110 : 0)) *
      (cured ? 1 : 1.9);
    const outcome: Outcome = never
      ? { result: 'never-heard' }
      : {
          result: cured ? 'cured' : random.chance(0.55) ? 'came-back' : 'not-cured',
          ...(told
            ? {
                trueCause: causeOf(fault),
                knownBy: random.pick(['seen', 'seen', 'metered', 'cured'] as const),
                ...(PLACES[fault] && random.chance(0.4) ? { place: random.pick(PLACES[fault] ?? []) } : {}),
              }
            : {}),
          ...(cured ? {} : { afterDays: 2 + random.below(40) }),
          ...(snapped === null ? {} : { snapped }),
          ...(random.chance(0.5) ? { hours: round(hours, 2) } : {}),
          ...(random.chance(0.35) ? { spentCents: Math.round(spent) * 100 } : {}),
        };
    const chosen = { ...takeOffer(offer, today), on: today };
    const sold: Docket = {
      ...docket,
      desk: random.pick(['front desk', 'yard desk']),
      chosen: { ...chosen, lines: (chosen.lines ?? []).filter(({ companion }) => companion !== true) },
      handed: [{ partNumber: part, quantity: 1, on: today }],
      ...(bad ? { returned: [{ partNumber: part, quantity: 1, opened: true, bad: true, on: today }] } : {}),
      outcome: { ...outcome, on: today },
    };
    const { expected: before, ...entry } = entryOf(
      sold,
      outcome,
      {
        docketNumber: 0,
        soldOn: today,
        closedOn: today,
        minutes: round(1 + 4 * random.next(), 2),
        given: advice,
        learnedThen: {},
      },
      knowledge,
    );
    expected[vehicle.id] ??= before.map((share) => ({ ...share, p: round(share.p) }));
    const short = (shares: typeof entry.truth) =>
      shares.filter(({ p }) => p >= 0.01).map((share) => ({ ...share, p: round(share.p) }));
    const { vehicle: _vehicle, format: _format, version: _version, ...rest } = sold;
    lines.push(
      JSON.stringify({
        daysAgo,
        built: `${built}-06`,
        action: advice.verdict.action,
        headline: advice.verdict.sentence,
        docket: rest,
        entry: {
          ...entry,
          truth: short(entry.truth),
          said: entry.said && { ...entry.said, causes: short(entry.said.causes) },
        },
      }),
    );
    if (i % 100 === 99) console.log(`${i + 1} of ${JOBS}`);
  }
  const head = JSON.stringify({ format: 'hardy-spoke/year', version: 1, until: TODAY, expected });
  writeFileSync(join(DEMO, 'year.jsonl.gz'), gzipSync(`${head}\n${lines.join('\n')}\n`, { level: 9 }));
  console.log(`${lines.length} dockets, ${BAD_TIER} parts and the rings of ${CRACKS} are worse than judged`);
};
await main();

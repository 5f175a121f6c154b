import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { jobNote, preferredPart } from '../fitment/fittingParts.ts';
import { resolveParts } from '../fitment/resolveParts.ts';
import type { OrderLine } from '../vocabulary/advice.ts';
import type { CataloguePart, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { PART_IN_WORDS } from '../vocabulary/inWords.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { seizureChance, snapBranches } from './seizure.ts';

/** What it takes to fit one part at one wheel end, before asking whether that cures. Money in the shop's currency. */
export interface Outlay {
  readonly part: PartClass;
  readonly wheelEnd: WheelEnd;
  readonly chosen: CataloguePart | null;
  readonly alternatives: readonly CataloguePart[];
  readonly price: number;
  readonly companions: number;
  readonly labourHours: number;
  readonly labour: number;
  /** Chance of snapping; null where no separate sensor is drawn. */
  readonly seizure: number | null;
  readonly seizureHours: number;
  readonly seizureCost: number;
  readonly waitDays: number;
  readonly waiting: number;
  readonly lines: readonly OrderLine[];
  readonly mean: number;
}

const line = (part: CataloguePart, quantity: number, why: string): OrderLine => ({
  partNumber: part.number,
  description: part.description,
  brand: part.brand,
  tier: part.tier,
  quantity,
  unitPrice: part.priceCents / 100,
  stock: part.stock,
  bin: part.bin,
  why,
});

const companionLines = (slice: CatalogueSlice, partClass: PartClass): OrderLine[] =>
  slice.companions
    .filter(
      (rule) =>
        rule.partClass === partClass && (rule.vehicleId === null || rule.vehicleId === slice.vehicle?.id),
    )
    .flatMap((rule) => {
      const part = slice.parts.find((candidate) => candidate.number === rule.companionNumber);
      return part ? [line(part, rule.quantity, rule.why)] : [];
    });

const waitDaysFor = (
  chosen: CataloguePart | null,
  part: PartClass,
  docket: Docket,
  a: Assumptions,
): number => {
  const stock = docket.options?.stock?.[part] ?? chosen?.stock;
  if (stock !== undefined) return stock > 0 ? 0 : (chosen?.supplierDays ?? a.get('wait.days'));
  return 0;
};

/** Prices one part at one wheel end: the part, its companions, labour, the seized-sensor branch and the wait. */
export const outlayOf = (
  part: PartClass,
  wheelEnd: WheelEnd,
  architecture: Architecture,
  docket: Docket,
  slice: CatalogueSlice,
  today: string,
  a: Assumptions,
): Outlay => {
  const candidates = resolveParts(slice, part, wheelEnd, docket.vehicle ?? {}).candidates.map(
    (candidate) => candidate.part,
  );
  const chosen = preferredPart(candidates);
  const price = docket.options?.prices?.[part] ?? (chosen ? chosen.priceCents / 100 : a.get(`price.${part}`));
  const withCompanions = companionLines(slice, part);
  const companions = chosen
    ? withCompanions.reduce((sum, l) => sum + l.unitPrice * l.quantity, 0)
    : a.get(`companions.${part}`);
  const labourHours = jobNote(slice, part, wheelEnd)?.labourHours ?? a.get(`labour.${part}`);
  const rate = a.get('labour.rate');
  const seizure = seizureChance(part, wheelEnd, architecture, docket, today, a);
  const draws = seizure > 0;
  const branches = snapBranches(a);
  const seizureHours = branches.reduce((sum, branch) => sum + branch.chance * branch.hours, 0);
  // Drawing the sensor to reach the bearing breaks it: then a sensor is bought as well.
  const brokenSensor = part === 'hub-assembly' ? a.get('price.sensor') : 0;
  const seizureCost = draws ? seizure * (seizureHours * rate + brokenSensor) : 0;
  const waitDays = waitDaysFor(chosen, part, docket, a);
  const waiting = waitDays * a.get('idle-day.cost');
  const labour = labourHours * rate;
  const main: OrderLine = chosen
    ? { ...line(chosen, 1, 'the part itself'), unitPrice: price }
    : {
        partNumber: null,
        description: `${PART_IN_WORDS[part]}, to be identified for this vehicle`,
        brand: null,
        tier: null,
        quantity: 1,
        unitPrice: price,
        stock: null,
        bin: null,
        why: 'no part of the catalogue is tied to this vehicle; the price is the price book\u2019s',
      };
  return {
    part,
    wheelEnd,
    chosen,
    alternatives: candidates.filter((c) => c !== chosen),
    price,
    companions,
    labourHours,
    labour,
    seizure: draws ? seizure : null,
    seizureHours,
    seizureCost,
    waitDays,
    waiting,
    lines: chosen ? [main, ...withCompanions] : [main],
    mean: price + companions + labour + seizureCost + waiting,
  };
};

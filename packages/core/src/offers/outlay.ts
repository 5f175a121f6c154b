import type { Assumptions } from '../assumptions/assumptions.ts';
import { jobNote, preferredPart, type Preference } from '../fitment/fittingParts.ts';
import { resolveParts } from '../fitment/resolveParts.ts';
import type { OrderLine } from '../vocabulary/advice.ts';
import type { CataloguePart, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { PART_IN_WORDS, partsThat } from '../partKinds/partData.ts';
import { shareOfCents, toCents } from '../vocabulary/money.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { companionLines } from './companions.ts';
import { orderLine, priceOf } from './orderLine.ts';
import { availabilityOf, type Availability } from './availability.ts';
import { bearingDue } from './bearingDue.ts';
import { wornWithin } from './partLife.ts';
import { ratesFor, type Rates } from './rates.ts';
import type { WheelJob } from './wheelJob.ts';
import { drawsSensor, seizureChance, snapBranches } from './seizure.ts';

/** A cost that comes with a chance. */
export interface Risk {
  readonly chance: number;
  readonly cost: number;
}

/** What it takes to fit one part at one wheel end, before asking whether that cures. Money in the shop's currency. */
export interface Outlay {
  readonly part: PartClass;
  readonly wheelEnd: WheelEnd;
  readonly chosen: CataloguePart | null;
  /** Share of this very part that was bad from the box, where it keeps coming back. */
  readonly badShare: number | null;
  readonly alternatives: readonly CataloguePart[];
  readonly listPrice: number;
  /** What this customer pays for the part. */
  readonly price: number;
  readonly companions: number;
  /** The deposit on the old part, and what of it is lost by its chance. */
  readonly deposit: number;
  readonly core: number;
  readonly labourHours: number;
  readonly labour: number;
  readonly supplies: number;
  readonly tax: number;
  readonly fee: number;
  /** Chance of snapping; null where no separate sensor is drawn. */
  readonly seizure: number | null;
  /** Each way of getting it out: its chance once it has snapped, and its cost. */
  readonly snaps: readonly Risk[];
  readonly seizureCost: number;
  readonly availability: Availability;
  readonly waiting: number;
  /** The new part worn out within the horizon, and what doing it again costs then. */
  readonly later: Risk;
  /** What is spared later: a new hub brings a new bearing. */
  readonly spared: Risk;
  readonly lines: readonly OrderLine[];
  /** Expected cost, what is spared taken off. */
  readonly mean: number;
}

const expected = ({ chance, cost }: Risk): number => chance * cost;

/** Parts of a class that fit there, as the catalogue and what is known of the vehicle say. */
export const fittingAt = (
  part: PartClass,
  wheelEnd: WheelEnd,
  docket: Docket,
  slice: CatalogueSlice,
): CataloguePart[] =>
  resolveParts(slice, part, wheelEnd, docket.vehicle ?? {}).candidates.map((candidate) => candidate.part);

const SENSORS = partsThat('isSensor');

/** The cheapest where the customer wants it so; one tier up where the new one was metered bad. */
const preferenceOf = (part: PartClass, wheelEnd: WheelEnd, docket: Docket): Preference => {
  const badFromTheBox =
    SENSORS.has(part) &&
    (docket.checks ?? []).some(
      (check) =>
        check.check === 'meter.resistance' &&
        check.of === 'new-part' &&
        typeof check.ohms === 'string' &&
        (check.wheelEnd ?? wheelEnd) === wheelEnd,
    );
  return badFromTheBox ? 'better' : (docket.wants ?? []).includes('cheapest') ? 'cheapest' : 'usual';
};

/**
 * Prices one part at one wheel end: the part, its companions and deposit, labour with supplies and tax, the
 * seized-sensor branch, the wait, the part worn out within the horizon, and the bearing a hub spares. `which` names the
 * very part; without it the shop's preferred one is taken.
 */
export const outlayOf = (part: PartClass, job: WheelJob, which?: CataloguePart): Outlay => {
  const { wheelEnd, architecture, docket, slice, today, a } = job;
  const rates = ratesFor(docket, a);
  const candidates = fittingAt(part, wheelEnd, docket, slice);
  const preferred = preferredPart(candidates, preferenceOf(part, wheelEnd, docket));
  const chosen = which ?? preferred;
  const book = docket.options?.prices?.[part] ?? null;
  // A price set for the class is the preferred part's; another brand keeps its distance to it.
  const scale =
    book !== null && preferred && preferred.priceCents > 0 ? (book * 100) / preferred.priceCents : 1;
  const listPrice =
    book !== null
      ? chosen && preferred
        ? Math.round(chosen.priceCents * scale) / 100
        : book
      : chosen
        ? chosen.priceCents / 100
        : a.get(`price.${part}`);
  const price = book !== null ? listPrice : chosen ? priceOf(chosen, rates) : listPrice;
  const seizure = drawsSensor(part, architecture) ? seizureChance(part, job) : null;
  const withCompanions = companionLines({ ...job, part, chosen, seizure }, rates);
  const companions = chosen
    ? withCompanions.reduce((sum, l) => sum + l.unitPrice * l.quantity, 0)
    : a.get(`companions.${part}`);
  const deposit = (chosen?.coreCents ?? 0) / 100;
  const core = deposit * a.get('core.not-returned');
  const labourHours =
    (jobNote(slice, part, wheelEnd)?.labourHours ?? a.get(`labour.${part}`)) *
    a.get(`pace.${part}`) *
    rates.slower;
  const labour = labourHours * rates.labour;
  const supplies = labour * rates.supplies;
  const tax = shareOfCents(toCents(price + companions), rates.tax * 100) / 100 + labour * rates.labourTax;
  // Drawing the sensor to reach the bearing breaks it: then a sensor is bought as well.
  const brokenSensor = part === 'hub-assembly' ? sensorPrice(wheelEnd, docket, slice, rates, a) : 0;
  const snaps = snapBranches(a).map(({ chance, hours, parts }) => ({
    chance,
    cost: hours * rates.workshop * (1 + rates.tax) + parts + brokenSensor,
  }));
  const seizureCost = (seizure ?? 0) * snaps.reduce((sum, snap) => sum + expected(snap), 0);
  const availability = availabilityOf(chosen, part, docket, a);
  const waiting = availability.days * rates.waitDay;
  const sure = price + companions + core + labour + supplies + tax + rates.fee;
  const horizon = a.get('horizon.years');
  const underWarranty = chosen ? Math.min(1, chosen.warrantyMonths / 12 / Math.max(horizon, 1e-9)) : 0;
  const later: Risk = {
    chance: wornWithin(horizon, chosen?.tier ?? null, a, chosen?.state),
    // Within the warranty the part is free, the work is not; early failures are rare by the same law.
    cost: sure - price * underWarranty ** a.get('life.shape'),
  };
  const spared: Risk =
    part === 'hub-assembly'
      ? { chance: bearingDue(wheelEnd, docket, today, a), cost: sure + seizureCost }
      : { chance: 0, cost: 0 };
  const main: OrderLine = chosen
    ? {
        ...orderLine(chosen, rates, { quantity: 1, why: 'the part itself', wheelEnd, companion: false }),
        unitPrice: price,
        listPrice,
      }
    : {
        partNumber: null,
        description: `${PART_IN_WORDS[part]}, to be identified for this vehicle`,
        brand: null,
        tier: null,
        quantity: 1,
        unitPrice: price,
        listPrice,
        costPrice: null,
        deposit: 0,
        stock: null,
        bin: null,
        why: 'no part of the catalogue is tied to this vehicle; the price is the price book\u2019s',
        wheelEnd,
        companion: false,
      };
  return {
    part,
    wheelEnd,
    chosen,
    badShare: (chosen && slice.bad?.[chosen.number]) ?? null,
    alternatives: candidates.filter((c) => c !== chosen),
    listPrice,
    price,
    companions,
    deposit,
    core,
    labourHours,
    labour,
    supplies,
    tax,
    fee: rates.fee,
    seizure,
    snaps,
    seizureCost,
    availability,
    waiting,
    later,
    spared,
    lines: chosen ? [main, ...withCompanions] : [main],
    mean: sure + seizureCost + waiting + expected(later) - expected(spared),
  };
};

const sensorPrice = (
  wheelEnd: WheelEnd,
  docket: Docket,
  slice: CatalogueSlice,
  rates: Rates,
  a: Assumptions,
): number => {
  const sensor = preferredPart(fittingAt('sensor', wheelEnd, docket, slice));
  return docket.options?.prices?.sensor ?? (sensor ? priceOf(sensor, rates) : a.get('price.sensor'));
};

import { lexicon } from '../text/lexicon.ts';
import type { CatalogueVehicle } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Chip, IntakeReading } from '../vocabulary/intakeReading.ts';
import { datesIn } from './buildDate.ts';
import type { IntakeContext } from './context.ts';
import type { SourceText } from './sourceText.ts';
import { candidatesFor, isSure, namedVehicles, namesByKind, type NamedVehicle } from './vehicleNames.ts';
import { readVin, vinProblem } from './vin.ts';

const squeezed = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** What is said of a vehicle beside its name. */
const DRIVE = lexicon<Partial<DocketVehicle>>([
  [
    'left hand drive|lhd|lefthand drive|left hooker|steering on the left|wheel on the left',
    { steeringSide: 'left' },
  ],
  [
    'right hand drive|rhd|righthand drive|right hooker|steering on the right|wheel on the right',
    { steeringSide: 'right' },
  ],
  ['drives on the left|we drive on the left|traffic on the left|traffic keeps left', { trafficSide: 'left' }],
  [
    'drives on the right|we drive on the right|traffic on the right|traffic keeps right',
    { trafficSide: 'right' },
  ],
  ['front wheel drive|fwd', { driveline: 'fwd' }],
  ['rear wheel drive|rwd', { driveline: 'rwd' }],
  ['all wheel drive|four wheel drive|awd|4x4|4wd', { driveline: 'awd' }],
  ['trailer|semitrailer|semi trailer|box trailer', { driveline: 'trailer' }],
  ['two axle|2 axle|twin axle|tandem axle|two axles|2 axles', { axles: 2 }],
  ['three axle|3 axle|tri axle|triaxle|three axles|3 axles|six wheeler', { axles: 3 }],
  ['four axle|4 axle|four axles|4 axles|eight wheeler', { axles: 4 }],
  ['single axle|one axle|1 axle', { axles: 1 }],
  [
    'very salty|salted every winter|salt every year|salty winters|winter salt|drives in salt|plenty of road salt|always in salt|always salted|in salt all winter|salty|salted roads|road salt|lots of salt|by the sea|on the coast|rust bucket|salt every winter|gritted roads|salty roads|slipway work|plenty of salt|lives by the sea|island car|salted all winter',
    { saltExposure: 'high' },
  ],
  ['some salt|a little salt|bit of salt', { saltExposure: 'some' }],
  [
    'no salt|never salted|never saw salt|salt free|never seen salt|dry country|no road salt',
    { saltExposure: 'none' },
  ],
  ['iron knuckle|steel knuckle|cast iron knuckle|cast knuckle|iron knuckles', { knuckle: 'iron' }],
  [
    'aluminium knuckle|aluminum knuckle|alloy knuckle|aluminium knuckles|alloy knuckles',
    { knuckle: 'aluminium' },
  ],
  [
    'electric car|electric van|electric one|fully electric|all electric|its electric|is electric|electric|hybrid|plug in hybrid|battery electric|ev|bev|phev|its a hybrid',
    { electric: true },
  ],
]);
/** What makes `awd` a lamp and `electric` a window. */
const ANOTHER_THING =
  /^(light|lights|lamp|lamps|warning|message|fault|window|windows|seat|mirror|mirrors|handbrake|steering|fan|tailgate|drill|gun|door|doors|fault_lamp|system)$/;

/** A distance driven: `190000 km`, `190 000km`, `120k miles`, `60 thousand miles`, `km 88000`. Speeds (km/h, mph) are none. */
const DISTANCE =
  /(?<![\w.,])(?:(?<unitFirst>kms?|miles)[ :]+(?<first>\d{4,7})(?![\d\w/])|(?<digits>\d{1,3}(?:[ .,']\d{3})+|\d{2,7})\s?(?<thousands>k|thousand)?\s?(?<unit>km|kms|kilometres|miles|mi)(?![\w/]|[ :]+\d{4,7}(?!\d)))/giu;
const KM_PER_MILE = 1.609344;
/** Nearer is how far the garage is, further is no vehicle. */
const LEAST_KM = 1000;
const MOST_KM = 3_000_000;

/** The distance a vehicle has been driven, in km, as the text says it first. */
const distanceIn = (text: string): { km: number; start: number; end: number } | null => {
  for (const match of text.matchAll(DISTANCE)) {
    const { unitFirst, first, digits, thousands, unit } = match.groups ?? {};
    const told = Number((first ?? digits ?? '').replace(/[ .,']/g, '')) * (thousands ? 1000 : 1);
    const miles = (unitFirst ?? unit ?? '').toLowerCase().startsWith('mi');
    const km = Math.round(miles ? told * KM_PER_MILE : told);
    if (km >= LEAST_KM && km <= MOST_KM)
      return { km, start: match.index, end: match.index + match[0].length };
  }
  return null;
};

type Ask = NonNullable<IntakeReading['asks']>[number];

export interface ReadVehicle {
  readonly vehicle: DocketVehicle;
  readonly chips: Chip[];
  readonly vehicleRow: CatalogueVehicle | null;
  readonly asks: Ask[];
}

/** Reads which vehicle it is: by fleet number or plate, by VIN, or by make, model, kind and year. */
export const readVehicle = (source: SourceText, context: IntakeContext): ReadVehicle => {
  const { text, tokens } = source;
  const chips: Chip[] = [];
  const asks: Ask[] = [];
  const vehicle: DocketVehicle = {};
  const chip = (label: string, start: number, end: number, note: string | null = null) => {
    chips.push({ kind: 'vehicle', label, words: text.slice(start, end), start, end, note });
    source.takeRange(start, end);
  };

  for (const match of text.matchAll(/(?<![\p{L}\d])[A-Z0-9]{17}(?![\p{L}\d])/giu)) {
    const read = readVin(match[0], context.today);
    if (!read) continue;
    vehicle.vin = read.vin;
    const year = read.checkDigit === 'fits' ? (read.modelYears[0] ?? null) : null;
    if (year !== null) vehicle.buildDate = String(year);
    chip(
      `VIN ${read.vin}`,
      match.index,
      match.index + 17,
      [
        read.corrected,
        year === null
          ? 'the ninth place is no check digit that fits; not every maker uses one'
          : `check digit fits; model year ${year}`,
      ]
        .filter(Boolean)
        .join('; '),
    );
    break;
  }
  // A word introduced as a VIN that is none is said to be so, and stays visible.
  for (const match of vehicle.vin
    ? []
    : text.matchAll(
        /(?<![\p{L}\d])(?:vin|chassis no\.?|chassis number)\s*[:#]?\s*([A-Z0-9]{10,24})(?![\p{L}\d])/giu,
      )) {
    const problem = vinProblem(match[1] ?? '');
    if (problem)
      chips.push({
        kind: 'left-over',
        label: match[1] ?? '',
        words: match[0],
        start: match.index,
        end: match.index + match[0].length,
        note: problem,
      });
  }

  const driven = distanceIn(text);
  if (driven) {
    vehicle.distanceKm = driven.km;
    chip(`driven ${driven.km.toLocaleString('en-GB')} km`, driven.start, driven.end);
  }

  let row = fromFleet(source, context, vehicle, chip);

  for (const hit of DRIVE.all(tokens)) {
    if (source.taken(hit.from) || ANOTHER_THING.test(tokens[hit.to]?.norm ?? '')) continue;
    for (const [key, value] of Object.entries(hit.meaning))
      (vehicle as Record<string, unknown>)[key] ??= value;
    chip(source.words(hit.from, hit.to), tokens[hit.from]?.start ?? 0, tokens[hit.to - 1]?.end ?? 0);
  }

  const dates = datesIn(text);
  if (!row) {
    const named = namedVehicles(
      tokens,
      context.vehicles,
      dates,
      (i) => source.taken(i) && tokens[i]?.norm !== 'trailer',
    );
    const sure = named.filter((phrase) => isSure(phrase, tokens));
    const best =
      [...sure].sort((a, b) => weight(b) - weight(a))[0] ??
      named.find((phrase) => namesByKind(phrase, tokens)) ??
      null;
    for (const phrase of named) {
      if (phrase === best || phrase.model === null || sure.length > 0) continue;
      asks.push({
        about: 'vehicle',
        words: source.words(phrase.from, phrase.to),
        ask: `\u201C${source.words(phrase.from, phrase.to)}\u201D: is that the vehicle?`,
      });
    }
    if (best) row = name(best, source, context, vehicle, chips, asks);
  }
  if (!vehicle.buildDate) {
    const said = dates.find(
      (date) =>
        date.introduced &&
        !/(?:fitted|done|replaced|changed)\s+(?:in|on)?\s*$/i.test(
          source.text.slice(Math.max(0, date.start - 24), date.start),
        ),
    );
    if (said) {
      vehicle.buildDate = said.date;
      chip(`built ${said.date}`, said.start, said.end);
    }
  }
  if (row) {
    vehicle.catalogueId = row.id;
    vehicle.name = `${row.make} ${row.model}`;
  }
  return { vehicle, chips, vehicleRow: row, asks };
};

const weight = (named: NamedVehicle): number =>
  (named.make ? 4 : 0) + (named.model ? 3 : 0) + (named.kind ? 1 : 0) + (named.date ? 1 : 0);

/** A fleet number, a plate or a VIN of the fleet's register. */
const fromFleet = (
  source: SourceText,
  context: IntakeContext,
  vehicle: DocketVehicle,
  chip: (label: string, start: number, end: number, note?: string | null) => void,
): CatalogueVehicle | null => {
  if (context.fleet.length === 0) return null;
  const { tokens } = source;
  const known = new Map(
    context.fleet.flatMap((f) =>
      [f.fleetNumber, f.plate, f.vin].flatMap((words) => (words ? [[squeezed(words), f] as const] : [])),
    ),
  );
  const byVin = vehicle.vin ? known.get(vehicle.vin) : undefined;
  for (let i = 0; i < tokens.length; i++)
    for (let n = 3; n >= 1; n--) {
      if (i + n > tokens.length || (source.taken(i) && tokens[i]?.text.length !== 17)) continue;
      const joined = squeezed(source.words(i, i + n));
      if (joined.length < 2 || !/\d/.test(joined)) continue;
      const fleet = known.get(joined) ?? (byVin && joined === vehicle.vin ? byVin : undefined);
      if (!fleet) continue;
      const row = context.vehicles.find((v) => v.id === fleet.vehicleId) ?? null;
      Object.assign(vehicle, {
        fleetNumber: fleet.fleetNumber,
        plate: fleet.plate,
        vin: vehicle.vin ?? fleet.vin,
        buildDate: fleet.buildDate,
        saltExposure: fleet.saltExposure,
        distanceKm: vehicle.distanceKm ?? fleet.distanceKm,
      });
      chip(
        `${fleet.fleetNumber}${row ? `: ${row.make} ${row.model}` : ''}`,
        tokens[i]?.start ?? 0,
        tokens[i + n - 1]?.end ?? 0,
        'from the fleet register',
      );
      return row;
    }
  return null;
};

/** Takes a named phrase as the vehicle; the catalogue's row where just one fits, else it is asked. */
const name = (
  named: NamedVehicle,
  source: SourceText,
  context: IntakeContext,
  vehicle: DocketVehicle,
  chips: Chip[],
  asks: Ask[],
): CatalogueVehicle | null => {
  const { tokens, text } = source;
  const candidates = candidatesFor(named, context.vehicles, vehicle.axles ?? null);
  const kindOnly = named.make === null && named.model === null;
  const row = !kindOnly && candidates.length === 1 ? (candidates[0] ?? null) : null;
  const start = tokens[named.from]?.start ?? 0;
  const end = tokens[named.to - 1]?.end ?? 0;
  const words = text.slice(start, end);
  const label = row
    ? `${row.make} ${row.model}`
    : named.corrected
      ? [named.make, named.model, named.kind].filter(Boolean).join(' ')
      : kindOnly
        ? (named.kind ?? words)
        : words;
  vehicle.name ??= label;
  if (named.date) {
    vehicle.buildDate ??= named.date.date;
    chips.push({
      kind: 'vehicle',
      label: `built ${named.date.date}`,
      words: text.slice(named.date.start, named.date.end),
      start: named.date.start,
      end: named.date.end,
      note: null,
    });
    source.takeRange(named.date.start, named.date.end);
  }
  const several = candidates
    .slice(0, 4)
    .map((v) => `${v.make} ${v.model}`)
    .join(', ');
  const note = row
    ? 'in the catalogue'
    : candidates.length > 1
      ? `${candidates.length} vehicles of the catalogue fit: ${several}`
      : named.date && !kindOnly
        ? `none of the catalogue was built ${named.date.date}`
        : null;
  if (!row && context.vehicles.length > 0)
    asks.push({ about: 'vehicle', words, ask: `Which vehicle exactly is the ${label}?` });
  source.take(named.from, named.to);
  chips.push({
    kind: 'vehicle',
    label,
    words,
    start,
    end,
    note: [named.corrected, note].filter(Boolean).join('; ') || null,
  });
  return row;
};

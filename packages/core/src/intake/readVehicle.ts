import Fuse from 'fuse.js';
import { parseTyreSize } from '../checks/tyreSize.ts';
import { lexicon } from '../text/lexicon.ts';
import type { CatalogueVehicle } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import { mayBeBuiltWithin } from '../fitment/fittingParts.ts';
import type { IntakeContext } from './context.ts';
import type { SourceText } from './sourceText.ts';
import { readVin, vinProblem } from './vin.ts';

const isVin = (word: string | undefined): boolean => word?.length === 17;
const squeezed = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** Misspelling accepted by the fuzzy search, 0 exact to 1 anything. A matter of typing, not of diagnosis. */
const FUZZY = 0.34;
const SHORTEST_FUZZY = 5;
/** A vehicle is named among the first words, or not at all. */
const MOST_FUZZY = 200;

const DRIVE = lexicon<Partial<DocketVehicle>>([
  ['left hand drive|lhd|lefthand drive|left hooker', { steeringSide: 'left' }],
  ['right hand drive|rhd|righthand drive|right hooker', { steeringSide: 'right' }],
  ['front wheel drive|fwd', { driveline: 'fwd' }],
  ['rear wheel drive|rwd', { driveline: 'rwd' }],
  ['all wheel drive|four wheel drive|awd|4x4|4wd', { driveline: 'awd' }],
  ['trailer|semitrailer|semi trailer|box trailer', { driveline: 'trailer' }],
  ['two axle|2 axle|twin axle|tandem axle', { axles: 2 }],
  ['three axle|3 axle|tri axle|triaxle', { axles: 3 }],
  ['four axle|4 axle', { axles: 4 }],
  ['single axle', { axles: 1 }],
  [
    'very salty|salty|salted roads|road salt|lots of salt|by the sea|on the coast|rust bucket',
    { saltExposure: 'high' },
  ],
  ['some salt|a little salt', { saltExposure: 'some' }],
  ['no salt|never salted|never saw salt|salt free', { saltExposure: 'none' }],
  ['iron knuckle|steel knuckle|cast iron knuckle', { knuckle: 'iron' }],
  ['aluminium knuckle|aluminum knuckle|alloy knuckle', { knuckle: 'aluminium' }],
]);

/** A distance driven: `190000 km`, `190 000km`, `120k miles`. Speeds (km/h, mph) are none. */
const DISTANCE =
  /(?<![\w.,])(\d{1,3}(?:[ .,']\d{3})+|\d{2,7})\s?(k)?\s?(km|kms|kilometres|miles|mi)(?![\w/])/giu;
const KM_PER_MILE = 1.609344;
/** Nearer is how far the garage is, further is no vehicle. */
const LEAST_KM = 1000;
const MOST_KM = 3_000_000;

const GENERIC_KINDS =
  'minibus|bus|van|car|truck|lorry|pickup|ambulance|gritter|trailer|hatchback|saloon|estate|4x4|tractor|coach|camper|motorhome';

interface Named {
  readonly words: string;
  readonly vehicle: CatalogueVehicle;
}

/** Names that single out vehicles, longest first: make and model, make, model, kind. */
const namesOf = (vehicles: readonly CatalogueVehicle[]): Named[] =>
  vehicles.flatMap((vehicle) =>
    [vehicle.make, vehicle.model, vehicle.kind].map((words) => ({ words: words.toLowerCase(), vehicle })),
  );

/** Reads which vehicle it is: by fleet number or plate, by VIN, or by make, model, kind and year. */
export const readVehicle = (
  source: SourceText,
  context: IntakeContext,
): { vehicle: DocketVehicle; chips: Chip[]; vehicleRow: CatalogueVehicle | null } => {
  const { text, tokens } = source;
  const chips: Chip[] = [];
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

  for (const match of text.matchAll(DISTANCE)) {
    const [whole, digits = '', thousands, unit = ''] = match;
    const told = Number(digits.replace(/[ .,']/g, '')) * (thousands ? 1000 : 1);
    const km = Math.round(unit.toLowerCase().startsWith('mi') ? told * KM_PER_MILE : told);
    if (km < LEAST_KM || km > MOST_KM) continue;
    vehicle.distanceKm = km;
    chip(`driven ${km.toLocaleString('en-GB')} km`, match.index, match.index + whole.length);
    break;
  }

  let row: CatalogueVehicle | null = null;
  for (let i = 0; i < tokens.length && !row; i++)
    for (let n = 3; n >= 1 && !row; n--) {
      if (i + n > tokens.length || (source.taken(i) && !isVin(tokens[i]?.text))) continue;
      const joined = squeezed(source.words(i, i + n));
      if (joined.length < 2) continue;
      const fleet = context.fleet.find(
        (f) =>
          squeezed(f.fleetNumber) === joined ||
          (f.plate !== null && squeezed(f.plate) === joined) ||
          (f.vin !== null && (f.vin === joined || (n === 1 && f.vin === vehicle.vin))),
      );
      if (!fleet) continue;
      row = context.vehicles.find((v) => v.id === fleet.vehicleId) ?? null;
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
    }

  for (const hit of DRIVE.all(tokens)) {
    if (source.taken(hit.from)) continue;
    for (const [key, value] of Object.entries(hit.meaning))
      (vehicle as Record<string, unknown>)[key] ??= value;
    source.take(hit.from, hit.to);
    chips.push({
      kind: 'vehicle',
      label: source.words(hit.from, hit.to),
      words: source.words(hit.from, hit.to),
      start: tokens[hit.from]?.start ?? 0,
      end: tokens[hit.to - 1]?.end ?? 0,
      note: null,
    });
  }

  if (!row) {
    const names = namesOf(context.vehicles);
    const fuse = new Fuse([...new Set(names.map((name) => name.words))], {
      includeScore: true,
      threshold: FUZZY,
      distance: 20,
      ignoreLocation: false,
    });
    const seen = new Map<string, ReturnType<typeof fuse.search>[number] | null>();
    const nearest = (word: string) => {
      const kept = seen.get(word);
      if (kept !== undefined) return kept;
      const best = seen.size < MOST_FUZZY ? (fuse.search(word, { limit: 1 })[0] ?? null) : null;
      seen.set(word, best);
      return best;
    };
    const matched: Array<{ words: string; from: number; to: number; corrected: string | null }> = [];
    for (let i = 0; i < tokens.length;) {
      let step = 1;
      if (!source.taken(i) && tokens[i]?.kind === 'word') {
        for (let n = 3; n >= 1; n--) {
          const words = tokens
            .slice(i, i + n)
            .map((t) => t.norm)
            .join(' ');
          if (i + n <= tokens.length && names.some((name) => name.words === words)) {
            matched.push({ words, from: i, to: i + n, corrected: null });
            step = n;
            break;
          }
        }
        const word = tokens[i]?.norm ?? '';
        if (step === 1 && matched.at(-1)?.from !== i && word.length >= SHORTEST_FUZZY && !/\d/.test(word)) {
          const best = nearest(word);
          if (best && (best.score ?? 1) <= FUZZY && Math.abs(best.item.length - word.length) <= 2)
            matched.push({
              words: best.item,
              from: i,
              to: i + 1,
              corrected: `${tokens[i]?.text ?? ''} read as ${best.item}`,
            });
        }
      }
      i += step;
    }
    const years = tokens.flatMap((token, i) =>
      /^(?:19[89]\d|20[0-4]\d)$/.test(token.norm) && !source.taken(i) ? [{ year: token.norm, i }] : [],
    );
    const year = years[0];
    if (year) {
      vehicle.buildDate = year.year;
      chip(`built ${year.year}`, tokens[year.i]?.start ?? 0, tokens[year.i]?.end ?? 0);
    }
    if (matched.length > 0) {
      const fits = context.vehicles.filter((v) =>
        matched.every(({ words }) => [v.make, v.model, v.kind].some((name) => name.toLowerCase() === words)),
      );
      const inYear = fits.filter((v) => mayBeBuiltWithin(vehicle.buildDate, v.builtFrom, v.builtTo));
      const candidates = inYear.length > 0 ? inYear : fits;
      row = candidates.length === 1 ? (candidates[0] ?? null) : null;
      const name = row
        ? `${row.make} ${row.model}`
        : matched
            .map(({ from, to, corrected, words }) => (corrected ? words : source.words(from, to)))
            .join(' ');
      vehicle.name ??= name;
      const note = row
        ? 'in the catalogue'
        : candidates.length > 1
          ? `${candidates.length} vehicles of the catalogue fit: ${candidates
              .slice(0, 4)
              .map((v) => `${v.make} ${v.model}`)
              .join(', ')}`
          : null;
      matched.forEach((m, k) => {
        source.take(m.from, m.to);
        const start = tokens[m.from]?.start ?? 0;
        const end = tokens[m.to - 1]?.end ?? 0;
        chips.push({
          kind: 'vehicle',
          label: k === 0 ? name : source.words(m.from, m.to),
          words: text.slice(start, end),
          start,
          end,
          note: [m.corrected, k === 0 ? note : null].filter(Boolean).join('; ') || null,
        });
      });
    } else {
      const generic = tokens.findIndex(
        (token, i) => !source.taken(i) && new RegExp(`^(?:${GENERIC_KINDS})$`).test(token.norm),
      );
      const token = tokens[generic];
      if (token) {
        vehicle.name = token.text;
        chip(token.text, token.start, token.end);
      }
    }
  }
  if (row) {
    vehicle.catalogueId = row.id;
    vehicle.name = `${row.make} ${row.model}`;
  }
  return { vehicle, chips, vehicleRow: row };
};

/** A tyre size in running text. */
const TYRE =
  /(?<![\p{L}\d])(?:(?:LT|P)?\d{3}\s?\/\s?\d{2,3}\s?(?:Z?R|-|\s)\s?\d{2}C?(?:\s?\d{2,3}(?:\/\d{2,3})?[A-Z])?|\d{2}(?:[.,]\d+)?\s?[xX\u00D7]\s?\d{1,2}[.,]\d{1,2}\s?(?:R|-)\s?\d{2}|\d[.,]\d{2}\s?(?:R|-)\s?\d{2})(?![\p{L}\d])/gu;

export const findTyreSizes = (text: string): Array<{ size: string; start: number; end: number }> =>
  [...text.matchAll(TYRE)]
    .filter((match) => parseTyreSize(match[0]) !== null)
    .map((match) => ({ size: match[0].trim(), start: match.index, end: match.index + match[0].length }));

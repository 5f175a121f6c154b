import { candidatesFor, isSure, namedVehicles, namesByKind, type NamedVehicle } from '../vehicleNames.ts';
import type { VehicleReader, VehicleReading } from './vehicleReading.ts';

const weight = (named: NamedVehicle): number =>
  (named.make ? 4 : 0) + (named.model ? 3 : 0) + (named.kind ? 1 : 0) + (named.date ? 1 : 0);

/** Takes a named phrase as the vehicle; the catalogue's row where just one fits, else it is asked. */
const take = (named: NamedVehicle, reading: VehicleReading): void => {
  const { source, context, vehicle } = reading;
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
    reading.chip(`built ${named.date.date}`, named.date.start, named.date.end);
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
    reading.asks.push({ about: 'vehicle', words, ask: `Which vehicle exactly is the ${label}?` });
  source.take(named.from, named.to);
  reading.show({
    kind: 'vehicle',
    label,
    start,
    end,
    note: [named.corrected, note].filter(Boolean).join('; ') || null,
  });
  reading.row = row;
};

/** Make, model, kind and year, the phrase that names most; others that may be one are asked. */
export const readName: VehicleReader = (reading) => {
  if (reading.row) return;
  const { source, context } = reading;
  const { tokens } = source;
  const named = namedVehicles(
    tokens,
    context.vehicles,
    reading.dates,
    (i) => source.taken(i) && tokens[i]?.norm !== 'trailer',
  );
  const sure = named.filter((phrase) => isSure(phrase, tokens));
  const best =
    [...sure].sort((a, b) => weight(b) - weight(a))[0] ??
    named.find((phrase) => namesByKind(phrase, tokens)) ??
    null;
  for (const phrase of named) {
    if (phrase === best || phrase.model === null || sure.length > 0) continue;
    const words = source.words(phrase.from, phrase.to);
    reading.asks.push({ about: 'vehicle', words, ask: `\u201C${words}\u201D: is that the vehicle?` });
  }
  if (best) take(best, reading);
};

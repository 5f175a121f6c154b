import {
  advise,
  BadInput,
  bareIntake,
  bareKnowledge,
  compareBench,
  parse,
  parseDocket,
  readIntake,
  fillVehicle,
  fitAll,
  readTraceText,
  Side,
  type Advice,
  type Comparison,
  type Docket,
  type Knowledge,
  type IntakeReading,
  type FitLine,
  type TraceReading,
} from '@hardy/core';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { join } from 'node:path';
import {
  backup,
  pack,
  relearn,
  restore,
  type BackupMade,
  type Relearned,
  type Restoration,
  type ShopPacked,
} from './keeping.ts';
import { readSource } from './readSource.ts';
import { dictionaryFromFolder, hasVehicle, sliceFromFolder, vehiclesFromFolder } from './sliceFromFolder.ts';

const USAGE =
  'use: hardy advise FILE [--catalogue FOLDER] | hardy intake FILE [--steering left|right] [--traffic left|right] [--axles N] [--catalogue FOLDER] | hardy trace FILE.csv [--circumference METRES] [--track METRES] | hardy fit FILE [--catalogue FOLDER] | hardy compare FILE [--catalogue FOLDER] [--seed N] | hardy backup [--database FILE] [--to FOLDER] [--without-training] | hardy pack SHOP.zip [--database FILE] [--without-training] | hardy restore FOLDER|SHOP.zip [--database FILE] [--without-training] | hardy relearn [--database FILE]';

const Circumference = z.coerce.number().min(0.5).max(6);
const Track = z.coerce.number().min(0.5).max(4);
/** What `hardy fit` prints: candidate parts per part class and wheel end, and the questions that still split them. */
export interface FitReading {
  readonly format: 'hardy-spoke/fit';
  readonly version: 1;
  readonly vehicle: string;
  readonly lines: readonly FitLine[];
  readonly questions: ReadonlyArray<{ readonly about: string }>;
}

/** The scenario’s own catalogue, beside the packages. */
const DEMO_CATALOGUE = join(import.meta.dirname, '..', '..', '..', 'demo');

const Seed = z.coerce
  .number()
  .int()
  .min(0)
  .max(2 ** 31 - 1);
const Axles = z.coerce.number().int().min(1).max(9);

const day = (now: Date): string => now.toISOString().slice(0, 10);

const jsonFrom = async (file: string): Promise<unknown> => {
  const text = await readSource(file);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new BadInput(file, `is not JSON: ${(error as Error).message}; a docket is a JSON file`);
  }
};

const options = (args: readonly string[]) => {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        steering: { type: 'string' },
        traffic: { type: 'string' },
        axles: { type: 'string' },
        circumference: { type: 'string' },
        track: { type: 'string' },
        catalogue: { type: 'string' },
        seed: { type: 'string' },
        database: { type: 'string' },
        to: { type: 'string' },
        'without-training': { type: 'boolean' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new BadInput('', `${(error as Error).message}; ${USAGE}`);
  }
};

/** What the command line knows of a docket: the catalogue and dictionary where its vehicle is in them. */
const knowledgeFor = async (docket: Docket, folder: string | undefined, now: Date): Promise<Knowledge> => {
  const id = docket.vehicle?.catalogueId;
  const catalogue = folder ?? DEMO_CATALOGUE;
  return {
    ...bareKnowledge(day(now)),
    // A vehicle that is not in it still gets advice, from the price book and the default odds.
    ...(id && (await hasVehicle(catalogue, id))
      ? { slice: await sliceFromFolder(catalogue, id), dictionary: await dictionaryFromFolder(catalogue) }
      : {}),
  };
};

/** The options each command takes; another is a slip and told. */
const TAKES: Readonly<Record<string, readonly string[]>> = {
  advise: ['catalogue'],
  intake: ['steering', 'traffic', 'axles', 'catalogue'],
  trace: ['circumference', 'track'],
  fit: ['catalogue'],
  compare: ['catalogue', 'seed'],
  backup: ['database', 'to', 'without-training'],
  pack: ['database', 'without-training'],
  restore: ['database', 'without-training'],
  relearn: ['database'],
};

const HELP = USAGE.replace('use: ', '')
  .split(' | hardy ')
  .map((line, i) => (i === 0 ? line : `hardy ${line}`))
  .join('\n');

/** What a command prints: text as it is, anything else as JSON. */
export type Said =
  | string
  | Advice
  | IntakeReading
  | TraceReading
  | FitReading
  | Comparison
  | BackupMade
  | Restoration
  | ShopPacked
  | Relearned;

/**
 * Runs one command and returns what it prints.
 * @throws BadInput for anything the user can mend.
 */
export const run = async (args: readonly string[], now: Date): Promise<Said> => {
  const [command, ...rest] = args;
  if (command === '--help' || command === '-h' || command === 'help') return HELP;
  const { values, positionals } = options(rest);
  const [file, extra] = positionals;
  const takes = command && Object.hasOwn(TAKES, command) ? TAKES[command] : undefined;
  if (!takes) throw new BadInput('', command ? `${command} is not a command; ${USAGE}` : USAGE);
  if (values.help) return HELP;
  const wrong = Object.keys(values).find((name) => !takes.includes(name));
  if (wrong)
    throw new BadInput(
      '',
      `${command} takes no --${wrong}; it takes ${takes.map((name) => `--${name}`).join(', ')}`,
    );
  const training = !values['without-training'];
  if (command === 'backup') {
    if (file)
      throw new BadInput('', `backup takes no file but --database, --to and --without-training; ${USAGE}`);
    return backup(values.database, values.to, training);
  }
  if (command === 'relearn') {
    if (file) throw new BadInput('', `relearn takes no file but --database; ${USAGE}`);
    return relearn(values.database);
  }
  if (!file || extra)
    throw new BadInput(
      '',
      `${command} takes one ${command === 'restore' ? 'folder of a backup or packed shop' : command === 'pack' ? 'zip to make' : 'file, or - for standard input'}; ${USAGE}`,
    );
  if (command === 'restore') return restore(file, values.database, training);
  if (command === 'pack') return pack(file, values.database, training);
  if (command === 'advise') {
    const docket = parseDocket(await jsonFrom(file));
    return advise(docket, await knowledgeFor(docket, values.catalogue, now));
  }
  if (command === 'compare') {
    const docket = parseDocket(await jsonFrom(file));
    const knowledge = await knowledgeFor(docket, values.catalogue, now);
    const seed = values.seed === undefined ? undefined : parse(Seed, values.seed, '--seed');
    const comparison = compareBench(docket, knowledge, seed).compare();
    if (!comparison)
      throw new BadInput('wheelEnd', 'is not known; ways are compared for one corner, so name it first');
    return comparison;
  }
  if (command === 'fit') {
    const docket = parseDocket(await jsonFrom(file));
    const id = docket.vehicle?.catalogueId;
    if (!id)
      throw new BadInput(
        'vehicle.catalogueId',
        'is missing; fit answers for a vehicle of the catalogue, name its id',
      );
    const slice = await sliceFromFolder(values.catalogue ?? DEMO_CATALOGUE, id);
    const vehicle = slice.vehicle ? fillVehicle(docket.vehicle ?? {}, slice.vehicle) : (docket.vehicle ?? {});
    const lines = fitAll(slice, vehicle, vehicle.axles ?? 2);
    return {
      format: 'hardy-spoke/fit',
      version: 1,
      vehicle: id,
      lines,
      questions: lines
        .flatMap(({ question, partClass, wheelEnd }) =>
          question ? [{ ...question, partClass, wheelEnd }] : [],
        )
        .map(({ attribute, ...question }) => ({ about: attribute, ...question })),
    };
  }
  if (command === 'trace') {
    // Yaw is left free at every sample, so the track changes nothing; it is read so that a slip in it is told.
    if (values.track !== undefined) parse(Track, values.track, '--track');
    const circumference =
      values.circumference === undefined
        ? null
        : parse(Circumference, values.circumference, '--circumference');
    return readTraceText(await readSource(file), { circumference }).reading;
  }
  const side = (value: string | undefined, name: string) =>
    value === undefined ? null : parse(Side, value, name);
  const context = {
    ...bareIntake(day(now)),
    steeringSide: side(values.steering, '--steering'),
    trafficSide: side(values.traffic, '--traffic'),
    axles: values.axles === undefined ? null : parse(Axles, values.axles, '--axles'),
    vehicles: await vehiclesFromFolder(values.catalogue ?? DEMO_CATALOGUE),
  };
  return readIntake(await readSource(file), context);
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { hasRing } from '../diagnosis/architecture.ts';
import { jobNote } from '../fitment/fittingParts.ts';
import { drawsSensor } from '../offers/seizure.ts';
import { faceDamagedAt, oldSensorAt, type OldSensor } from '../vocabulary/oldSensor.ts';
import { PART_WORK, partsThat } from '../partKinds/partData.ts';
import type { WorkLine, WorkWhen } from '../partKinds/partWork.ts';
import type { CatalogueSlice, JobNote } from '../vocabulary/catalogue.ts';
import type { Docket, Reader } from '../vocabulary/docket.ts';
import type { HouseWays } from '../vocabulary/houseWays.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

const DRAWS_SENSOR = partsThat('drawsSensor');
const MOVES_KNUCKLE = partsThat('movesKnuckle');

/** One part to be fitted, and how its wheel end is built, where that is known. */
export interface Fitted {
  readonly part: PartClass;
  readonly wheelEnd: WheelEnd;
  readonly architecture: Architecture | null;
}

/** What a sheet needs to know of the docket, beside the part. */
export interface SheetKnowledge {
  readonly docket: Docket;
  readonly slice: CatalogueSlice;
  readonly ways: HouseWays;
  readonly axles: number;
  readonly a: Assumptions;
}

/** A job as its sheet tells it. */
export interface FitJob extends SheetKnowledge {
  readonly parts: readonly Fitted[];
  readonly notes: ReadonlyArray<JobNote | null>;
  readonly reader: Reader | null;
  readonly electric: boolean;
  readonly trailer: boolean;
  readonly opensBrake: boolean;
  readonly wheelOff: boolean;
  readonly movesKnuckle: boolean;
  /** A caliper of the last axle is off: that is where an electric park brake sits. */
  readonly rearBrake: boolean;
  /** How the old sensors are, where one is drawn or was: one word each, none where none is. */
  readonly oldSensors: ReadonlySet<OldSensor>;
  /** A damaged face was seen on an old sensor here. */
  readonly faceDamaged: boolean;
}

const draws = ({ part, architecture }: Fitted): boolean =>
  architecture === null ? DRAWS_SENSOR.has(part) : drawsSensor(part, architecture);

export const fitJob = (parts: readonly Fitted[], known: SheetKnowledge): FitJob => {
  const { docket, slice, axles } = known;
  const notes = parts.map(({ part, wheelEnd }) => jobNote(slice, part, wheelEnd));
  const opens = (i: number) =>
    PART_WORK[(parts[i] as Fitted).part].opensBrake === true || /caliper|drum/i.test(notes[i]?.access ?? '');
  return {
    ...known,
    parts,
    notes,
    reader: docket.reader ?? null,
    electric: docket.vehicle?.electric === true,
    trailer: docket.vehicle?.driveline === 'trailer',
    opensBrake: parts.some((_, i) => opens(i)),
    wheelOff: parts.some(
      ({ part }, i) => PART_WORK[part].wheelOff === true || /wheel\b.*\boff/i.test(notes[i]?.access ?? ''),
    ),
    movesKnuckle: parts.some(({ part }) => MOVES_KNUCKLE.has(part)),
    rearBrake: parts.some(({ wheelEnd }, i) => opens(i) && axleOf(wheelEnd) === axles && axles > 1),
    faceDamaged: parts.some(({ wheelEnd }) => faceDamagedAt(docket, wheelEnd)),
    oldSensors: new Set(parts.filter(draws).map(({ wheelEnd }) => oldSensorAt(docket, wheelEnd))),
  };
};

/** Where something is not known the line is shown: better one too many. */
const holds = (when: WorkWhen, { architecture }: Fitted, old: OldSensor): boolean => {
  switch (when) {
    case 'sensor-in':
      return old === 'in';
    case 'sensor-out':
      return old !== 'in';
    case 'encoder':
      return architecture === null || !hasRing(architecture);
    case 'separate-sensor':
      return architecture === null || architecture.mounting === 'separate';
    case 'ring-on-hub':
    case 'ring-on-shaft':
      return architecture === null || architecture.target === when;
  }
};

/** Whether a line of work applies to a part of this job. */
export const applies = (line: WorkLine, fitted: Fitted, docket: Docket): boolean =>
  typeof line === 'string' ||
  [line.only].flat().every((when) => holds(when, fitted, oldSensorAt(docket, fitted.wheelEnd)));

import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../../codes/readCodes.ts';
import type { Architecture, ArchitectureGroup } from '../../diagnosis/architecture.ts';
import type { EndPosterior } from '../../diagnosis/posterior.ts';
import type { Question } from '../../vocabulary/advice.ts';
import type { Docket, DocketVehicle } from '../../vocabulary/docket.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import type { WheelNames } from '../../vocabulary/wheelEndWords.ts';
import type { CornerFacts } from '../corner.ts';

/** What questions are asked from. */
export interface Asked {
  readonly docket: Docket;
  readonly vehicle: DocketVehicle;
  readonly axles: number;
  readonly names: WheelNames;
  readonly corner: WheelEnd | null;
  /** Something is loose or growls and nobody said which wheel. */
  readonly unsafeUnnamed: boolean;
  readonly facts: CornerFacts;
  readonly end: EndPosterior | null;
  readonly group: ArchitectureGroup | null;
  readonly ends: readonly WheelEnd[];
  readonly echoesOnly: boolean;
  readonly tyreChance: number;
  readonly supplyChance: number;
  readonly twoReadings: UnderstoodCode | null;
  /** What knowing a field of the build saves on this job. */
  readonly worthOf: (field: keyof Architecture) => number;
  readonly money: (amount: number) => string;
  readonly a: Assumptions;
}

/** One thing that may have to be asked. */
export interface QuestionRule {
  readonly name: string;
  /** What it asks now; nothing where it need not. */
  readonly asks: (asked: Asked) => readonly Question[];
}

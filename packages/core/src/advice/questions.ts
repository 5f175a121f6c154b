import { type Architecture, type ArchitectureGroup } from '../diagnosis/architecture.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import { partsAt } from '../offers/fixes.ts';
import type { Question } from '../vocabulary/advice.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Docket, DocketVehicle } from '../vocabulary/docket.ts';
import type { PositionNeed } from '../vocabulary/words.ts';
import { wheelEndInWords, type WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { CornerFacts } from './corner.ts';

const NEED_QUESTIONS: Readonly<Record<PositionNeed, Omit<Question, 'because'>>> = {
  steeringSide: {
    about: 'steeringSide',
    ask: 'Which side is the steering wheel on?',
    answers: [
      { label: 'left', value: 'left' },
      { label: 'right', value: 'right' },
    ],
  },
  trafficSide: {
    about: 'trafficSide',
    ask: 'Which side of the road does traffic keep to here?',
    answers: [
      { label: 'left', value: 'left' },
      { label: 'right', value: 'right' },
    ],
  },
  axle: { about: 'axle', ask: 'Which axle, counted from the front?', answers: [] },
  side: {
    about: 'side',
    ask: 'Left or right, as seated facing forward?',
    answers: [
      { label: 'left', value: 'left' },
      { label: 'right', value: 'right' },
    ],
  },
};

const ARCHITECTURE_QUESTIONS: ReadonlyArray<{
  about: keyof Architecture;
  ask: string;
  answers: Question['answers'];
}> = [
  {
    about: 'mounting',
    ask: 'Does the sensor bolt in separately, or is it part of the hub?',
    answers: [
      { label: 'separate', value: 'separate' },
      { label: 'in the hub', value: 'in-hub' },
    ],
  },
  {
    about: 'target',
    ask: 'What does the sensor read: a toothed ring on the shaft, one on the hub, or a magnetic seal in the bearing?',
    answers: [
      { label: 'ring on the shaft', value: 'ring-on-shaft' },
      { label: 'ring on the hub', value: 'ring-on-hub' },
      { label: 'magnetic seal', value: 'encoder-in-bearing' },
    ],
  },
  {
    about: 'sensor',
    ask: 'Passive coil or active sensor?',
    answers: [
      { label: 'passive', value: 'passive' },
      { label: 'active', value: 'active' },
    ],
  },
  {
    about: 'ringSoldAlone',
    ask: 'Is the ring sold on its own for this vehicle?',
    answers: [
      { label: 'yes', value: 'true' },
      { label: 'no', value: 'false' },
    ],
  },
];

/** Which parts could take the leading cause away, for each value of an unknown field: asked where they differ. */
const partsDifferBy = (
  field: keyof Architecture,
  group: ArchitectureGroup,
  end: EndPosterior,
  openFrom: number,
): boolean => {
  const byValue = new Map<string, Set<string>>();
  for (const { architecture } of group.options) {
    const weight = end.beliefs.reduce((sum, b) => (b.architecture === architecture ? sum + b.p : sum), 0);
    if (weight < openFrom / group.options.length) continue;
    const value = String(architecture[field]);
    const parts = byValue.get(value) ?? new Set<string>();
    for (const part of partsAt(end.wheelEnd, architecture)) parts.add(part);
    byValue.set(value, parts);
  }
  const sets = [...byValue.values()].map((set) => [...set].sort().join());
  return new Set(sets).size > 1 || (field === 'sensor' && byValue.size > 1);
};

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

/** What to ask next: what places the corner first, then what decides which parts exist. */
export const questionsFor = ({
  docket,
  vehicle,
  axles,
  names,
  corner,
  unsafeUnnamed,
  facts,
  end,
  group,
  ends,
  echoesOnly,
  tyreChance,
  supplyChance,
  twoReadings,
  worthOf,
  money,
  a,
}: Asked): Question[] => {
  const openFrom = a.get('question.open-from');
  const out: Question[] = [];
  for (const position of facts.positions)
    if (
      position.needs &&
      (position.role ?? 'corner') === 'corner' &&
      !out.some((q) => q.about === position.needs)
    ) {
      const question = NEED_QUESTIONS[position.needs];
      out.push({
        ...question,
        because: `"${position.text}" cannot be placed without it`,
        ...(position.needs === 'axle'
          ? {
              answers: Array.from({ length: axles }, (_, i) => ({
                label: `axle ${i + 1}`,
                value: String(i + 1),
              })),
            }
          : {}),
      });
    }
  if (corner === null || unsafeUnnamed) {
    const conflict = facts.conflicts[0];
    out.push({
      about: 'wheelEnd',
      ask: unsafeUnnamed
        ? 'Which wheel is loose or growls? It is not driven until that is known.'
        : echoesOnly
          ? 'Read the brake controller itself: which wheel does it name?'
          : 'Which wheel, as seated facing forward?',
      because:
        conflict?.because ??
        (unsafeUnnamed ? 'a wheel that is loose can come off' : null) ??
        (echoesOnly
          ? 'the codes are echoes of the brake controller in other modules; the root code is not among them'
          : 'nothing so far tells the corner, and every part is for one corner'),
      answers: ends.map((wheelEnd) => ({ label: wheelEndInWords(wheelEnd, names), value: wheelEnd })),
    });
  }
  if (twoReadings)
    out.push({
      about: 'vehicle',
      ask: `Whose code is ${twoReadings.code}? Name the make.`,
      because: twoReadings.meaning,
      answers: [],
    });
  else if (!vehicle.catalogueId && !vehicle.name)
    out.push({
      about: 'vehicle',
      ask: 'Which vehicle is it: make, model, year?',
      because: 'parts and prices depend on it',
      answers: [],
    });
  if (end && group)
    out.push(
      ...ARCHITECTURE_QUESTIONS.filter(
        ({ about }) =>
          group.known[about] == null &&
          group.options.length > 1 &&
          partsDifferBy(about, group, end, openFrom),
      )
        .map(({ about, ask, answers }) => ({ about, ask, answers, worth: worthOf(about) }))
        // What saves most is asked first.
        .sort((x, y) => y.worth - x.worth)
        .map(({ about, ask, answers, worth }) => ({
          about,
          ask,
          answers,
          because: `the parts that exist for this corner depend on it${
            worth >= a.get('plan.tie')
              ? `; asking takes ${a.get('ask.minutes')} minutes and is worth about ${money(worth)}`
              : ''
          }`,
        })),
    );
  if (tyreChance >= openFrom && Object.keys(vehicle.tyres ?? {}).length < 2)
    out.push({
      about: 'tyres',
      ask: 'Which tyre size is on each wheel?',
      because: 'a tyre of another size may be all that is wrong',
      answers: [],
    });
  const battery = (docket.history ?? []).some(
    (event) => event.event === 'battery-flat' || event.event === 'battery-replaced',
  );
  if (docket.codesCleared == null && (docket.codes ?? []).length > 0 && (battery || supplyChance >= openFrom))
    out.push({
      about: 'codesCleared',
      ask: 'Were the codes cleared and read again since the battery was flat or renewed?',
      because: 'a code that came back after clearing is real; one that was not cleared may be its trail',
      answers: [
        { label: 'yes, it came back', value: 'true' },
        { label: 'no', value: 'false' },
      ],
    });
  return out;
};

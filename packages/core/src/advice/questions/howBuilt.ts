import type { Architecture, ArchitectureGroup } from '../../diagnosis/architecture.ts';
import type { EndPosterior } from '../../diagnosis/posterior.ts';
import { partsAt } from '../../offers/fixes.ts';
import type { Question } from '../../vocabulary/advice.ts';
import type { QuestionRule } from './asked.ts';

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

/** How the corner is built, where that decides which parts exist: what saves most first. */
export const howBuilt: QuestionRule = {
  name: 'how it is built',
  asks: ({ end, group, worthOf, money, a }) => {
    if (!end || !group) return [];
    const openFrom = a.get('question.open-from');
    return ARCHITECTURE_QUESTIONS.filter(
      ({ about }) =>
        group.known[about] == null && group.options.length > 1 && partsDifferBy(about, group, end, openFrom),
    )
      .map((question) => ({ ...question, worth: worthOf(question.about) }))
      .sort((x, y) => y.worth - x.worth)
      .map(({ worth, ...question }) => ({
        ...question,
        because: `the parts that exist for this corner depend on it${
          worth >= a.get('plan.tie')
            ? `; asking takes ${a.get('ask.minutes')} minutes and is worth about ${money(worth)}`
            : ''
        }`,
      }));
  },
};

import type { Question } from '../../vocabulary/advice.ts';
import type { PositionNeed } from '../../vocabulary/words.ts';
import type { QuestionRule } from './asked.ts';

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

/** What the words for the corner cannot be placed without: each thing once. */
export const placeWords: QuestionRule = {
  name: 'where the words point',
  asks: ({ facts, axles }) => {
    const out: Question[] = [];
    for (const { needs, role, text } of facts.positions) {
      if (!needs || (role ?? 'corner') !== 'corner' || out.some((q) => q.about === needs)) continue;
      out.push({
        ...NEED_QUESTIONS[needs],
        because: `"${text}" cannot be placed without it`,
        ...(needs === 'axle' && {
          answers: Array.from({ length: axles }, (_, i) => ({
            label: `axle ${i + 1}`,
            value: String(i + 1),
          })),
        }),
      });
    }
    return out;
  },
};

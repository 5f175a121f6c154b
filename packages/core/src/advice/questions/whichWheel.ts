import { wheelEndInWords } from '../../vocabulary/wheelEndWords.ts';
import type { Asked, QuestionRule } from './asked.ts';

interface Wording {
  readonly when: (asked: Asked) => boolean;
  readonly ask: string;
  readonly because: string;
}

/** The first that holds is asked. */
const WORDINGS: readonly Wording[] = [
  {
    when: ({ unsafeUnnamed }) => unsafeUnnamed,
    ask: 'Which wheel is loose or growls? It is not driven until that is known.',
    because: 'a wheel that is loose can come off',
  },
  {
    when: ({ echoesOnly }) => echoesOnly,
    ask: 'Read the brake controller itself: which wheel does it name?',
    because: 'the codes are echoes of the brake controller in other modules; the root code is not among them',
  },
  {
    when: () => true,
    ask: 'Which wheel, as seated facing forward?',
    because: 'nothing so far tells the corner, and every part is for one corner',
  },
];

/** The corner, where nothing tells it or a wheel is unsafe and unnamed. */
export const whichWheel: QuestionRule = {
  name: 'which wheel',
  asks: (asked) => {
    const { corner, unsafeUnnamed, facts, ends, names } = asked;
    const wording = WORDINGS.find(({ when }) => when(asked));
    if ((corner !== null && !unsafeUnnamed) || !wording) return [];
    return [
      {
        about: 'wheelEnd',
        ask: wording.ask,
        because: facts.conflicts[0]?.because ?? wording.because,
        answers: ends.map((wheelEnd) => ({ label: wheelEndInWords(wheelEnd, names), value: wheelEnd })),
      },
    ];
  },
};

import type { Question } from '../../vocabulary/advice.ts';
import type { Asked, QuestionRule } from './asked.ts';
import { howBuilt } from './howBuilt.ts';
import { placeWords } from './placeWords.ts';
import { codesCleared, tyreSizes } from './tyresOrBattery.ts';
import { whichVehicle } from './whichVehicle.ts';
import { whichWheel } from './whichWheel.ts';

/** What may have to be asked, in the order it is: what places the corner first, then what decides which parts exist. */
const QUESTIONS: readonly QuestionRule[] = [
  placeWords,
  whichWheel,
  whichVehicle,
  howBuilt,
  tyreSizes,
  codesCleared,
];

/** What to ask next. */
export const questionsFor = (asked: Asked): Question[] => QUESTIONS.flatMap((rule) => rule.asks(asked));

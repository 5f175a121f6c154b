import { fitQuestion } from '../fitment/fitQuestion.ts';
import type { Question } from '../vocabulary/advice.ts';
import type { CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** The question that still splits the part about to be sold, if its answer changes which number is sold. */
export const fitQuestions = (
  slice: CatalogueSlice,
  sold: { readonly part: PartClass; readonly wheelEnd: WheelEnd } | null,
  vehicle: DocketVehicle,
): Question[] => {
  const question = sold ? fitQuestion(slice, sold.part, sold.wheelEnd, vehicle) : null;
  return question
    ? [
        {
          about: question.attribute,
          ask: question.ask,
          because: `it decides which number fits. ${question.look}`,
          answers: question.answers.map(({ value, sells }) => ({
            label: sells ? `${value} (${sells})` : value,
            value,
          })),
        },
      ]
    : [];
};

import type { QuestionRule } from './asked.ts';

/** The vehicle: because its maker decides what a code says, or because nobody named it. */
export const whichVehicle: QuestionRule = {
  name: 'which vehicle',
  asks: ({ twoReadings, vehicle }) => {
    if (twoReadings)
      return [
        {
          about: 'vehicle',
          ask: `Whose code is ${twoReadings.code}? Name the make.`,
          because: twoReadings.meaning,
          answers: [],
        },
      ];
    if (vehicle.catalogueId || vehicle.name) return [];
    return [
      {
        about: 'vehicle',
        ask: 'Which vehicle is it: make, model, year?',
        because: 'parts and prices depend on it',
        answers: [],
      },
    ];
  },
};

import type { QuestionRule } from './asked.ts';

/** Tyre sizes, where one of another size may be all that is wrong. */
export const tyreSizes: QuestionRule = {
  name: 'tyre sizes',
  asks: ({ tyreChance, vehicle, a }) =>
    tyreChance >= a.get('question.open-from') && Object.keys(vehicle.tyres ?? {}).length < 2
      ? [
          {
            about: 'tyres',
            ask: 'Which tyre size is on each wheel?',
            because: 'a tyre of another size may be all that is wrong',
            answers: [],
          },
        ]
      : [],
};

/** Whether the codes were cleared, where they may be the trail of a flat battery. */
export const codesCleared: QuestionRule = {
  name: 'cleared since',
  asks: ({ docket, supplyChance, a }) => {
    const battery = (docket.history ?? []).some(
      ({ event }) => event === 'battery-flat' || event === 'battery-replaced',
    );
    if (
      docket.codesCleared != null ||
      (docket.codes ?? []).length === 0 ||
      !(battery || supplyChance >= a.get('question.open-from'))
    )
      return [];
    return [
      {
        about: 'codesCleared',
        ask: 'Were the codes cleared and read again since the battery was flat or renewed?',
        because: 'a code that came back after clearing is real; one that was not cleared may be its trail',
        answers: [
          { label: 'yes, it came back', value: 'true' },
          { label: 'no', value: 'false' },
        ],
      },
    ];
  },
};

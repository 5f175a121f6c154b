import { expect, test } from '@jest/globals';
import { bareKnowledge } from './knowledge.ts';
import { advise } from './advise.ts';
import { doubtQuestions } from './doubtQuestions.ts';
import { docketFromReading } from '../intake/docketFromReading.ts';
import { readIntake } from '../intake/readIntake.ts';
import { bareIntake } from '../intake/context.ts';

test('a doubt is asked first, with answers that become facts at the wheel it was said of', () => {
  const words = 'C0037 rear left, there might be a bit of play at the rear left';
  const docket = docketFromReading(readIntake(words, { ...bareIntake('2026-11-25'), axles: 2 }), words, null);
  expect(docket.doubts).toMatchObject([{ about: 'play', wheelEnd: 'A2L' }]);
  const { questions, cautions } = advise(docket, bareKnowledge('2026-11-25'));
  expect(questions[0]).toMatchObject({ about: 'doubt:0' });
  expect(cautions).not.toContain('stop-driving');
  const clear = questions[0]?.answers.find(({ label }) => label === 'clear play');
  const said = JSON.parse(clear?.value ?? '{}') as { check: never };
  expect(said.check).toEqual({ check: 'bearing.play', result: 'clear', wheelEnd: 'A2L' });
  const answered = advise({ ...docket, checks: [said.check], doubts: [] }, bareKnowledge('2026-11-25'));
  expect(answered.cautions).toContain('stop-driving');
  expect(answered.questions.filter(({ about }) => about.startsWith('doubt:'))).toEqual([]);
});

test('every kind of doubt has an answer for yes and one for no', () => {
  for (const about of ['play', 'growl', 'pedal', 'heat', 'fluid'] as const) {
    const [question] = doubtQuestions([{ about, words: 'x' }]);
    expect(question?.answers.length).toBeGreaterThanOrEqual(2);
    expect(question?.ask).toContain('\u201Cx\u201D');
  }
});

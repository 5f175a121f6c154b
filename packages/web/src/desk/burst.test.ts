import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Burst, TOGETHER_MS, WORDS_REST_MS } from './burst.ts';

/** Plays keys at their times against a clock of its own. */
const play = (
  keys: ReadonlyArray<readonly [string, number]>,
  isCommand: (key: string) => boolean = () => true,
): { commands: string; words: string } => {
  let [commands, words] = ['', ''];
  let timer: { act: () => void; at: number } | null = null;
  let now = 0;
  const burst = new Burst({
    command: (key) => {
      if (isCommand(key)) commands += key;
      return isCommand(key);
    },
    words: (characters) => (words += characters),
    later: (act, ms) => {
      const mine = { act, at: now + ms };
      timer = mine;
      return () => {
        if (timer === mine) timer = null;
      };
    },
  });
  const until = (time: number) => {
    if (timer && timer.at <= time) {
      const { act } = timer;
      timer = null;
      act();
    }
    now = time;
  };
  for (const [key, at] of keys) {
    until(at);
    burst.key(key, at);
  }
  until(now + 10 * TOGETHER_MS);
  return { commands, words };
};

const typed = (text: string, gap: number, from = 0) =>
  [...text].map((key, i): [string, number] => [key, from + i * gap]);

test('a letter alone is a command; letters together are words, the first one too', () => {
  expect(play([['c', 0]])).toEqual({ commands: 'c', words: '' });
  expect(play(typed('abs light', 5))).toEqual({ commands: '', words: 'abs light' });
  expect(play([...typed('c', 5), ...typed('no play', 60, 1000)])).toEqual({
    commands: 'c',
    words: 'no play',
  });
  expect(
    play([
      ['u', 0],
      ['u', TOGETHER_MS + 1],
      ['u', 2 * TOGETHER_MS + 2],
    ]),
  ).toEqual({ commands: 'uuu', words: '' });
});

test('a key that is no command here is the first letter of a slow word, unless the hand rests', () => {
  const isCommand = (key: string) => key === 'u';
  expect(play(typed('cleared', TOGETHER_MS + 60), isCommand)).toEqual({ commands: '', words: 'cleared' });
  expect(play([['c', 0], ...typed('no play', 60, WORDS_REST_MS + 500)], isCommand)).toEqual({
    commands: '',
    words: 'no play',
  });
  expect(
    play(
      [
        ['c', 0],
        ['u', WORDS_REST_MS + 500],
      ],
      isCommand,
    ),
  ).toEqual({ commands: 'u', words: '' });
});

test('a key close after one that went into the words by itself is no command', () => {
  let [commands, words] = ['', ''];
  const burst = new Burst({
    command: (key) => {
      commands += key;
      return true;
    },
    words: (characters) => (words += characters),
    later: (act) => {
      act();
      return () => undefined;
    },
  });
  burst.note(0);
  burst.key('e', 8);
  burst.key(' ', 8 + 2 * TOGETHER_MS);
  burst.key('u', 8 + 2 * TOGETHER_MS + WORDS_REST_MS);
  expect([words, commands]).toEqual(['e ', 'u']);
  burst.note(5000);
  burst.rest();
  burst.key('c', 5010);
  expect([words, commands]).toEqual(['e ', 'uc']);
});

test('words go on over the pauses of a hand or a busy computer', () => {
  const [first, second] = [typed('no play', 60), typed('rear right', 60, 6 * 60 + 3 * TOGETHER_MS)];
  expect(play([...first, ...second])).toEqual({ commands: '', words: 'no playrear right' });
  expect(play([...first, ['c', 360 + WORDS_REST_MS]])).toEqual({ commands: 'c', words: 'no play' });
});

test('every key is heard once, as one or the other, in its order', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(...'abcxyz 12'), fc.integer({ min: 1, max: 2 * TOGETHER_MS })), {
        maxLength: 40,
      }),
      (steps) => {
        let at = 0;
        const keys = steps.map(([key, gap]): [string, number] => [key, (at += gap)]);
        const { commands, words } = play(keys);
        expect(commands.length + words.length).toBe(keys.length);
        expect([...commands, ...words].sort()).toEqual(keys.map(([key]) => key).sort());
      },
    ),
  );
});

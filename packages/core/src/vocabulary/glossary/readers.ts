import { sketch, type GlossaryEntry } from './glossaryEntry.ts';

/** Words of readers and their menus. */
export const READER_WORDS: readonly GlossaryEntry[] = [
  {
    term: 'active',
    also: ['present', 'current code'],
    kind: 'reader',
    lines: [
      'A code that is there now: the controller finds the fault as you read.',
      'It can be chased with a meter: it will not hide.',
      'Not to be mixed up with an active sensor.',
    ],
    drawing: sketch('one line'),
  },
  {
    term: 'stored',
    also: ['history', 'passive code', 'memory'],
    kind: 'reader',
    lines: [
      'A code that was there and is not now: it may come and go, or be long mended.',
      'Clear it, drive, and see whether it comes back.',
      'What comes and goes is more often a joint than a part.',
    ],
    drawing: sketch('lines'),
  },
  {
    term: 'pending',
    also: [],
    kind: 'reader',
    lines: [
      'Seen once, not yet often enough for the controller to be sure.',
      'No lamp need be lit.',
      'Drive on and read again before anything is sold.',
    ],
    drawing: sketch('lines'),
  },
  {
    term: 'live speeds',
    also: ['live data', 'live', 'wheel speeds', 'actual values'],
    kind: 'reader',
    lines: [
      'Each wheel\u2019s speed as the controller has it, while it turns.',
      'One at nought among three that run: that corner is dead.',
      'All run, and one dips once a turn: one bad place on its ring.',
    ],
    drawing: sketch('curves'),
  },
  {
    term: 'clear codes',
    also: ['clear', 'cleared', 'erase codes'],
    kind: 'reader',
    lines: [
      'Deletes what the controller remembers; what is wrong stays wrong.',
      'Write the codes down first: they are gone.',
      'After a repair it is the proof: cleared, driven, and still out.',
    ],
    drawing: sketch('wiped'),
  },
];

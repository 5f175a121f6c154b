/** How the fix is proved, by what reads codes and by what was wrong. */
export const prove = {
  'before-after':
    'Write down the speed of this wheel and of the one across before and after: they agree within {{percent}} %.',
  'by-hand':
    'Before the liner goes back: wheel on with two bolts, still lifted, spin it by hand and read its speed.',
  'full-clear': 'With the reader clear every controller that stored a code, even if the lamps are out.',
  'full-again':
    'Read the codes again after the drive. A lamp lit while the reader talks to the brakes is no relapse.',
  'engine-only':
    'A reader that reaches the engine only cannot clear the brakes: the lamps are the proof. Have the stored code cleared at the next service.',
  'no-reader': 'Without a reader the lamps are the proof; what is stored stays stored and does no harm.',
  'any-reader':
    'With a reader that reaches the brakes clear every controller; without one the lamps are the proof, and what is stored stays stored.',
  'battery-lead':
    'Battery lead off for ten minutes may clear it. It loses clock, radio code and window settings, and may clear nothing.',
  'key-cycle':
    'Key off for half a minute, key on: the lamps come on and go out. Up to three times; some go out only after a drive.',
  drive: 'Roll a few metres, then drive straight above 20 km/h. Some lamps take a drive of ten minutes.',
  'drive-trailer':
    'Couple up, key on: the trailer\u2019s lamp comes on and goes out above 10 km/h at the latest.',
  ring: 'Roll at walking pace with the window open: no dip and no pulse in the pedal once a turn.',
  joint: 'Key on, standing: wiggle plug and lead; then over bumps. The speed may not jump.',
  tyre: 'Straight road, steady speed: all four wheels within {{percent}} % of each other.',
  bearing: 'Lifted: rock it, spin it, listen. No play, no growl; the speed is steady.',
  sender: 'The speedometer follows from walking pace on. If the lamp stays on, that is a second fault.',
  brake: 'Brake once gently to a stop: the pedal stays smooth to the end.',
  back: 'If a lamp is back, note when and where, and bring the old part and this page.',
} as const;

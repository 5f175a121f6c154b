/** Where a stop stands: this page prints first, whatever else is printed. */
export const stop = {
  lead: 'Do not drive this vehicle, not even home, not even slowly.',
  wheel: 'Wheel {{where}}: {{danger}}. A bearing that far gone lets the wheel come off.',
  'wheel-unnamed':
    'A wheel with {{danger}}, and nobody said which: each is rocked, lifted, before the vehicle moves.',
  bolts:
    'It was worked on lately: look at the wheel bolts first, and tighten them crosswise by torque wrench.',
  leaking: 'Brake fluid is leaking: the brakes can fail at the next stop.',
  soft: 'The brake pedal is soft or sinks: the brakes can fail at the next stop.',
  hot: 'A wheel is hot or smoking: a brake that drags or a bearing that fails. Keep away from it, let it cool, nothing that burns near it, no water on it.',
  low: 'Brake fluid is low: worn pads or a leak. It is found out before the vehicle moves.',
  flatbed: 'On a flatbed, by a recovery service. Not towed on this wheel, not towed with a soft pedal.',
  workshop: 'To a workshop, or someone licensed for brakes comes to it.',
  stand:
    'Leave it where it stands, wheels chocked, if that is safe; else call recovery and stay clear of the road.',
  lifted: 'Nobody works under it on a jack alone.',
  order:
    'Parts can be ordered now. They are fitted by licensed people, and it is driven after their word only.',
  play: { slight: 'slight play', clear: 'clear play', none: 'no play' },
  growl: 'a growl',
  'slight-and-growl': 'slight play and a growl',
  'clear-and-growl': 'clear play and a growl',
} as const;

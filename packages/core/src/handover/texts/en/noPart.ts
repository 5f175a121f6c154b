/** Where nothing from the shelf cures it, what does. */
export const noPart = {
  'tyre-why': 'The wheel speed is true; the tyre is not as the others. A sensor would change nothing.',
  'tyre-size':
    'All tyres of an axle, better of the vehicle, of one size and kind; read the size on each side wall.',
  'tyre-pressure': 'Set all pressures cold, to the plate in the door.',
  'tyre-wear':
    'Worn unevenly: change them over or renew the pair; more than {{percent}} % between wheels of an axle is seen by the controller.',
  'tyre-learn': 'Then teach the tyre monitor anew where there is one, and clear the code.',
  'supply-why': 'The controllers were starved of voltage: the long list of codes is what that leaves behind.',
  'supply-charge':
    'Charge the battery, test it at rest and while cranking: above {{resting}} V and above {{cranking}} V. Clean and tighten both poles and the earth strap.',
  'supply-clear': 'Clear all controllers, drive, read again: what is left now is real.',
  'seating-why': 'The sensor is sound; rust or dirt keeps it from its target.',
  'seating-clean':
    'Draw it where it comes freely, clean tip, bore and seat to bright metal, wipe the target, seat it flat, tighten its bolt.',
  'seating-keep':
    'Coat the bore, never the tip. If it does not come freely leave it and come back: it may snap.',
  'none-why': 'Nothing is wrong now: the code is of something that passed or was cured.',
  'none-clear':
    'Clear the code and use the vehicle for a week. If it comes back, note speed, road, weather and wheel.',
  'module-why': 'The controller or its pump, or what feeds it: no wheel part cures that.',
  'module-feed':
    'Feeds and earths of the controller are measured under load first, then its plug looked at for water.',
  'module-specialist':
    'A renewed or rebuilt controller is coded and bled by licensed people with the maker\u2019s data.',
  'wiring-why': 'The loom between wheel and controller: no kit reaches it.',
  'wiring-mend':
    'The place is found with a meter, wire by wire, and mended with wire of the same kind, twisted as it was.',
  'other-why': 'What is wrong is not made good by a part from the shelf.',
  'other-cure':
    'A workshop with the maker\u2019s data finds it: bring this page, the codes and what was looked at so far.',
  care: 'With the lamp on, anti-lock and stability control may be off: drive accordingly until it is out.',
} as const;

import type { stop as en } from '../en/stop.ts';
import type { Told } from '../told.ts';

export const stop: Told<typeof en> = {
  lead: 'Dieses Fahrzeug nicht fahren, auch nicht nach Hause, auch nicht langsam.',
  wheel: 'Rad {{where}}: {{danger}}. Ein so verschlissenes Lager kann das Rad abgehen lassen.',
  'wheel-unnamed':
    'Ein Rad mit {{danger}}, und niemand sagte welches: jedes wird angehoben ger\u00FCttelt, bevor das Fahrzeug rollt.',
  bolts:
    'Daran wurde neulich gearbeitet: zuerst die Radschrauben ansehen und \u00FCber Kreuz mit Drehmomentschl\u00FCssel festziehen.',
  leaking: 'Bremsfl\u00FCssigkeit l\u00E4uft aus: die Bremse kann beim n\u00E4chsten Halt versagen.',
  soft: 'Das Bremspedal ist weich oder sinkt: die Bremse kann beim n\u00E4chsten Halt versagen.',
  hot: 'Ein Rad ist hei\u00DF oder raucht: eine schleifende Bremse oder ein fressendes Lager. Abstand halten, abk\u00FChlen lassen, nichts Brennbares in die N\u00E4he, kein Wasser darauf.',
  low: 'Zu wenig Bremsfl\u00FCssigkeit: abgefahrene Bel\u00E4ge oder ein Leck. Das wird gekl\u00E4rt, bevor das Fahrzeug rollt.',
  flatbed:
    'Auf einem Plateau, durch einen Abschleppdienst. Nicht auf diesem Rad geschleppt, nicht mit weichem Pedal geschleppt.',
  workshop: 'In eine Werkstatt, oder jemand mit Zulassung f\u00FCr Bremsen kommt hin.',
  stand:
    'Stehen lassen, wo es steht, R\u00E4der verkeilt, wenn das sicher ist; sonst Abschleppdienst rufen und weg von der Fahrbahn.',
  lifted: 'Niemand arbeitet darunter, wenn es nur auf einem Wagenheber steht.',
  order:
    'Teile k\u00F6nnen jetzt bestellt werden. Fachleute bauen sie ein, und gefahren wird erst auf deren Wort.',
  play: { slight: 'etwas Spiel', clear: 'deutliches Spiel', none: 'kein Spiel' },
  growl: 'Brummen',
  'slight-and-growl': 'etwas Spiel und Brummen',
  'clear-and-growl': 'deutliches Spiel und Brummen',
};

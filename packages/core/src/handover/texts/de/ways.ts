import type { ways as en } from '../en/ways.ts';
import type { Told } from '../told.ts';

export const ways: Told<typeof en> = {
  boreCoat: {
    asks: 'Womit die Bohrung eines Sensors bestrichen wird',
    'plastic-safe':
      'Bohrung: d\u00FCnn Fett, das Kunststoff und Gummi schont. Es h\u00E4lt Salz fern, und der n\u00E4chste Sensor kommt heil heraus.',
    'anti-seize':
      'Bohrung: d\u00FCnn Metallpaste, nichts an die Spitze oder ans Geberrad. H\u00E4lt im Salz am l\u00E4ngsten; ihr Metall st\u00F6rt eine magnetische Spitze.',
    'rubber-grease':
      'Bohrung: Gummifett. Richtig, wo eine Dichtung in der Bohrung sitzt; es w\u00E4scht eher aus.',
    dry: 'Bohrung: trocken und blank. Richtig, wo der Hersteller es sagt; im Salz frisst der n\u00E4chste fest.',
  },
  targetWipe: {
    asks: 'Wie ein Zahnring oder Geberring abgewischt wird',
    'dry-rag':
      'Geberrad: nur trockener, fusselfreier Lappen. L\u00F6semittel kriecht ins Lager und nimmt sein Fett.',
    cleaner:
      'Geberrad: mit Reiniger feuchter Lappen am Zahnring, nie gespr\u00FCht; am magnetischen trockener Lappen.',
  },
  splice: {
    asks: 'Wie Adern verbunden werden',
    crimp:
      'Verbindung: versetzte Quetschverbinder der Aderst\u00E4rke unter Klebeschlauch. H\u00E4lt gegen R\u00FCtteln.',
    solder:
      'Verbindung: gel\u00F6tet, Klebeschlauch, festgeclipst. Dicht gegen Wasser; wo es r\u00FCttelt, bricht sie neben dem Lot.',
    'old-terminals':
      'Verbindung: neues Geh\u00E4use auf die alten Kontakte, wo sie blank sind. Nichts wird geschnitten; ein m\u00FCder Kontakt bleibt m\u00FCde.',
  },
  axleNut: {
    asks: 'Die Achsmutter',
    new: 'Achsmutter: immer neu. Sie wird zum Sichern verformt und h\u00E4lt einmal.',
    'as-maker':
      'Achsmutter: neu, wenn die Angaben des Herstellers nicht sagen, dass sie wieder verwendet werden darf.',
  },
  reach: {
    asks: 'Wie man an einen vorderen Sensor kommt',
    'wheel-off': 'Rad ab: man sieht Bohrung, Ring und Kabel.',
    steered:
      'Voll eingeschlagen, wo der Sensor so erreichbar ist: schneller; das Geberrad sieht man nicht, und unter dem Fahrzeug wird nichts getan.',
  },
  clearing: {
    asks: 'Wie Fehler gel\u00F6scht werden',
    reader: 'Gel\u00F6scht mit dem Leseger\u00E4t: jedes Steuerger\u00E4t, sonst geht nichts verloren.',
    'battery-lead':
      'Gel\u00F6scht \u00FCber die Batterie: braucht kein Leseger\u00E4t; verliert Einstellungen und l\u00F6scht vielleicht nichts.',
  },
};

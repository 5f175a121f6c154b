import type { CheckName } from '../../../checkKinds/checkTypes.ts';
import type { CheckTexts } from '../en/en.ts';

export const checks: Readonly<Record<CheckName, CheckTexts>> = {
  'visual.connector': {
    words: 'in den Stecker schauen',
    how: [
      'Dem Kabel zum Stecker folgen, entriegeln und mit einer Lampe in beide H\u00E4lften schauen.',
      'Gr\u00FCnes oder wei\u00DFes Pulver, ein zur\u00FCckgeschobener Kontakt, eine gebrochene Rastung, eine alte Flickstelle.',
    ],
    results: {
      sound: ['in Ordnung', 'spricht gegen die Verbindung'],
      corroded: ['korrodiert', 'die Verbindung ist defekt'],
      'broken-lock': ['Rastung gebrochen', 'die Verbindung ist verd\u00E4chtig'],
      'loose-pins': ['lose Kontakte', 'die Verbindung ist defekt'],
      'earlier-repair': ['fr\u00FChere Reparatur', 'die Verbindung ist verd\u00E4chtig'],
      'shell-broken': ['Geh\u00E4use gebrochen', 'die Verbindung ist defekt'],
    },
  },
  'visual.ring': {
    words: 'den Zahnring ansehen',
    how: [
      'Rad ab, Nabe langsam drehen und jeden Zahn mit einer Lampe ansehen.',
      'Ein Riss zeigt sich als eine weite L\u00FCcke; Rost hebt den Ring vom Sitz.',
    ],
    results: {
      sound: ['in Ordnung', 'spricht gegen den Ring'],
      cracked: ['gerissen', 'der Ring ist defekt'],
      loose: ['lose', 'der Ring ist defekt'],
      'missing-teeth': ['Z\u00E4hne fehlen', 'der Ring ist defekt'],
      rusted: ['verrostet', 'Spalt oder Ring verd\u00E4chtig'],
      dirty: ['verschmutzt', 'reinigen und noch einmal versuchen'],
      'not-visible': ['nicht zu sehen', ''],
    },
  },
  'ring.teeth': {
    words: 'die Z\u00E4hne des Rings z\u00E4hlen',
    how: [
      'Einen Zahn mit Kreide zeichnen, Nabe drehen und jeden Zahn oder Schlitz z\u00E4hlen, bis das Zeichen wiederkommt.',
      'Auch den Ring gegen\u00FCber z\u00E4hlen: beide m\u00FCssen gleich sein.',
    ],
    results: {},
  },
  'visual.sensor': {
    words: 'die Sensorspitze ansehen',
    how: [
      'Rad ab, Spitze und Sitz ansehen; den Sensor nur ziehen, wenn er sich willig dreht.',
      'Nach Schleifspuren, Sp\u00E4nen am Magneten, Rost unter dem Sitz, gerissenem Kabel schauen.',
    ],
    results: {
      sound: ['in Ordnung', 'sagt wenig'],
      broken: ['gebrochen', 'der Sensor ist defekt'],
      corroded: ['korrodiert', 'Sensor oder Sitz'],
      rubbed: ['geschliffen', 'Ring oder Lager ber\u00FChrt ihn'],
      'metal-on-tip': ['Sp\u00E4ne an der Spitze', 'reinigen und noch einmal versuchen'],
      loose: ['lose', 'ansetzen und noch einmal versuchen'],
      'lead-damaged': ['Kabel besch\u00E4digt', 'das Sensorkabel ist defekt'],
      snapped: ['abgerissen', 'der Sensor ist defekt: einen verkaufen'],
    },
  },
  'visual.harness': {
    words: 'den Kabelbaum entlangsehen',
    how: [
      'Vom Stecker bis zum Eintritt in die Karosserie folgen und dabei biegen.',
      'Clips, Federbein und Stellen an Metall ansehen.',
    ],
    results: {
      sound: ['in Ordnung', 'sagt wenig'],
      chafed: ['gescheuert', 'der Kabelbaum ist defekt'],
      cut: ['durchtrennt', 'der Kabelbaum ist defekt'],
      corroded: ['korrodiert', 'der Kabelbaum ist defekt'],
      'earlier-repair': ['fr\u00FChere Reparatur', 'der Kabelbaum ist verd\u00E4chtig'],
    },
  },
  'bearing.play': {
    words: 'am Rad r\u00FCtteln',
    how: [
      'Rad frei auf B\u00F6cken, oben und unten fassen und r\u00FCtteln.',
      'Jedes sp\u00FCrbare Klopfen ist Spiel; mit der anderen Seite vergleichen.',
    ],
    results: {
      none: ['kein Spiel', 'spricht gegen das Lager'],
      slight: ['etwas Spiel', 'das Lager ist verd\u00E4chtig'],
      clear: ['deutliches Spiel', 'nicht fahren: zuerst die Nabe'],
    },
  },
  'bearing.noise': {
    words: 'das Rad drehen und horchen',
    how: [
      'Rad frei auf B\u00F6cken, drehen, eine Hand an der Feder.',
      'Ein sp\u00FCrbares Brummen ist das Lager.',
    ],
    results: {
      none: ['nichts', 'spricht gegen das Lager'],
      growl: ['Brummen', 'das Lager ist verschlissen'],
    },
  },
  wiggle: {
    words: 'am Kabel wackeln',
    how: [
      'Drehzahl oder Messger\u00E4t beobachten, w\u00E4hrend jemand Kabel, Stecker und Baum bewegt.',
      'Alle paar Zentimeter biegen, dann an den Stecker klopfen.',
    ],
    results: {
      steady: ['ruhig', 'sagt wenig'],
      changes: ['ver\u00E4ndert sich', 'eine Verbindung oder Ader ist gebrochen'],
    },
  },
  live: {
    words: 'Raddrehzahlen vergleichen',
    how: [
      'Alle Raddrehzahlen am Leseger\u00E4t zeigen, im Schritt rollen, dann mit 30 km/h.',
      'Welche fehlt, setzt aus oder weicht um einen festen Anteil ab?',
    ],
    results: {
      normal: ['normal', 'jetzt ist nichts defekt'],
      'no-signal': ['kein Signal', 'Sensor oder Leitung ist tot'],
      'drops-out': ['setzt aus', 'Verbindung, Sensor oder Lager kommt und geht'],
      'once-per-turn': ['einmal je Umdrehung', 'eine schlechte Stelle am Geberrad'],
      'reads-high': ['zu hoch', 'Reifen oder Z\u00E4hnezahl'],
      'reads-low': ['zu niedrig', 'Reifen oder Z\u00E4hnezahl'],
      'weak-at-low-speed': ['schwach bei kleinem Tempo', 'der Spalt ist zu weit'],
      noisy: ['unruhig', 'Geberrad, Lager oder St\u00F6rung'],
    },
  },
  'meter.resistance': {
    words: 'den Widerstand messen',
    how: [
      'Sensor abstecken, \u00FCber beide Kontakte messen, dann jeden gegen Masse.',
      'Mit der anderen Seite am selben Ger\u00E4t vergleichen, Temperatur notieren.',
    ],
    results: {
      open: ['unterbrochen', 'der Sensor ist unterbrochen'],
      short: ['Kurzschluss', 'der Sensor hat Kurzschluss'],
      unstable: ['unruhig', 'schlechte Verbindung oder Kabel'],
    },
  },
  'meter.supply': {
    words: 'die Versorgung am offenen Stecker messen',
    how: [
      'Stecker offen, Z\u00FCndung an, fahrzeugseitig zwischen beiden Kontakten messen.',
      'Etwa 5 V bis Batteriespannung.',
    ],
    results: {},
  },
  'meter.ac': {
    words: 'die Wechselspannung von Hand messen',
    how: [
      'Stecker offen, Wechselspannung \u00FCber dem Sensor messen, Rad einmal je Sekunde von Hand drehen.',
      'Mindestens etwa 0,1 V.',
    ],
    results: {},
  },
  'clear-and-drive': {
    words: 'Fehler l\u00F6schen und fahren',
    how: [
      'Fehler notieren, l\u00F6schen, Z\u00FCndung an, ein paar Meter rollen und fahren.',
      'Notieren, wann die Lampe wiederkommt: sofort, beim Anfahren oder auf Unebenheiten.',
    ],
    results: {
      'stays-away': ['bleibt weg', 'etwas Vergangenes'],
      'back-at-once': ['sofort wieder da', 'Unterbrechung oder Kurzschluss'],
      'back-when-driven': ['beim Fahren wieder da', 'Geberrad, Spalt oder Reifen'],
      'back-on-bumps': ['auf Unebenheiten wieder da', 'Leitung oder Lager'],
    },
  },
  swap: {
    words: 'links und rechts tauschen',
    how: [
      'Sensor mit der anderen Seite der Achse tauschen, l\u00F6schen und fahren.',
      'Nur, wo beide Seiten denselben Sensor haben und beide willig kommen.',
    ],
    results: {
      'fault-stayed': ['Fehler blieb', 'nicht der Sensor'],
      'fault-followed': ['Fehler wanderte mit', 'der Sensor ist defekt'],
    },
  },
  tyres: {
    words: 'die Reifengr\u00F6\u00DFen vergleichen',
    how: [
      'Gr\u00F6\u00DFe an allen R\u00E4dern von der Flanke lesen, und die Dr\u00FCcke.',
      'Je Achse m\u00FCssen alle gleich sein.',
    ],
    results: {},
  },
  battery: {
    words: 'die Batterie pr\u00FCfen',
    how: [
      'Batterie in Ruhe messen, dann beim Anlassen.',
      'Unter etwa 12,2 V in Ruhe oder 9,6 V beim Anlassen ist sie schwach.',
    ],
    results: {},
  },
  lamps: {
    words: 'nachsehen, welche Lampen jetzt leuchten',
    how: [
      'Z\u00FCndung an, Motor l\u00E4uft: welche Lampen bleiben an?',
      'Fragen, ob sie von selbst oder nach dem L\u00F6schen ausgingen.',
    ],
    results: {
      on: ['an', 'der Fehler ist jetzt da'],
      'out-by-itself': ['von selbst aus', 'er kommt und geht, oder er ist vorbei'],
      'out-after-clearing': ['nach dem L\u00F6schen aus', 'er war vorbei, oder er ist noch nicht wieder da'],
    },
  },
  'brake.fluid': {
    words: 'die Bremsfl\u00FCssigkeit ansehen',
    how: [
      'Bevor irgendetwas gefahren wird: Stand am Beh\u00E4lter lesen, dann jedes Rad und die Leitungen auf N\u00E4sse ansehen.',
      'Wenig ohne Leck sind abgefahrene Bel\u00E4ge: messen. Dann Pedal und Feststellbremse.',
    ],
    results: {
      full: ['voll', 'Bel\u00E4ge und Feststellbremse ansehen, dann die Raddrehzahlen'],
      low: ['zu wenig', 'nicht fahren: abgefahrene Bel\u00E4ge oder ein Leck'],
      leaking: ['l\u00E4uft aus', 'nicht fahren: sofort in eine Werkstatt'],
    },
  },
};

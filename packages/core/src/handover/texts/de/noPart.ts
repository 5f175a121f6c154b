import type { noPart as en } from '../en/noPart.ts';
import type { Told } from '../told.ts';

export const noPart: Told<typeof en> = {
  'tyre-why':
    'Die Raddrehzahl stimmt; der Reifen ist anders als die \u00FCbrigen. Ein Sensor w\u00FCrde nichts \u00E4ndern.',
  'tyre-size':
    'Alle Reifen einer Achse, besser des Fahrzeugs, von einer Gr\u00F6\u00DFe und Art; die Gr\u00F6\u00DFe steht auf jeder Flanke.',
  'tyre-pressure': 'Alle Dr\u00FCcke kalt einstellen, nach dem Schild in der T\u00FCr.',
  'tyre-wear':
    'Ungleich abgefahren: umsetzen oder das Paar erneuern; mehr als {{percent}} % zwischen den R\u00E4dern einer Achse merkt das Steuerger\u00E4t.',
  'tyre-learn': 'Dann die Reifenwarnung neu anlernen, wo es eine gibt, und den Fehler l\u00F6schen.',
  'supply-why':
    'Die Steuerger\u00E4te hatten zu wenig Spannung: die lange Fehlerliste ist, was davon bleibt.',
  'supply-charge':
    'Batterie laden, in Ruhe und beim Anlassen messen: \u00FCber {{resting}} V und \u00FCber {{cranking}} V. Beide Pole und das Masseband reinigen und festziehen.',
  'supply-clear':
    'Alle Steuerger\u00E4te l\u00F6schen, fahren, noch einmal auslesen: was jetzt bleibt, ist echt.',
  'seating-why': 'Der Sensor ist heil; Rost oder Schmutz h\u00E4lt ihn von seinem Geberrad ab.',
  'seating-clean':
    'Ziehen, wo er willig kommt; Spitze, Bohrung und Sitz blank machen, Geberrad abwischen, plan ansetzen, Schraube festziehen.',
  'seating-keep':
    'Die Bohrung fetten, nie die Spitze. Kommt er nicht willig, stecken lassen und wiederkommen: er kann abrei\u00DFen.',
  'none-why': 'Jetzt ist nichts defekt: der Fehler ist von etwas, das vorbei oder behoben ist.',
  'none-clear':
    'Fehler l\u00F6schen und eine Woche fahren. Kommt er wieder: Tempo, Stra\u00DFe, Wetter und Rad notieren.',
  'module-why': 'Das Steuerger\u00E4t oder seine Pumpe, oder was es versorgt: kein Teil am Rad behebt das.',
  'module-feed':
    'Erst werden Versorgung und Masse des Steuerger\u00E4ts unter Last gemessen, dann sein Stecker auf Wasser angesehen.',
  'module-specialist':
    'Ein neues oder \u00FCberholtes Steuerger\u00E4t wird von Fachleuten nach Angaben des Herstellers kodiert und entl\u00FCftet.',
  'wiring-why': 'Der Kabelbaum zwischen Rad und Steuerger\u00E4t: kein Reparatursatz reicht dorthin.',
  'wiring-mend':
    'Die Stelle wird mit dem Messger\u00E4t gefunden, Ader f\u00FCr Ader, und mit gleicher Leitung geflickt, verdrillt wie zuvor.',
  'other-why': 'Was defekt ist, behebt kein Teil aus dem Regal.',
  'other-cure':
    'Eine Werkstatt mit den Daten des Herstellers findet es: diese Seite, die Fehlercodes und was schon angesehen wurde mitbringen.',
  care: 'Solange die Lampe leuchtet, k\u00F6nnen Blockierschutz und Schleuderschutz aus sein: entsprechend fahren.',
};

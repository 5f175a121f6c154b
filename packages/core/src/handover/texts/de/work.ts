import type { PartClass } from '../../../vocabulary/words.ts';
import type { WorkTexts } from '../en/en.ts';

const LIFT = 'Wagenheber, B\u00F6cke und Keile';
const WHEEL_BOLTS = 'Radschrauben oder -muttern, \u00FCber Kreuz';
const HANG = 'Sattel an einen Haken h\u00E4ngen, nie an seinen Schlauch.';
const LOOSEN = 'Achsmutter l\u00F6sen, solange das Fahrzeug auf den R\u00E4dern steht.';
const TIGHTEN = 'Achsmutter: mit dem Rad am Boden anziehen, auf den Wert unten.';

/** Line by line as each class of parts has them in English. */
export const work: Readonly<Record<PartClass, WorkTexts>> = {
  sensor: {
    access: [
      'Rad ab. Der Stecker sitzt hoch im Radhaus, hinter der Verkleidung oder unter einem Deckel: erst ihn finden, dann den Sensor ziehen.',
    ],
    stays: ['Sattel, Scheibe und Nabe bleiben dran; nichts an der Bremsleitung wird ge\u00F6ffnet.'],
    tools: [
      LIFT,
      'Drehmomentschl\u00FCssel',
      'weiche B\u00FCrste und fusselfreier Lappen',
      'Rostl\u00F6ser',
      'Sensorfett f\u00FCr die Bohrung',
    ],
    steps: [
      'Alten und neuen Sensor nebeneinander legen: Stecker, Kodierung, Kabel, L\u00E4nge der Spitze.',
      'Sensor abstecken und sein Kabel aus jedem Clip l\u00F6sen; den Weg merken.',
      'Bohrung einweichen und warten. Schraube l\u00F6sen, Sensor hin und her drehen; nie am Kabel ziehen oder an der Spitze hebeln.',
      'Durch die Bohrung schauen: nichts vom alten Sensor darf darin bleiben.',
      'Bohrung und Sitz metallisch blank machen. Trocken einpassen: der neue Sensor muss von Hand hineinfallen und plan aufliegen.',
      'Die Bohrung bestreichen, nie die Spitze. Sensor ansetzen; er liegt plan, bevor die Schraube kommt, und der Spalt ist rundum gleich.',
      'Kabel auf dem alten Weg einclipsen, von Anschlag zu Anschlag ohne Zug.',
    ],
    torques: ['Sensorschraube', WHEEL_BOLTS],
  },
  'tone-ring': {
    access: ['Rad, Sattel und Scheibe oder Trommel ab; der Ring sitzt dahinter auf Nabe oder Gelenk.'],
    stays: ['Der Bremsschlauch bleibt am Sattel: kein Entl\u00FCften, wo keine Leitung ge\u00F6ffnet wurde.'],
    tools: [LIFT, 'Drehmomentschl\u00FCssel', 'Abzieher oder Presse', 'Drahtb\u00FCrste f\u00FCr den Sitz'],
    steps: [
      HANG,
      'Z\u00E4hne des alten Rings z\u00E4hlen und vor dem Pressen mit dem neuen vergleichen.',
      'Nabe heraus: Achsmutter am Boden l\u00F6sen, Nabenschrauben von hinten.',
      'Welle aus der Nabe; festsitzende Verzahnung braucht Abzieher und W\u00E4rme, nie einen Hammer aufs Gewinde.',
      'Ring ab; Sitz metallisch blank machen, sonst rei\u00DFt der neue wie der alte.',
      'Neuen Ring gerade bis zum Anschlag pressen; ein warmer Ring geht auf einen kalten Sitz.',
      'Spalt rundum pr\u00FCfen, indem die Nabe gedreht wird.',
    ],
    torques: ['Schrauben des Sattelhalters', 'Achsmutter', WHEEL_BOLTS],
  },
  'hub-assembly': {
    access: [
      'Rad, Sattel und Scheibe ab, Achsmutter mit dem Rad am Boden gel\u00F6st; Nabenschrauben von hinter dem Achsschenkel.',
    ],
    stays: [
      'Der Bremsschlauch bleibt am Sattel; das Federbein bleibt am Achsschenkel, wo die Nabe angeschraubt ist.',
    ],
    tools: [
      LIFT,
      'Drehmomentschl\u00FCssel f\u00FCr die Achsmutter',
      'Nabenabzieher',
      'Drahtb\u00FCrste f\u00FCr den Sitz',
    ],
    steps: [
      LOOSEN,
      HANG,
      'Ein getrennter Sensor kommt zuerst heraus; ein festsitzender bricht hier, also einen bereithalten.',
      'Die magnetische Seite des Lagers zeigt zum Sensor. Sp\u00E4ne und Magnete fernhalten; nicht waschen.',
      'Ring der neuen Nabe mit dem alten vergleichen: Z\u00E4hne z\u00E4hlen. Ein Ring, der umzieht, wird gerade auf sauberen Sitz gepresst.',
      'Das Lager zusammenhalten: ein geteiltes verliert seine Rollen und ist Schrott.',
      'Sitz im Achsschenkel reinigen, Nabe mit neuen Schrauben ansetzen, \u00FCber Kreuz anziehen.',
      TIGHTEN,
    ],
    torques: ['Nabenschrauben', 'Achsmutter', 'Schrauben des Sattelhalters', WHEEL_BOLTS],
  },
  'axle-shaft': {
    access: [
      'Achsmutter am Boden gel\u00F6st; Rad ab; unteres Gelenk getrennt, um den Achsschenkel zu schwenken.',
    ],
    stays: [
      'Der Sattel darf am Achsschenkel bleiben, wo der Schlauch reicht; keine Bremsleitung wird ge\u00F6ffnet.',
    ],
    tools: [LIFT, 'Drehmomentschl\u00FCssel f\u00FCr die Achsmutter', 'Gelenktrenner', 'Auffangwanne'],
    steps: [
      LOOSEN,
      'L\u00E4nge, Verzahnung und Z\u00E4hne des Rings von alter und neuer Welle vor dem Einbau vergleichen.',
      'Achsschenkel abst\u00FCtzen: kein Kabel und kein Schlauch darf ihn tragen.',
      'Verzahnung fest in der Nabe: einweichen, Abzieher, W\u00E4rme an der Nabe fern von Lager und Manschette; nie ein Hammer aufs Gewinde.',
      'Dichtung und Sicherungsring erneuern; Getriebe\u00F6l bis zur Marke auff\u00FCllen.',
      TIGHTEN,
    ],
    torques: ['Achsmutter', 'Mutter des unteren Gelenks', WHEEL_BOLTS],
  },
  'connector-kit': {
    access: [
      'Die Verbindung sitzt hoch im Radhaus hinter der Verkleidung, im Kofferraum oder unter einer Leuchte: dem Kabel vom Sensor folgen.',
    ],
    stays: ['Der Sensor bleibt in seiner Bohrung: ein festsitzender wird daf\u00FCr nicht gezogen.'],
    tools: [
      'Quetschzange f\u00FCr die Kontaktgr\u00F6\u00DFe',
      'Abisolierzange',
      'Hei\u00DFluft f\u00FCr dichte Verbinder',
      'Anh\u00E4nger oder Band',
    ],
    steps: [
      'Adern kennzeichnen und, wo ein Belagkabel ein gleiches Geh\u00E4use hat, beide.',
      'Sehen, ob die Kontakte bleiben k\u00F6nnen: ein neues Geh\u00E4use nimmt heile; gr\u00FCne oder lose werden erneuert.',
      'Bis ins blanke Kupfer zur\u00FCckschneiden, schwarzes nimmt weder Quetschung noch Lot an; Verbinder versetzen; ein verdrilltes Paar bleibt verdrillt.',
      'Jede Verbindung mit Klebeschlauch dichten; an jeder Ader ziehen.',
      'T\u00FClle zum Durchziehen \u00F6len und rundum einsetzen, damit kein Wasser eindringt.',
      'Beide H\u00E4lften probieren, bevor die Verkleidung zur\u00FCckkommt: die Rastung klickt, kein Kontakt weicht zur\u00FCck, die Drehzahl kommt.',
      'Verbindung so einclipsen, dass Wasser von ihr abl\u00E4uft.',
    ],
    torques: [],
  },
  sender: {
    access: ['Am Differenzial oder am Getriebeausgang, von unten.'],
    stays: ['Deckel des Differenzials und Gelenkwelle bleiben dran.'],
    tools: ['Rampe oder B\u00F6cke und Keile', 'Messger\u00E4t', 'Auffangwanne', 'Drehmomentschl\u00FCssel'],
    steps: [
      'Den neuen Geber samt Kabel auf dem Tresen messen, vor dem Einbau: manche sind ab Werk unterbrochen.',
      'Rund um den Geber reinigen, bevor er gezogen wird; \u00D6l auffangen.',
      'Mit neuer Dichtung und einem Hauch \u00D6l einsetzen; Kabel fern vom Auspuff clipsen.',
    ],
    torques: ['Geberschraube'],
  },
};

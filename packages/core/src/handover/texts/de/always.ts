import type { always as en } from '../en/always.ts';
import type { Told } from '../told.ts';

export const always: Told<typeof en> = {
  pedal: 'Bremspedal pumpen, bis es fest ist, bevor das Fahrzeug rollt: der Sattel war ab.',
  'park-brake':
    'Eine elektrische Feststellbremse kommt in ihre Wartungsstellung, bevor ein hinterer Sattel angefasst wird, und danach wieder heraus.',
  bolts:
    'Radschrauben nach {{from}} bis {{to}} km nachziehen, \u00FCber Kreuz, mit Drehmomentschl\u00FCssel.',
  hands: 'Niemand fasst Kabel, Sensor oder Ring an, solange Motor oder Antrieb ein Rad dreht.',
  road: 'Keine Vollbremsung auf der Stra\u00DFe, um die Regelung auszul\u00F6sen.',
  bleeding:
    'Keine Bremsleitung wird hierf\u00FCr ge\u00F6ffnet. Wurde eine ge\u00F6ffnet, entl\u00FCften Fachleute die Bremse, bevor das Fahrzeug rollt.',
  alignment: 'Spur einstellen lassen: der Achsschenkel wurde bewegt.',
  outside: 'Dieses Fahrzeug steht nicht in unserem Katalog: jedes Anzugsmoment ist der Wert des Herstellers.',
  voltage:
    'Elektrisch oder Hybrid: orange Kabel und alles daran sind nur f\u00FCr Ausgebildete. Hier braucht man sie nicht.',
};

import type { cautions as en } from '../en/cautions.ts';
import type { Told } from '../told.ts';

export const cautions: Told<typeof en> = {
  'stop-driving':
    'Nicht fahren. Ein Rad mit Spiel oder Brummen kann abgehen, und eine Bremse mit weichem Pedal oder ohne Fl\u00FCssigkeit kann versagen. Sofort in eine Werkstatt.',
  'abs-inactive':
    'Blockierschutz und Schleuderschutz k\u00F6nnen aus sein: l\u00E4ngere Bremswege, das Fahrzeug kann schleudern. Entsprechend fahren und bald richten lassen.',
  lifting:
    'Nur an zugelassenen Punkten anheben, auf ebenem Boden, mit B\u00F6cken und Keilen. Nie unter einem Fahrzeug arbeiten, das ein Wagenheber h\u00E4lt.',
  'single-use-fasteners':
    'Schrauben und Muttern f\u00FCr einmal neu nehmen. Mit Drehmomentschl\u00FCssel auf den Wert des Herstellers; Radschrauben \u00FCber Kreuz.',
  'seizure-risk':
    'Der alte Sensor kann in seiner Bohrung abrei\u00DFen. Vorher einweichen und Zeit lassen. Rostl\u00F6ser und Bremsenreiniger brauchen frische Luft und keine Flamme.',
  'encoder-magnets':
    'Sp\u00E4ne und Magnete vom Geberring fernhalten. Ein Lager nicht waschen, ein geteiltes zusammengedr\u00FCckt halten.',
  alignment: 'Spur pr\u00FCfen lassen, nachdem Achsschenkel oder Federbein bewegt wurde.',
  'high-voltage': 'Orange Kabel sind nur f\u00FCr Ausgebildete.',
  'licensed-work':
    'Nur zur Orientierung: Angaben des Herstellers und Recht am Ort gehen vor. Wo Bremsarbeiten Fachleuten vorbehalten sind, machen Fachleute sie. Sattel nicht am Schlauch h\u00E4ngen lassen; Fett von Scheiben und Bel\u00E4gen fernhalten; Bremsstaub nicht einatmen oder ausblasen.',
};

import type { snap as en } from '../en/snap.ts';
import type { Told } from '../told.ts';

export const snap: Told<typeof en> = {
  never:
    'Der Rest muss heraus. Ihn stecken zu lassen und den neuen Sensor daneben oder darauf zu setzen, kommt nie in Frage.',
  soak: 'Noch einmal einweichen und warten. Den Rest von oben aus der Bohrung l\u00F6ffeln oder picken.',
  cover: 'Vor jedem Bohren: Zahnring oder Geberring mit Lappen und Fett gegen Sp\u00E4ne abdecken.',
  drill:
    'Von Hand, erst klein, dann gr\u00F6\u00DFer, ganz durch, damit der Rest f\u00E4llt oder sich hinausdr\u00FCcken l\u00E4sst. Vor dem Geberrad anhalten.',
  knuckle:
    'Als Letztes kommt der Achsschenkel ab, und der Rest wird ausgepresst; danach wird die Spur eingestellt.',
  clean:
    'Durch die Bohrung schauen: nichts darf drin bleiben, kein Span am Geberrad. Metallisch blank, trocken einpassen, fetten, ansetzen, Spalt ansehen.',
};

import type { prove as en } from '../en/prove.ts';
import type { Told } from '../told.ts';

export const prove: Told<typeof en> = {
  'before-after':
    'Drehzahl dieses Rades und des gegen\u00FCberliegenden vorher und nachher aufschreiben: sie stimmen auf {{percent}} % \u00FCberein.',
  'by-hand':
    'Bevor die Verkleidung zur\u00FCckkommt: Rad mit zwei Schrauben ansetzen, noch angehoben von Hand drehen und seine Drehzahl ablesen.',
  'full-clear':
    'Mit dem Leseger\u00E4t jedes Steuerger\u00E4t l\u00F6schen, das einen Fehler gespeichert hat, auch wenn die Lampen aus sind.',
  'full-again':
    'Nach der Fahrt noch einmal auslesen. Eine Lampe, die leuchtet, w\u00E4hrend das Leseger\u00E4t mit der Bremse spricht, ist kein R\u00FCckfall.',
  'engine-only':
    'Ein Leseger\u00E4t, das nur den Motor erreicht, l\u00F6scht die Bremse nicht: die Lampen sind der Beweis. Den gespeicherten Fehler beim n\u00E4chsten Service l\u00F6schen lassen.',
  'no-reader':
    'Ohne Leseger\u00E4t sind die Lampen der Beweis; was gespeichert ist, bleibt gespeichert und schadet nicht.',
  'any-reader':
    'Mit einem Leseger\u00E4t, das die Bremse erreicht, jedes Steuerger\u00E4t l\u00F6schen; ohne sind die Lampen der Beweis, und Gespeichertes bleibt gespeichert.',
  'battery-lead':
    'Batterie zehn Minuten abklemmen l\u00F6scht vielleicht. Uhr, Radio und Fensterheber verlieren ihre Einstellung, und vielleicht l\u00F6scht es nichts.',
  'key-cycle':
    'Z\u00FCndung eine halbe Minute aus, dann an: die Lampen gehen an und aus. Bis zu dreimal; manche gehen erst nach einer Fahrt aus.',
  drive: 'Ein paar Meter rollen, dann geradeaus \u00FCber 20 km/h. Manche Lampe braucht zehn Minuten Fahrt.',
  'drive-trailer':
    'Anh\u00E4ngen, Z\u00FCndung an: die Lampe des Anh\u00E4ngers geht an und sp\u00E4testens \u00FCber 10 km/h aus.',
  ring: 'Im Schritttempo rollen, Fenster offen: kein Aussetzer und kein Pulsieren im Pedal je Umdrehung.',
  joint:
    'Z\u00FCndung an, im Stand: an Stecker und Kabel wackeln; dann \u00FCber Unebenheiten. Die Drehzahl darf nicht springen.',
  tyre: 'Gerade Stra\u00DFe, gleichm\u00E4\u00DFiges Tempo: alle vier R\u00E4der auf {{percent}} % gleich.',
  bearing: 'Angehoben: r\u00FCtteln, drehen, horchen. Kein Spiel, kein Brummen; die Drehzahl ist ruhig.',
  sender: 'Der Tacho folgt ab Schritttempo. Bleibt die Lampe an, ist das ein zweiter Fehler.',
  brake: 'Einmal sanft bis zum Stillstand bremsen: das Pedal bleibt bis zuletzt ruhig.',
  back: 'Kommt eine Lampe wieder, notieren, wann und wo, und Altteil und dieses Blatt mitbringen.',
};

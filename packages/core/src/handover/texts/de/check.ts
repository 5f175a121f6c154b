import type { check as en } from '../en/check.ts';
import type { Told } from '../told.ts';

export const check: Told<typeof en> = {
  why: 'Das kostet {{minutes}} Minuten und spart vielleicht das falsche Teil.',
  'lift-first':
    'Das Fahrzeug wird daf\u00FCr angehoben: ebener Boden, zugelassene Punkte, B\u00F6cke und Keile.',
  'not-driven-home':
    'Wenn Sie es nicht sicher tun k\u00F6nnen, lassen Sie es tun: in der Werkstatt ist es eine Viertelstunde.',
  enter:
    'Auftrag {{number}} eintippen oder den Strichcode scannen, dann die Taste neben dem dr\u00FCcken, was Sie gesehen haben.',
  nothing:
    'Bis dahin wird nichts gekauft. Geht eine Lampe von selbst aus, rufen Sie auch an: das ist ein Ergebnis.',
  measured: 'Wert mit Einheit hier eintragen: ______________   Temperatur des Teils: ________',
};

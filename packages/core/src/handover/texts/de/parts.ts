import type { PartClass } from '../../../vocabulary/words.ts';

export const parts: Readonly<Record<PartClass, string>> = {
  sensor: 'Raddrehzahlsensor',
  'tone-ring': 'Zahnring',
  'hub-assembly': 'Radnabeneinheit',
  'axle-shaft': 'Antriebswelle',
  'connector-kit': 'Stecker-Reparatursatz',
  sender: 'Geber',
};

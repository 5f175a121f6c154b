import { partsOf } from '../vocabulary/chosenParts.ts';
import { faceDamagedAt } from '../vocabulary/oldSensor.ts';
import type { ChosenOffer, Docket } from '../vocabulary/docket.ts';
import type { Advice } from '../vocabulary/advice.ts';
import { partsThat } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';

const SENSORS = partsThat('isSensor');

/** What is looked at on the new part while it lies on the counter, before it leaves. */
export const beforeItLeaves = (docket: Docket, chosen: ChosenOffer, vehicle: Advice['vehicle']): string[] => {
  const at = (wheelEnd: string) => vehicle.wheelEnds.find((end) => end.wheelEnd === wheelEnd);
  const lines: Partial<Record<PartClass, string[]>> = {};
  for (const { part, wheelEnd } of partsOf(chosen)) {
    const end = at(wheelEnd);
    if (SENSORS.has(part))
      lines[part] = [
        'Plug, keying, lead and reach of the tip as on the old one.',
        end?.sensor === 'active'
          ? 'An active one is not metered as a coil: look at plug and lead only.'
          : `Meter it with its lead: ${end?.ohms ? `${end.ohms.low} to ${end.ohms.high} ohm at 20 \u00B0C` : 'about 800 to 2500 ohm where it is a coil'}, steady while the lead is moved. Open or unsteady is bad from the box.`,
      ];
    if (part === 'tone-ring' || part === 'axle-shaft') lines[part] = ['Count its teeth against the old one.'];
    if (part === 'hub-assembly')
      lines[part] = ['Studs, splines and the side of the encoder or ring as on the old one.'];
    if (part === 'connector-kit') lines[part] = ['Shell, keying and terminals as on the old half.'];
  }
  const parts = partsOf(chosen);
  const ends = [...new Set(parts.map(({ wheelEnd }) => wheelEnd))];
  // A hub may bring its own sensor; else the ruined one would go back in.
  const ruined = ends.filter(
    (wheelEnd) =>
      faceDamagedAt(docket, wheelEnd) &&
      at(wheelEnd)?.mounting !== 'in-hub' &&
      !parts.some((each) => each.wheelEnd === wheelEnd && SENSORS.has(each.part)),
  );
  return [
    ...ruined.map(
      (wheelEnd) =>
        `${wheelEnd}: the old sensor\u2019s face is damaged and does not go back in, yet no sensor is on this order.`,
    ),
    ...new Set(Object.values(lines).flat()),
  ];
};

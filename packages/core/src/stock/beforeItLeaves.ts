import { partsOf } from '../vocabulary/chosenParts.ts';
import type { ChosenOffer } from '../vocabulary/docket.ts';
import type { Advice } from '../vocabulary/advice.ts';
import { partsThat } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';

const SENSORS = partsThat('isSensor');

/** What is looked at on the new part while it lies on the counter, before it leaves. */
export const beforeItLeaves = (chosen: ChosenOffer, vehicle: Advice['vehicle']): string[] => {
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
  return [...new Set(Object.values(lines).flat())];
};

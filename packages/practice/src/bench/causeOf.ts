import type { Cause } from '@hardy/core/words';

/** Ailments of the bench vehicle by the cause that the advice would name: for judging what was said. */
const CAUSES: Readonly<Record<string, Cause>> = {
  'green joint': 'wiring',
  'pins apart': 'wiring',
  'plug not home': 'wiring',
  'loom rubbed or broken': 'wiring',
  'winding or element': 'sensor',
  'lead worn through': 'sensor',
  'bad from the box': 'sensor',
  'lead pulled tight': 'sensor',
  "another vehicle's sensor": 'mismatched-part',
  'encoder wrong side in': 'mismatched-part',
  'ring of another count': 'mismatched-part',
  'rusted ring': 'ring',
  'knocked teeth': 'ring',
  'damaged poles': 'encoder',
  'worn bearing': 'bearing',
  'rust under the sensor': 'seating',
  'swarf on the tip': 'seating',
  'bolt left loose': 'seating',
  'another size': 'tyre',
  'weak battery': 'supply',
  controller: 'module',
  // Over, but its trail is the supply's: the battery is tested, the codes are cleared.
  'battery was flat': 'supply',
  passed: 'none-present',
};

/** @throws TypeError for an ailment without a cause: every one has one */
export const causeOfAilment = (name: string): Cause => {
  const cause = CAUSES[name];
  if (!cause) throw new TypeError(`no cause for the ailment "${name}"`);
  return cause;
};

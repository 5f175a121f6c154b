/** What practitioners differ on: what the way is, why a shop takes it, and the harm where it can do some. */
export const ways = {
  boreCoat: {
    asks: 'What coats the bore of a sensor',
    'plastic-safe':
      'Bore: thin coat of grease that spares plastic and rubber. It keeps salt out, and the next sensor comes out whole.',
    'anti-seize':
      'Bore: thin coat of metal anti-seize, none on the tip or near the target. Lasts longest in salt; its metal disturbs a magnetic tip.',
    'rubber-grease': 'Bore: rubber grease. Right where a seal sits in the bore; it washes out sooner.',
    dry: 'Bore: dry and bright. Right where the maker says so; in salt the next one seizes.',
  },
  targetWipe: {
    asks: 'How a ring or an encoder is wiped',
    'dry-rag': 'Target: dry lint-free rag only. Solvent creeps into a bearing and takes its grease.',
    cleaner: 'Target: rag damp with cleaner on a toothed ring, never sprayed; dry rag on a magnetic one.',
  },
  splice: {
    asks: 'How wires are joined',
    crimp: 'Joint: staggered crimps of the wire\u2019s size under adhesive sleeve. Holds against shaking.',
    solder:
      'Joint: soldered, sleeved and clipped down. Tight against water; it breaks beside the solder where it can shake.',
    'old-terminals':
      'Joint: new shell on the old terminals where they are bright. Nothing is cut; a tired terminal stays tired.',
  },
  axleNut: {
    asks: 'The axle nut',
    new: 'Axle nut: always new. It is deformed to lock and holds once.',
    'as-maker': 'Axle nut: new unless the maker\u2019s data say that it may be used again.',
  },
  reach: {
    asks: 'How a front sensor is reached',
    'wheel-off': 'Wheel off: one sees bore, ring and lead.',
    steered:
      'Steered to full lock where the sensor is in reach: quicker; the target is not seen, and nothing is done under the vehicle.',
  },
  clearing: {
    asks: 'How codes are cleared',
    reader: 'Cleared with a reader: every controller, nothing else is lost.',
    'battery-lead': 'Cleared by the battery lead: needs no reader; loses settings and may clear nothing.',
  },
} as const;

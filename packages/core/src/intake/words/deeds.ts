import type { ItemLine } from './item.ts';

/** What was done, and whether it helped. */
export const DEEDS: readonly ItemLine[] = [
  [
    'swapped for|exchanged for|exchanged|replaced|renewed|changed|fitted|done|swapped for new|swapped for a new one|swapped for another|did|put on|was put on|put in|fit|installed|renewing|had new|has had new|has had a new|had a new|had new ones|got new|was swapped|renewed by|had fitted|we did|put a new|fitted a new|went on|been done|was done|were done|fitted new|gone on|put two|been changed|been replaced|been renewed|had both|fixed in|put a|put another|put the new|put new|put a new|fitted another',
    { is: 'deed', deed: 'renewed' },
  ],
  [
    'new|a third|another|put another|brand new|two new|second hand|a second|recon|reconditioned|used',
    { is: 'deed', deed: 'new' },
  ],
  ['second|third|fourth|2nd|3rd', { is: 'deed', deed: 'in' }],
  [
    'repaired|fixed|soldered|overhauled|work|job|service|worked on|rewired|resoldered|mended|re crimped|crimped|cleaned up|adjusted|serviced|remade|was repaired|been fixed',
    { is: 'deed', deed: 'worked' },
  ],
  [
    'flat battery|battery flat|battery went flat|battery was flat|dead battery|battery died|battery dead|battery is flat|battery is dead|jump started|jumped it|jump start|battery ran down|battery drained|had to jump it|boosted it|we jumped it|battery had gone flat|battery gone flat|flat batteries|jump leads|battery went dead|jumped off another|needed a jump|battery goes flat|battery went down|was jumped',
    { is: 'event', event: 'battery-flat' },
  ],
  [
    'made no difference|no difference at all|didnt fix it|did not fix it|did not cure it|didnt cure it|still the same|not cured|same fault|light stayed on|lamp stayed on|didnt help|did not help|changed nothing|no better|hasnt fixed it|hasnt cured it|didnt cure|neither cured it|none cured it|neither helped|didnt make a difference|did nothing|no joy|no use|still there|still the same fault|fault still there|still doing it|still comes on|light still on after|still no good|fault remains|same as before|same after|did not change anything|didnt change anything|wasnt it|still dead',
    { is: 'cured', cured: 'no' },
  ],
  [
    'cured it|fixed it|that cured it|that fixed it|ok since|fine since|been fine since|been ok since|no trouble since|good since|all well since|no problem since|has been ok since|has been fine since|works since|cured|sorted it|that sorted it|been good since|problem solved|no fault since|right since|perfect since|has been fine|better since',
    { is: 'cured', cured: 'yes' },
  ],
  [
    'good for|lasted|ok for|fine for|worked for|cured it for|went out for|fixed it for|stayed off for|away for|came back after|back after|back within|returned after|was fine for|was ok for|was good for|light off for|lamp came back after|light came back after|came back within|failed after|gave up after|lasted only|lasted just|lasted about|was back after|was back in|back in|held for|only lasted|gone again after|died after|came back in|stayed away for|stayed out for|out for|then back after|did for',
    { is: 'lasted' },
  ],
  ['new one|new ones|the new|fresh one', { is: 'deed', deed: 'new' }],
  [
    'to clean|to clean it|to clean the|clean it|ring me|ring him|ring us|ring her|ring them|ring back|to ring|ill ring|give me a ring|ring when|ring if|please ring|ring you|plug it in|plugged in my|plugged in the reader|plug in my|plug in hybrid|plug my reader|plugged my reader in|came out whole|comes out whole|hub makers|two hub makers|two makers|makers were fitted|new tyre place|tyre place|tyre shop|tyre people|brake place|new customer|new van|new car|new owner|new to us|new guy|new lad|another garage|another shop|second opinion|two weeks|two days|two months|two years|two of|two wheels|two codes|another code|new code|new fault|second time|third time|second fault|service light|work van|works van|job card|job number|used to it|another day|another customer|new year|change the oil|two axle|second axle|third axle|second gear|third gear|second hand|second or|two lamps|two lights|as good as new|like new|dead sure|same price|dead easy',
    { is: 'nothingSaid' },
  ],
];

import { spelling } from './spelling.ts';

/** Words of places, parts, looks and lamps within which one slip is forgiven. */
const CLOSED_LIST =
  'front rear left right back side axle wheel wheels driver drivers passenger passengers nearside offside kerbside middle both ' +
  'sensor sensors ring rings bearing bearings hub connector plug harness wiring loom tyre tyres sender reluctor knuckle ' +
  'light lights lamp lamps warning traction stability message speedo speedometer pedal brake brakes fluid steering gearbox ' +
  'growl growls growling grumbles rumbles humming droning grinding noisy noise play loose rocks wobbles wobbly ' +
  'cracked rusted rusty corroded broken snapped chafed rubbed missing teeth swarf damaged clean sound ' +
  'reads resistance ohms volts battery replaced renewed changed fitted repaired leaking spongy sinks smoke';

/** Everyday words one letter from a closed one. They are never taken for it. */
const ORDINARY_LIST =
  'fronts front font rears rear dear fear gear gears hear near pear tear tears wear year years bear reap real read reading reads ready ' +
  'lefts lift loft felt lent let leave rights might night fight sight tight bright eight weight slight height tights rig bracket ' +
  'pack black rack lack tack jack sack hack bank bark bake backs size sides aside inside site sire ' +
  'heel heels while whale wheels drive driven drives rivers diver divers message messages massage passage passed ' +
  'bring king sing wing wings string rang rink rung bearings wearing hearing tearing gearing hearings ' +
  'plus slug plugs plumb loop look looks room boom type types tire tired sends sending render lender fender ' +
  'slight lighter lightly lights lamps damp camp ramp clamp lump warming morning learning earning warnings ' +
  'medal petal pedals metal brakes break breaks broke bake rake drake brace flush fluids flu ' +
  'play plays player played plan plane clay pray place plate please lose loosen goose choose moose locks rock socks rocks ' +
  'crack cracks tracked cracker trusted busted crusted mussing kissing mission tooth teeth scarf dwarf dammed ' +
  'cleaned cleaner lean clear ground round found sounds pound bound hound token spoken volt vault bolts colts batteries ' +
  'reply replace replaces renews charged hanged changes chanced filled fitting fitter pitted repairs lacking looking peaking ' +
  'sponge links kinks sings smoked smoky poke stroke spoke mobile noises poise nose rose noise hum humming drowning ' +
  'growls grow grown crow prowl steer staring sheering borne broken sanded slapped snap snaps swapped chased shaved robbed grubbed ' +
  'bothered boot booth broth axles able excel excels dials middles riddle handle speeds speed site hubs tub rub club pub';

export const CLOSED: readonly string[] = CLOSED_LIST.split(/\s+/);
export const ORDINARY: readonly string[] = ORDINARY_LIST.split(/\s+/);

/** One slip in the reader's closed words, forgiven. */
export const CLOSED_WORDS = spelling(CLOSED, ORDINARY);

/** A thing on the vehicle that decides between parts: how to ask for it and where to look. */
export interface FitAttribute {
  /** The thing in a word or two, before its value. */
  readonly name: string;
  readonly ask: string;
  readonly look: string;
}

/** Attributes a catalogue may split by, beside the build date. Others are asked by their own name. */
const FIT_ATTRIBUTES: Readonly<Record<string, FitAttribute>> = {
  buildDate: {
    name: 'built',
    ask: 'When was it built?',
    look: 'On the plate in the door frame, or the first registration in the papers.',
  },
  hubMaker: {
    name: 'hub by',
    ask: 'Whose hub is on it?',
    look: 'The maker is cast into the hub between the studs; wipe the flange.',
  },
  brake: {
    name: 'brake',
    ask: 'Which brake is fitted?',
    look: 'Measure across the disc, or read the code on the build sticker.',
  },
  plug: {
    name: 'plug',
    ask: 'What colour is the plug on the old sensor?',
    look: 'Follow the lead to its plug and wipe the shell.',
  },
  keying: {
    name: 'rib of the plug',
    ask: 'Where does the rib of the plug stand?',
    look: 'Hold the plug lock up: left A, middle B, right C.',
  },
  splines: {
    name: 'splines',
    ask: 'How many splines has the shaft?',
    look: 'Count them at the end of the drive shaft.',
  },
  lead: {
    name: 'lead',
    ask: 'How long is the lead of the old sensor?',
    look: 'From the body to the plug, pulled straight.',
  },
  steeringSide: {
    name: 'steering',
    ask: 'Which side is the steering wheel on?',
    look: 'As seated, facing forward.',
  },
  driveline: {
    name: 'driven',
    ask: 'Which wheels are driven?',
    look: 'Is there a drive shaft at this axle?',
  },
  knuckle: {
    name: 'knuckle',
    ask: 'Is the knuckle iron or aluminium?',
    look: 'A magnet sticks to iron only.',
  },
  sensor: {
    name: 'sensor',
    ask: 'Passive coil or active sensor?',
    look: 'A passive one reads about 800 to 2500 ohm; an active one does not read like a coil.',
  },
};

/** How to ask for an attribute; one the table does not know is asked by its name. */
export const askFor = (attribute: string): FitAttribute =>
  FIT_ATTRIBUTES[attribute] ?? {
    name: attribute,
    ask: `Which ${attribute}?`,
    look: 'Look at the vehicle or its build sticker.',
  };

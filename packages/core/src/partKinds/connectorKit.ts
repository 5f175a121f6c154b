import { CONNECTOR_LOOKS } from './partFigure.ts';
import type { PartKind } from './partKind.ts';

export const connectorKit = {
  part: 'connector-kit',
  words: 'connector repair kit',
  at: 'any',
  needs: [],
  cures: { joint: 0.93, loom: 0.12 },
  curesWhy: 'A new joint cures the joint; of the loom it reaches only the last hand\u2019s breadth.',
  price: 19,
  hours: 0.9,
  companions: 2,
  alongside: 'sensor',
  renewed: 'connector-repaired',
  renewedWords: 'connector repaired',
  thing: 'plug',
  heardAs:
    'plug|plugs|connector|connectors|terminals|terminal|pins|pin|joint|multiplug|crimp|crimps|socket|shell|plug shell|connector shell|sensor plug|sensor connector|abs plug|contacts|connector kit|connection',
  figures: CONNECTOR_LOOKS,
  work: {
    access: [
      'The joint sits high in the arch behind the liner, in the boot or under a lamp: follow the lead from the sensor.',
    ],
    stays: ['The sensor stays in its bore: a seized one is not drawn for this.'],
    tools: [
      'crimping pliers for the terminal size',
      'wire strippers',
      'heat gun for sealed splices',
      'tags or tape',
    ],
    steps: [
      'Tag the wires and, where a pad-wear lead has a like shell, tag both.',
      'Look whether the terminals can stay: a new shell takes sound ones; green or loose ones are renewed.',
      'Cut back to bright copper, black copper takes neither crimp nor solder; stagger the splices; keep a twisted pair twisted.',
      'Seal each splice with adhesive-lined sleeve; pull each wire to prove it.',
      'Oil the grommet to pass it and seat it all round, so that no water enters.',
      'Try both halves before the liner goes back: the lock clicks, no pin backs out, the speed reads.',
      'Clip the joint where water drains off it.',
    ],
    torques: [],
  },
} as const satisfies PartKind;

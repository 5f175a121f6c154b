import { hasRing } from '../diagnosis/architecture.ts';
import { PART_WORK } from '../partKinds/partData.ts';
import { HOUSE_WAY_NAMES, type HouseWay } from '../vocabulary/houseWays.ts';
import type { Line, Sheet, SheetSection, Torque } from '../vocabulary/sheet.ts';
import type { Caution } from '../vocabulary/words.ts';
import { applies, type FitJob, type Fitted } from './fitJob.ts';
import { at, figure, named, plain, say, section, table } from './line.ts';
import { proofOf, provedBy } from './proof.ts';

const listed = (text: string): string[] =>
  text
    .split(';')
    .map((item) => item.trim())
    .filter(Boolean);

const once = (lines: readonly Line[]): Line[] => {
  const seen = new Set<string>();
  return lines.filter((line) => {
    const key = JSON.stringify(line);
    return !seen.has(key) && seen.add(key);
  });
};

const workLines = (job: FitJob, of: 'access' | 'stays' | 'tools'): Line[] =>
  once(
    job.parts.flatMap(({ part }, i) => {
      const note = of === 'stays' ? null : job.notes[i]?.[of];
      const usual = PART_WORK[part][of].map((_, k) => say(`work/${part}/${of}/${k}`));
      // What the catalogue says of the way in is of this vehicle; its tools come beside the usual ones.
      return note ? [...listed(note).map(plain), ...(of === 'tools' ? usual : [])] : usual;
    }),
  );

const steps = (job: FitJob): Line[] =>
  once(
    job.parts.flatMap((fitted) =>
      PART_WORK[fitted.part].steps.flatMap((line, k) =>
        applies(line, fitted, job.docket) ? [say(`work/${fitted.part}/steps/${k}`)] : [],
      ),
    ),
  );

/** `hub bolts=110 Nm + 90 deg; !axle nut=230 Nm`: a `!` marks a fastener that is used once. */
const torquesFrom = (text: string): Torque[] =>
  listed(text).flatMap((item) => {
    const [what = '', tightened = ''] = item
      .replace(/^!/, '')
      .split('=')
      .map((half) => half.trim());
    // A figure without a number is a word to the fitter, no tightening.
    return /\d/.test(tightened)
      ? [{ what: plain(what), figure: tightened, singleUse: item.startsWith('!'), wheelEnd: null }]
      : [];
  });

/** Every figure once; a fastener that has another figure at another wheel end says where each is. */
const torquesOf = (job: FitJob): Torque[] => {
  const all = job.parts.flatMap(({ part, wheelEnd }, i): Torque[] => {
    const noted = torquesFrom(job.notes[i]?.torques ?? '');
    const found =
      noted.length > 0
        ? noted
        : PART_WORK[part].torques.map(({ singleUse }, k) => ({
            what: say(`work/${part}/torques/${k}`),
            figure: null,
            singleUse,
            wheelEnd: null,
          }));
    return found.map((torque) => ({ ...torque, wheelEnd }));
  });
  const what = (torque: Torque) => JSON.stringify(torque.what);
  const several = new Set(
    all
      .filter((one) => all.some((other) => what(other) === what(one) && other.figure !== one.figure))
      .map(what),
  );
  const placed = all.map((torque) => (several.has(what(torque)) ? torque : { ...torque, wheelEnd: null }));
  const key = (torque: Torque) => `${what(torque)} ${torque.figure} ${torque.wheelEnd}`;
  return placed.filter((torque, i) => placed.findIndex((other) => key(other) === key(torque)) === i);
};

const SNAP_STEPS = ['never', 'soak', 'cover', 'drill', 'knuckle', 'clean'] as const;

const FACE_LINES = ['why', 'look', 'never'] as const;

const AXLE_NUT = 'axle nut';

/** What a shop settles for itself is only told where this job meets it. */
const waysMet = ({ parts, notes, oldSensors, wheelOff }: FitJob): HouseWay[] => {
  const has = (test: (fitted: Fitted) => boolean) => parts.some(test);
  const met: Readonly<Record<HouseWay, boolean>> = {
    boreCoat: oldSensors.size > 0,
    targetWipe: has(({ part }) => part !== 'connector-kit' && part !== 'sender'),
    splice: has(({ part }) => part === 'connector-kit'),
    axleNut: parts.some(({ part }, i) =>
      notes[i]?.torques
        ? notes[i]?.torques.includes(AXLE_NUT)
        : PART_WORK[part].torques.some(({ what }) => what === AXLE_NUT),
    ),
    reach: wheelOff && has(({ part, wheelEnd }) => part === 'sensor' && wheelEnd.startsWith('A1')),
    clearing: true,
  };
  return HOUSE_WAY_NAMES.filter((way) => met[way]);
};

const moving = (job: FitJob): Array<Line | false> => [
  job.opensBrake && say('always/pedal'),
  job.rearBrake && !job.trailer && say('always/park-brake'),
  job.opensBrake && say('always/bleeding'),
  job.wheelOff &&
    say('always/bolts', {
      from: figure(job.a.get('proof.bolts-from')),
      to: figure(job.a.get('proof.bolts-to')),
    }),
  job.movesKnuckle && say('always/alignment'),
  say('always/hands'),
  job.electric && say('always/voltage'),
];

/** The parts of a job in one line: `wheel speed sensor and tone ring, rear left`. */
const title = (parts: readonly Fitted[]): Line => {
  const classes = [...new Set(parts.map(({ part }) => part))].map((part) => named(`parts/${part}`));
  const ends = [...new Set(parts.map(({ wheelEnd }) => wheelEnd))].map(at);
  return say('frame/title-fit', { what: classes.join('+'), where: ends.join('+') });
};

/** The sheet for parts to be fitted in one go: each line once, in the order of the parts. */
export const fitSheet = (job: FitJob, cautions: readonly Caution[]): Sheet => {
  const [main] = job.parts as [Fitted, ...Fitted[]];
  const torques = torquesOf(job);
  const snapped = job.oldSensors.has('snapped');
  const snap = SNAP_STEPS.map((step) => say(`snap/${step}`));
  const encoder = job.parts.some(({ architecture }) => architecture === null || !hasRing(architecture));
  const sections = [
    section(
      'cautions',
      [
        ...cautions.map((caution) => say(`cautions/${caution}`)),
        job.slice.vehicle === null && say('always/outside'),
      ],
      'warn',
    ),
    table('parts'),
    section('access', workLines(job, 'access'), 'list', true),
    section('stays', workLines(job, 'stays'), 'list', true),
    section('tools', workLines(job, 'tools'), 'run'),
    job.faceDamaged &&
      section(
        'face',
        FACE_LINES.map((line) => say(`face/${line}`)),
        'list',
      ),
    snapped && section('snapped-now', snap, 'steps'),
    section('steps', steps(job), 'steps'),
    // The way out is told once: before the work where one has snapped, after it where one may.
    !snapped && job.oldSensors.has('in') && section('snap', snap, 'steps'),
    torques.length > 0 && table('torques'),
    section(
      'ways',
      waysMet(job).map((way) =>
        // No solvent is told of where it would reach a bearing.
        way === 'targetWipe' && encoder
          ? say('ways/targetWipe/dry-rag')
          : say(`ways/${way}/${job.ways[way]}`),
      ),
      'list',
      true,
    ),
    section('moving', moving(job), 'list', true),
    section('prove', proofOf(job, provedBy(job.parts)), 'steps'),
  ].filter((each): each is SheetSection => Boolean(each));
  return {
    kind: 'fit',
    title: title(job.parts),
    part: main.part,
    check: null,
    wheelEnd: main.wheelEnd,
    sections,
    torques,
    results: [],
  };
};

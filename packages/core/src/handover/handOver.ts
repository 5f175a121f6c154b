import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import { jobNote } from '../fitment/fittingParts.ts';
import type { HandOver } from '../vocabulary/advice.ts';
import type { CatalogueSlice } from '../vocabulary/catalogue.ts';
import { CAUTION_IN_WORDS } from '../vocabulary/inWords.ts';
import type { Caution, PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { PART_WORK } from '../partKinds/partData.ts';
import type { ConditionalStep } from '../partKinds/partWork.ts';
import { PROOF_OF_FIX } from './proofOfFix.ts';

const listed = (text: string): string[] =>
  text
    .split(';')
    .map((item) => item.trim())
    .filter(Boolean);

/** `hub bolts=110 Nm + 90 deg; !axle nut=230 Nm`: a `!` marks a fastener that is used once. */
const torquesFrom = (text: string): HandOver['torques'] =>
  listed(text).map((item) => {
    const [what = '', figure = ''] = item
      .replace(/^!/, '')
      .split('=')
      .map((half) => half.trim());
    return { what, figure, singleUse: item.startsWith('!') };
  });

/** Where the way of building is not known the step is shown: better one too many. */
const applies = (only: ConditionalStep['only'], architecture: Architecture | null): boolean =>
  architecture === null ||
  (only === 'encoder' ? !hasRing(architecture) : architecture.mounting === 'separate');

/** The sheet for several parts fitted in one go: each line once, in the order of the parts. */
export const handOverForAll = (
  parts: ReadonlyArray<{ part: PartClass; wheelEnd: WheelEnd }>,
  architecture: Architecture | null,
  slice: CatalogueSlice,
  cautions: readonly Caution[],
): HandOver => {
  const sheets = parts.map(({ part, wheelEnd }) =>
    handOverFor(part, wheelEnd, architecture, slice, cautions),
  );
  const all = (of: (sheet: HandOver) => readonly string[]) => [...new Set(sheets.flatMap(of))];
  return {
    access: all((sheet) => sheet.access),
    tools: all((sheet) => sheet.tools),
    steps: all((sheet) => sheet.steps),
    torques: sheets
      .flatMap((sheet) => sheet.torques)
      .filter((torque, i, list) => list.findIndex(({ what }) => what === torque.what) === i),
    proof: all((sheet) => sheet.proof),
    cautions: sheets[0]?.cautions ?? [],
  };
};

/** The sheet that keeps the customer safe: access, tools, order of work, torque, proof of the fix and cautions. */
export const handOverFor = (
  part: PartClass,
  wheelEnd: WheelEnd,
  architecture: Architecture | null,
  slice: CatalogueSlice,
  cautions: readonly Caution[],
): HandOver => {
  const generic = PART_WORK[part];
  const note = jobNote(slice, part, wheelEnd);
  return {
    access: note ? listed(note.access) : [...generic.access],
    tools: note ? [...new Set([...listed(note.tools), ...generic.tools])] : [...generic.tools],
    steps: generic.steps.flatMap((step) =>
      typeof step === 'string' ? [step] : applies(step.only, architecture) ? [step.text] : [],
    ),
    torques: note?.torques ? torquesFrom(note.torques) : [...generic.torques],
    proof: [...PROOF_OF_FIX],
    cautions: cautions.map((caution) => ({ caution, words: CAUTION_IN_WORDS[caution] })),
  };
};

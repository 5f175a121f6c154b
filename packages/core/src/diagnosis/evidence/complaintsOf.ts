import type { UnderstoodCode } from '../../codes/readCodes.ts';
import { isThere, symptomOf } from '../../vocabulary/complaints.ts';
import type { DocketSymptom } from '../../vocabulary/docket.ts';
import { SYMPTOM_IN_WORDS } from '../../vocabulary/inWords.ts';
import type { Symptom } from '../../vocabulary/words.ts';
import { axleOf, isCentre } from '../../vocabulary/wheelEndWords.ts';
import { keptByFault, type Complaint } from '../finding.ts';
import type { EvidenceContext } from './context.ts';

const LAMPS = new Set<Symptom>([
  'lamp.abs',
  'lamp.brake',
  'lamp.traction',
  'lamp.awd',
  'lamp.rear-abs',
  'message.driver-assist',
]);

const SINGLE: ReadonlyArray<readonly [any: readonly Symptom[], row: string]> = [
  [['abs.activates-when-stopping'], 'abs.activates-when-stopping'],
  [['speedometer.dead', 'speedometer.erratic'], 'speedometer'],
  [['shifting.bad'], 'shifting.bad'],
  [['noise.wheel'], 'noise.wheel'],
  [['steering.heavy'], 'steering.heavy'],
  [['message.tyre-monitor'], 'message.tyre-monitor'],
];

/** A code that is there now is why the controller lit its lamps: they are explained, and count against no other wheel. */
const lampsExplained = (codes: readonly UnderstoodCode[]): boolean =>
  codes.some(
    (code) => (code.role === 'root' || code.self) && (code.status === null || code.status === 'active'),
  );

/** Complaints of the vehicle that something must bring about. Those cured since, and lamps a code explains, are none. */
export const complaintsOf = (
  said: readonly DocketSymptom[],
  codes: readonly UnderstoodCode[],
  context: EvidenceContext,
): Complaint[] => {
  const { a, axles } = context;
  const there = said.filter(isThere).map(symptomOf);
  const pathsOf = (any: (symptom: Symptom) => boolean): string[] =>
    said.flatMap((each, i) => (isThere(each) && any(symptomOf(each)) ? [`symptoms[${i}]`] : []));
  const brings = (row: string): Complaint['brings'] => {
    const anywhere = keptByFault((fault) => a.find(`symptom.${row}.${fault}`, 0));
    const atCentre = keptByFault((fault) => a.find(`symptom.centre-chain.${fault}`, 0));
    const byChain = row === 'speedometer' || row === 'shifting.bad';
    return (fault, end) =>
      end && byChain && isCentre(end) ? Math.max(anywhere(fault), atCentre(fault)) : anywhere(fault);
  };
  const out: Complaint[] = [];
  const lamps = [...new Set(there.filter((s) => LAMPS.has(s)))];
  // The brake lamp alone is fluid, pads or park brake, not a wheel speed.
  const brakeAlone = lamps.length === 1 && lamps[0] === 'lamp.brake';
  if (lamps.length > 0 && !brakeAlone && !lampsExplained(codes)) {
    const rearOnly = lamps.every((s) => s === 'lamp.rear-abs' || s === 'lamp.brake');
    out.push({
      paths: pathsOf((s) => LAMPS.has(s)),
      label: lamps.map((s) => SYMPTOM_IN_WORDS[s]).join(', '),
      leak: a.get('symptom.lamps.leak'),
      brings: (fault, end) =>
        !rearOnly || end === null || axleOf(end) === axles ? a.find(`symptom.lamps.${fault}`, 0) : 0,
    });
  }
  for (const [any, row] of SINGLE) {
    const present = [...new Set(there.filter((s) => any.includes(s)))];
    if (present.length > 0)
      out.push({
        paths: pathsOf((s) => any.includes(s)),
        label: present.map((s) => SYMPTOM_IN_WORDS[s]).join(', '),
        leak: a.get(`symptom.${row}.leak`),
        brings: brings(row),
      });
  }
  return out;
};

import { tellCheck } from '../checks/tellCheck.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import { isThere, symptomOf } from '../vocabulary/complaints.ts';
import type { Check } from '../vocabulary/check.ts';
import type { Docket, DocketSymptom } from '../vocabulary/docket.ts';
import type { SensorType } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { EvidenceContext } from './evidence/context.ts';

/** Where nothing nearer is known. */
const THE_SAME = 'says the same whatever is wrong here';

/** Facts of the vehicle that move money or the choice of part rather than what is wrong. */
const IDLE_FACTS: Readonly<Record<string, string>> = {
  'vehicle.knuckle': 'moves how hard the old sensor comes out, not what is wrong',
  'vehicle.driveline': 'decides where the rings sit where that is not known, and which parts there are',
  'vehicle.buildDate': 'about the usual age: it moves nothing',
  'vehicle.distanceKm': 'about the usual distance for its age: it moves nothing',
  'vehicle.saltExposure': 'the usual amount of salt: it moves nothing',
  'vehicle.tyres': 'nothing to hold them against: give the size across the axle as well',
  modulesRead: 'its silence says nothing of a wheel',
  codesCleared: 'no code here that clearing would have told of',
  reader: 'moves which checks can be made, not what is wrong',
};

const ofCode = (code: UnderstoodCode | undefined): string => {
  switch (code?.role) {
    case 'knock-on':
      return 'an echo in another controller: it names no fault of its own';
    case 'unknown':
      return 'not explained by the standard or a dictionary here: it moves nothing';
    case 'other':
      return code.voltage || code.self
        ? 'said by another code already: it counts once'
        : 'has nothing to do with a wheel speed';
    default:
      return THE_SAME;
  }
};

const ofSymptom = (said: DocketSymptom | undefined): string => {
  if (!said) return THE_SAME;
  if (!isThere(said)) return 'gone since: nothing has to bring it about';
  switch (symptomOf(said)) {
    case 'pedal.soft':
    case 'wheel.hot':
      return 'a danger of its own: it forbids driving and names no link of the signal';
    case 'lamp.brake':
      return 'by itself it means fluid, pads or the park brake, not a wheel speed';
    default:
      return 'a code that is there explains it';
  }
};

const ofCheck = (check: Check | undefined, sensor: SensorType | null, c: EvidenceContext): string => {
  if (!check) return THE_SAME;
  if (check.check === 'brake.fluid') return 'speaks of the brakes themselves, not of a wheel speed';
  if (check.check === 'tyres') return 'nothing to hold it against: give the size across the axle as well';
  if ('result' in check && check.result === 'not-visible') return 'it was not seen, so it says nothing';
  const end = c.ends.at(check.wheelEnd);
  if (check.check.startsWith('bearing.') && end && isCentre(end))
    return 'no wheel bearing carries this sender: it counts for safety alone';
  const told = tellCheck(check, { sensor, axles: c.axles }, c.a);
  return told.says === 'nothing' ? (told.lines[0] ?? THE_SAME) : THE_SAME;
};

/** Why a fact moved no probability at all, in words. */
export const whyIdle = (
  path: string,
  docket: Docket,
  codes: readonly UnderstoodCode[],
  context: EvidenceContext,
): string => {
  const [, list, at] = /^(\w+)\[(\d+)\]$/.exec(path) ?? [];
  const i = Number(at);
  if (list === 'codes') return ofCode(codes[i]);
  if (list === 'symptoms') return ofSymptom(docket.symptoms?.[i]);
  if (list === 'checks') {
    const check = docket.checks?.[i];
    const end = context.ends.at(check?.wheelEnd ?? docket.wheelEnd);
    return ofCheck(check, end ? (context.sensorAt?.(end) ?? null) : null, context);
  }
  if (path.startsWith('vehicle.wheelEnds.'))
    return 'decides which links there are to go wrong there, and which parts cure them';
  return IDLE_FACTS[path] ?? THE_SAME;
};

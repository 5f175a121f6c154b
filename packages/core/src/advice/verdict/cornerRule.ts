import { partsWhere, RENEWED } from '../../partKinds/partData.ts';
import type { CheckName } from '../../vocabulary/check.ts';
import { complaintsNow } from '../../vocabulary/complaints.ts';
import { CHECK_IN_WORDS } from '../../vocabulary/inWords.ts';
import { tellingCheck } from './tellingCheck.ts';
import { capital, place, type Rule, stepFor, verdict } from './situation.ts';

/** Checks by hand, in the order a mechanic makes them who has no reader. */
const BY_HAND: readonly CheckName[] = [
  'bearing.play',
  'bearing.noise',
  'visual.connector',
  'visual.sensor',
  'visual.ring',
  'meter.resistance',
];
/** What a reader tells of all wheels at once; then each wheel is looked at. */
const BY_READER: readonly CheckName[] = ['live'];
const WORK_AT_A_WHEEL: ReadonlySet<string> = new Set([
  'brake-work',
  'suspension-work',
  ...partsWhere('wheel', () => true).map((part) => RENEWED[part]),
  'tyre-replaced',
]);

export const findTheCorner: Rule = {
  name: 'the corner',
  says: (s) => {
    if (s.wheelEnd !== null && s.plan !== null) return null;
    const { docket } = s;
    const done = new Set((docket.checks ?? []).map((check) => check.check));
    const byHand = docket.reader === 'none' || docket.reader === 'engine';
    const worked = (docket.history ?? []).find(
      (event) => WORK_AT_A_WHEEL.has(event.event) && event.wheelEnd != null && event.cured !== 'yes',
    );
    // A monitor that counts wheel turns, and nothing else: sizes and pressures before anything is driven or read.
    const complaints = complaintsNow(docket);
    const monitorOnly =
      complaints.length > 0 && complaints.every((s) => s === 'message.tyre-monitor') && !done.has('tyres');
    const hums = complaintsNow(docket).includes('noise.wheel') && !done.has('bearing.play');
    const order: readonly CheckName[] = monitorOnly
      ? ['tyres', ...BY_READER]
      : byHand
        ? worked
          ? ['visual.connector', 'visual.sensor', ...BY_HAND]
          : BY_HAND
        : hums
          ? ['bearing.play', 'bearing.noise', ...BY_READER]
          : BY_READER;
    const coded = (docket.codes ?? []).length > 0 && !done.has('clear-and-drive');
    const check =
      order.find((each) => !done.has(each)) ??
      (coded && !byHand ? 'clear-and-drive' : tellingCheck(s.causes, docket.checks ?? [], s.a)) ??
      'visual.connector';
    const conflict = s.conflicts[0];
    const at = byHand ? (worked?.wheelEnd ?? null) : null;
    const sentence = conflict
      ? `Settle the corner first: ${conflict.because}.`
      : s.echoesOnly
        ? 'These codes are echoes. Read the brake controller itself before selling anything.'
        : at
          ? `Begin where work was last done: ${place(s, at)}. ${capital(CHECK_IN_WORDS[check])}.`
          : monitorOnly
            ? 'Only the tyre monitor speaks: compare pressures and sizes all round first.'
            : byHand
              ? `Find the corner by hand: ${CHECK_IN_WORDS[check]} at each, both sides of an axle against each other.`
              : hums
                ? `Something growls: ${CHECK_IN_WORDS[check]} at each, lifted, before anything is driven.`
                : check === 'live'
                  ? 'Find the corner first: compare the live wheel speeds, or read the brake controller.'
                  : check === 'clear-and-drive'
                    ? 'Find the corner first: clear the codes, drive, and read which comes back.'
                    : `The speeds did not tell the corner: ${CHECK_IN_WORDS[check]} at each wheel, both sides of an axle against each other.`;
    return {
      verdict: verdict(s, {
        action: 'check',
        check,
        wheelEnd: at,
        cause: null,
        sentence,
        because: conflict
          ? [conflict.because]
          : [
              'every part is for one corner, and nothing so far tells which',
              ...(s.echoesOnly ? ['other modules only repeat that the brake controller has a fault'] : []),
              ...(byHand ? ['no reader here reaches the brake controller'] : []),
            ],
      }),
      step: stepFor(check, at),
    };
  },
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import type { Offer, Verdict } from '../vocabulary/advice.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Caution, PartClass } from '../vocabulary/words.ts';

const ON_THE_WHEEL = new Set([
  'visual.ring',
  'visual.sensor',
  'visual.connector',
  'visual.harness',
  'bearing.play',
  'bearing.noise',
  'wiggle',
  'swap',
  'meter.ac',
  'meter.resistance',
  'meter.supply',
]);
const SINGLE_USE: ReadonlySet<PartClass> = new Set(['hub-assembly', 'axle-shaft', 'tone-ring']);
const MOVES_KNUCKLE: ReadonlySet<PartClass> = new Set(['hub-assembly', 'axle-shaft']);

/** Clear play, or a growl with any play: a wheel can be lost. */
export const mustStopDriving = (docket: Docket): boolean => {
  const checks = docket.checks ?? [];
  const plays = checks.flatMap((check) =>
    check.check === 'bearing.play' && check.result !== 'none' ? [check] : [],
  );
  if (plays.some((play) => play.result === 'clear')) return true;
  const growls = checks.filter((check) => check.check === 'bearing.noise' && check.result === 'growl');
  return plays.some(
    (play) =>
      growls.some((growl) => !growl.wheelEnd || !play.wheelEnd || growl.wheelEnd === play.wheelEnd) ||
      (docket.symptoms ?? []).includes('noise.wheel'),
  );
};

/** The wheel end that must not be driven on, where it is named; null when nothing stops the vehicle. */
export const looseWheelEnd = (docket: Docket): WheelEnd | null =>
  mustStopDriving(docket)
    ? ((docket.checks ?? []).find((check) => check.check === 'bearing.play' && check.result !== 'none')
        ?.wheelEnd ?? null)
    : null;

/** Every caution this docket calls for, the gravest first. */
export const cautionsFor = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  offers: readonly Offer[],
  verdict: Pick<Verdict, 'part' | 'check'>,
  encoder: boolean,
  a: Assumptions,
): Caution[] => {
  const parts = new Set<PartClass>([
    ...(verdict.part ? [verdict.part] : []),
    ...(docket.chosen ? [docket.chosen.part] : []),
  ]);
  const any = (set: ReadonlySet<PartClass>, from: Iterable<PartClass>) =>
    [...from].some((part) => set.has(part));
  const out: Array<[Caution, boolean]> = [
    ['stop-driving', mustStopDriving(docket)],
    [
      'abs-inactive',
      (docket.symptoms ?? []).some((s) => s === 'lamp.abs' || s === 'lamp.rear-abs') ||
        codes.some((c) => c.role === 'root' && c.status === 'active'),
    ],
    ['lifting', offers.length > 0 || (verdict.check !== null && ON_THE_WHEEL.has(verdict.check))],
    ['seizure-risk', offers.some((offer) => (offer.seizure ?? 0) > a.get('caution.seizure-above'))],
    [
      'single-use-fasteners',
      any(
        SINGLE_USE,
        offers.map((offer) => offer.part),
      ) || any(SINGLE_USE, parts),
    ],
    ['encoder-magnets', encoder && offers.length > 0],
    ['alignment', any(MOVES_KNUCKLE, parts)],
    ['high-voltage', docket.vehicle?.electric === true],
    ['licensed-work', true],
  ];
  return out.filter(([, shown]) => shown).map(([caution]) => caution);
};

import { kindOf } from '../checkKinds/checkTypes.ts';
import { complaintsNow } from '../vocabulary/complaints.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** How a wheel that may come off shows itself. Larger is worse: clear before slight, growl before quiet. */
export interface UnsafeWheel {
  /** Null: nobody said which wheel. */
  readonly wheelEnd: WheelEnd | null;
  readonly play: 'none' | 'slight' | 'clear';
  readonly growl: boolean;
  /** Wheels were off or worked on so lately that loose wheel bolts come first. */
  readonly boltsFirst: boolean;
  /** It was rocked again since and no play was found: the worse reading stands until someone strikes it out. */
  readonly soundSince: boolean;
}

/** What is wrong with the brakes themselves. */
export interface BrakeDanger {
  readonly kind: 'leaking' | 'soft' | 'hot' | 'low';
  readonly because: string;
  readonly fluid: 'full' | 'low' | 'leaking' | null;
  /** A wheel is hot: something drags or seizes, and the fluid is not the first thing to look at. */
  readonly hot?: boolean;
}

export interface Dangers {
  /** Wheels that must not be driven on, the worst first. */
  readonly wheels: readonly UnsafeWheel[];
  readonly brakes: BrakeDanger | null;
  readonly stop: boolean;
}

const PLAY = kindOf('bearing.play').worst;
/** Days in which wheel bolts work loose after a wheel was off, where the shop has set none. */
export const BOLTS_SETTLE_DAYS = 30;
const WHEEL_OFF: ReadonlySet<string> = new Set([
  'tyre-replaced',
  'brake-work',
  'suspension-work',
  'hub-replaced',
  'axle-shaft-work',
]);

/** What was found at a wheel. */
interface Found {
  readonly play: UnsafeWheel['play'];
  readonly growl: boolean;
  /** The last reading of play. */
  readonly last: UnsafeWheel['play'];
}
const NOTHING: Found = { play: 'none', growl: false, last: 'none' };

const severity = ({ play, growl }: UnsafeWheel): number => PLAY.indexOf(play) * 2 + (growl ? 1 : 0);

/**
 * Everything on a docket that forbids driving. Total: it looks at every check and complaint, whatever else holds.
 * Unsafe is clear play, a growl with any play, and clear play or a growl of which nobody said the wheel: that may be a
 * wheel with both. The worst reading of a wheel counts, however often it was read again.
 *
 * @param corner the corner the customer names: a reading without a wheel is of that
 * @param boltsDays days after a wheel was off in which loose bolts come first
 * @param oddOf how likely a fault is at a wheel end, to tell equally bad ones apart
 */
export const dangersOf = (
  docket: Docket,
  corner: WheelEnd | null = docket.wheelEnd ?? null,
  oddOf: (end: WheelEnd) => number = () => 0,
  boltsDays: number = BOLTS_SETTLE_DAYS,
): Dangers => {
  const found = new Map<WheelEnd | null, Found>();
  for (const check of docket.checks ?? []) {
    if (check.check !== 'bearing.play' && check.check !== 'bearing.noise') continue;
    const end = check.wheelEnd ?? corner;
    const now = found.get(end) ?? NOTHING;
    if (check.check === 'bearing.noise')
      found.set(end, { ...now, growl: now.growl || check.result === 'growl' });
    else {
      const isWorse = PLAY.indexOf(check.result) > PLAY.indexOf(now.play);
      found.set(end, { ...now, play: isWorse ? check.result : now.play, last: check.result });
    }
  }
  const complaints = complaintsNow(docket);
  const hums = complaints.includes('noise.wheel');
  const unnamed = found.get(null);
  const wheels = [...found]
    .map(([wheelEnd, { play, growl, last }]): UnsafeWheel => ({
      wheelEnd,
      play,
      // A growl nobody tied to a wheel may be this one's.
      growl: growl || (wheelEnd !== null && play !== 'none' && (hums || unnamed?.growl === true)),
      boltsFirst: (docket.history ?? []).some(
        (event) =>
          WHEEL_OFF.has(event.event) &&
          (event.wheelEnd ?? wheelEnd) === wheelEnd &&
          event.daysAgo != null &&
          event.daysAgo <= boltsDays,
      ),
      soundSince: play !== 'none' && last === 'none',
    }))
    .filter(({ wheelEnd, play, growl }) =>
      wheelEnd === null
        ? play === 'clear' || growl || (play !== 'none' && hums)
        : play === 'clear' || (play !== 'none' && growl),
    )
    .sort(
      (x, y) =>
        severity(y) - severity(x) ||
        oddOf(y.wheelEnd ?? '') - oddOf(x.wheelEnd ?? '') ||
        (x.wheelEnd ?? 'Z').localeCompare(y.wheelEnd ?? 'Z'),
    );

  const fluids = (docket.checks ?? []).flatMap((check) =>
    check.check === 'brake.fluid' ? [check.result] : [],
  );
  const fluid = [...kindOf('brake.fluid').worst].reverse().find((level) => fluids.includes(level)) ?? null;
  const soft = complaints.includes('pedal.soft');
  const brakes: BrakeDanger | null =
    fluid === 'leaking'
      ? { kind: 'leaking', because: 'brake fluid is leaking', fluid }
      : soft
        ? { kind: 'soft', because: 'the brake pedal is soft or sinks', fluid }
        : complaints.includes('wheel.hot')
          ? {
              kind: 'hot',
              because: 'a wheel is hot or smoking: a brake that drags or a bearing that fails',
              fluid,
              hot: true,
            }
          : fluid === 'low'
            ? { kind: 'low', because: 'the brake fluid is low: worn pads, or it leaks', fluid }
            : null;
  return { wheels, brakes, stop: wheels.length > 0 || brakes !== null };
};

/** The wheel to deal with first, where it is named. */
export const worstWheel = (dangers: Dangers): WheelEnd | null =>
  dangers.wheels.find(({ wheelEnd }) => wheelEnd !== null)?.wheelEnd ?? null;

/** The danger of a wheel in words. */
export const dangerInWords = ({ play, growl }: UnsafeWheel): string =>
  play === 'none' ? 'it growls' : `${play} play${growl ? ' and a growl' : ''}`;

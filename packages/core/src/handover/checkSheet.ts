import { CHECK_RESULTS } from '../checkKinds/checkData.ts';
import { kindOf, type CheckName } from '../checkKinds/checkTypes.ts';
import type { Sheet, SheetSection } from '../vocabulary/sheet.ts';
import type { Caution } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { at, named, say, section, table } from './line.ts';

/** Cautions that hold whatever is done; those of a part’s work do not belong to a look. */
const HOLDS_FOR_A_LOOK: ReadonlySet<Caution> = new Set([
  'stop-driving',
  'abs-inactive',
  'high-voltage',
  'licensed-work',
]);

/** The page that goes home where a check comes before any part: how, what each result would mean, and how to tell it. */
export const checkSheet = (
  check: CheckName,
  wheelEnd: WheelEnd | null,
  minutes: number | null,
  cautions: readonly Caution[],
): Sheet => {
  const kind = kindOf(check);
  const words = named(`checks/${check}/words`);
  const picked: readonly string[] = CHECK_RESULTS[check];
  return {
    kind: 'check',
    title: wheelEnd
      ? say('frame/title-check-at', { check: words, where: at(wheelEnd) })
      : say('frame/title-check', { check: words }),
    part: null,
    check,
    wheelEnd,
    sections: [
      section(
        'cautions',
        cautions
          .filter((caution) => HOLDS_FOR_A_LOOK.has(caution) || (caution === 'lifting' && kind.lifts))
          .map((caution) => say(`cautions/${caution}`)),
        'warn',
      ),
      section(
        'how',
        [
          minutes !== null && say('check/why', { minutes: String(minutes) }),
          kind.lifts && say('check/lift-first'),
          ...kind.how.map((_, i) => say(`checks/${check}/how/${i}`)),
          !kind.driven && say('always/hands'),
          say('always/road'),
          kind.lifts && say('check/not-driven-home'),
          picked.length === 0 && say('check/measured'),
        ],
        'steps',
      ),
      picked.length > 0 && table('results'),
      section('then', [say('frame/call'), picked.length > 0 && say('check/enter'), say('check/nothing')]),
    ].filter((each): each is SheetSection => Boolean(each)),
    torques: [],
    results: picked.map((result, i) => ({
      key: i + 1,
      word: say(`checks/${check}/results/${result}/0`),
      means: say(`checks/${check}/results/${result}/1`),
    })),
  };
};

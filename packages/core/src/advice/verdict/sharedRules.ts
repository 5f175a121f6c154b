import { WORK_IN_WORDS } from '../../offers/fixes.ts';
import { complaintsNow } from '../../vocabulary/complaints.ts';
import { chanceInWords } from '../../vocabulary/inWords.ts';
import { BETTER_THAN_EVEN } from '../corner.ts';
import { type Rule, stepFor, verdict } from './situation.ts';

export const supplyFirst: Rule = {
  name: 'the supply',
  says: (s) => {
    const { a } = s;
    if (s.shared.supply <= BETTER_THAN_EVEN) return null;
    // A battery renewed already is not sold again: what is left to do is to clear the trail and read what comes back.
    const renewed = (s.docket.history ?? []).some((event) => event.event === 'battery-replaced');
    const over = (s.docket.checks ?? []).some(
      (check) => check.check === 'clear-and-drive' && check.result === 'stays-away',
    );
    return {
      verdict: verdict(s, {
        action: 'no-part',
        wheelEnd: null,
        cause: 'supply',
        sentence: over
          ? 'No part: the codes were cleared and stay away. Read it again if a lamp comes back.'
          : renewed
            ? 'No part yet: clear every code, drive and read again. What comes back counts.'
            : 'No part yet: charge or renew the battery, clear every code, drive and read again.',
        because: [
          `the supply explains the list of codes: ${chanceInWords(s.shared.supply)}`,
          'codes from low voltage mean nothing until they come back',
        ],
      }),
      step: {
        do: 'no-part',
        label: WORK_IN_WORDS[renewed ? 'none-present' : 'supply'],
        chance: 1,
        expectedCost: a.get('work.supply') * a.get('labour.rate') + a.get('work.extra.supply'),
        then: [],
      },
    };
  },
};

export const controllerFailed: Rule = {
  name: 'the controller',
  says: (s) =>
    s.shared.module <= BETTER_THAN_EVEN
      ? null
      : {
          verdict: verdict(s, {
            action: 'no-part',
            wheelEnd: null,
            cause: 'module',
            sentence:
              s.shared.module >= s.a.get('verdict.proven')
                ? 'No part from the shelf: the brake controller itself has failed. Have it tested and repaired or renewed by a workshop.'
                : 'No part from the shelf: the brake controller, or what feeds it, is the likeliest. Have it tested by a workshop before anything is renewed.',
            because: [
              `the brake controller: ${chanceInWords(s.shared.module)}`,
              'meter its supply and grounds before it is condemned',
            ],
          }),
          step: {
            do: 'no-part',
            label: 'have the brake controller tested and renewed by a workshop',
            chance: 1,
            expectedCost: s.a.get('refer.module'),
            then: [],
          },
        },
};

/** The brake lamp without a wheel-speed code that explains it: fluid, pads and park brake first. */
export const brakeLamp: Rule = {
  name: 'the brake lamp',
  says: (s) => {
    const lit = complaintsNow(s.docket).includes('lamp.brake');
    const looked = (s.docket.checks ?? []).some((check) => check.check === 'brake.fluid');
    const proven = s.wheelEnd !== null && (s.causes[0]?.probability ?? 0) >= s.a.get('verdict.proven');
    if (!lit || looked || proven || s.codes.some((code) => code.role === 'root')) return null;
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'brake.fluid',
        wheelEnd: null,
        cause: null,
        sentence: 'The brake lamp is lit: look at the fluid, the pads and the park brake first.',
        because: [
          'the brake lamp is not a wheel speed until the brakes themselves are known to be right',
          'it takes a minute, and costs nothing',
        ],
      }),
      step: stepFor('brake.fluid', null),
    };
  },
};

import { checksDone } from '../../plan/availableChecks.ts';
import { dangerInWords, worstWheel } from '../../safety/dangers.ts';
import { complaintsNow } from '../../vocabulary/complaints.ts';
import { wheelEndInWords } from '../../vocabulary/wheelEndWords.ts';
import {
  capital,
  curesInWords,
  isHub,
  place,
  type Rule,
  type Situation,
  stepFor,
  verdict,
  wordedCauses,
} from './situation.ts';

/** A soft pedal, fluid low or leaking: nothing else matters until the brakes hold. */
export const brakesFirst: Rule = {
  name: 'the brakes themselves',
  says: (s) => {
    const { brakes } = s.dangers;
    if (!brakes) return null;
    const then = brakes.hot
      ? 'Let it cool, then find what drags: caliper, park brake or bearing. Look at the fluid as well.'
      : brakes.fluid === 'leaking' || brakes.fluid === 'low'
        ? 'Find where the fluid went: look at every wheel, the pipes and the pads.'
        : 'Look at the brake fluid and along the pipes.';
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'brake.fluid',
        sentence: `Do not drive it: ${brakes.because}. ${then}`,
        because: ['brakes that fail outrank any lamp', ...loose(s)],
      }),
      step: stepFor('brake.fluid', null),
    };
  },
};

/** Every unsafe wheel in words, the worst first. */
const loose = (s: Situation): string[] =>
  s.dangers.wheels.map(
    (wheel) =>
      `${wheel.wheelEnd ? wheelEndInWords(wheel.wheelEnd, s.names) : 'a wheel, not said which'}: ${dangerInWords(wheel)}`,
  );

/** A loose or growling wheel nobody named. It is asked and felt for, never found by driving. */
export const whichWheel: Rule = {
  name: 'an unsafe wheel nobody named',
  saysSafety: true,
  says: (s) => {
    const [worst] = s.dangers.wheels;
    if (worst?.wheelEnd !== null) return null;
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'bearing.play',
        wheelEnd: null,
        cause: 'bearing',
        sentence: 'Do not drive it. Which wheel? Rock and spin each one, lifted, before anything else.',
        because: [...loose(s), 'a wheel that is loose can come off: it is not looked for by driving'],
      }),
      step: stepFor('bearing.play', null),
    };
  },
};

/** A wheel that may come off: its hub, or its bolts where the wheel was off lately. */
export const unsafeWheel: Rule = {
  name: 'an unsafe wheel',
  says: (s) => {
    const end = worstWheel(s.dangers);
    const worst = s.dangers.wheels.find(({ wheelEnd }) => wheelEnd === end);
    if (!end || !worst) return null;
    const where = capital(place(s, end));
    const others = s.dangers.wheels.filter((wheel) => wheel !== worst);
    const unsafe = others.map(
      (wheel) =>
        `also not safe: ${place(s, wheel.wheelEnd) || 'a wheel, not said which'}, ${dangerInWords(wheel)}`,
    );
    const why = `${place(s, end)}: ${dangerInWords(worst)}`;
    const stands = worst.soundSince
      ? ['a later look found no play: the worse one stands until it is struck out']
      : [];
    if (worst.boltsFirst && !worst.growl)
      return {
        verdict: verdict(s, {
          action: 'check',
          check: 'bearing.play',
          wheelEnd: end,
          cause: 'bearing',
          sentence: worst.soundSince
            ? `Do not drive it yet. ${where}: rocked again, and no play was found. If its bolts were tightened or its hub was fitted in between, strike the first reading out; else rock it once more.`
            : `Do not drive it. ${where}: the wheel was off lately. Tighten its bolts by torque wrench, then rock it again.`,
          because: [why, 'bolts that worked loose feel like a worn bearing', ...stands, ...unsafe],
        }),
        step: stepFor('bearing.play', end),
      };
    const hub = s.plan?.wheelEnd === end ? s.plan.outcomes.find(isHub) : undefined;
    return {
      verdict: verdict(s, {
        action: 'sell',
        part: 'hub-assembly',
        wheelEnd: end,
        cause: s.causes.find(({ wheelEnd }) => wheelEnd === end)?.cause ?? 'bearing',
        sentence: `Do not drive it. ${where}: the hub assembly comes first, whatever else is wrong.`,
        because: [
          `${why}: it can cost a wheel, and safety outranks price`,
          ...stands,
          ...unsafe,
          ...(hub ? [`the hub cures the complaint in ${curesInWords(hub)}`] : []),
          wordedCauses(s, end),
        ].filter(Boolean),
      }),
      step: {
        do: 'sell',
        part: 'hub-assembly',
        wheelEnd: end,
        label: 'sell the hub assembly, fitted by a workshop now',
        chance: 1,
        expectedCost: hub?.cost ?? 0,
        then: [],
      },
    };
  },
};

/** A growl, complained of or heard, at a wheel nobody has rocked: before anything is sold or driven. */
export const rockFirst: Rule = {
  name: 'rock what growls',
  saysSafety: true,
  says: (s) => {
    const end = s.wheelEnd;
    if (end === null || end.endsWith('C')) return null;
    const done = checksDone(s.docket, end);
    const growls = (s.docket.checks ?? []).some(
      (check) =>
        check.check === 'bearing.noise' && check.result === 'growl' && (check.wheelEnd ?? end) === end,
    );
    const complained = complaintsNow(s.docket).includes('noise.wheel') && !done.has('bearing.noise');
    if (done.has('bearing.play') || (!growls && !complained)) return null;
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'bearing.play',
        part: growls ? 'hub-assembly' : null,
        sentence: `${capital(place(s, end))}: it growls. Rock the wheel for play before it is driven, and spin it.`,
        because: [
          wordedCauses(s, end),
          'a growl with play can cost the wheel: this is not about money',
        ].filter(Boolean),
      }),
      step: s.plan?.step.check === 'bearing.play' ? s.plan.step : stepFor('bearing.play', end),
    };
  },
};

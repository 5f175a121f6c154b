import type { Advice } from '../vocabulary/advice.ts';

/** What good advice says of a docket; see cases/README.md. A list means any of these will do. */
export interface Expect {
  wheelEnd?: string | null;
  verdictWheelEnd?: string;
  topCause?: string[];
  action?: string[];
  part?: string[];
  notPart?: string[];
  check?: Array<string | null>;
  causesAtLeast?: Record<string, number>;
  causesAtMost?: Record<string, number>;
  curesAtLeast?: Record<string, number>;
  cautions?: string[];
  notCautions?: string[];
  roles?: Record<string, string>;
  asks?: string[];
  cheaper?: Array<[string, string]>;
  cannotOffer?: string[];
  offersBoth?: string[];
  healthyAtMost?: number;
}

export interface ExampleCase {
  readonly name: string;
  readonly truth: string;
  readonly docket: unknown;
  readonly expect: Expect;
}

/** Everything an advice says otherwise than expected, one line each; empty when it is right. */
export const judgeCase = (advice: Advice, wanted: Expect): string[] => {
  const wrong: string[] = [];
  const { verdict, causes, offers } = advice;
  const holds = (fine: boolean, line: string) => {
    if (!fine) wrong.push(line);
  };
  const highest = (cause: string) =>
    Math.max(0, ...causes.filter((c) => c.cause === cause).map((c) => c.probability));
  const oneOf = (what: string, list: ReadonlyArray<string | null> | undefined, got: string | null) => {
    if (list) holds(list.includes(got), `${what} ${got ?? 'none'}, wanted ${list.join(' | ')}`);
  };
  if (wanted.wheelEnd !== undefined)
    holds(
      advice.wheelEnd === wanted.wheelEnd,
      `wheelEnd ${advice.wheelEnd ?? 'none'}, wanted ${wanted.wheelEnd ?? 'none'}`,
    );
  if (wanted.verdictWheelEnd !== undefined)
    oneOf('verdict wheel end', [wanted.verdictWheelEnd], verdict.wheelEnd);
  oneOf('top cause', wanted.topCause, causes[0]?.cause ?? null);
  oneOf('action', wanted.action, verdict.action);
  oneOf('part', wanted.part, verdict.part);
  oneOf('check', wanted.check, verdict.check);
  if (wanted.notPart && verdict.action === 'sell')
    holds(!wanted.notPart.includes(verdict.part ?? ''), `sells ${verdict.part ?? ''}`);
  for (const [cause, least] of Object.entries(wanted.causesAtLeast ?? {}))
    holds(highest(cause) >= least, `${cause} ${highest(cause).toFixed(3)}, wanted at least ${least}`);
  for (const [cause, most] of Object.entries(wanted.causesAtMost ?? {}))
    holds(highest(cause) <= most, `${cause} ${highest(cause).toFixed(3)}, wanted at most ${most}`);
  const corner = wanted.wheelEnd ?? advice.wheelEnd;
  const offer = (part: string, at = corner) =>
    offers.find((o) => o.part === part && (at === null || o.wheelEnd === at)) ??
    offers.find((o) => o.part === part);
  for (const [part, least] of Object.entries(wanted.curesAtLeast ?? {}))
    holds(
      (offer(part)?.cures ?? 0) >= least,
      `${part} cures ${(offer(part)?.cures ?? 0).toFixed(3)}, wanted at least ${least}`,
    );
  for (const caution of wanted.cautions ?? [])
    holds(
      advice.cautions.some((c) => c === caution),
      `caution ${caution} missing`,
    );
  for (const caution of wanted.notCautions ?? [])
    holds(!advice.cautions.some((c) => c === caution), `caution ${caution} out of place`);
  for (const [code, role] of Object.entries(wanted.roles ?? {})) {
    const got = advice.codes.find((c) => c.code === code)?.role;
    holds(got === role, `code ${code} is ${got ?? 'lost'}, wanted ${role}`);
  }
  for (const about of wanted.asks ?? [])
    holds(
      advice.questions.some((q) => q.about === about),
      `does not ask about ${about}`,
    );
  for (const [a, b] of wanted.cheaper ?? [])
    holds((offer(a)?.allIn.mean ?? NaN) < (offer(b)?.allIn.mean ?? NaN), `${a} is not cheaper than ${b}`);
  for (const part of wanted.cannotOffer ?? []) holds(!offers.some((o) => o.part === part), `offers ${part}`);
  for (const end of wanted.offersBoth ?? [])
    holds(
      offers.some((o) => o.wheelEnd === end),
      `no offer at ${end}`,
    );
  if (wanted.healthyAtMost !== undefined) {
    const worst = Math.max(
      0,
      ...advice.corners.filter((c) => c.wheelEnd !== corner).map((c) => c.probability),
    );
    holds(
      worst <= wanted.healthyAtMost,
      `a healthy corner has ${worst.toFixed(3)}, wanted at most ${wanted.healthyAtMost}`,
    );
  }
  return wrong;
};

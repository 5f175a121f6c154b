import type { FactEffect } from '../vocabulary/advice.ts';
import { CAUSE_SHORT } from '../vocabulary/inWords.ts';
import { CAUSES } from '../vocabulary/wordLists.ts';
import { wheelEndInWords, type WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { Evidence } from './finding.ts';
import { memo } from './memo.ts';
import type { Posterior } from './posterior.ts';

const odds = (p: number): number => {
  const held = Math.min(1 - 1e-9, Math.max(1e-9, p));
  return held / (1 - held);
};

/** Below this a factor is not worth saying. A matter of reading, not of judgement. */
const SAID_FROM = 1.25;
/** Below this a difference is the rounding of the machine. */
const NOTHING = 1e-12;
const SHOWN = 3;
const SILENT = 'changes little';

/** A factor on the odds, as people say it: `9 times likelier`, `4 times less likely`. */
const factorInWords = (factor: number): string => {
  const size = factor >= 1 ? factor : 1 / factor;
  const much = size >= 95 ? 'far' : `${size >= 9.5 ? Math.round(size) : Number(size.toFixed(1))} times`;
  return factor >= 1 ? `${much} likelier` : much === 'far' ? 'all but ruled out' : `${much} less likely`;
};

/** One fact as the reasoning can leave it out: its path, its words, and the evidence without it. */
export interface Removable {
  readonly path: string;
  readonly label: string;
  readonly wheelEnd: WheelEnd | null;
  /** What would be believed without it; null where the reasoning does not use the fact. */
  readonly without: () => Posterior | null;
  /** Why it moved nothing, when it did not. */
  readonly why: () => string;
}

const called = new WeakMap<Evidence, ReadonlyMap<string, string>>();

/** What every fact that the reasoning uses is called, by its path: by what it shows rather than by what is sound. */
export const factLabels = (evidence: Evidence): ReadonlyMap<string, string> =>
  memo(called, evidence, () => {
    const labels = new Map<string, string>();
    const call = ({ path, label }: { readonly path: string; readonly label: string }) => {
      if (!labels.has(path)) labels.set(path, label);
    };
    evidence.findings.filter(({ isNormal }) => !isNormal).forEach(call);
    evidence.findings.forEach(call);
    for (const { paths, label } of evidence.complaints) for (const path of paths) call({ path, label });
    evidence.shared.forEach(call);
    return labels;
  });

/** Whether the reasoning uses the fact at `path` at all. */
export const uses = (evidence: Evidence, path: string): boolean => factLabels(evidence).has(path);

/** Whether anything at all is believed otherwise. */
const moved = (whole: Posterior, rest: Posterior): boolean =>
  whole.ends.length !== rest.ends.length ||
  CAUSES.some(
    (cause) =>
      Math.abs(whole.chance(cause, null) - rest.chance(cause, null)) > NOTHING ||
      whole.ends.some(
        ({ wheelEnd }) => Math.abs(whole.chance(cause, wheelEnd) - rest.chance(cause, wheelEnd)) > NOTHING,
      ),
  );

/**
 * How each fact moved the answer: the odds of the leading causes with it against the odds had it not been known, all
 * else kept. The largest movements are named in words; the wheel is named only where it is not `corner`.
 */
export const explainFacts = (
  facts: readonly Removable[],
  whole: Posterior,
  causes: ReadonlyArray<{ cause: Cause; wheelEnd: WheelEnd | null }>,
  names: WheelNames,
  corner: WheelEnd | null,
): FactEffect[] =>
  facts.map(({ path, label, wheelEnd, without, why }) => {
    const idle = () => ({ path, label, wheelEnd, effects: [], said: why() });
    const rest = without();
    if (rest === null) return idle();
    const all = causes.map(({ cause, wheelEnd: end }) => {
      const factor = odds(whole.chance(cause, end)) / odds(rest.chance(cause, end));
      return {
        cause,
        wheelEnd: end,
        factor,
        words: `${CAUSE_SHORT[cause]}${end && end !== corner ? ` ${wheelEndInWords(end, names)}` : ''} ${factorInWords(factor)}`,
      };
    });
    // The leading causes tell mostly; all of them are asked only where those stand still.
    if (all.every(({ factor }) => Math.abs(factor - 1) <= NOTHING) && !moved(whole, rest)) return idle();
    const effects = all
      .filter(({ factor }) => Math.max(factor, 1 / factor) >= SAID_FROM)
      .sort((x, y) => Math.abs(Math.log(y.factor)) - Math.abs(Math.log(x.factor)));
    const up = effects.filter((effect) => effect.factor > 1).slice(0, 2);
    const down = effects.filter((effect) => effect.factor < 1).slice(0, up.length > 0 ? 1 : 2);
    const said = [...up, ...down].map((effect) => effect.words).join('; ');
    return {
      path,
      label,
      wheelEnd,
      effects: [...effects.slice(0, SHOWN), ...up.filter((e) => !effects.slice(0, SHOWN).includes(e))],
      said: said || SILENT,
    };
  });

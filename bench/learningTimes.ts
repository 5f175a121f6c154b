import { assumptionsWith } from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { countsOf } from '../packages/core/src/ledger/counts.ts';
import { learn } from '../packages/core/src/ledger/learn.ts';
import { relearn } from '../packages/core/src/ledger/relearn.ts';
import { tallyOf } from '../packages/core/src/ledger/tally.ts';
import { drawEntry, drawShop } from '../packages/core/src/practice/drawShop.ts';
import { sized } from './size.ts';

const JOBS = sized(50_000, 1000);
const OUTCOMES = 200;

/** Learning from fifty thousand closed dockets, and from one more. Milliseconds. */
export const learningTimes = (): { relearnMs: number; learnMs: number; oneMs: number } => {
  const judged = assumptionsWith();
  const shop = drawShop(randomFrom(1), 1);
  const random = randomFrom(2);
  // A thousand drawn ones many times over: drawing is not what is measured.
  const drawn = Array.from({ length: 1000 }, (_, i) =>
    drawEntry(random, shop, judged, { docket: i + 1, day: '2026-10-01' }),
  );
  const entries = Array.from({ length: JOBS }, (_, i) => drawn[i % drawn.length] as (typeof drawn)[number]);
  const timed = <T>(act: () => T): [number, T] => {
    const began = performance.now();
    const made = act();
    return [performance.now() - began, made];
  };
  const [relearnMs, again] = timed(() => relearn(entries, judged, '2026-11'));
  const tally = tallyOf(
    again
      .slice(0, 3000)
      .flatMap((entry) => countsOf(entry, judged).map((count) => ({ ...count, month: '2026-10' }))),
    '2026-11',
    36,
  );
  const [learnMs] = timed(() => learn(tally, judged));
  const [all] = timed(() => drawn.slice(0, OUTCOMES).forEach((entry) => countsOf(entry, judged)));
  return { relearnMs, learnMs, oneMs: all / OUTCOMES };
};

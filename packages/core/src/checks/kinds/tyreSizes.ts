import { wheelEndInWords } from '../../vocabulary/wheelEndWords.ts';
import { parseTyreSize, readsAgainst } from '../../vocabulary/tyreSize.ts';
import { compareTyres } from '../compareTyres.ts';
import type { ComputedKind } from '../computedCheck.ts';
import { rollingCircumference } from '../wheelArithmetic.ts';

/** Tyre sizes across each axle: `compareTyres` finds the odd one, the evidence takes it from there. */
export const tyreSizes: ComputedKind<'tyres'> = {
  reads: () => null,
  tells: (check, setting, a) => {
    const { odd, unread } = compareTyres(check.sizes, a.get('tyres.differ-percent'));
    const rolling = a.get('tyre.rolling');
    const read = Object.entries(check.sizes).flatMap(([end, size]) => {
      const tyre = parseTyreSize(size);
      return tyre ? [{ end, size, tyre }] : [];
    });
    const first = read[0];
    return {
      lines: [
        ...read.map(
          ({ end, size, tyre }) =>
            `${wheelEndInWords(end, setting)} ${size}: ${tyre.diameter.toFixed(0)} mm, ${rollingCircumference(tyre.diameter, rolling).toFixed(3)} m a turn${
              first && end !== first.end && Math.abs(readsAgainst(tyre, first.tyre)) >= 0.05
                ? `, reads ${Math.abs(readsAgainst(tyre, first.tyre)).toFixed(2)} % ${readsAgainst(tyre, first.tyre) < 0 ? 'low' : 'high'} against ${wheelEndInWords(first.end, setting)}`
                : ''
            }`,
        ),
        ...unread.map(
          ({ size }) => `"${size}" is no tyre size; write it as on the sidewall, such as 205/55 R16`,
        ),
        ...(read.length >= 2 && odd.length === 0 ? ['no two wheels of an axle differ enough to matter'] : []),
        ...odd.map(
          ({ wheelEnd, readsPercent }) =>
            `a controller sees ${wheelEndInWords(wheelEnd, setting)} ${Math.abs(readsPercent).toFixed(1)} % ${readsPercent < 0 ? 'slow' : 'fast'} at every speed`,
        ),
      ],
      says: odd.length > 0 ? 'faulty' : read.length >= 2 ? 'sound' : 'nothing',
    };
  },
};

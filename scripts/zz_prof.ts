import { advise, bareKnowledge } from '@hardy/core';
import { fullDocket } from '../bench/fullDocket.ts';
import { measure } from '../bench/measure.ts';
const k = bareKnowledge('2026-11-25');
const crowded = { ...fullDocket, codes: Array.from({ length: 500 }, (_, i) => ({ code: `C00${(0x31 + (i % 12)).toString(16).toUpperCase()}-${['13','37','64','1F'][i % 4]}`, module: 'ABS', text: `wheel speed sensor ${i}` })) };
const distinct = { ...fullDocket, codes: Array.from({ length: 500 }, (_, i) => ({ code: `${'PCBU'[i % 4]}${(0x1000 + i * 7).toString(16).toUpperCase()}-${['13','37','64','1F'][i % 4]}`, module: `M${i % 40}`, text: `text ${i}` })) };
const full = measure(() => advise(fullDocket, k), 20, 10);
for (const [n, d] of [['crowded', crowded], ['distinct', distinct]] as const) {
  const m = measure(() => advise(d as never, k), 5, 2);
  console.log(n, m.median.toFixed(0), (m.median / full.median).toFixed(2));
}
console.log('full', full.median);

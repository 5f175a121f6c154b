import { advise, bareKnowledge } from '@hardy/core';
import { fullDocket } from '../bench/fullDocket.ts';
import { measure } from '../bench/measure.ts';
const k = bareKnowledge('2026-11-25');
const crowded = { ...fullDocket, codes: Array.from({ length: 500 }, (_, i) => ({ code: `C00${(0x31 + (i % 12)).toString(16).toUpperCase()}-${['13','37','64','1F'][i % 4]}`, module: 'ABS', text: `wheel speed sensor ${i}` })) };
measure(() => advise(crowded as never, k), 20, 2);

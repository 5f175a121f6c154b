import { deskLoad } from '../bench/deskLoad.ts';
console.log(JSON.stringify(await deskLoad(Number(process.argv[2] ?? 100), 30), null, 1));

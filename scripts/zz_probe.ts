import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { VEHICLES } from '/work/main/packages/core/src/catalogueFiles/tables.ts';
import { readIntake } from '/work/main/packages/core/src/intake/readIntake.ts';
import { bareIntake } from '/work/main/packages/core/src/intake/context.ts';
import { factsOf } from '/work/main/packages/core/src/intake/tests/readingFacts.ts';
const csv=(f)=>Papa.parse(readFileSync('/work/main/demo/'+f,'utf8'),{header:true,skipEmptyLines:true}).data as any[];
const vehicles=csv('vehicles.csv').map((r)=>VEHICLES.read(r)) as any; const fleet=csv('fleet.csv').map(r=>({...r,plate:r.plate||null,vin:r.vin||null,distanceKm:1}));
for (const t of readFileSync(process.argv[2],'utf8').split('\n').filter(Boolean)) { const veh=/bradw|fenick|otter|strand|quay|mercy|hatchback|merrow|tolvane|quillon|osterh|fennick|b-07|P-2|gritter|trailer/i.test(t); const r = readIntake(t.replace(/\\n/g,'\n'), {...bareIntake('2026-11-25'), trafficSide:/nearside|off ?side/.test(t)?'left':'right', ...(veh?{vehicles,fleet}:{steeringSide:'left' as const, axles:2})} as any); console.log(t,'\n  ',factsOf(r).filter(f=>f!=='corner none').join('; '), r.leftOver.length?'| left: '+r.leftOver.join(' / '):'', r.asks?.length?'| asks: '+(r.asks??[]).map(a=>a.ask).join(' / '):'', r.conflicts.length?'| CONFLICT':''); }

import { demo } from '#core/demo/demo';
import { assess } from '#core/judgement/assess';
import { sayFinding } from '#core/judgement/allRules';
const now = Date.parse(process.argv[2] ?? '2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
for (const o of outings) { const a = assess(o, references, new Map() as never, now);
console.log('##', o.title, a.gate?.open ?? '', JSON.stringify({sh:a.exposures.maxDistanceFromShoreM|0,la:a.exposures.maxDistanceFromLandingM|0,w:a.exposures.wind?.value,off:a.exposures.offshore?.value,hs:a.exposures.hs?.value.toFixed(2),br:a.exposures.breakerM?.toFixed(2),str:a.exposures.stream?.value.toFixed(2),wc:a.exposures.waterC,party:a.exposures.party}));
for (const f of a.findings) { const s = sayFinding((f as any).facts ?? f); if(f.level!=='note') console.log('  ', f.level, (f as any).facts?.code, '|', s.title, '|', s.text.slice(0,330), '|', f.repairs.length); } }

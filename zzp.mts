import { demo } from './core/demo/demo';
import { newItem } from './core/editing/newItem';
import { withItem } from './core/editing/edit';
import { assess } from './core/judgement/assess';
import { noAnswers } from './core/walkround/answers';
import { sayFinding } from './core/judgement/allRules';
const now = Date.parse('2026-05-15T19:00:00Z');
const { outings, references } = demo(now);
const O = (id: string) => outings.find((o) => o.id === id)!;
type R = typeof references;
interface V { brief?: object; hours?: object | ((h: any) => object); without?: string[]; only?: string[]; add?: [string, string, object?][]; addOwn?: string[]; angler?: object; craft?: object; water?: object; area?: object; company?: any[]; conditions?: object; items?: Record<string, object>; launch?: object }
function run(id: string, v: V = {}) {
  const base = O(id);
  let refs: R = references;
  if (v.angler) refs = { ...refs, angler: { ...refs.angler!, ...v.angler } };
  if (v.craft) refs = { ...refs, craft: refs.craft.map((c) => (c.id === base.brief.craftId ? { ...c, ...v.craft } : c)) };
  const wid = (v.brief as any)?.waterId ?? base.brief.waterId; const aid = (v.brief as any)?.areaId ?? base.brief.areaId;
  if (v.water || v.area || v.launch) refs = { ...refs, waters: refs.waters.map((w) => (w.id === wid ? { ...w, ...v.water, areas: w.areas.map((a) => (a.id === aid ? { ...a, ...v.area } : a)), launches: w.launches.map((l) => ({ ...l, ...v.launch })) } : w)) };
  if (v.items) refs = { ...refs, items: refs.items.map((i) => (v.items![i.id] ? { ...i, ...v.items![i.id] } : i)) };
  let o: any = { ...base, accepted: [], brief: { ...base.brief, ...v.brief }, conditions: { ...base.conditions, ...v.conditions } };
  if (v.hours) o.conditions = { ...o.conditions, hours: o.conditions.hours.map((h: any) => ({ ...h, ...(typeof v.hours === 'function' ? v.hours(h) : v.hours) })) };
  if (v.only) o.loadout = o.loadout.filter((e: any) => v.only!.includes(e.itemId));
  if (v.without) o.loadout = o.loadout.filter((e: any) => !v.without!.includes(e.itemId));
  for (const [iid, kind, own] of v.add ?? []) { refs = { ...refs, items: [...refs.items, newItem(iid, kind as never, own as never)] }; o = withItem(o, iid, 1); }
  for (const iid of v.addOwn ?? []) o = withItem(o, iid, 1);
  if (v.company) o.company = v.company;
  return { a: assess(o, refs, noAnswers, now), o, refs };
}
const show = (title: string, id: string, v: V, want: RegExp | null, full = false) => {
  const { a } = run(id, v);
  console.log(`\n## ${title}`);
  const list = a.findings.filter((f) => f.accepted === null && (want ? want.test(f.facts.code + ' ' + f.key + ' ' + f.title) : f.level !== 'note'));
  if (list.length === 0) console.log('   (nothing)');
  for (const f of list) console.log(`   ${f.level.toUpperCase()} [${f.key}] ${f.title}${full ? ' — ' + f.text : ''}${f.repairs.length ? ' >> ' + f.repairs.map((r) => r.do).join('|') : f.lowers.length ? ' ~> ' + f.lowers.map((r) => r.do).join('|') : f.otherwise ? ' :: ' + f.otherwise.slice(0, 140) : ''}`);
};
const needs = (title: string, id: string, v: V, ids?: string[]) => {
  const { a } = run(id, v);
  console.log(`\n## ${title}`);
  for (const n of a.needs) if (!ids || ids.includes(n.id)) console.log(`   ${n.id} ${n.level} ${n.met ? 'met' : 'OPEN'} ${n.counted}/${n.want} ${n.means.map((m: any) => (m.name ?? m.part) + (m.shortfall ? ' ✗' + JSON.stringify(m.shortfall) : ' ✓')).join(', ')}`);
};
export { run, show, needs };
const sea = ['distress-signal', 'call-for-help', 'second-propulsion', 'be-seen-day', 'navigate', 'tow-line', 'throw-line', 'buoyancy', 'stop-leak', 'take-water-out', 'get-back-in'];
needs('1 river, nights 0, far below the put-in', 'venn-overnight', { brief: { nights: 0, trip: 'river-day', homeAt: '16:00' } }, sea);
needs('1 pond at 60 m', 'perch-spring', { water: { getOut: 'anywhere along the banks' }, area: { distanceM: 60, shoreM: 20 } }, sea);
show('1 pond at 60 m, no spare paddle: Stops', 'perch-spring', { water: { getOut: 'anywhere along the banks' }, area: { distanceM: 60, shoreM: 20 }, without: ['four-piece', 'half-paddle'] }, /second-propulsion/);
needs('1 open water by another name', 'ling-anchored', { brief: { trip: 'still-water' } }, sea);
show('2 laxer limit than ceiling', 'cod-wreck', { angler: { limits: { ...references.angler!.limits, windMps: 20, gustMps: 25 } }, hours: { windMps: 13, gustMps: 17 } }, /wind|ceiling|gust/);
show('2 stricter limit', 'cod-wreck', { angler: { limits: { ...references.angler!.limits, windMps: 3 } }, hours: { windMps: 4, gustMps: 5, windFromDeg: 90 } }, /wind|gust/);
show('2 waves as such', 'ling-anchored', { hours: { waveM: 1.6, windMps: 5, gustMps: 6 } }, /wave|sea|breaker|surf/);
show('2 beach with a wind sea', 'cod-wreck', { hours: { waveM: 1.1, swellM: 0, swellPeriodS: null, windMps: 5, gustMps: 6 } }, /breaker|surf|wave/, true);
show('2 0.7 m wave of no period on a stream', 'pollack-long-grey', { hours: { waveM: 0.7, swellM: 0, swellPeriodS: null } }, /wave|stream|break/, true);
show('2 thunder at the hour after', 'pollack-long-grey', { hours: (h: any) => (h.at.includes('T11') || h.at.includes('T12') ? { thunderPct: 40 } : { thunderPct: 0 }) }, /thunder/, true);
show('2 offshore wind', 'cod-wreck', { hours: { windMps: 7, gustMps: 9, windFromDeg: 0 } }, /offshore|wind/);
show('2 offshore wind from another side', 'cod-wreck', { hours: { windMps: 7, gustMps: 9, windFromDeg: 90 } }, /offshore|wind/);
show('2 swell not typed on an open coast', 'cod-wreck', { hours: { swellM: null, swellPeriodS: null } }, /condition|swell|brief|silent|figure/, true);

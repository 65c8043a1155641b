import { anchorOf } from '../holding/anchorSheet';
import { kinds } from '../catalog/gear/kinds';
import type { Finding, FindingCode } from './finding';
import type { Judging } from './context';

/** The sheets of the Workings, in the order in which they are shown. */
export const sheetIds = [
  'rigs',
  'jig',
  'spares',
  'spread',
  'anchor',
  'drift',
  'power',
  'supplies',
  'ice',
  'cold',
] as const;
export type SheetId = (typeof sheetIds)[number];
export const sheetNames: Record<SheetId, string> = {
  rigs: 'Rigs',
  jig: 'Jig mass',
  spares: 'Spares',
  spread: 'Spread',
  anchor: 'Anchor',
  drift: 'Drift',
  power: 'Power',
  supplies: 'Water and food',
  ice: 'Ice',
  cold: 'Cold and heat',
};

const sheetOf: Partial<Record<FindingCode, SheetId>> = {
  'anchor-shut': 'anchor',
  'anchor-scope': 'anchor',
  'anchor-drags': 'anchor',
  'anchor-no-release': 'anchor',
  'pole-no-hold': 'anchor',
  'rig-weak': 'rigs',
  'rig-over-rod': 'rigs',
  'rig-window': 'rigs',
  'rig-guides': 'rigs',
  'rig-knot': 'rigs',
  'rig-spool': 'rigs',
  'rig-bites': 'rigs',
  'spares-few': 'spares',
  'spares-many': 'spares',
  'jig-light': 'jig',
  'spread-wide': 'spread',
  'battery-short': 'power',
};
const needSheet: Record<string, SheetId> = { water: 'supplies', food: 'supplies', ice: 'ice' };

/** The sheet on which a finding's sum stands; null: none. */
export function sheetFor({ facts }: Pick<Finding, 'facts'>): SheetId | null {
  if (facts.code === 'need-unmet') return needSheet[facts.needId] ?? null;
  return sheetOf[facts.code] ?? null;
}

/** The sheets that this outing gives something to work out. */
export function sheetsInUse({ outing, looked, e }: Judging): SheetId[] {
  const { techniques } = outing.brief;
  const meets = (...some: string[]) =>
    looked.aboard.some(({ item }) => kinds[item.kind].means.some((id) => some.includes(id)));
  const uses: Record<SheetId, boolean> = {
    rigs: e.rods > 0,
    jig: techniques.includes('jigging') && e.spot.length > 0,
    spares: meets('lures', 'terminal'),
    spread: techniques.includes('trolling') && e.rods > 0,
    anchor: techniques.includes('anchored bait') || looked.aboard.some(({ item }) => anchorOf(item) !== null),
    drift: techniques.includes('drifting') && e.spot.length > 0,
    power: e.electricsW > 0 || meets('power', 'phone-power'),
    supplies: e.hoursAfloat !== null,
    ice: e.keep > 0,
    cold: e.waterC !== null,
  };
  return sheetIds.filter((id) => uses[id]);
}

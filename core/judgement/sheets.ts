import { kinds } from '../catalog/gear/kinds';
import { anchorOf } from '../holding/anchorSheet';
import { type SheetId, sheetIds } from '../vocabulary/sheets';
import type { Context } from './context';
import { type Facts, ruleOf } from './allRules';

/** The sheet on which a finding's sum stands; null: none. */
export function sheetFor({ facts }: { facts: Facts }): SheetId | null {
  return ruleOf(facts.code).sheetFor(facts);
}

/** The sheets that this outing gives something to work out. */
export function sheetsInUse({ brief: { techniques }, aboard, exposures }: Context): SheetId[] {
  const meets = (...some: string[]) =>
    aboard.some(({ item }) => kinds[item.kind].means.some((id) => some.includes(id)));
  const uses: Record<SheetId, boolean> = {
    rigs: exposures.rods > 0,
    jig: techniques.includes('jigging') && exposures.spot.length > 0,
    spares: meets('lures', 'terminal'),
    spread: techniques.includes('trolling') && exposures.rods > 0,
    anchor: techniques.includes('anchored bait') || aboard.some(({ item }) => anchorOf(item) !== null),
    drift: techniques.includes('drifting') && exposures.spot.length > 0,
    power: exposures.electricsW > 0 || meets('power', 'phone-power'),
    supplies: exposures.hoursAfloat !== null,
    ice: exposures.keep > 0,
    cold: exposures.waterC !== null,
  };
  return sheetIds.filter((id) => uses[id]);
}

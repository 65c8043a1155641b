import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Angler } from '../documents/angler';
import { type References, lookUp } from '../documents/references';
import { withItem } from '../editing/edit';
import { newItem } from '../editing/newItem';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { beforeLaunch, carriesOf } from './before';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const ready = outings.find(({ id }) => id === 'pollack-long-grey');
if (!ready) throw new Error('The demo data has no such outing.');
const timed = (times: Partial<Angler['times']>): References => {
  const { angler } = references;
  if (!angler) throw new Error('The demo data has no angler.');
  return { ...references, angler: { ...angler, times: { ...angler.times, ...times } } };
};
const list = (refs: References, outing = ready) => beforeLaunch(outing, lookUp(outing, refs)) ?? [];
const at = (what: RegExp, refs: References, outing = ready) =>
  list(refs, outing).find((one) => what.test(one.what))?.at ?? NaN;

describe('backwards from the launch', () => {
  const own = timed({ readyMin: 40, driveMin: 35, rigMin: 45, carryMin: 10 });
  it('adds up one’s own times: ways to the water, making ready, the road, getting up', () => {
    const launch = at(/^Launch$/, own);
    const ways = carriesOf(lookUp(ready, own));
    expect(at(/^Be at /, own)).toBe(launch - (ways * 10 + 45) * MINUTE_MS);
    expect(at(/^Leave$/, own)).toBe(launch - (ways * 10 + 45 + 35) * MINUTE_MS);
    expect(at(/^Get up$/, own)).toBe(launch - (ways * 10 + 45 + 35 + 40) * MINUTE_MS);
  });
  it('is in order of time, with a forecast read within three hours of the launch, charged the evening before', () => {
    const times = list(own).map((one) => one.at);
    expect(times).toEqual(times.toSorted((a, b) => a - b));
    expect(at(/^Launch$/, own) - at(/^Look at the forecast/, own)).toBeLessThanOrEqual(3 * HOUR_MS);
    expect(at(/^Get up$/, own) - at(/^Charge /, own)).toBe(12 * HOUR_MS);
  });
  it('says no hour to get up while nobody told how long the road is', () => {
    expect(list(timed({ driveMin: null })).some(({ what }) => what === 'Get up' || what === 'Leave')).toBe(
      false,
    );
  });
  it('goes once with a cart, else with the boat and every load of gear', () => {
    const refs = { ...references, items: [...references.items, newItem('wheels', 'cart')] };
    const carts = ready.loadout
      .filter(({ itemId }) => references.items.some(({ id, kind }) => id === itemId && /cart/.test(kind)))
      .reduce((next, { itemId }) => withItem(next, itemId, 0), ready);
    expect(carriesOf(lookUp(carts, refs))).toBeGreaterThan(1);
    expect(carriesOf(lookUp(withItem(carts, 'wheels', 1), refs))).toBe(1);
  });
  it('is not known before water and hours are', () => {
    const nowhere = { ...ready, brief: { ...ready.brief, waterId: null } };
    expect(beforeLaunch(nowhere, lookUp(nowhere, references))).toBeNull();
  });
});

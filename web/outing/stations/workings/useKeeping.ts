import { amount } from '#core/units/amount';
import { attributes } from '#core/catalog/gear/attributes';
import type { Habits } from '#core/documents/workings';
import { type Attempt, changedCraft, changedItem, changedWater, tryChange } from '#core/editing/trial';
import { useDocuments, useKept } from '../../../documents/queries';
import { useOutingWorkspace } from '../../outingWorkspace';

const workingsWords = {
  alignment: ['where the anchor is led to', ''],
  attachHeightM: ['height of the rode', 'm'],
  targetDriftMps: ['drift wanted', 'm/s'],
  jigAngleDeg: ['angle of the line', '°'],
  holderHalfSpanM: ['half span of the holders', 'm'],
  outAngleDeg: ['rods out', '°'],
  elevationDeg: ['rods up', '°'],
  sparesConfidence: ['how sure of the spares', ''],
  powerReserve: ['charge kept back', ''],
  effort: ['effort', ''],
  litresPerHour: ['water an hour', 'L'],
  litresPerDegree: ['more an hour for each degree (°C) over 20', 'L'],
  waterInHand: ['water multiplied by, to have some in hand', ''],
  kjPerHour: ['energy an hour costs', 'kJ'],
  shareEaten: ['share of it eaten', ''],
  kjPerCampDay: ['food for a day in camp', 'kJ'],
  storeUaWK: ['heat let in by a usual store', 'W/K'],
  drogueCd: ['drag coefficient of a drogue', ''],
  jigCd: ['drag coefficient of the jig', ''],
  lineCd: ['drag coefficient of the line', ''],
  surgeHsM: ['wave that doubles the pull', 'm'],
  targetC: ['fish kept at', '°C'],
  iceStartC: ['ice starts at', '°C'],
} as const;
const craftWords = {
  cruiseMps: ['pace', 'm/s'],
  powerW: ['power', 'W'],
  windageM2: ['windage', 'm²'],
  lateralAirM2: ['side to the wind', 'm²'],
  lateralWaterM2: ['side to the water', 'm²'],
} as const;

const habits: readonly string[] = ['litresPerHour', 'kjPerHour'] satisfies (keyof Habits)[];

/** Where a tried number belongs, in words, and how it is kept there. */
export function useKeeping() {
  const { doc, edit, references, looked } = useOutingWorkspace();
  const { data } = useKept();
  const items = useDocuments('items');
  const craft = useDocuments('craft');
  const waters = useDocuments('waters');
  const anglers = useDocuments('anglers');
  const nameOf = (id: string) => references.items.find((item) => item.id === id)?.name ?? 'an item';
  const say = (change: Attempt): { what: string; where: string } => {
    const worded = ([name, unit]: readonly [string, string]) =>
      `${name}: ${typeof change.value === 'number' ? amount(change.value, unit, 3) : change.value}`;
    switch (change.on) {
      case 'workings':
        return { what: worded(workingsWords[change.field]), where: 'for this outing' };
      case 'device':
        return {
          what: `${nameOf(change.itemId)} runs ${amount(change.value, 'h', 3)}`,
          where: 'for this outing',
        };
      case 'item': {
        const { name, unit } =
          change.field === 'massKg' ? { name: 'mass', unit: 'kg' } : attributes[change.field];
        return { what: `${nameOf(change.itemId)}, ${worded([name, unit])}`, where: 'on the item' };
      }
      case 'craft':
        return {
          what: `${looked.craft?.name ?? 'the boat'}, ${worded(craftWords[change.field])}`,
          where: 'on the boat',
        };
      case 'area':
        return {
          what: `${looked.area?.name ?? 'the place'}, ${worded(change.field === 'depthM' ? ['depth', 'm'] : ['bottom', ''])}`,
          where: 'on the water',
        };
    }
  };
  const keep = async (change: Attempt): Promise<void> => {
    switch (change.on) {
      case 'workings':
      case 'device':
        edit((outing) => {
          const result = tryChange({ outing, references }, change);
          return result.taken ? result.tried.outing : outing;
        });
        return;
      case 'item': {
        const kept = data?.items.find((one) => one.doc.id === change.itemId);
        if (kept) await items.put(changedItem(kept.doc, change), kept.version);
        return;
      }
      case 'craft': {
        const kept = data?.craft.find((one) => one.doc.id === doc.brief.craftId);
        if (kept) await craft.put(changedCraft(kept.doc, change), kept.version);
        return;
      }
      case 'area': {
        const kept = data?.waters.find((one) => one.doc.id === doc.brief.waterId);
        if (kept) await waters.put(changedWater(kept.doc, doc.brief.areaId, change), kept.version);
      }
    }
  };
  /** A habit of the body may be kept for every outing: then this one needs no count of its own. */
  const isHabit = (change: Attempt) => change.on === 'workings' && habits.includes(change.field);
  const keepForAll = async (change: Attempt): Promise<void> => {
    const kept = data?.anglers[0];
    if (!kept || change.on !== 'workings') return;
    await anglers.put(
      { ...kept.doc, habits: { ...kept.doc.habits, [change.field]: Number(change.value) } },
      kept.version,
    );
    edit((outing) => ({ ...outing, workings: { ...outing.workings, [change.field]: null } }));
  };
  return { say, keep, isHabit, keepForAll };
}

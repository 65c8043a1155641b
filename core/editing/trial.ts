import type { AttributeId } from '../catalog/gear/attributes';
import { type Craft, craftSchema } from '../documents/craft';
import { type Item, itemSchema } from '../documents/item';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { type Area, type Water, waterSchema } from '../documents/water';
import { type Workings, workingsSchema } from '../documents/workings';

/** A number changed on a sheet: where it belongs, and what it would become. */
export type Attempt =
  | { on: 'workings'; field: Exclude<keyof Workings, 'deviceHours'>; value: number | string }
  | { on: 'device'; itemId: string; value: number }
  | { on: 'item'; itemId: string; field: AttributeId | 'massKg'; value: number }
  | { on: 'craft'; field: CraftField; value: number }
  | { on: 'area'; field: keyof Pick<Area, 'depthM' | 'bottom'>; value: number | string };
export type CraftField = 'cruiseMps' | 'powerW' | 'windageM2' | 'lateralAirM2' | 'lateralWaterM2';

/** Changes of one number replace each other. */
export function changeKey(change: Attempt): string {
  switch (change.on) {
    case 'device':
      return `device:${change.itemId}`;
    case 'item':
      return `item:${change.itemId}:${change.field}`;
    default:
      return `${change.on}:${change.field}`;
  }
}

export interface Tried {
  outing: Outing;
  references: References;
}
export type TriedResult = { taken: true; tried: Tried } | { taken: false; why: string };

/**
 * The outing and what it points at as they would be with a change; refused, in words, where the field does
 * not allow it.
 */
export function tryChange({ outing, references }: Tried, change: Attempt): TriedResult {
  switch (change.on) {
    case 'workings':
      return inWorkings({ outing, references }, { ...outing.workings, [change.field]: change.value });
    case 'device': {
      const deviceHours = { ...outing.workings.deviceHours, [change.itemId]: change.value };
      return inWorkings({ outing, references }, { ...outing.workings, deviceHours });
    }
    case 'item': {
      const old = references.items.find((item) => item.id === change.itemId);
      if (!old) return gone;
      const parsed = itemSchema.safeParse(changedItem(old, change));
      if (!parsed.success) return refusal(parsed.error);
      const items = references.items.map((item) => (item === old ? parsed.data : item));
      return { taken: true, tried: { outing, references: { ...references, items } } };
    }
    case 'craft': {
      const old = references.craft.find((craft) => craft.id === outing.brief.craftId);
      if (!old) return gone;
      const parsed = craftSchema.safeParse(changedCraft(old, change));
      if (!parsed.success) return refusal(parsed.error);
      const craft = references.craft.map((one) => (one === old ? parsed.data : one));
      return { taken: true, tried: { outing, references: { ...references, craft } } };
    }
    case 'area': {
      const old = references.waters.find((water) => water.id === outing.brief.waterId);
      if (!old) return gone;
      const parsed = waterSchema.safeParse(changedWater(old, outing.brief.areaId, change));
      if (!parsed.success) return refusal(parsed.error);
      const waters = references.waters.map((water) => (water === old ? parsed.data : water));
      return { taken: true, tried: { outing, references: { ...references, waters } } };
    }
  }
}

/** The documents as a kept change makes them. */
export function changedItem(item: Item, { field, value }: Extract<Attempt, { on: 'item' }>): Item {
  return field === 'massKg'
    ? { ...item, massKg: value }
    : { ...item, attributes: { ...item.attributes, [field]: value } };
}
export function changedCraft(craft: Craft, { field, value }: Extract<Attempt, { on: 'craft' }>): Craft {
  return { ...craft, [field]: value };
}
export function changedWater(
  water: Water,
  areaId: string | null,
  { field, value }: Extract<Attempt, { on: 'area' }>,
): Water {
  return {
    ...water,
    areas: water.areas.map((area) => (area.id === areaId ? ({ ...area, [field]: value } as Area) : area)),
  };
}

const gone = { taken: false, why: 'What it belongs to is no longer there.' } as const;
function inWorkings({ outing, references }: Tried, workings: Workings): TriedResult {
  const parsed = workingsSchema.safeParse(workings);
  if (!parsed.success) return refusal(parsed.error);
  return { taken: true, tried: { outing: { ...outing, workings: parsed.data }, references } };
}
function refusal(error: { issues: readonly { message: string }[] }): TriedResult {
  return { taken: false, why: error.issues[0]?.message ?? 'It cannot be that.' };
}

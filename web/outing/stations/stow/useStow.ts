import { createContext, use, useMemo } from 'react';
import { seatedIn } from '#core/boat/build';
import { standingIn } from '#core/boat/stability';
import type { Angler } from '#core/documents/angler';
import type { Craft } from '#core/documents/craft';
import type { Outing } from '#core/documents/outing';
import type { Spot } from '#core/documents/stow';
import { withPut } from '#core/editing/stow';
import { planLading } from '#core/stow/lading';
import { craftIn } from '#core/stow/modes';
import { type Placed, type StowPlan, leashesAboard, planOf } from '#core/stow/plan';
import { type StowNames, namesFor } from '#core/stow/say';
import { spotIn } from '#core/stow/usual';
import { densityOf } from '#core/environment/density';
import type { Mode } from '#core/vocabulary/stow';
import type { OutingInView } from '#core/documents/references';
import { type Target, zoneOfTarget } from './targets';

/** A boat, somebody in it, and things aboard: without them there is nothing to stow. */
export interface Boarded extends OutingInView {
  craft: Craft;
  angler: Angler;
}

export interface StowDesk {
  mode: Mode;
  boarded: Boarded;
  plan: StowPlan;
  names: StowNames;
  /** The thing that is looked at; null: none. */
  chosen: string | null;
  /** @param at what was pressed, beside which its panel opens; left out: where it lies in the drawing */
  choose: (itemId: string | null, at?: HTMLElement) => void;
  put: (placeds: readonly Placed[], spotFor: (placed: Placed) => Spot) => void;
}
export const StowContext = createContext<StowDesk | null>(null);
export function useStow(): StowDesk {
  const desk = use(StowContext);
  if (!desk) throw new Error('Nothing is stowed here.');
  return desk;
}

/** An outing with things put elsewhere in a mode. */
export function putIn(
  outing: Outing,
  boarded: Boarded,
  mode: Mode,
  placeds: readonly Placed[],
  spotFor: (placed: Placed) => Spot,
): Outing {
  const fishing = planOf({
    aboard: boarded.aboard,
    craft: boarded.craft,
    angler: boarded.angler,
    stow: outing.stow,
  });
  return withPut(
    outing,
    placeds.map((placed) => {
      const itemId = placed.one.item.id;
      const spot = spotFor(placed);
      return { itemId, mode, spot, fish: fishing.byId.get(itemId)?.spot ?? spot };
    }),
  );
}

export function usePlan(boarded: Boarded, stow: Outing['stow'], mode: Mode): StowPlan {
  return useMemo(
    () => planOf({ aboard: boarded.aboard, craft: boarded.craft, angler: boarded.angler, stow }, mode),
    [boarded, stow, mode],
  );
}
export function useNames(boarded: Boarded): StowNames {
  return useMemo(() => namesFor(boarded.craft, boarded.items), [boarded]);
}

/** What a thing becomes in a target: its place, and what usually keeps it there. */
export function spotAtTarget(
  placed: Placed,
  target: Target,
  { aboard, angler, craft }: Boarded,
  at: Spot['at'] = null,
): Spot {
  const habits = leashesAboard(aboard, angler);
  const { item } = placed.one;
  if (target.in === 'zone') {
    const zone = zoneOfTarget(craft, target);
    if (!zone) return placed.spot;
    const inPlace = placed.spot.in === 'zone' && placed.spot.id === zone.id;
    return { ...(inPlace ? placed.spot : spotIn(item, { in: 'zone', zone }, placed.spot, habits)), at };
  }
  if (target.in === 'thing') {
    const container = aboard.find((one) => one.item.id === target.id)?.item;
    return container ? spotIn(item, { in: 'thing', container }, placed.spot, habits) : placed.spot;
  }
  return spotIn(
    item,
    target.in === 'body' ? { in: 'body', part: target.part } : { in: 'vehicle' },
    placed.spot,
    habits,
  );
}

/** How the boat floats by a plan: in its mode, with so much of the catch aboard. */
export function floating(
  plan: StowPlan,
  stow: Outing['stow'],
  { craft, angler, water }: Boarded,
  fishKg: number,
) {
  const inMode = craftIn(craft, stow, plan.mode);
  const lading = planLading(plan, angler.heightM, fishKg);
  const stance = seatedIn(inMode);
  const now = standingIn(inMode, angler, stance, lading, densityOf(water));
  return { craft: inMode, stance, lading, now };
}

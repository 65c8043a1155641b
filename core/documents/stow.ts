import { z } from 'zod';
import { idText, quantity } from './field';
import { seatHeights } from '../vocabulary/boat';
import { coverIds, holdIds, layerIds, thingStates, within } from '../vocabulary/stow';

/** Where one thing is and what keeps it there. */
export const spotSchema = z.strictObject({
  in: z.enum(within),
  /**
   * The place of the boat, the thing it is in, or the part of the body; null: in the vehicle, or nowhere yet.
   */
  id: idText.nullable(),
  held: z.enum(holdIds),
  /** The pad-eye or rail that its leash goes to; null: the nearest with room. */
  eyeId: idText.nullable(),
  cover: z.enum(coverIds),
  layer: z.enum(layerIds),
  /** null: it has no two states. */
  state: z.enum(thingStates).nullable(),
  /** Its middle in the boat: m forward of the stern, m to starboard; null: wherever there is room. */
  at: z.strictObject({ xM: quantity(-0.5, 8.5, 'm'), yM: quantity(-1.5, 1.5, 'm') }).nullable(),
});
export type Spot = z.infer<typeof spotSchema>;

/** A spot with nothing said but where it is: loose and bare, among the rest. */
export function spotOf(where: Spot['in'], id: string | null, more: Partial<Spot> = {}): Spot {
  return {
    in: where,
    id,
    held: 'loose',
    eyeId: null,
    cover: 'bare',
    layer: 'middle',
    state: null,
    at: null,
    ...more,
  };
}

const otherSpot = spotSchema.nullable();
/** One thing's places: while fishing, and in another mode where it differs. */
export const stowedSchema = z.strictObject({
  itemId: idText,
  fish: spotSchema,
  carry: otherSpot,
  launch: otherSpot,
  land: otherSpot,
  run: otherSpot,
  camp: otherSpot,
});
export type Stowed = z.infer<typeof stowedSchema>;

/** How the boat itself stands in a mode: null as it is set up. */
const riggedSchema = z
  .strictObject({ seat: z.enum(seatHeights).nullable(), floats: z.enum(['out', 'folded']).nullable() })
  .nullable();
export const stowSchema = z.strictObject({
  /**
   * What somebody placed; what is not here lies where its kind usually does. Things left ashore keep their
   * place.
   */
  things: z.array(stowedSchema).max(600),
  /** How the boat stands in each mode; fishing is as it is set up. */
  boat: z.strictObject({
    carry: riggedSchema,
    launch: riggedSchema,
    land: riggedSchema,
    run: riggedSchema,
    camp: riggedSchema,
  }),
});
export type Stow = z.infer<typeof stowSchema>;

/** Nothing is placed by hand yet. */
export const unstowed: Stow = {
  things: [],
  boat: { carry: null, launch: null, land: null, run: null, camp: null },
};

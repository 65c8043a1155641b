/** Where a thing is met on the walk-round, in the order feet and hands go. */
export const places = {
  vehicle: { name: 'At the vehicle', order: 1 },
  bow: { name: 'Bow', order: 2 },
  foredeck: { name: 'Fore deck', order: 3 },
  centre: { name: 'Middle of the boat', order: 4 },
  seat: { name: 'Round the seat', order: 5 },
  tankwell: { name: 'Behind the seat', order: 6 },
  stern: { name: 'Stern', order: 7 },
  head: { name: 'Head', order: 8 },
  chest: { name: 'Chest', order: 9 },
  body: { name: 'Body', order: 10 },
  feet: { name: 'Legs and feet', order: 11 },
} as const;
export type PlaceId = keyof typeof places;
/** Share of the boat's length from the stern, where one stands to look; null: not along the boat. */
export const alongBoat: Record<PlaceId, number | null> = {
  vehicle: null,
  bow: 0.95,
  foredeck: 0.75,
  centre: 0.58,
  seat: 0.45,
  tankwell: 0.25,
  stern: 0.06,
  head: null,
  chest: null,
  body: null,
  feet: null,
};
export const wornPlaces: readonly PlaceId[] = ['head', 'chest', 'body', 'feet'];

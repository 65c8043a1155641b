/** How the demo outings pack: one of each, several of one, and what always comes. */
export const once = (...ids: string[]) =>
  ids.map((itemId) => ({ itemId, quantity: 1, outsideContainer: false, carriedBy: null }));
export const several = (itemId: string, quantity: number) => ({
  itemId,
  quantity,
  outsideContainer: false,
  carriedBy: null,
});
export const always = once(
  'foam-jacket',
  'whistle',
  'phone',
  'knife',
  'first-aid',
  'paddle-leash',
  'pump',
  'bow-line',
  'straps',
  'key-pouch',
  'licence',
  'boots',
  'watch',
  'polarised',
  'sun-top',
);

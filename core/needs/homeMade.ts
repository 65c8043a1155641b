import type { NeedId } from '../vocabulary/needs';

/** Means that practice makes or borrows soundly, by need. What keeps one alive is not made at home. */
export const homeMade: Partial<Record<NeedId, string>> = {
  'be-seen-day': 'a bright cloth on a fibreglass rod from a garden shop, {1.2 m} above the deck',
  'stop-leak': 'tape that sticks wet, wound round a bottle you carry anyway',
  'take-water-out': 'a cut-down bottle on a cord bails an open deck; a closed hull wants a pump',
  'tow-line': '{4 m} of floating rope with a bowline at each end',
  'paddle-retained': '{2 m} of cord with a loop round the shaft, short enough not to wrap',
  'rod-retention': 'cord and a clip, one to a rod',
  measure: 'a board marked with a steel rule and sealed, with a float under it and your name on it',
  'fish-care': 'a wet sponge mat cut from a bath mat',
  ice: 'bottles of water frozen the evening before, drunk on the way home',
  'anchor-trolley': 'a ring, two pulleys and cord along one side',
  'line-clear': 'a washing bowl with pegs',
  'stand-up': 'a webbing strap with a knot to hold',
  'keep-air': 'a bicycle pump with the right adaptor, and patience',
  carry: 'a folded towel on the shoulder and a friend on the other end',
  keys: 'a spare key on a cord round the neck',
  'hang-food': 'a roll-top bag and {10 m} of cord over a branch',
  heat: 'a wet cloth round the neck; salt and sugar in the bottle',
  'hot-drink': 'any flask, wrapped in a sock',
  'dry-in-vehicle': 'old clothes and a towel in a bag',
  'spare-clothes': 'clothes you own, no cotton, in a roll-top bag',
};

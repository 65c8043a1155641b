import type { Angler } from '../documents/angler';

/** Where practitioners differ, what a profile begins with. In a current the strictest. */
export const usualSchools: Angler['schools'] = {
  tackle: 'spare',
  jacket: 'foam',
  connection: 'clip',
  landing: 'net',
  phone: 'on a tether',
  sounder: 'a luxury',
  fishStore: 'bag',
  visibility: 'flag',
  skill: 'paddle first',
  riverAnchor: 'never in current',
};

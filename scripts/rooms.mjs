/** Folders of core from the lowest to the highest: each may import those before it, and itself. */
export const coreOrder = [
  'units',
  'vocabulary',
  'catalog',
  'documents',
  'environment',
  'boat',
  'packing',
  'arranging',
  'stow',
  'passage',
  'holding',
  'exposures',
  'tackle',
  'power',
  'provisions',
  'editing',
  'needs',
  'walkround',
  'floatplan',
  'judgement',
  'simulation',
  'provisioning',
  'signing',
  'ashore',
  'exchange',
  'demo',
];

/** Folders of the server from the lowest to the highest, in the same way. Files beside them: settings lowest, app and main highest. */
export const serverOrder = [
  'errors',
  'storage',
  'http',
  'workers',
  'people',
  'documents',
  'walkround',
  'word',
  'outings',
  'station',
  'calc',
  'party',
  'bundle',
  'backup',
  'sample',
];

/**
 * What each folder of the web may import beside core and its own; `app` and `outing` put the rest together.
 */
export const webMay = {
  ui: [],
  offline: [],
  documents: ['ui', 'app', 'offline'],
  library: ['ui', 'documents', 'app', 'offline', 'people'],
  outing: ['ui', 'documents', 'app', 'workers', 'offline', 'people'],
  settings: ['ui', 'documents', 'app', 'people'],
  people: ['ui', 'documents', 'offline'],
  workers: [],
};

import type { Change } from './signOff';

const fieldWords: Record<string, string> = {
  title: 'The title',
  targets: 'The target',
  keep: 'Fish kept',
  waterId: 'The water',
  launchId: 'The launch',
  areaId: 'The place to fish',
  date: 'The date',
  launchAt: 'The launch time',
  homeAt: 'The time home',
  nights: 'Nights out',
  party: 'The party',
  craftId: 'The boat',
  trip: 'The kind of trip',
  techniques: 'The techniques',
  standing: 'Standing or seated',
  contact: 'The person ashore',
  alarmAt: 'The hour to call for help',
  conditions: 'The written conditions',
  accepted: 'The answered Minds',
  loadout: 'What is aboard',
};

/** A field of the outing, as people call it. */
export function sayField(field: string): string {
  return fieldWords[field] ?? field;
}

/** One change since the signature, as a sentence. */
export function sayChange(change: Change): string {
  switch (change.changed) {
    case 'field': {
      const what = change.of === 'outing' ? sayField(change.field) : `${change.name}: its record`;
      if (change.of !== 'outing') return `${what} was changed.`;
      return change.from && change.to ? `${what} was ${change.from}; now ${change.to}.` : `${what} changed.`;
    }
    case 'aboard':
      return `${change.name} came aboard.`;
    case 'ashore':
      return `${change.name} was left ashore.`;
    case 'quantity':
      return `${change.name}: ${change.from} then, ${change.to} now.`;
    case 'item':
      return `${change.name} was changed.`;
    case 'answer':
      return `A step was answered ${change.to} after it had been ${change.from}.`;
  }
}

/** All changes in a few sentences, the rest counted. */
export function sayChanges(changes: readonly Change[], most = 6): string[] {
  const said = [...new Set(changes.map(sayChange))];
  return said.length <= most ? said : [...said.slice(0, most - 1), `And ${said.length - most + 1} more changes.`];
}

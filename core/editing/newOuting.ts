import { shiftClock } from '../units/time';
import { alwaysAboard } from './edit';
import type { Outing } from '../documents/outing';
import { UNTITLED } from './title';
import type { References } from '../documents/references';
import { usualWorkings } from './usualWorkings';
import { tripTechniques } from '../vocabulary/trips';

/** An empty sentence for a day: what can be known without asking is filled in, the rest stays blank. */
export function newOuting(id: string, date: string, references: References): Outing {
  const [craft, ...otherCraft] = references.craft;
  const [water, ...otherWaters] = references.waters;
  const homeAt = '12:00';
  const trip = 'still-water';
  return {
    format: 'outing/2',
    id,
    title: UNTITLED,
    brief: {
      targets: [],
      keep: 0,
      waterId: otherWaters.length === 0 ? (water?.id ?? null) : null,
      launchId: otherWaters.length === 0 ? (water?.launches[0]?.id ?? null) : null,
      areaId: null,
      landingId: null,
      route: { out: [], home: [] },
      date,
      launchAt: '08:00',
      turnAt: null,
      homeAt,
      nights: 0,
      party: 1,
      craftId: otherCraft.length === 0 ? (craft?.id ?? null) : null,
      trip,
      techniques: [...tripTechniques[trip]],
      standing: false,
      contact: { name: '', phone: '' },
      alarmAt: shiftClock(homeAt, 60),
    },
    conditions: { source: 'typed', from: '', takenAt: null, waterC: null, hours: [] },
    loadout: alwaysAboard(references.items),
    company: [],
    rigs: [],
    workings: usualWorkings,
    log: null,
    accepted: [],
  };
}

/** The same outing on another day: what was written for that day alone is left behind. */
export function copyOuting(outing: Outing, id: string, date: string): Outing {
  return {
    ...outing,
    id,
    title: `${outing.title}, again`.slice(0, 80),
    brief: { ...outing.brief, date },
    conditions: { source: 'typed', from: '', takenAt: null, waterC: outing.conditions.waterC, hours: [] },
    accepted: [],
    log: null,
  };
}

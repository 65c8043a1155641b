import { capital } from '../units/words';
import { catalogue } from '../needs/catalogue';
import { kindIds, kinds } from '../catalog/gear/kinds';
import { speciesIds, speciesTable } from '../catalog/species/species';
import { needIds } from '../vocabulary/needs';
import { tripTypes, tripWords } from '../vocabulary/trips';
import { hullPartIds, hullParts } from '../walkround/hullParts';
import type { SignedSnapshot } from './snapshot';

/** What identifiers are called, so that none is ever shown. */
export interface Names {
  get: (id: string) => string | null;
  /** An accepted finding, by its key. */
  finding: (key: string) => string;
  /** A step of the walk-round. */
  step: (id: string) => string;
}

/** Every name in what was signed and in what stands now; now has the last word. */
export function namesIn(...snapshots: readonly SignedSnapshot[]): Names {
  const names = new Map<string, string>();
  for (const id of speciesIds) names.set(id, speciesTable[id].name);
  for (const id of tripTypes) names.set(id, tripWords[id]);
  for (const id of kindIds) names.set(id, kinds[id].name);
  for (const id of needIds) names.set(id, catalogue[id].title);
  for (const { craft, water, rulePack, species, items, outing } of snapshots) {
    const named = [
      craft,
      water,
      rulePack,
      ...(water?.launches ?? []),
      ...(water?.areas ?? []),
      ...(species ?? []),
      ...items,
      ...(craft ? [...craft.setUps, ...craft.fittings, ...(craft.zones ?? [])] : []),
    ];
    for (const one of [...named, ...outing.company]) if (one) names.set(one.id, one.name);
  }
  const get = (id: string) => names.get(id) ?? null;
  return { get, finding: (key) => sayFindingKey(key, get), step: (id) => sayStep(id, get) };
}

/** An accepted finding by its key, in a few words. */
export function sayFindingKey(key: string, name: Names['get'] = needName): string {
  const [code = '', ...subject] = key.split(':');
  const known = name(subject.join(':'));
  if (code === 'need-unmet' && known) return known;
  const words = capital(code.replaceAll('-', ' '));
  return known ? `${words}, ${known}` : words;
}
function needName(id: string): string | null {
  const need = needIds.find((one) => one === id);
  return need ? catalogue[need].title : null;
}

const gateSteps: Readonly<Record<string, string>> = {
  'gate:told': 'The person ashore knows',
  'gate:self': 'Yourself',
  'gate:weather': 'The weather, once more',
};
function sayStep(id: string, name: Names['get']): string {
  const [phase = '', subject = ''] = id.split(':');
  if (phase === 'hull') {
    const part = hullPartIds.find((one) => one === subject);
    return part ? hullParts[part].title : 'A part of the boat';
  }
  if (phase === 'evening') return `${name(subject) ?? 'Something left ashore'}, the evening before`;
  return gateSteps[id] ?? name(subject) ?? 'A step for something left ashore';
}

import type { Rig } from '../documents/workings';
import type { Alignment } from '../vocabulary/holding';
import type { Technique } from '../vocabulary/trips';

/** An action that would settle a finding; applied by one function that returns a new outing. */
export type Repair =
  | { do: 'add-items'; items: readonly { itemId: string; quantity: number; name: string; massKg: number }[] }
  | { do: 'remove-item'; itemId: string; name: string }
  | { do: 'separate-item'; itemId: string; name: string }
  | { do: 'set-hours'; launchAt: string; homeAt: string }
  | { do: 'set-date'; date: string }
  | { do: 'set-turn'; turnAt: string }
  | { do: 'set-area'; areaId: string; name: string; distanceM: number }
  | { do: 'set-landing'; landingId: string; name: string }
  | { do: 'straight-route' }
  | { do: 'set-keep'; keep: number }
  | { do: 'set-alarm'; alarmAt: string }
  | { do: 'set-contact'; name: string; phone: string }
  | { do: 'fewer'; itemId: string; quantity: number; name: string }
  | { do: 'set-rig'; rigId: string; change: Partial<Rig>; words: string }
  | { do: 'without-technique'; technique: Technique }
  | { do: 'set-alignment'; alignment: Alignment }
  | { do: 'swap-item'; offId: string; off: string; onId: string; on: string }
  | { do: 'looked-again' };

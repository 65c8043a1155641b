import type { KindId } from '../catalog/gear/kinds';
import type { Aboard } from '../documents/references';
import { type WalkTaken, outOfService } from './match';

/** Of the paddles aboard, the one taken as first propulsion: a whole one before one in pieces. */
export function firstPaddle(aboard: readonly Aboard[], lastDay: string, taken: WalkTaken): string | null {
  const sound = (...some: KindId[]) =>
    aboard.find((one) => some.includes(one.item.kind) && outOfService(one, lastDay, taken) === null);
  return (sound('paddle', 'long-paddle') ?? sound('spare-paddle'))?.item.id ?? null;
}

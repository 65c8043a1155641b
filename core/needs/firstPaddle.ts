import type { Aboard } from '../outing/references';
import { type WalkTaken, serviceLacks } from './match';

/** Of the paddles aboard, the one taken as first propulsion: a whole one before one in pieces. */
export function firstPaddle(aboard: readonly Aboard[], lastDay: string, taken: WalkTaken): string | null {
  const sound = aboard.filter((one) => serviceLacks(one, lastDay, taken) === null);
  const whole = sound.find(({ item }) => item.kind === 'paddle');
  return (whole ?? sound.find(({ item }) => item.kind === 'spare-paddle'))?.item.id ?? null;
}

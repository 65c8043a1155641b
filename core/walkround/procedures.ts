import type { Procedure, ProcedureOccasion } from '../documents/procedure';
import type { KindId } from '../catalog/gear/kinds';
import type { Water } from '../documents/water';
import type { Exposures } from '../exposures/exposures';
import { listed } from '../units/words';
import { type ProcedureHere, shippedProcedures, shippedSteps } from './shippedProcedures';

/** Those that ship, but where the angler's or the club's stand in their place, and all that are kept. */
export function allProcedures(kept: readonly Procedure[]): Procedure[] {
  return [
    ...shippedProcedures.flatMap((one) => {
      const own = kept.filter(({ inPlaceOf }) => inPlaceOf === one.id);
      return own.length > 0 ? own : [one];
    }),
    ...kept.filter(({ inPlaceOf }) => !isShipped(inPlaceOf)),
  ];
}
export function isShipped(id: string | null): boolean {
  return shippedProcedures.some((one) => one.id === id);
}

/** What of an outing decides which procedures are gone through with it. */
export interface ProcedureFacts extends ProcedureHere {
  exposures: ProcedureHere['exposures'] & Pick<Exposures, 'breakerM' | 'rapids' | 'darkMinutes' | 'solo'>;
  setting: Water['setting'] | null;
}

/**
 * The procedures that an outing should be gone through with, in their order. Those that ship name only what
 * is so there; what the angler or the club wrote stands as written.
 */
export function proceduresFor(procedures: readonly Procedure[], facts: ProcedureFacts): Procedure[] {
  return procedures
    .filter(
      ({ occasions, kinds }) =>
        occasions.some((occasion) => holds[occasion](facts)) || kinds.some((kind) => facts.aboard.has(kind)),
    )
    .map((one) => ({ ...one, steps: shippedSteps(one.id, facts) ?? one.steps }));
}

const holds: Record<ProcedureOccasion, (facts: ProcedureFacts) => boolean> = {
  always: () => true,
  'at sea': ({ setting }) => setting === 'coast' || setting === 'open' || setting === 'estuary',
  'in surf': ({ exposures }) => exposures.breakerM !== null,
  'in rapids': ({ exposures }) => exposures.rapids > 0,
  'in the dark': ({ exposures }) => exposures.darkMinutes > 0,
  alone: ({ exposures }) => exposures.solo,
};

/**
 * "with outings in surf, and with one of these aboard: pump; bailer", as a sentence goes on; null: it is
 * looked up only.
 */
export function sayWhen({ occasions, kinds }: Procedure, nameOf: (kind: KindId) => string): string | null {
  if (occasions.includes('always')) return 'with every outing';
  const [thing, ...more] = kinds.map(nameOf);
  const parts = [
    ...(occasions.length > 0 ? [`with outings ${listed(occasions, 'or')}`] : []),
    ...(thing === undefined
      ? []
      : [
          more.length === 0
            ? `with ${thing} aboard`
            : `with one of these aboard: ${[thing, ...more].join('; ')}`,
        ]),
  ];
  return parts.length > 0 ? parts.join(', and ') : null;
}

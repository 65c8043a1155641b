import type { Aboard, Lies, Move } from '../documents/references';
import { sameRecords } from '../units/remember';
import type { Mode } from '../vocabulary/stow';
import { modesAfloat } from '../vocabulary/where';

const sameMove = (a: Move, b: Move | undefined) =>
  a.do === b?.do && (a.do !== 'open' || (b.do === 'open' && a.name === b.name));
/** Whether two things lie alike, in every part. */
export const sameLies = (a: Lies, b: Lies): boolean =>
  a === b ||
  (a.in === b.in &&
    a.id === b.id &&
    a.place === b.place &&
    a.reach === b.reach &&
    a.dry === b.dry &&
    a.held === b.held &&
    a.worn === b.worn &&
    a.state === b.state &&
    a.compartment === b.compartment &&
    a.moves.length === b.moves.length &&
    a.boxes.length === b.boxes.length &&
    a.boxes.every((box, i) => box.id === b.boxes[i]?.id && box.name === b.boxes[i].name) &&
    a.moves.every((move, i) => sameMove(move, b.moves[i])));

type Laid = Aboard & { lies: Lies };
function sameInModes({ liesIn: a }: Aboard, { liesIn: b }: Aboard): boolean {
  if (!a || !b) return a === b;
  return modesAfloat.every((mode) => {
    const [mine, theirs] = [a[mode], b[mode]];
    return mine && theirs ? sameLies(mine, theirs) : mine === theirs;
  });
}
const laid = sameRecords<Aboard, Laid>(4, (a, b) => sameLies(a.lies, b.lies) && sameInModes(a, b));
/**
 * A thing aboard with where it lies, while fishing and in other modes afloat: what lies as it lay is the same
 * record.
 */
export function withLies(
  one: Aboard,
  lies: Lies,
  others: readonly { mode: Mode; lies: Lies | undefined }[],
): Aboard {
  const differs = others.filter((other) => other.lies && !sameLies(other.lies, lies));
  if (differs.length === 0) return laid(one, { ...one, lies });
  return laid(one, {
    ...one,
    lies,
    liesIn: Object.fromEntries(differs.map((other) => [other.mode, other.lies])),
  });
}

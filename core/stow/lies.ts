import type { Aboard, Lies, Move } from '../documents/references';
import { sameRecords } from '../units/remember';

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
    a.state === b.state &&
    a.compartment === b.compartment &&
    a.moves.length === b.moves.length &&
    a.boxes.length === b.boxes.length &&
    a.boxes.every((box, i) => box.id === b.boxes[i]?.id && box.name === b.boxes[i].name) &&
    a.moves.every((move, i) => sameMove(move, b.moves[i])));

const laid = sameRecords<Aboard, Required<Aboard>>(4, (a, b) => sameLies(a.lies, b.lies));
/** A thing aboard with where it lies: what lies as it lay is the same record. */
export const withLies = (one: Aboard, lies: Lies): Aboard => laid(one, { ...one, lies });

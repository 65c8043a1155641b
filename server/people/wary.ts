import type { FastifyRequest } from 'fastify';
import { Refusal } from '../http/problem';
import { isPassword } from './secrets';
import { signedInAs } from './door';
import type { PeopleStore, Person } from './store';

/** In vain without a wait: somebody who mistypes; an address behind which many are. */
const FREE = { person: 3, address: 20 };

const refused = () => new Refusal(401, 'Not signed in', 'Name and password do not belong together.');

/** Holds up whoever guesses: by the name that is tried and by the address that tries, in every process on the database. */
export function waryOf(people: PeopleStore, now: () => number) {
  /** @param work null: it was not right @param vain what is said then */
  const tried = async <T>(
    request: FastifyRequest,
    name: string,
    work: () => Promise<T | null>,
    vain: () => Refusal = refused,
  ): Promise<T> => {
    const keys = { person: `person:${name.trim().toLowerCase().slice(0, 80)}`, address: `address:${request.ip}` };
    const until = await people.refusedUntil(Object.values(keys));
    if (until > now()) {
      const seconds = Math.ceil((until - now()) / 1000);
      throw new Refusal(429, 'Wait', `Too many tries in vain. Try again in ${seconds} s.`);
    }
    // Counted before it is known whether it is right: many at once are no way around.
    await people.attempted(keys.person, FREE.person);
    await people.attempted(keys.address, FREE.address);
    const done = await work();
    if (done === null) {
      await people.note('sign-in refused', null, request.ip, name.slice(0, 60));
      throw vain();
    }
    await people.forgiven(keys.person);
    await people.takenBack(keys.address);
    return done;
  };
  return {
    tried,
    /** Whoever is signed in says again that it is them. */
    confirmed: (request: FastifyRequest, person: Person, password: string) =>
      tried(
        request,
        person.name,
        async () => ((await isPassword(password, person.passwordHash)) ? person : null),
        () =>
          new Refusal(400, 'Not your password', 'This is not your password.', [
            { field: 'password', message: 'This is not your password.' },
          ]),
      ),
    me: signedInAs,
  };
}
export type Wary = ReturnType<typeof waryOf>;

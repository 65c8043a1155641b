import type { FastifyRequest } from 'fastify';
import { Refusal } from '../errors/refusal';
import { type AttemptStore, addressKey } from './attempts';
import { signedInAs } from './authHook';
import { isPassword } from './secrets';
import { type PeopleStore, type Person, nameKey } from './store';

/**
 * Failures allowed before delays start: per name, per address (behind which many may be), and per person who
 * is signed in.
 */
const FREE = { name: 3, address: 20, confirming: 5 };

const refused = () =>
  new Refusal('not signed in', 'Not signed in', 'Name and password do not belong together.');

/**
 * Holds up whoever guesses: by the name that is tried and by the address that tries, in every process on the
 * database.
 */
export function signInThrottle(people: PeopleStore, attempts: AttemptStore, now: () => number) {
  /**
   * Counts an attempt by each key before it is known whether it is right, so that many at once are no way
   * around.
   */
  const claim = async (keys: readonly { key: string; free: number }[]) => {
    const claimed: string[] = [];
    for (const { key, free } of keys) {
      const until = await attempts.claim(key, free);
      if (until > now()) {
        // Refused before anything was tried: the other keys are not charged for it.
        for (const one of claimed) await attempts.refund(one);
        throw new Refusal(
          'too many tries',
          'Wait',
          `Too many tries in vain. Try again in ${Math.ceil((until - now()) / 1000)} s.`,
        );
      }
      claimed.push(key);
    }
  };
  /** @param work null: it was not right @param wrong what is said then */
  const counted = async <T>(
    keys: readonly { key: string; free: number }[],
    work: () => Promise<T | null>,
    wrong: () => Promise<Refusal>,
  ): Promise<T> => {
    await claim(keys);
    let done: T | null;
    try {
      done = await work();
    } catch (error) {
      // Busy, or a failure of ours, is no wrong guess.
      for (const { key } of keys) await attempts.refund(key);
      throw error;
    }
    if (done === null) throw await wrong();
    return done;
  };
  const byAddress = ({ ip }: FastifyRequest) => ({ key: addressKey(ip), free: FREE.address });
  return {
    /**
     * Tries something on behalf of a name that anybody may give.
     * @throws Refusal (429) while the name or the address is held up; `wrong` where the work answers null
     */
    tried: async <T>(
      request: FastifyRequest,
      name: string,
      work: () => Promise<T | null>,
      wrong: () => Refusal = refused,
    ): Promise<T> => {
      const byName = { key: `person:${nameKey(name).slice(0, 80)}`, free: FREE.name };
      const address = byAddress(request);
      const done = await counted([address, byName], work, async () => {
        await people.note('sign-in refused', null, request.ip, name.slice(0, 60));
        return wrong();
      });
      await attempts.clear(byName.key);
      await attempts.refund(address.key);
      return done;
    },
    /** Tries a secret address, which names nobody: held up by the address alone. */
    triedToken: async <T>(
      request: FastifyRequest,
      work: () => Promise<T | null>,
      wrong: () => Refusal,
    ): Promise<T> => {
      const address = byAddress(request);
      const done = await counted([address], work, async () => wrong());
      await attempts.refund(address.key);
      return done;
    },
    /** Whoever is signed in says again that it is them. Guesses of others, who are not, do not count here. */
    confirmed: async (person: Person, password: string): Promise<Person> => {
      const own = { key: `confirming:${person.id}`, free: FREE.confirming };
      const message = 'This is not your password.';
      const done = await counted(
        [own],
        async () => ((await isPassword(password, person.passwordHash, 'signed in')) ? person : null),
        async () => new Refusal('bad input', 'Not your password', message, [{ field: 'password', message }]),
      );
      await attempts.clear(own.key);
      return done;
    },
    me: signedInAs,
  };
}
export type SignInThrottle = ReturnType<typeof signInThrottle>;

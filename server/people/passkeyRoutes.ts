import type {
  AuthenticationResponseJSON,
  AuthenticatorTransportFuture,
  RegistrationResponseJSON,
} from '@simplewebauthn/server';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { Refusal, notFound } from '../errors/refusal';
import type { PassKind, PeopleStore, Person } from './store';
import type { SignInThrottle } from './signInThrottle';
import { publicPerson, doneSchema, givenText, meSchema, nameText, problems } from './wire';

const MOST = 10;
// Read when the first passkey is made or used: a start need not wait for it.
const library = () => import('@simplewebauthn/server');
const HOUSE_NAME = 'Unhurried Tally';

/** What a browser answers with; the library looks at every part of it. */
const answerSchema = z.looseObject({
  id: z.string().min(1).max(1400),
  rawId: z.string().min(1).max(1400),
  type: z.literal('public-key'),
  response: z.looseObject({ clientDataJSON: z.string().max(4000) }),
  clientExtensionResults: z.looseObject({}).default({}),
});
/** What the browser is asked for: written and read by the library at both ends. */
const optionsSchema = z.looseObject({ challenge: z.string() });

/**
 * Keys that a device holds in place of a password (WebAuthn). Only where the page has a name and is served
 * safely: browsers see to that.
 */
export function passkeyRoutes(
  parent: FastifyInstance,
  {
    people,
    throttle,
    enter,
    names,
  }: {
    people: PeopleStore;
    /** Names that this server answers to, besides that of the machine itself. */
    names: readonly string[];
    throttle: SignInThrottle;
    enter: (request: FastifyRequest, reply: FastifyReply, person: Person) => Promise<void>;
  },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['people'];
  const { me, tried, confirmed } = throttle;
  /** The name that a passkey is for: one of the settings, never just what the request says. */
  const here = ({ protocol, host, hostname }: FastifyRequest) => {
    const name = ['localhost', ...names].find((one) => one === hostname.toLowerCase());
    if (name === undefined || name === '*')
      throw new Refusal(
        'conflict',
        'No name',
        'A passkey belongs to a name. Whoever keeps the server sets it: TALLY_NAMES=tally.example.',
      );
    // As a browser says it: without a port that goes without saying.
    const port = /:\d+$/.exec(host)?.[0] ?? '';
    return { expectedOrigin: new URL(`${protocol}://${name}${port}`).origin, expectedRPID: name };
  };
  const newChallenge = async (kind: PassKind, madeBy: string | null) =>
    Buffer.from((await people.makePass(kind, madeBy)).token, 'base64url');
  const taken = (kind: PassKind, madeBy: string | null) => async (challenge: string) => {
    const pass = await people.usePass(kind, challenge);
    return pass !== null && pass.madeBy === madeBy;
  };

  app.get(
    '/api/passkeys',
    {
      schema: {
        tags,
        response: {
          200: z.array(
            z.object({
              id: z.string(),
              name: z.string(),
              createdAt: z.string(),
              usedAt: z.string().nullable(),
            }),
          ),
          ...problems,
        },
      },
    },
    async (request) =>
      (await people.passkeysOf(me(request).id)).map(({ id, name, createdAt, usedAt }) => ({
        ...{ id, name },
        createdAt: new Date(createdAt).toISOString(),
        usedAt: usedAt && new Date(usedAt).toISOString(),
      })),
  );
  app.post(
    '/api/passkeys/options',
    {
      schema: {
        tags,
        description: 'What the browser needs to make a passkey, for whoever knows the password.',
        body: z.strictObject({ password: givenText }),
        response: { 200: optionsSchema, ...problems },
      },
    },
    async (request) => {
      const person = me(request);
      await confirmed(person, request.body.password);
      const known = await people.passkeysOf(person.id);
      if (known.length >= MOST)
        throw new Refusal(
          'conflict',
          'Enough',
          `Nobody needs more than ${MOST} passkeys. Take one away first.`,
        );
      const options = await (
        await library()
      ).generateRegistrationOptions({
        ...{ rpName: HOUSE_NAME, rpID: here(request).expectedRPID },
        ...{ userName: person.name, userID: new TextEncoder().encode(person.id) },
        challenge: await newChallenge('passkey', person.id),
        attestationType: 'none',
        excludeCredentials: known.map(({ id }) => ({ id })),
        authenticatorSelection: { residentKey: 'required', userVerification: 'preferred' },
      });
      return { ...options };
    },
  );
  app.post(
    '/api/passkeys',
    {
      schema: {
        tags,
        body: z.strictObject({ name: nameText, answer: answerSchema }),
        response: { 201: doneSchema, ...problems },
      },
    },
    async (request, reply) => {
      const person = me(request);
      const { name, answer } = request.body;
      const verified = await (
        await library()
      )
        .verifyRegistrationResponse({
          response: answer as unknown as RegistrationResponseJSON,
          expectedChallenge: taken('passkey', person.id),
          ...here(request),
          requireUserVerification: false,
        })
        .catch(() => null);
      const credential = verified?.verified ? verified.registrationInfo.credential : null;
      const kept =
        credential !== null &&
        (await people.addPasskey({
          ...{ id: credential.id, personId: person.id, name, counter: credential.counter },
          publicKey: Buffer.from(credential.publicKey).toString('base64url'),
          transports: JSON.stringify(credential.transports ?? []),
        }));
      if (!kept)
        throw new Refusal(
          'bad input',
          'Not a passkey',
          'This passkey was not taken. Try again from the start.',
        );
      await people.note('passkey added', person.id, request.ip, name);
      return reply.code(201).send({ done: true });
    },
  );
  app.delete(
    '/api/passkeys/:id',
    {
      schema: {
        tags,
        params: z.strictObject({ id: z.string().max(1400) }),
        response: { 200: doneSchema, ...problems },
      },
    },
    async (request) => {
      const person = me(request);
      if (!(await people.removePasskey(person.id, request.params.id))) throw notFound('passkey');
      await people.note('passkey removed', person.id, request.ip);
      return { done: true as const };
    },
  );

  app.post(
    '/api/passkey-sign-in/options',
    {
      schema: {
        tags,
        description: 'What the browser needs to sign in by a passkey. The device says whose it is.',
        response: { 200: optionsSchema, ...problems },
      },
    },
    async (request) => ({
      ...(await (
        await library()
      ).generateAuthenticationOptions({
        rpID: here(request).expectedRPID,
        challenge: await newChallenge('passkey sign-in', null),
        userVerification: 'preferred',
      })),
    }),
  );
  app.post(
    '/api/passkey-sign-in',
    {
      schema: {
        tags,
        body: z.strictObject({ answer: answerSchema }),
        response: { 200: meSchema, ...problems },
      },
    },
    async (request, reply) => {
      const { answer } = request.body;
      const person = await tried(
        request,
        `passkey ${answer.id}`,
        async () => {
          const key = await people.passkey(answer.id);
          if (!key) return null;
          const verified = await (
            await library()
          )
            .verifyAuthenticationResponse({
              response: answer as unknown as AuthenticationResponseJSON,
              expectedChallenge: taken('passkey sign-in', null),
              ...here(request),
              requireUserVerification: false,
              credential: {
                ...{ id: key.id, counter: key.counter },
                publicKey: new Uint8Array(Buffer.from(key.publicKey, 'base64url')),
                transports: JSON.parse(key.transports) as AuthenticatorTransportFuture[],
              },
            })
            .catch(() => null);
          if (!verified?.verified) return null;
          // Of two at once with the same count one is a copy.
          if (!(await people.usePasskey(key, verified.authenticationInfo.newCounter))) return null;
          return people.byId(key.personId);
        },
        () => new Refusal('not signed in', 'Not signed in', 'This passkey lets nobody in here.'),
      );
      await enter(request, reply, person);
      await people.note('signed in', person.id, request.ip, 'by a passkey');
      return reply.send({ accounts: true, person: publicPerson(person) });
    },
  );
}

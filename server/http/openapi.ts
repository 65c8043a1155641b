import type { FastifyDynamicSwaggerOptions } from '@fastify/swagger';
import { documentKinds } from '#core/documents/registry';
import { VERSION } from '#core/vocabulary/version';
import { jsonSchemaTransform, jsonSchemaTransformObject } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { problemSchema } from './problem';

/** What each route does, in a line: by its method and its address. */
export const SUMMARIES: Readonly<Record<string, string>> = {
  'GET /api/health': 'Whether the server answers, its clock and its version',
  'GET /api/me': 'Who is signed in',
  'POST /api/first': 'Makes the first keeper, by the address printed at the first start',
  'POST /api/join': 'Makes an account by an invitation',
  'POST /api/sign-in': 'Signs in by name and password',
  'POST /api/recover': 'Makes a new password by a recovery code',
  'POST /api/pair': 'Signs a device in by a pairing',
  'POST /api/sign-out': 'Signs this device out',
  'POST /api/passkey-sign-in/options': 'What a passkey is asked with, to sign in',
  'POST /api/passkey-sign-in': 'Signs in by a passkey',
  'GET /api/passkeys': 'One’s passkeys',
  'POST /api/passkeys/options': 'What a new passkey is made with',
  'POST /api/passkeys': 'Keeps a new passkey',
  'DELETE /api/passkeys/:id': 'Takes a passkey away',
  'POST /api/pairings': 'Makes a pairing for another device',
  'GET /api/devices': 'Devices that are signed in',
  'DELETE /api/devices/:id': 'Signs a device out',
  'POST /api/password': 'Changes the password',
  'POST /api/recovery-codes': 'Makes new recovery codes',
  'GET /api/people': 'Everybody of the house',
  'POST /api/invitations': 'Invites somebody',
  'DELETE /api/invitations/:id': 'Takes an invitation back',
  'DELETE /api/people/:id': 'Removes somebody',
  'POST /api/people/:id/keeper': 'Makes somebody a keeper, or no keeper any more',
  'POST /api/people/:id/owner': 'Hands the house over',
  'GET /api/audit': 'What was done about accounts',
  'GET /api/references': 'Everything that outings point at, changed after a number',
  'POST /api/batches/items': 'Makes and changes many things at once, all or none',
  'GET /api/schemas/rule-pack': 'The form of a rule pack, as JSON Schema',
  'GET /api/summaries': 'The list of outings, judged',
  'GET /api/use-of-things': 'What all logs say of things',
  'POST /api/outings/:id/copy': 'Makes the same outing on another day',
  'GET /api/outings/:id/walk-round': 'The record of answers, and the signature',
  'POST /api/outings/:id/answers': 'Records answers of the walk-round',
  'POST /api/outings/:id/signatures': 'Signs the outing as it is judged now',
  'POST /api/outings/:id/signatures-at-the-water': 'Records a signature given without a network',
  'GET /api/outings/:id/word': 'The plan as it was left, and what was said from the water',
  'POST /api/outings/:id/word': 'Leaves the plan with whoever waits',
  'POST /api/outings/:id/word-received': 'Says that whoever waits has the plan',
  'POST /api/outings/:id/watch-page': 'Switches the watch page on or off',
  'POST /api/outings/:id/check-ins': 'Says from the water how it goes',
  'GET /api/out': 'Plans that are out',
  'POST /api/plan-pages': 'A plan as one page of PDF',
  'GET /watch/:token': 'The watch page of a plan, for whoever has its address',
  'GET /api/companions': 'Whom one may ask along',
  'GET /api/outings/:id/party': 'The party of an outing',
  'PUT /api/outings/:id/party/:companionId': 'Asks somebody along',
  'DELETE /api/outings/:id/party/:companionId': 'Asks somebody along no more',
  'GET /api/along': 'Outings that one is asked along to',
  'GET /api/along/:id': 'One of them',
  'POST /api/along/:id/join': 'Comes along, with an outing of one’s own',
  'POST /api/along/:id/decline': 'Does not come along',
  'GET /api/sample': 'How much of the sample is there',
  'POST /api/sample/clear': 'Clears the sample away',
  'POST /api/sample/restore': 'Puts the sample back',
  'POST /api/pictures': 'Keeps a picture',
  'GET /api/pictures/:id': 'A picture',
  'GET /api/set-aside/:kind/:id': 'A document that cannot be read, as it is kept',
  'DELETE /api/set-aside/:kind/:id': 'Deletes a document that cannot be read',
  'GET /api/bundle': 'All of it, or a part, as one file',
  'GET /api/bundle/schema': 'The form of a bundle, as JSON Schema',
  'POST /api/bundle/look': 'Looks at a bundle; changes nothing',
  'POST /api/bundle/bring-in': 'Imports a bundle, all or nothing',
  'POST /api/bundle/take-back': 'Takes an import back',
  'GET /api/backups': 'When the last backup was made',
  'POST /api/backups': 'Makes a backup now',
  'GET /api/station/:id': 'A day of the simulated station of a water',
};
/** The same routes for every kind of document. */
const OF_A_KIND: readonly (readonly [method: string, behind: string, say: (word: string) => string])[] = [
  ['POST', '', (word) => `Makes a new ${word}`],
  ['GET', '/:id', (word) => `One ${word}`],
  ['PUT', '/:id', (word) => `Changes a ${word}, where nobody else has meanwhile`],
  ['DELETE', '/:id', (word) => `Deletes a ${word}`],
  ['POST', '/:id/restore', (word) => `Puts a deleted ${word} back`],
  ['POST', '/:id/give', (word) => `Gives a ${word} to the club`],
  ['POST', '/:id/keep', (word) => `Keeps a ${word} of the club to oneself`],
];
const ofDocuments = new Map(
  Object.values(documentKinds).flatMap(({ path, word }) =>
    OF_A_KIND.map(([method, behind, say]): [string, string] => [
      `${method} /api/${path}${behind}`,
      say(word),
    ]),
  ),
);

/** "getOutingsByIdWord" of GET /api/outings/:id/word. */
function operationIdOf(method: string, url: string): string {
  const parts = url
    .replace(/^\/api/, '')
    .split(/[/-]/)
    .filter((part) => part !== '')
    .map((part) => (part.startsWith(':') ? `By-${part.slice(1)}` : part).replace('-', ''));
  const capital = (part: string) => part.charAt(0).toUpperCase() + part.slice(1);
  return `${method.toLowerCase()}${parts.map(capital).join('')}`;
}

const SESSION = 'session';
// Written once in the description, and referred to by every route.
z.globalRegistry.add(problemSchema, { id: 'Problem' });

/**
 * How the API is described: each operation with an identifier, a line that says what it does, and whether one
 * has to be signed in. @param isOpen whether a route is answered without being signed in
 */
export function openApi(isOpen: (path: string) => boolean): FastifyDynamicSwaggerOptions {
  return {
    openapi: {
      info: {
        title: 'Unhurried Tally',
        version: VERSION,
        description: 'The API behind the screens. Errors are RFC 9457 problem details.',
      },
      components: {
        securitySchemes: {
          [SESSION]: {
            type: 'apiKey',
            in: 'cookie',
            name: 'tally',
            description: 'Set at signing in. A house without accounts asks for none.',
          },
        },
      },
    },
    transform: (given) => {
      const { schema, url } = jsonSchemaTransform(given);
      const { route } = given;
      const method = String(Array.isArray(route.method) ? route.method[0] : route.method);
      const key = `${method} ${route.url}`;
      return {
        url,
        schema: {
          ...schema,
          tags: schema.tags ?? ['server'],
          operationId: operationIdOf(method, route.url),
          summary: SUMMARIES[key] ?? ofDocuments.get(key) ?? calculatorIn(route.url) ?? '',
          security: isOpen(route.url) ? [] : [{ [SESSION]: [] }],
        },
      };
    },
    transformObject: jsonSchemaTransformObject,
  };
}
function calculatorIn(url: string): string | null {
  const name = /^\/api\/calc\/(.+)$/.exec(url)?.[1];
  return name === undefined ? null : `Works out: ${name.replaceAll('-', ' ')}`;
}

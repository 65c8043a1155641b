import { eq } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { Refusal, notFound } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import type { Database } from '../storage/open';
import { pictures } from '../storage/schema';
import { pictureOf } from './picture';

/** The longest data address of a picture that can be kept. */
const MOST_CHARS = 80_000;
const pictureName = z.strictObject({ id: z.string().regex(/^[0-9a-f]{64}$/, 'Not the name of a picture.') });

/** Small pictures by the name of what they show: one that was fetched is never fetched again. */
export function pictureRoutes(parent: FastifyInstance, db: Database): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['picture'];
  app.post(
    '/api/pictures',
    {
      schema: {
        tags,
        body: z.strictObject({
          dataUrl: z
            .string('A picture as a data address.')
            .max(MOST_CHARS, 'The picture is too large.')
            .regex(
              /^data:image\/(jpeg|webp|png);base64,[A-Za-z0-9+/]+={0,2}$/,
              'Not a picture that can be kept.',
            ),
        }),
        response: { 201: pictureName, 400: problemSchema },
      },
    },
    async (request, reply) => {
      const [, data = ''] = request.body.dataUrl.split(',');
      const picture = pictureOf(Buffer.from(data, 'base64'));
      if (!picture)
        throw new Refusal('bad input', 'Bad input', 'This is no picture that can be kept.', [
          { field: 'dataUrl', message: 'Its bytes are no JPEG, PNG or WebP, or too many.' },
        ]);
      await db.insert(pictures).values(picture).onConflictDoNothing();
      return reply.code(201).send({ id: picture.id });
    },
  );
  app.get(
    '/api/pictures/:id',
    { schema: { tags, params: pictureName, response: { 200: z.unknown(), 404: problemSchema } } },
    async (request, reply) => {
      const [row] = await db.select().from(pictures).where(eq(pictures.id, request.params.id));
      if (!row) throw notFound('picture');
      return reply
        .header('cache-control', 'private, max-age=31536000, immutable')
        .type(row.mediaType)
        .send(Buffer.from(row.data, 'base64'));
    },
  );
}

import { createReadStream } from 'node:fs';
import { coatIdSchema } from '@aurantia/core';
import { makePhotosSchema, photoReadingSchema, type MakeId } from '@aurantia/core/make';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { byId } from '../http/id-param';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';
import { alsoAtTheBench } from '../sharing/audience';

/** The largest file that a camera makes. */
const MOST_BYTES = 60 * 1024 * 1024;
const kinds = ['image/jpeg', 'image/png', 'image/webp', 'application/octet-stream'];
const photo = z.object({ id: z.uuid('A photo’s id is a UUID.') });
const sent = z.object({ make: byId.shape.id, coat: coatIdSchema.optional() });
const asked = z.object({ make: byId.shape.id });
const sized = z.object({ size: z.enum(['large', 'small']).default('large') });

/** Photos of makes: kept, looked at, read, taken away. */
export const photosRoutes: FastifyPluginAsyncZod<Memory> = async (app, { photos, aside, clock, makeChanges }) => {
  app.addContentTypeParser(kinds, { parseAs: 'buffer', bodyLimit: MOST_BYTES }, (_, body, done) => done(null, body));

  app.get('/', { config: alsoAtTheBench, schema: { querystring: asked, response: { 200: makePhotosSchema } } }, ({ query }) =>
    photos.of(query.make),
  );

  // The photo is the body itself: half of one is refused, and nothing is kept of it.
  app.put(
    '/:id',
    {
      config: alsoAtTheBench,
      bodyLimit: MOST_BYTES,
      schema: { params: photo, querystring: sent, response: { 200: makePhotosSchema } },
    },
    async ({ params, query, body }) => {
      if (!(body instanceof Uint8Array)) throw new ProblemError(415, 'Wrong kind', 'Send the photo itself: a JPEG, PNG or WebP.');
      const kept = await aside.do('photo', { bytes: body });
      const make = query.make as MakeId;
      await photos.keep({ id: params.id, make, at: new Date(clock.now()).toISOString(), coat: query.coat ?? null }, kept);
      makeChanges.tell(make);
      return photos.of(make);
    },
  );

  app.get('/:id', { config: alsoAtTheBench, schema: { params: photo, querystring: sized } }, ({ params, query }, reply) =>
    reply
      .type('image/jpeg')
      .header('cache-control', 'private, max-age=31536000, immutable')
      .send(createReadStream(photos.file(params.id, query.size))),
  );

  app.put(
    '/:id/reading',
    { config: alsoAtTheBench, schema: { params: photo, body: photoReadingSchema, response: { 200: makePhotosSchema } } },
    async ({ params, body }) => {
      const make = await photos.read(params.id, body);
      makeChanges.tell(make);
      return photos.of(make);
    },
  );

  app.delete(
    '/:id',
    { config: alsoAtTheBench, schema: { params: photo, response: { 200: makePhotosSchema } } },
    async ({ params }) => {
      const make = await photos.remove(params.id);
      makeChanges.tell(make);
      return photos.of(make);
    },
  );
};

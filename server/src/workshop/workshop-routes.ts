import { movedOnSchema, settingsSchema } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';
import { alsoAtTheBench } from '../sharing/audience';
import { unreadableSchema } from '../store/unreadable-rows';

const keptSettings = z.object({ document: settingsSchema, revision: z.int() });

/** The workshop's settings, and what of its memory can't be read. */
export const workshopRoutes: FastifyPluginAsyncZod<Memory> = async (app, { workshop, movedOn, unreadable, devices }) => {
  app.get('/', { config: alsoAtTheBench, schema: { response: { 200: keptSettings } } }, () => workshop.kept());
  app.put(
    '/',
    {
      schema: {
        body: z.strictObject({ parent: z.int().min(0), document: settingsSchema }),
        response: { 200: keptSettings },
      },
    },
    async ({ body }) => {
      const kept = await workshop.setSettings(body.document, body.parent);
      devices.goBy(kept.document);
      return kept;
    },
  );
  // For a page that stays open while others, or the bench, change what it shows.
  app.get(
    '/moved-on',
    { schema: { querystring: z.object({ stamp: z.string().max(300).optional() }), response: { 200: movedOnSchema } } },
    ({ query }) => movedOn(query.stamp),
  );
  app.get(
    '/unreadable',
    {
      schema: {
        querystring: z.object({ anew: z.enum(['true', 'false']).default('false') }),
        response: { 200: z.array(unreadableSchema) },
      },
    },
    ({ query }) => unreadable(query.anew === 'true'),
  );
};

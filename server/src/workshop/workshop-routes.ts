import { settingsSchema } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { Memory } from '../memory';

/** The workshop's settings. */
export const workshopRoutes: FastifyPluginAsyncZod<Memory> = async (app, { workshop }) => {
  app.get('/', { schema: { response: { 200: settingsSchema } } }, async () => workshop.settings());
  app.put('/', { schema: { body: settingsSchema, response: { 200: settingsSchema } } }, async (request) =>
    workshop.setSettings(request.body),
  );
};

import { cupSchema } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { keptRoutes } from '../http/kept-routes';
import type { Memory } from '../memory';

/** The cups that were measured. */
export const cupsRoutes: FastifyPluginAsyncZod<Memory> = async (app, { cups }) => keptRoutes(app, cups, cupSchema);

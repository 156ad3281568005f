import { deviceKinds, devicesSchema } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';
import { alsoAtTheBench } from '../sharing/audience';

const command = z.strictObject({
  device: z.enum(deviceKinds),
  command: z
    .string()
    .trim()
    .min(1)
    .max(60)
    .regex(/^[\w. -]+$/),
});

/** Devices beside the cup: what they say now (and as it changes, with the makes), the scale's tare, and hands for simulated ones. */
export const devicesRoutes: FastifyPluginAsyncZod<Memory> = async (app, { devices }) => {
  app.get('/', { config: alsoAtTheBench, schema: { response: { 200: devicesSchema } } }, () => devices.all);

  app.post('/tare', { config: alsoAtTheBench, schema: { response: { 200: devicesSchema } } }, () => {
    if (!devices.say('scale', 'tare'))
      throw new ProblemError(409, 'No scale', 'The scale isn’t reached. Plug it in again, or type what it shows.');
    return devices.all;
  });

  app.post('/simulated', { config: alsoAtTheBench, schema: { body: command, response: { 200: devicesSchema } } }, ({ body }) => {
    if (!devices.simulate(body.device, body.command))
      throw new ProblemError(409, 'Not simulated', `No simulated ${body.device} stands here that understands “${body.command}”.`);
    return devices.all;
  });
};

import swagger from '@fastify/swagger';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, serializerCompiler } from 'fastify-type-provider-zod';
import type * as z from 'zod';
import { backupRoutes } from './backup/backup-routes';
import { cardRoutes } from './card/card-routes';
import { cupsRoutes } from './cups/cups-routes';
import { designsRoutes } from './designs/designs-routes';
import { devicesRoutes } from './devices/devices-routes';
import { keepRoom } from './devices/keep-room';
import { guard } from './http/guard';
import { pages } from './http/pages';
import { answerProblems } from './http/problem';
import type { Memory } from './memory';
import { learntRoutes } from './learnt/learnt-routes';
import { makesRoutes } from './makes/makes-routes';
import { moneyRoutes } from './money/money-routes';
import { ordersRoutes } from './orders/orders-routes';
import { weekRoutes } from './week/week-routes';
import { palettesRoutes } from './palettes/palettes-routes';
import { photosRoutes } from './photos/photos-routes';
import { shelfRoutes } from './shelf/shelf-routes';
import { templateRoutes } from './template/template-routes';
import { clockRoutes } from './workshop/clock-routes';
import { letIn } from './sharing/let-in';
import { Outside, USUAL_SHARE_PORT } from './sharing/outside';
import { SharingHere, type ShareAt } from './sharing/sharing-here';
import { sharingRoutes } from './sharing/sharing-routes';
import { workshopRoutes } from './workshop/workshop-routes';

/** The largest thing that is ever sent: a design file with a full shelf. */
const BODY_LIMIT = 2 * 1024 * 1024;
/** How long a request may take to arrive, ms; a body that trickles in longer is cut off. */
const PATIENCE = 20_000;

export interface AppOptions {
  readonly logged?: boolean;
  /** ms a request may take to arrive */
  readonly patience?: number;
  readonly movableClock?: boolean;
  /** where devices on the network reach it, once that is switched on */
  readonly shareAt?: ShareAt;
}

/**
 * The whole server, not yet listening.
 * @param screens folder of the built screens; left out, only the interface for programs is there
 */
export async function createApp(
  memory: Memory,
  screens: string | null,
  {
    logged = true,
    patience = PATIENCE,
    movableClock = false,
    shareAt = { address: null, port: USUAL_SHARE_PORT },
  }: AppOptions = {},
): Promise<FastifyInstance> {
  const app = Fastify({
    logger: logged ? { level: 'warn' } : false,
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    requestTimeout: patience,
    http: { headersTimeout: patience, connectionsCheckingInterval: Math.min(5000, patience) },
  });
  // Zod's own error goes on to the error handler, which words it; nothing is lost on the way.
  app.setValidatorCompiler(({ schema }: { schema: z.ZodType }) => (data: unknown) => {
    const read = schema.safeParse(data);
    return read.success ? { value: read.data } : { error: read.error };
  });
  app.setSerializerCompiler(serializerCompiler);
  app.removeContentTypeParser('text/plain');
  answerProblems(app);
  const outside = new Outside(patience);
  await guard(app, outside);
  letIn(app, outside, memory.paired);
  const sharing = new SharingHere(app, outside, memory.paired, shareAt);
  app.decorate('sharing', sharing);
  await app.register(swagger, { openapi: { info: { title: 'Aurantia', version: '1' } }, transform: jsonSchemaTransform });
  await app.register(designsRoutes, { prefix: '/api/designs', ...memory });
  await app.register(cardRoutes, { prefix: '/api/designs', ...memory });
  await app.register(templateRoutes, { prefix: '/api/designs', ...memory });
  await app.register(shelfRoutes, { prefix: '/api/shelf', ...memory });
  await app.register(cupsRoutes, { prefix: '/api/cups', ...memory });
  await app.register(palettesRoutes, { prefix: '/api/palettes', ...memory });
  await app.register(makesRoutes, { prefix: '/api/makes', ...memory });
  await app.register(photosRoutes, { prefix: '/api/photos', ...memory });
  await app.register(devicesRoutes, { prefix: '/api/devices', ...memory });
  await app.register(learntRoutes, { prefix: '/api/learnt', ...memory });
  await app.register(ordersRoutes, { prefix: '/api/orders', ...memory });
  await app.register(weekRoutes, { prefix: '/api/week', ...memory });
  await app.register(moneyRoutes, { prefix: '/api/money', ...memory });
  await app.register(sharingRoutes, { prefix: '/api/sharing', sharing, paired: memory.paired });
  if (movableClock) await app.register(clockRoutes, { prefix: '/api/clock', ...memory });
  await app.register(workshopRoutes, { prefix: '/api/workshop', ...memory });
  await app.register(backupRoutes, { prefix: '/api/backups', ...memory });
  app.get('/api/openapi.json', { schema: { hide: true } }, () => app.swagger());
  if (screens) await pages(app, { folder: screens });
  memory.devices.goBy(await memory.workshop.settings());
  const endRoom = keepRoom(memory);
  app.addHook('onClose', async () => {
    await sharing.turn(false);
    memory.devices.close();
    await endRoom();
    memory.summaries.close();
    await memory.aside.close();
  });
  return app;
}

import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';
import { BackupError } from './backup-file';
import { previewSchema } from './preview';

/** The largest backup that is sent; the program's own are far smaller. */
const MOST = 256 * 1024 * 1024;
const onDisk = z.object({ name: z.string(), at: z.string(), bytes: z.int() });
const byName = z.object({ name: z.string().max(100) });

/** Backups: made, listed, saved elsewhere, looked into, restored. */
export const backupRoutes: FastifyPluginAsyncZod<Memory> = async (app, { backups, workshop, devices }) => {
  app.addContentTypeParser('application/zip', { parseAs: 'buffer', bodyLimit: MOST }, (_, body, done) => done(null, body));

  app.get('/', { schema: { response: { 200: z.array(onDisk) } } }, async () => backups.list());

  app.get('/now.zip', async (_, reply) => {
    const name = `aurantia-${new Date().toISOString().slice(0, 10)}.zip`;
    return send(reply, name, await backups.make());
  });

  app.get('/:name', { schema: { params: byName } }, async ({ params }, reply) =>
    send(reply, params.name, backups.read(params.name)),
  );

  app.post('/preview', { bodyLimit: MOST, schema: { response: { 200: previewSchema } } }, ({ body }) =>
    inWords(() => backups.preview(bytesOf(body))),
  );

  app.post('/restore', { bodyLimit: MOST, schema: { response: { 200: z.object({ before: z.string() }) } } }, ({ body }) =>
    inWords(async () => {
      const before = await backups.restore(bytesOf(body));
      devices.goBy(await workshop.settings());
      return { before };
    }),
  );
};

const send = (
  reply: { type(kind: string): { header(name: string, value: string): { send(body: Buffer): unknown } } },
  name: string,
  bytes: Uint8Array,
) => reply.type('application/zip').header('content-disposition', `attachment; filename="${name}"`).send(Buffer.from(bytes));

function bytesOf(body: unknown): Uint8Array {
  if (body instanceof Uint8Array) return body;
  throw new ProblemError(415, 'Wrong kind', 'Send the backup as it was saved, with the content type application/zip.');
}

async function inWords<Result>(work: () => Promise<Result>): Promise<Result> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof BackupError) throw new ProblemError(422, 'Not accepted', error.message);
    throw error;
  }
}

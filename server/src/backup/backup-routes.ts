import { createReadStream, rmSync, statSync } from 'node:fs';
import type { Readable } from 'node:stream';
import type { FastifyReply } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { asFile } from '../http/handed-over';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';
import { BackupError } from './backup-file';
import { previewSchema } from './preview';

/** The largest backup that is sent: a thousand photos or so. */
const MOST = 1024 * 1024 * 1024;
const onDisk = z.object({ name: z.string(), at: z.string(), bytes: z.int() });
const byName = z.object({ name: z.string().max(100) });

/** Backups: made, listed, saved elsewhere, looked into, restored. */
export const backupRoutes: FastifyPluginAsyncZod<Memory> = async (app, { backups, workshop, devices }) => {
  app.addContentTypeParser('application/zip', { parseAs: 'buffer', bodyLimit: MOST }, (_, body, done) => done(null, body));

  app.get('/', { schema: { response: { 200: z.array(onDisk) } } }, async () => backups.list());

  app.setErrorHandler((error) => {
    const large = error instanceof Error && 'code' in error && error.code === 'FST_ERR_CTP_BODY_TOO_LARGE';
    throw large ? new ProblemError(413, 'Too large', TOO_LARGE) : error;
  });

  app.get('/now.zip', async (_, reply) => {
    const name = `aurantia-${new Date().toISOString().slice(0, 10)}.zip`;
    const file = await backups.save();
    const size = statSync(file).size;
    // Once it is open its name can go: what is left of it goes with the reply, however that ends.
    const bytes = createReadStream(file).once('open', () => rmSync(file, { force: true }));
    return send(reply.header('content-length', size), name, bytes);
  });

  app.get('/:name', { schema: { params: byName } }, async ({ params }, reply) =>
    send(reply, params.name, Buffer.from(backups.read(params.name))),
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

const send = (reply: FastifyReply, name: string, bytes: Buffer | Readable) =>
  reply
    .type('application/zip')
    .header(...asFile(name))
    .send(bytes);

const TOO_LARGE =
  'This is larger than 1 GB. If it is a backup with very many photos, stop Aurantia and restore it by “npm run -s restore -- FILE --yes”.';

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

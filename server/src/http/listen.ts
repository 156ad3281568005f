import type { FastifyInstance } from 'fastify';

const codeOf = (error: unknown): unknown =>
  typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;

/** The program can't listen; the message says what to do. */
export class PortError extends Error {
  override readonly name = 'PortError';
}

/**
 * Listens on loopback at a port, or at a free one when something else has it or it isn't ours to take.
 * @returns the address it listens at
 * @throws PortError when it can't listen at all
 */
export async function listenNear(app: FastifyInstance, port: number): Promise<string> {
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new PortError('AURANTIA_PORT is no port: set it to a whole number from 1024 to 65535, or leave it out.');
  try {
    await app.listen({ host: '127.0.0.1', port });
  } catch (error) {
    const code = codeOf(error);
    if (code !== 'EADDRINUSE' && code !== 'EACCES') throw error;
    process.stdout.write(
      `Port ${port} is ${code === 'EACCES' ? 'not open to you' : 'taken by something else'}, so a free one is used.\n`,
    );
    await app.listen({ host: '127.0.0.1', port: 0 });
  }
  const address = app.server.address();
  return `http://127.0.0.1:${typeof address === 'object' && address ? address.port : port}`;
}

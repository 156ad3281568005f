import type { FastifyInstance } from 'fastify';

const isTaken = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'code' in error && error.code === 'EADDRINUSE';

/**
 * Listens on loopback at a port, or at a free one when it is taken.
 * @returns the port it listens at
 */
export async function listenNear(app: FastifyInstance, port: number): Promise<number> {
  try {
    await app.listen({ host: '127.0.0.1', port });
  } catch (error) {
    if (!isTaken(error)) throw error;
    await app.listen({ host: '127.0.0.1', port: 0 });
  }
  const address = app.server.address();
  return typeof address === 'object' && address ? address.port : port;
}

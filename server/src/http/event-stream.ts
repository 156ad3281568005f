import type { FastifyReply, FastifyRequest } from 'fastify';

/** ms between two signs of life to those who listen: what lies between them and here may drop a silent line. */
const ALIVE = 25_000;

/**
 * Answers with a stream of events (server-sent) for as long as the page listens.
 * @param listen is given how to send one, and returns what ends it
 */
export function streamEvents(
  request: FastifyRequest,
  reply: FastifyReply,
  listen: (send: (data: unknown) => void) => () => void,
): void {
  reply.hijack();
  const { raw } = reply;
  raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', connection: 'keep-alive' });
  raw.write(': here\n\n');
  const end = listen((data) => void raw.write(`data: ${JSON.stringify(data)}\n\n`));
  const alive = setInterval(() => raw.write(': here\n\n'), ALIVE);
  request.raw.once('close', () => {
    end();
    clearInterval(alive);
  });
}

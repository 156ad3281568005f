import type { FastifyError, FastifyInstance, FastifyReply } from 'fastify';
import { faultsOf } from '@aurantia/core';
import * as z from 'zod';
import { troubleOf } from '../store/store-error';

/** What goes wrong in a reply: RFC 9457, with a sentence for a maker. */
export const problemSchema = z.object({
  type: z.literal('about:blank'),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  faults: z.array(z.object({ path: z.string(), sentence: z.string() })).optional(),
});
export type Problem = z.infer<typeof problemSchema>;

/** An error with a status and a sentence, thrown by routes and stores. */
export class ProblemError extends Error {
  override readonly name = 'ProblemError';
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly more: Record<string, unknown> = {},
  ) {
    super(detail);
  }
}

export const notFound = (what: string): ProblemError =>
  new ProblemError(404, 'Not here', `This ${what} isn’t here. It may have been removed; go back to the list.`);

export function sendProblem(reply: FastifyReply, status: number, title: string, detail: string, more: object = {}): FastifyReply {
  return reply
    .code(status)
    .type('application/problem+json')
    .send({ type: 'about:blank', title, status, detail, ...more });
}

/** What keeps the file from being written, and the way out; nothing of a save that met it was written. */
const NOT_KEPT = {
  full: 'This isn’t kept: the disk is full. Free some space; what you typed stays here and is kept once there is room.',
  'read-only':
    'This isn’t kept: the workshop’s file can’t be written to. Make it writable; what you typed stays here until then.',
  locked: 'This isn’t kept: another program holds the workshop’s file. Close that one; what you typed stays here until then.',
} as const;

/** Every error leaves as a problem; what a maker can't help is logged and said plainly. */
export function answerProblems(app: FastifyInstance): void {
  app.setErrorHandler((error: FastifyError | ProblemError | z.ZodError, request, reply) => {
    if (error instanceof ProblemError) return sendProblem(reply, error.status, error.title, error.detail, error.more);
    if (error instanceof z.ZodError) {
      const faults = faultsOf(error);
      return sendProblem(reply, 422, 'Not accepted', faults[0]?.sentence ?? 'Some of this can’t be kept.', { faults });
    }
    const trouble = troubleOf(error);
    if (trouble === 'full' || trouble === 'read-only' || trouble === 'locked') {
      request.log.error(error);
      return sendProblem(reply, 507, 'Not kept', NOT_KEPT[trouble]);
    }
    const status = 'statusCode' in error ? (error.statusCode ?? 500) : 500;
    if (status === 413)
      return sendProblem(reply, 413, 'Too large', 'This is larger than any design. Check that it is the right file.');
    if (status === 415) return sendProblem(reply, 415, 'Wrong kind', 'Send JSON, with the content type application/json.');
    if (status < 500)
      return sendProblem(reply, status, 'Not accepted', 'This can’t be read as JSON. Check the file and send it again.');
    request.log.error(error);
    return sendProblem(
      reply,
      500,
      'Something broke',
      'The workshop’s memory had a fault. Nothing was changed; try again, and look at the program’s own window if it stays.',
    );
  });
  app.setNotFoundHandler((_, reply) => sendProblem(reply, 404, 'Not here', 'There is nothing at this address.'));
}

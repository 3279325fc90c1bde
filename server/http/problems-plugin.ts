import type { FastifyError } from 'fastify';
import plugin from 'fastify-plugin';
import type { ProblemReply } from '#contract/problem.ts';
import { Unreadable } from '#core/stored/stored-json.ts';
import { Problem } from './problem.ts';

/** A server whose disk is full can do nothing about a request, but it can say so. */
function diskFull(error: unknown): ProblemReply | null {
  for (let cause = error; cause instanceof Error; cause = cause.cause)
    if (
      (cause as NodeJS.ErrnoException).code === 'ENOSPC' ||
      /ENOSPC|No space left on device/.test(cause.message)
    )
      return {
        code: 'disk-full',
        message:
          'The disk of the server is full, so this could not be kept. Nothing else was lost; whoever runs the server has to make room.',
      };
  return null;
}

/** The one place where errors become replies: a Problem as it is, anything else as a sentence and a log line. */
export const problems = plugin(async (app) => {
  app.setErrorHandler((error: FastifyError | Problem | Unreadable, request, reply) => {
    const full = diskFull(error);
    if (full) {
      request.log.error(error);
      return reply.status(507).send(full);
    }
    if (error instanceof Problem) {
      // Who is refused again and again is worth knowing of; who it is and what they sent is not kept.
      if ([401, 403, 429].includes(error.status))
        request.log.warn({ req: request, status: error.status, code: error.code }, 'refused');
      const body: ProblemReply = { code: error.code, message: error.message };
      if (error.field) body.field = error.field;
      if (error.details !== undefined) body.details = error.details;
      return reply.status(error.status).send(body);
    }
    if (error instanceof Unreadable) {
      request.log.error(error);
      return reply.status(500).send({
        code: 'unreadable',
        message:
          'What is kept here cannot be read by this version of Kite Wall. Nothing of it was changed; whoever runs the server finds the reason in its log.',
      });
    }
    const status = error.statusCode ?? 500;
    if (status === 429) request.log.warn({ req: request, status }, 'refused');
    if (status === 429)
      return reply.status(429).send({
        code: 'too-many-tries',
        message: 'Too many tries in a short time. Wait a minute and try again.',
      });
    if (status === 413)
      return reply
        .status(413)
        .send({ code: 'too-large', message: 'This is more than can be saved at once.' });
    if (status < 500)
      return reply
        .status(status)
        .send({ code: 'bad-request', message: 'The server did not understand this request.' });
    request.log.error(error);
    return reply.status(500).send({
      code: 'server-error',
      message: 'Something went wrong on the server. What you wrote is kept here; try again in a moment.',
    });
  });
});

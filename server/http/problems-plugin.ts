import type { FastifyError } from 'fastify';
import plugin from 'fastify-plugin';
import type { ProblemReply } from '#contract/problem.ts';
import { Problem } from './problem.ts';

/** The one place where errors become replies: a Problem as it is, anything else as a sentence and a log line. */
export const problems = plugin(async (app) => {
  app.setErrorHandler((error: FastifyError | Problem, request, reply) => {
    if (error instanceof Problem) {
      const body: ProblemReply = { code: error.code, message: error.message };
      if (error.field) body.field = error.field;
      if (error.details !== undefined) body.details = error.details;
      return reply.status(error.status).send(body);
    }
    const status = error.statusCode ?? 500;
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

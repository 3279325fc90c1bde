import fastifyStatic from '@fastify/static';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { join } from 'node:path';

/** The built studio: its files, and its pages, which find out in the browser what they are asked for. */
export async function studioFiles(
  app: FastifyInstance,
  { studioFolder }: { studioFolder: string },
): Promise<void> {
  await app.register(fastifyStatic, {
    root: join(studioFolder, 'assets'),
    prefix: '/studio/assets/',
    immutable: true,
    maxAge: '365d',
    preCompressed: true,
  });
  const asked = { maxAge: 0, immutable: false, preCompressed: false };
  const file = (name: string) => async (_: FastifyRequest, reply: FastifyReply) =>
    reply.sendFile(name, studioFolder, asked);
  // Every other address of the studio is a room; the app in the browser knows which.
  app.get('/studio/*', file('index.html'));
  app.get('/studio', file('index.html'));
  app.get('/', async (_, reply) => reply.redirect('/studio/'));

  // A screen of its own, which a phone can keep and open without a network.
  await app.register(fastifyStatic, {
    root: join(studioFolder, 'capture'),
    prefix: '/studio/capture/',
    decorateReply: false,
    redirect: true,
    ...asked,
  });
  // Its worker takes what is shared; where a browser has thrown that away, nothing is kept, and the screen says so.
  app.post('/studio/capture/share', async (_, reply) => reply.redirect('/studio/capture/?not-kept', 303));
}

import fastifyStatic from '@fastify/static';
import Fastify, { type FastifyInstance, type FastifyReply } from 'fastify';
import { classBox } from './class-box.ts';
import { type MailBox, startMailBox } from './mail-box.ts';
import { inboxPage, playerPage, standInPage } from './stand-in-page.ts';

export interface StandIns {
  /** For example `http://127.0.0.1:4182`. */
  origin: string;
  /** A mail server; what it got can be read at `/inbox`. */
  mail: MailBox;
  close(): Promise<void>;
}

const clip = { title: 'One tide in twelve seconds', site: 'Reelhouse stand-in' };
/** Longer than anybody waits for a page. */
const slowMs = 30_000;

const html = (reply: FastifyReply, page: string) => reply.type('text/html; charset=utf-8').send(page);

function pages(app: FastifyInstance, mail: MailBox): void {
  app.get('/inbox', async (_, reply) => html(reply, inboxPage(mail.mails)));
  app.get('/clips/one-tide', async (request, reply) =>
    html(
      // A host's own page is often not for other pages; its player is.
      reply.header('x-frame-options', 'DENY'),
      standInPage({
        ...clip,
        description: 'The hand of the tide clock, sped up.',
        picture: '/files/tide-clock/08-hero-on-wall.jpg',
        oembed: `/oembed?format=json&url=${encodeURIComponent(`http://${request.host}/clips/one-tide`)}`,
        body: `<h1>${clip.title}</h1><p>A clip at its host.</p><img src="/files/tide-clock/08-hero-on-wall.jpg" alt="">`,
      }),
    ),
  );
  app.get('/oembed', async (request, reply) => {
    const here = `http://${request.host}`;
    const { url } = request.query as { url?: string };
    if (url !== `${here}/clips/one-tide`) return reply.code(404).send({ error: 'No such clip.' });
    return {
      type: 'video',
      version: '1.0',
      title: clip.title,
      author_name: 'Wren',
      provider_name: clip.site,
      provider_url: here,
      thumbnail_url: `${here}/files/tide-clock/08-hero-on-wall.jpg`,
      thumbnail_width: 1600,
      thumbnail_height: 1200,
      width: 1280,
      height: 720,
      html: `<iframe src="${here}/player/one-tide" width="1280" height="720" allowfullscreen></iframe>`,
    };
  });
  app.get('/player/one-tide', async (_, reply) =>
    html(
      reply,
      playerPage(
        clip.title,
        '/files/tide-clock/hand-time-lapse.mp4',
        '/files/tide-clock/08-hero-on-wall.jpg',
      ),
    ),
  );
  app.get('/open', async (_, reply) =>
    html(
      reply,
      standInPage({
        title: 'Bees of the allotment',
        site: 'Quay Lane Allotments',
        description:
          'Which solitary bees nest on Quay Lane, counted every April by the people who dig there.',
        picture: '/files/bee-hotel/07-hero-on-fence.jpg',
        body: `<h1>Bees of the allotment</h1><p>Counted every April by the people who dig there. This year the fold-flat hotel by the water butt had eleven sealed tubes.</p><img src="/files/bee-hotel/07-hero-on-fence.jpg" alt="A bee hotel on a fence"><p>Red mason bee, 9. Leafcutter, 2.</p>`,
      }),
    ),
  );
  app.get('/refusing', async (_, reply) =>
    html(
      reply
        .header('content-security-policy', "frame-ancestors 'self'")
        .header('x-frame-options', 'SAMEORIGIN'),
      standInPage({
        title: 'Tide tables since 1880',
        site: 'Harbour Office',
        description: 'Every high and low water at the slip, from the first gauge to last week.',
        picture: '/files/site/03-harbour-dusk.jpg',
        body: '<h1>Tide tables since 1880</h1><p>This page does not let itself be shown inside others.</p>',
      }),
    ),
  );
  app.get('/slow', async (request, reply) => {
    await new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, slowMs);
      request.raw.once('close', () => {
        clearTimeout(timer);
        resolve();
      });
    });
    return html(reply, '<!doctype html><title>At last</title>');
  });
  app.get('/moved', async (_, reply) => reply.redirect('/open', 308));
  app.get('/gone', async (_, reply) =>
    html(reply.code(410), '<!doctype html><title>Gone</title><p>Gone.</p>'),
  );
}

/**
 * Outside services that ship with the demo, since it runs without a network: a host of clips that speaks oEmbed, and
 * pages: one that may be shown inside others, one that refuses, one that is slow, one that is gone, one that has moved; and a mail server with a box that
 * can be read.
 *
 * @param port used when it is free, else any other; the next one is that of mail
 * @param pictures folder of the demo's pictures
 */
export async function startStandIns(port: number, pictures: string): Promise<StandIns> {
  const mail = await startMailBox(port === 0 || port === 65_535 ? 0 : port + 1);
  const make = async () => {
    const app = Fastify({ forceCloseConnections: true });
    pages(app, mail);
    await app.register(classBox);
    await app.register(fastifyStatic, { root: pictures, prefix: '/files/' });
    return app;
  };
  let app = await make();
  const origin = await app.listen({ host: '127.0.0.1', port }).catch(async (error: unknown) => {
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    app = await make();
    return app.listen({ host: '127.0.0.1', port: 0 });
  });
  return {
    ...{ origin, mail },
    close: async () => {
      await app.close();
      await mail.close();
    },
  };
}

import type { FastifyInstance } from 'fastify';
import formbody from '@fastify/formbody';
import type { HandedIn } from './handed-in.ts';
import { classBoxPage } from './stand-in-page.ts';

/** What is at a link for somebody without an account. */
async function opensFor(link: string): Promise<string> {
  try {
    const reply = await fetch(link, { signal: AbortSignal.timeout(10_000) });
    const text = await reply.text();
    const [, title = 'a page without a title'] = /<title>([^<]*)/.exec(text) ?? [];
    if (reply.status !== 200) return `It does not open (status ${reply.status}).`;
    return /type="password"/.test(text) ? 'It asks for a password.' : `It opens: ${title}`;
  } catch {
    return 'Nothing answers there.';
  }
}

/** A class's box for links: one is put in, the tutor opens it in a new window, without an account. */
export async function classBox(app: FastifyInstance): Promise<void> {
  await app.register(formbody);
  const box: HandedIn[] = [];
  const page = (problem = '') => classBoxPage(box, problem);
  app.get('/class-box', (_, reply) => reply.type('text/html; charset=utf-8').send(page()));
  app.post('/class-box', async (request, reply) => {
    const { who = '', link = '' } = (request.body ?? {}) as { who?: string; link?: string };
    if (!/^https?:\/\//.test(link) || !URL.canParse(link))
      return reply
        .code(422)
        .type('text/html; charset=utf-8')
        .send(page('That is no link. It begins with http:// or https://.'));
    box.unshift({ who: who.slice(0, 80), link: link.slice(0, 2000), opens: await opensFor(link) });
    return reply.redirect('/class-box', 303);
  });
}

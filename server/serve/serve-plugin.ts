import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { LRUCache } from 'lru-cache';
import { type Answer, closed } from './answering.ts';
import { sitemaps } from './sitemap.ts';
import type { ListedSite } from './site-list.ts';
import type { PublicSites } from './public-sites.ts';

/** The public side: releases by address and by link. */
export function serveSites(
  app: FastifyInstance,
  { open, answer }: { open: PublicSites; answer: Answer },
): void {
  app.get<{ Params: { key: string; '*': string } }>('/l/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    return answer(request, reply, open.atLink(key), `/l/${key}/`, path);
  });
  app.get<{ Params: { key: string } }>('/l/:key', async (request, reply) => {
    const { key } = request.params;
    return (await open.atLink(key)) ? reply.redirect(`/l/${key}/`, 301) : closed(reply);
  });
  app.get<{ Params: { site: string; '*': string } }>('/link-pictures/:site/*', async (request, reply) => {
    const { site, '*': path } = request.params;
    return answer(request, reply, open.atLinkPictures(site), `/link-pictures/${site}/`, path);
  });
  app.get<{ Params: { address: string; '*': string } }>('/:address/*', async (request, reply) => {
    const { address, '*': path } = request.params;
    return answer(request, reply, open.atAddress(address), `/${address}/`, path);
  });
  app.get<{ Params: { address: string } }>('/:address', async (request, reply) => {
    const { address } = request.params;
    return (await open.atAddress(address)) ? reply.redirect(`/${address}/`, 301) : closed(reply);
  });

  // A site has no icon of its own yet; the server's would not be the maker's.
  app.get('/favicon.ico', async (_, reply) =>
    reply.code(204).header('cache-control', 'public, max-age=86400').send(),
  );
  app.get('/robots.txt', async (request, reply) =>
    reply
      .type('text/plain')
      .send(
        `User-agent: *\nDisallow: /l/\nDisallow: /p/\nDisallow: /k/\nDisallow: /n/\nDisallow: /studio/\nDisallow: /api/\nSitemap: ${request.protocol}://${request.host}/sitemap.xml\n`,
      ),
  );
  // The same list gives the same maps; they are written once for each name this server is called by.
  const maps = new LRUCache<string, { of: readonly ListedSite[]; texts: Map<string, string> }>({ max: 8 });
  const sendMap = async (request: FastifyRequest, reply: FastifyReply, name: string) => {
    const origin = `${request.protocol}://${request.host}`;
    const sites = await open.list.all();
    const known = maps.get(origin);
    const { texts } = known?.of === sites ? known : { texts: sitemaps(origin, sites) };
    maps.set(origin, { of: sites, texts });
    const text = texts.get(name);
    return text === undefined ? closed(reply) : reply.type('application/xml').send(text);
  };
  app.get('/sitemap.xml', (request, reply) => sendMap(request, reply, 'sitemap.xml'));
  app.get<{ Params: { part: string } }>('/sitemap-:part(^\\d{1,6}$).xml', (request, reply) =>
    sendMap(request, reply, `sitemap-${request.params.part}.xml`),
  );
}

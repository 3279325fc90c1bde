import type { FastifyInstance } from 'fastify';
import { listPublicSites } from '#contract/public-sites.ts';
import { handle } from '../http/handle.ts';
import type { SiteList } from './site-list.ts';

/** As many sites as somebody reads through at a time. */
const atOnce = 40;

/** The server's list of sites that are open to everyone. */
export function publicListRoutes(app: FastifyInstance, { list }: { list: SiteList }): void {
  handle(app, listPublicSites, async ({ params: { from } }, _request, reply) => {
    // The list itself is not to be found by search engines: some of the sites ask them to stay away.
    reply.header('x-robots-tag', 'noindex');
    const all = await list.all();
    const to = from + atOnce;
    return {
      sites: all.slice(from, to).map(({ title, path }) => ({ title, path })),
      next: to < all.length ? to : null,
    };
  });
}

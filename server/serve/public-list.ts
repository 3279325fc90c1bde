import type { FastifyInstance } from 'fastify';
import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import { getListed, listPublicSites, setListed } from '#contract/public-sites.ts';
import { fairOrder } from '#core/listing/fair-order.ts';
import { countedIn, findListings } from '#core/listing/find-listings.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { ownSite } from '../sites/load-draft.ts';
import { keepListed } from './listing-rows.ts';
import type { PublicSites } from './public-sites.ts';
import type { ListedSite, ListingOfSite } from './site-list.ts';

/** As many sites as somebody reads through at a time. */
const atOnce = 40;
/** So many fields and tags are offered. */
const mostOffered = 40;

interface Today {
  of: readonly ListedSite[];
  day: string;
  sites: ListingOfSite[];
  fields: { name: string; sites: number }[];
  tags: { name: string; sites: number }[];
}

/** The server's list of public sites whose makers want to be in it. */
export function publicListRoutes(
  app: FastifyInstance,
  { db, open, now }: { db: Database; open: PublicSites; now: () => Date },
): void {
  /** The list in the order of a day; put together again only where it changed. */
  let last: Today | null = null;
  const hashes = new LRUCache<string, string>({ max: 50_000 });
  const hash = (text: string): string => {
    const known = hashes.get(text) ?? createHash('sha256').update(text).digest('hex');
    hashes.set(text, known);
    return known;
  };
  const today = async (): Promise<Today> => {
    const of = await open.list.all();
    const day = now().toISOString().slice(0, 10);
    if (last?.of === of && last.day === day) return last;
    const listed = of.flatMap(({ listing }) => listing ?? []);
    last = {
      ...{ of, day, sites: fairOrder(listed, day, hash) },
      fields: countedIn(listed, 'fields', mostOffered),
      tags: countedIn(listed, 'tags', mostOffered),
    };
    return last;
  };

  handle(
    app,
    listPublicSites,
    async ({ body: { from, ...search } }, _request, reply) => {
      // The list itself is not to be found by search engines: some of the sites ask them to stay away.
      reply.header('x-robots-tag', 'noindex');
      const { sites: all, fields, tags } = await today();
      const found = findListings(all, search);
      const to = from + atOnce;
      const sites = found.slice(from, to).map(({ title, path, by, fields: theirs, tags: own }) => ({
        title,
        path,
        by,
        fields: theirs,
        tags: own,
      }));
      return { sites, found: found.length, next: to < found.length ? to : null, fields, tags };
    },
    { config: { rateLimit: { max: 300, timeWindow: 60_000 } } },
  );

  handle(app, getListed, async ({ params }, request) => {
    const { listed } = await ownSite(db, makerOf(request).id, params.site);
    return { listed };
  });

  handle(app, setListed, async ({ params, body: { listed } }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await keepListed(db, site.id, listed);
    await open.forget([site.id]);
    return { listed };
  });
}

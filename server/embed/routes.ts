import type { FastifyInstance } from 'fastify';
import { type Embedding, getEmbedCode, getEmbedding, setFraming } from '#contract/embedding.ts';
import { cardWidth, frameSize } from '#core/embed/embed-size.ts';
import { type Framing, framingSchema } from '#core/embed/framing.ts';
import { cardCode, frameCode } from '#site/embed/embed-code.tsx';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { ownSite, type SiteRow } from '../sites/load-draft.ts';
import { titlesOfPaths } from '../visits/visit-rows.ts';
import { type EmbedDeps, embeddedPage, strangersAt } from './embedded-page.ts';
import { keepFraming } from './framing-rows.ts';

interface Deps extends EmbedDeps {
  db: Database;
  open: PublicSites;
}

/** A public site inside other pages: where it may be, and the HTML for it. */
export function embeddingRoutes(app: FastifyInstance, deps: Deps): void {
  const { db, open } = deps;
  const told = async (site: SiteRow, framing: Framing): Promise<Embedding> => {
    const way = site.address === null ? null : await strangersAt(open, site.address);
    if (!way)
      return {
        ...{ framing, pages: [] },
        closed:
          'Only what is Public and published can be shown elsewhere: links and passes are for those who have them.',
      };
    const titles = await titlesOfPaths(db, site.id);
    const pages = Object.keys(way.entrance.tree)
      .filter((file) => file.endsWith('index.html'))
      .map((file) => file.replace(/index\.html$/, ''))
      .filter((path) => path === '' || titles.has(` ${path}`))
      .map((path) => ({ file: `${path}index.html`, title: titles.get(` ${path}`) || site.title }));
    return { framing, closed: null, pages };
  };

  handle(app, getEmbedding, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return told(site, framingSchema.parse(site.framing));
  });

  handle(app, setFraming, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await keepFraming(db, site.id, body.framing);
    await open.forget([site.id]);
    return told(site, body.framing);
  });

  handle(app, getEmbedCode, async ({ params }, request) => {
    const { address } = await ownSite(db, makerOf(request).id, params.site);
    const way = address === null ? null : await strangersAt(open, address);
    const page = way && (await embeddedPage(deps, way.entrance, way.address, params.file));
    if (!page) throw notFound('This page');
    return { card: cardCode(page, cardWidth), frame: frameCode(page, frameSize) };
  });
}

import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Viewer } from '#core/access/viewer.ts';
import { idSchema } from '#core/id.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { parsed } from '../http/parsed.ts';
import { releaseNumbered } from '../publish/release-rows.ts';
import { hadNow } from '../sites/had-now.ts';
import { ownSite } from '../sites/load-draft.ts';
import { studioMemory } from '../sites/studio-memory.ts';
import type { Answer } from './answering.ts';
import { filesOfRelease } from './files-of-release.ts';
import { nothingToSee } from './nothing-to-see.ts';
import { waysTo } from './ways-to.ts';

/** Which release: the one that readers have now, as far as it is open to them, or one by its number, whole. */
const whichSchema = z.union([z.literal('now'), z.coerce.number().int().positive()]);

/** By which of the ways in that a release has. */
const wayInSchema = z.union([
  z.literal('stranger').transform((): Viewer => ({ kind: 'stranger' })),
  z.literal('link').transform((): Viewer => ({ kind: 'site-link' })),
  z
    .string()
    .regex(/^page-./)
    .transform((text): Viewer => ({ kind: 'page-link', page: text.slice('page-'.length) })),
]);

/**
 * Any release as its readers got it, shown to its maker only: the very files, by the ways in that it has. `/studio/release/<site>/<number
 * or now>/<stranger, link or page-id>/`.
 */
export function releaseViewRoutes(
  app: FastifyInstance,
  { db, answer }: { db: Database; answer: Answer },
): void {
  app.get('/studio/release/:site/:which/visitors/:page', async (request, reply) => {
    const { page, which, ...params } = parsed(
      z.object({ site: idSchema, page: idSchema, which: whichSchema }),
      request.params,
    );
    const site = await ownSite(db, makerOf(request).id, params.site);
    const release = which === 'now' ? null : await releaseNumbered(db, site.id, which);
    const source =
      release === null
        ? ((await hadNow(db, site))?.now ?? null)
        : await studioMemory(db).released.load(db, site.id, release);
    const way = source && waysTo(source, page);
    if (!way) return nothingToSee(reply, 'No reader had this page: no link and no address led to it.');
    return reply
      .header('cache-control', 'private, no-store')
      .redirect(`/studio/release/${site.id}/${which}/${way.viewer}/${way.path}`);
  });

  app.get('/studio/release/:site/:which/:way/*', async (request, reply) => {
    const { way, which, ...params } = parsed(
      z.object({ site: idSchema, which: whichSchema, way: wayInSchema, '*': z.string() }),
      request.params,
    );
    const site = await ownSite(db, makerOf(request).id, params.site);
    const tree = await filesOfRelease(db, site, which, way);
    if (!tree) return nothingToSee(reply, 'Nobody could come in this way: the release opened nothing by it.');
    const { way: asked } = request.params as { way: string };
    const entrance = {
      ...{ site: site.id, tree, indexable: false, secret: true, asked: true as const },
      former: () => Promise.resolve(null),
    };
    const base = `/studio/release/${site.id}/${which}/${asked}/`;
    return answer(request, reply, Promise.resolve({ entrance }), base, params['*']);
  });
}

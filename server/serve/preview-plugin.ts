import { createHash } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { draftPaths } from '#contract/material-paths.ts';
import { seenBy } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { idSchema } from '#core/content/id.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { pageInputs } from '#site/render/page-input.ts';
import { renderPage } from '#site/render/render-page.tsx';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { contentsIn } from '../publish/published-media.ts';
import type { StoredAssets } from '../publish/site-assets.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { pagePolicy } from './page-policy.ts';
import { notFound } from '../http/problem.ts';

const viewers: Record<string, Viewer> = {
  maker: { kind: 'maker' },
  link: { kind: 'site-link' },
  stranger: { kind: 'stranger' },
};
const paramsSchema = z.object({
  site: idSchema,
  viewer: z.enum(['maker', 'link', 'stranger']),
  '*': z.string(),
});

const sha256 = (text: string): string => createHash('sha256').update(text).digest('base64');

/**
 * "See it as…": the draft, rendered for a viewer by the same path as a release, shown to its maker only. Pictures
 * are the studio's previews.
 */
export function previewRoutes(
  app: FastifyInstance,
  { db, assets, blobs }: { db: Database; assets: StoredAssets; blobs: BlobStore },
): void {
  app.get('/studio/see/:site/:viewer/*', async (request, reply) => {
    const { site: id, viewer, '*': path } = paramsSchema.parse(request.params);
    const site = await ownSite(db, makerOf(request).id, id);
    const asset = Object.hasOwn(assets.files, path) ? assets.files[path] : undefined;
    if (asset)
      return reply
        .type(asset.type)
        .header('cache-control', 'private, max-age=31536000, immutable')
        .send(await blobs.read(asset.hash));
    const who = viewers[viewer];
    const view = who ? seenBy(await loadDraft(db, site), who) : null;
    if (!view)
      return reply
        .type('text/html; charset=utf-8')
        .header('content-security-policy', "default-src 'none'")
        .send(
          '<!doctype html><html lang="en"><head><title>Nothing to see</title></head><body><p>This reader would see nothing: the site does not open for them. Raise the site in Share to change that.</p></body></html>',
        );
    // Addresses lead from the preview's entrance to the server's root.
    const root = '../'.repeat(4);
    const materials = Object.values(view.materials);
    const contents = await contentsIn({ db }, materials);
    const page = pageInputs(view, draftSources(materials, contents, draftPaths, root)).find(
      (one) => one.path === path,
    );
    if (!page) throw notFound('This page');
    // Paths of pictures already lead from this page to the root; assets stand below the preview's own entrance.
    const { html, style, frames } = renderPage(page.input, assets.names);
    return reply
      .type('text/html; charset=utf-8')
      .header('cache-control', 'private, no-store')
      .header('content-security-policy', pagePolicy({ styleHash: sha256(style), frames }))
      .send(html);
  });
}

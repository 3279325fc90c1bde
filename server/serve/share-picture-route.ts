import type { FastifyInstance } from 'fastify';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { draftPaths } from '#contract/material-paths.ts';
import { picturesOf } from '#core/gallery/picture-source.ts';
import { idSchema } from '#core/id.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { sharePicture } from '#core/look/share-picture.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { sharedCovers } from '#site/render/page-covers.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { lightsOf } from '../media/picture-light.ts';
import { previewWithFixes } from '../media/previews.ts';
import { contentsIn } from '../publish/published-media.ts';
import type { StoredAssets } from '../publish/site-assets.ts';
import type { Reading } from '../reading/reading.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { previewFor, readerInManner } from './preview-reader.ts';

interface ShareDeps {
  db: Database;
  blobs: BlobStore;
  assets: StoredAssets;
  reading: Reading;
}

/**
 * The picture that a link to a page of the draft would be passed on with, for its maker to see before it is: drawn as for a release,
 * from the studio's preview of the page's picture.
 */
export function sharePictureRoute(app: FastifyInstance, { db, blobs, assets, reading }: ShareDeps): void {
  const drawn = new LRUCache<string, Buffer>({ max: 30 });
  app.get('/studio/share-picture/:site/:viewer/:page', async (request, reply) => {
    const params = parsed(
      z.object({ site: idSchema, viewer: readerInManner, page: idSchema }),
      request.params,
    );
    const account = makerOf(request).id;
    const draft = await loadDraft(db, await ownSite(db, account, params.site));
    const { view } = await previewFor(db, draft, params.viewer.reader);
    const shared = view && sharedCovers(view).find(({ page }) => page.id === params.page);
    if (!shared) throw notFound('This page');
    const { look, title: siteTitle, by } = view.site;
    const materials = Object.values(view.materials);
    const contents = await contentsIn({ db, blobs }, materials);
    const found = materials
      .flatMap((one) => picturesOf(one, contents.get(one.original)).map((shown) => ({ of: one, shown })))
      .find(({ shown }) => shown.id === shared.picture);
    const lights = found
      ? await lightsOf({ db, blobs, reading }, [found.shown], account)
      : new Map<string, string>();
    const { pictures } = draftSources(found ? [found.of] : [], contents, draftPaths, '', lights);
    const picture = pictures[shared.picture ?? ''] ?? null;
    const { lettering } = assets.fonts[fontsOf(look)];
    const words = { title: shared.page.title || siteTitle, by: by || siteTitle };
    const preview =
      found &&
      (await previewWithFixes(
        { db, blobs, reading },
        found.shown.source,
        found.shown.source.fixes,
        1400,
        account,
      ));
    const drawing = sharePicture(words, look, preview ? picture : null, lettering);
    if (!drawing) throw notFound('A picture of this page');
    const from = drawing.picture && preview ? await blobs.put(preview) : null;
    const key = JSON.stringify({ from, drawing });
    const file =
      drawn.get(key) ?? (await blobs.read((await reading.run('share', { from, drawing }, account)).hash));
    drawn.set(key, file);
    return reply.type('image/jpeg').header('cache-control', 'private, no-store').send(file);
  });
}

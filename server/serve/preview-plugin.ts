import { createHash } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { draftPaths } from '#contract/material-paths.ts';
import type { SiteView } from '#core/access/seen-by.ts';
import { picturesOf } from '#core/gallery/picture-source.ts';
import { picturesUnderWords } from '#site/render/page-covers.ts';
import { idSchema } from '#core/id.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { pageInputs, pathsOf } from '#site/render/page-inputs.ts';
import { contactCardPath, resumeFile } from '#site/render/site-paths.ts';
import { contactCard } from '#core/about/contact-card.ts';
import { resumeContentOf } from '#core/resume/resume-content-of.ts';
import { madeResume } from '../resume/made-resume.ts';
import { renderPage } from '#site/render/render-page.tsx';
import type { Manner } from '#core/preview/manner.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { lightsOf } from '../media/picture-light.ts';
import type { Reading } from '../reading/reading.ts';
import { contentsIn } from '../publish/published-media.ts';
import {
  drawsTime,
  iconFile,
  lettersIn,
  pageAssets,
  sheetOfLook,
  type StoredAssets,
} from '../publish/site-assets.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { nothingToSee } from './nothing-to-see.ts';
import { pagePolicy } from './page-policy.ts';
import { policyInManner } from './policy-in-manner.ts';
import { previewFor, previewNotice, readerInManner } from './preview-reader.ts';
import { waysTo } from './ways-to.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';

const paramsSchema = z.object({ site: idSchema, viewer: readerInManner, '*': z.string() });

/** A view as it looks by day or by night, where it is asked for. */
const inScheme = (view: SiteView, scheme: Manner['scheme']): SiteView =>
  scheme === null ? view : { ...view, site: { ...view.site, look: { ...view.site.look, scheme } } };

const sha256 = (text: string): string => createHash('sha256').update(text).digest('base64');

/**
 * "See it as…" and "Read as visitors": the draft, rendered for a viewer by the same path as a release, shown to its maker
 * only. Pictures are the studio's previews.
 */
export function previewRoutes(
  app: FastifyInstance,
  {
    db,
    assets,
    blobs,
    reading,
    publicOrigin,
  }: { db: Database; assets: StoredAssets; blobs: BlobStore; reading: Reading; publicOrigin: string },
): void {
  // Of drafts that are looked at; their names say what is in them, and nothing in them is anybody's own.
  const made = new LRUCache<string, { text: string; type: string }>({ max: 100 });
  app.get('/studio/see/:site/visitors/:page', async (request, reply) => {
    const params = parsed(z.object({ site: idSchema, page: idSchema }), request.params);
    const draft = await loadDraft(db, await ownSite(db, makerOf(request).id, params.site));
    if (!draft.pages.some(({ id }) => id === params.page)) throw notFound('This page');
    const way = waysTo(draft, params.page);
    if (!way)
      return nothingToSee(
        reply,
        'Visitors get nothing of this page: no link and no address leads to it. Raise it, or what holds it down, in Share.',
      );
    return reply
      .header('cache-control', 'private, no-store')
      .redirect(`/studio/see/${params.site}/${way.viewer}/${way.path}`);
  });

  app.get('/studio/see/:site/:viewer/*', async (request, reply) => {
    const { site: id, viewer, '*': path } = parsed(paramsSchema, request.params);
    const { viewer: way } = request.params as { viewer: string };
    const site = await ownSite(db, makerOf(request).id, id);
    const asset = Object.hasOwn(assets.files, path) ? assets.files[path] : undefined;
    const kept = made.get(path);
    if (asset ?? kept)
      return reply
        .type(asset?.type ?? kept?.type ?? '')
        .header('cache-control', 'private, max-age=31536000, immutable')
        .send(asset ? await blobs.read(asset.hash) : kept?.text);
    const { reader, manner } = viewer;
    const { view: seen, pass } = await previewFor(db, await loadDraft(db, site), reader);
    const view = seen && inScheme(seen, manner.scheme);
    if (!view)
      return nothingToSee(
        reply,
        'This reader would see nothing: the site does not open for them. Raise the site in Share to change that.',
      );
    // Where a page stands for this reader is known here and not to whoever asks.
    const wanted = parsed(z.object({ page: idSchema.optional() }), request.query).page;
    if (wanted !== undefined && path === '') {
      const to = pathsOf(view).get(wanted);
      if (to === undefined)
        return nothingToSee(reply, 'This reader gets nothing of this page. Who gets what is told in Share.');
      return reply.header('cache-control', 'private, no-store').redirect(`/studio/see/${id}/${way}/${to}`);
    }
    // Addresses lead from the preview's entrance to the server's root.
    const root = '../'.repeat(4);
    const materials = Object.values(view.materials);
    const contents = await contentsIn({ db, blobs }, materials);
    const over = picturesUnderWords(view);
    const lights = await lightsOf(
      { db, blobs, reading },
      materials.flatMap((one) =>
        picturesOf(one, contents.get(one.original)).filter(({ id: picture }) => over.has(picture)),
      ),
      makerOf(request).id,
    );
    const { address } = site;
    const base = reader === 'stranger' && address !== null ? `${publicOrigin}/${address}/` : null;
    const sources = draftSources(materials, contents, draftPaths, root, lights);
    const inputs = pageInputs(view, sources);
    const paths = pathsOf(view);
    const of = view.pages.find(({ id }) => `${paths.get(id) ?? ''}${resumeFile}` === path);
    const resume = of && resumeContentOf(view, of, paths, base);
    if (resume?.version.file)
      return reply
        .type('application/pdf')
        .header('cache-control', 'private, no-store')
        .send(await madeResume(assets, resume, view.site.look, new Date()).file());
    const card = path === contactCardPath && contactCard(view, base);
    if (card)
      return reply
        .type('text/vcard; charset=utf-8')
        .header('cache-control', 'private, no-store')
        .header('content-disposition', 'attachment; filename="contact.vcf"')
        .send(card);
    const page = inputs.find((one) => one.path === path);
    if (!page) throw notFound('This page');
    // Paths of pictures already lead from this page to the root; assets stand below the preview's own entrance.
    const { look } = view.site;
    const { path: css, text } = sheetOfLook(assets, look, drawsTime(view.pages));
    const icon = iconFile(look, view.site.title);
    made.set(css, { text, type: 'text/css; charset=utf-8' });
    made.set(icon.path, { text: icon.text, type: 'image/svg+xml' });
    const { printCss, enhance } = assets.shared;
    const linked = {
      names: { css, icon: icon.path, printCss, enhance },
      faces: assets.fonts[fontsOf(look)].faces,
      slants: assets.themes[look.theme].slants,
    };
    const { html, style, frames } = renderPage(
      page.input,
      pageAssets(linked, lettersIn(JSON.stringify(page.input))),
      { text: manner.framed ? null : previewNotice(reader, pass), onPaper: manner.onPaper },
    );
    return reply
      .type('text/html; charset=utf-8')
      .header('cache-control', 'private, no-store')
      .header(
        'content-security-policy',
        policyInManner(pagePolicy({ styleHash: sha256(style), frames }), manner),
      )
      .send(html);
  });
}

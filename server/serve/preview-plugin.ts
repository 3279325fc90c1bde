import { createHash } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { draftPaths } from '#contract/material-paths.ts';
import { seenBy, type SiteView } from '#core/access/seen-by.ts';
import { picturesOf } from '#core/gallery/picture-source.ts';
import { picturesUnderWords } from '#site/render/page-covers.ts';
import { idSchema } from '#core/id.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import type { Draft } from '#core/sites/site.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { pageInputs, pathsOf } from '#site/render/page-inputs.ts';
import { contactCardPath, resumeFile } from '#site/render/site-paths.ts';
import { contactCard } from '#core/about/contact-card.ts';
import { resumeContentOf } from '#core/resume/resume-content-of.ts';
import { madeResume } from '../resume/made-resume.ts';
import { renderPage } from '#site/render/render-page.tsx';
import { passViewer } from '#core/passes/pass-viewer.ts';
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
import { passRow, type PassRow } from '../passes/pass-rows.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { nothingToSee } from './nothing-to-see.ts';
import { pagePolicy } from './page-policy.ts';
import { waysTo } from './ways-to.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';

/** Who looks: the maker, a stranger, somebody with the site's link, with the link of one page, or with a pass. */
const viewerSchema = z.union([
  z.enum(['maker', 'link', 'stranger']),
  z
    .string()
    .regex(/^page-./)
    .transform((text) => ({ page: text.slice('page-'.length) })),
  z
    .string()
    .regex(/^pass-./)
    .transform((text) => ({ pass: text.slice('pass-'.length) })),
]);
type PreviewViewer = z.output<typeof viewerSchema>;

const paramsSchema = z.object({ site: idSchema, viewer: viewerSchema, '*': z.string() });

const sha256 = (text: string): string => createHash('sha256').update(text).digest('base64');

/** @param pass whose view it is, where it is that of a pass */
function viewFor(draft: Draft, viewer: PreviewViewer, pass: PassRow | null): SiteView | null {
  if (viewer === 'maker') return seenBy(draft, { kind: 'maker' });
  if (viewer === 'stranger') return seenBy(draft, { kind: 'stranger' });
  if (viewer === 'link') return seenBy(draft, { kind: 'site-link' });
  if ('pass' in viewer) return pass && seenBy(draft, passViewer(pass));
  return seenBy(draft, { kind: 'page-link', page: viewer.page });
}

/** For whom this is a preview, and that it is not what readers have now. */
function noticeFor(viewer: PreviewViewer, pass: PassRow | null): string {
  if (viewer === 'maker')
    return 'Your own view of the draft, Private parts too. No reader sees it like this.';
  const who =
    viewer === 'stranger'
      ? 'a stranger'
      : viewer === 'link'
        ? 'somebody with the link to the site'
        : pass
          ? `whoever holds the pass “${pass.label}”`
          : 'somebody with the link to this page';
  return `Preview: what ${who} gets with your next publish.`;
}

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
    const pass = typeof viewer === 'object' && 'pass' in viewer ? await passRow(db, id, viewer.pass) : null;
    const view = viewFor(await loadDraft(db, site), viewer, pass);
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
    const base = viewer === 'stranger' && address !== null ? `${publicOrigin}/${address}/` : null;
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
      {
        text: noticeFor(viewer, pass),
      },
    );
    return reply
      .type('text/html; charset=utf-8')
      .header('cache-control', 'private, no-store')
      .header('content-security-policy', pagePolicy({ styleHash: sha256(style), frames }))
      .send(html);
  });
}

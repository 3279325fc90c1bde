import type { FastifyInstance } from 'fastify';
import type { Readable } from 'node:stream';
import { z } from 'zod';
import {
  bringPictures,
  changeMaterial,
  changeMaterials,
  deleteMaterials,
  findInWords,
  getDocument,
  getWords,
  importReplySchema,
  stopUpload,
} from '#contract/materials.ts';
import { patchSchema } from '#contract/patch.ts';
import { lookAtPictures, makeContactSheet, readLights } from '#contract/pictures.ts';
import { emptyDocument } from '#core/materials/document.ts';
import { fixesSchema } from '#core/materials/fixes.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isShown } from '#core/pages/page.ts';
import { noCover } from '#core/pages/cover.ts';
import { partialDateSchema } from '#core/dates/partial-date.ts';
import { withoutMaterial } from '#core/parts/without-material.ts';
import type { Material } from '#core/materials/material.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { fixesOfPage, pageSource, picturesOf, type PictureSource } from '#core/gallery/picture-source.ts';
import { withTags } from '#core/materials/tags.ts';
import { wellFormed } from '#core/words/well-formed.ts';
import { idSchema } from '#core/id.ts';
import { seenBy } from '#core/access/seen-by.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { type EditResult, noEdit } from '../db/edit.ts';
import { joinedChange, settleChange } from '../db/joined-change.ts';
import { withGroundPicture } from '#core/look/ground-picture.ts';
import { siteRow } from '../db/rows/site-row.ts';
import { readPages } from '../db/rows/page-row.ts';
import { contentsOf, contentText } from '../documents/document-contents.ts';
import type { BlobStore } from './blob-store.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';
import { contentsIn } from '../publish/published-media.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { patchAfter } from '../sites/site-state.ts';
import { importMaterial, type ImportDeps, replaceFile } from './import-material.ts';
import { findInWords as wordsFound } from './find-in-words.ts';
import { mediaType } from './media-type.ts';
import { ownMaterial, transcriptsOf } from './own-material.ts';
import { sendRanged } from '../http/send-ranged.ts';
import type { Looking } from '../looking/looking.ts';
import { PictureLook } from '../looking/picture-look.ts';
import { RunningUploads } from './running-uploads.ts';
import { lightsOf } from './picture-light.ts';
import { previewWithFixes } from './previews.ts';

const fileParams = z.object({ material: idSchema, as: z.enum(['download', 'play', 'captions']) });
const previewParams = z.object({ material: idSchema, size: z.enum(['480', '1400']) });
/** Fixes come as JSON in the address; what cannot be read is as wrong as a path that does not exist. */
const previewQuery = z.object({
  fixes: z
    .string()
    .max(12_000)
    .default('{}')
    .transform((text, context): unknown => {
      try {
        return JSON.parse(text);
      } catch {
        context.addIssue('These are no fixes.');
        return z.NEVER;
      }
    })
    .pipe(fixesSchema),
  page: z.coerce.number().int().min(0).max(9999).default(0),
  /** A picture that stands in a document, by its hash. */
  piece: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .optional(),
});

/** What a preview of a material is made from; null when there is nothing to see of it. */
async function previewSource(
  { db, blobs }: { db: Database; blobs: BlobStore },
  material: Material,
  { fixes, page, piece }: z.output<typeof previewQuery>,
): Promise<PictureSource | null> {
  switch (material.kind) {
    case 'picture': {
      const { original, facts } = material;
      return { original, page: null, fixes, ...shownSize(facts, fixes) };
    }
    case 'document': {
      if (piece === undefined) return pageSource({ ...material, fixes }, page);
      const content = (await contentsOf(db, blobs, [material.original])).get(material.original);
      const found = content?.pieces.find((one) => one.type === 'picture' && one.picture === piece);
      if (found?.type !== 'picture') return null;
      const { widthPx, heightPx } = found;
      return { original: piece, page: null, fixes: {}, widthPx, heightPx };
    }
    case 'link': {
      const { picture } = material.facts;
      if (!picture || (piece !== undefined && piece !== picture.hash)) return null;
      const { hash: original, widthPx, heightPx } = picture;
      return { original, page: null, fixes: {}, widthPx, heightPx };
    }
    case 'sound':
    case 'clip':
    case 'note':
      return null;
  }
}

export function mediaRoutes(app: FastifyInstance, deps: ImportDeps & { looking: Looking }): void {
  const { db, commands } = deps;
  const uploadsNow = new RunningUploads();
  const look = new PictureLook(deps);

  // An upload is the file itself, one a request: progress, retry and cancel are then the browser's own.
  app.register(async (uploads) => {
    uploads.addContentTypeParser('application/octet-stream', (_request, payload, done) =>
      done(null, payload),
    );
    uploads.post(
      '/api/sites/:site/materials',
      { bodyLimit: deps.limits.maxFileBytes * 2 },
      async (request) => {
        const { site } = parsed(z.object({ site: idSchema }), request.params);
        const { name, madeOn, upload } = parsed(
          z.object({
            name: z.string().default('').transform(wellFormed),
            madeOn: partialDateSchema.optional(),
            /** Made up by the sender, who can stop it by that. */
            upload: idSchema.optional(),
          }),
          request.query,
        );
        const scope = { site, account: makerOf(request).id };
        await ownSite(db, scope.account, scope.site);
        const file = {
          name,
          madeOn,
          stream: request.body as Readable,
        };
        const running = upload === undefined ? null : uploadsNow.begin(scope.account, upload);
        let stored = false;
        try {
          const imported = await importMaterial(
            deps,
            scope,
            running ? { ...file, mayKeep: running.mayKeep } : file,
          );
          stored = true;
          const patch = await patchAfter(db, scope, imported.result);
          return importReplySchema.parse({
            ...patch,
            material: imported.material,
            duplicate: imported.duplicate,
          });
        } finally {
          running?.end(stored);
        }
      },
    );
    uploads.post(
      '/api/sites/:site/materials/:material/file',
      { bodyLimit: deps.limits.maxFileBytes * 2 },
      async (request) => {
        const params = parsed(z.object({ site: idSchema, material: idSchema }), request.params);
        const { name } = parsed(
          z.object({ name: z.string().default('').transform(wellFormed) }),
          request.query,
        );
        const scope = { site: params.site, account: makerOf(request).id };
        await ownSite(db, scope.account, scope.site);
        const row = await ownMaterial(db, scope.account, params.material, 'This material');
        const result = await replaceFile(deps, scope, row, { name, stream: request.body as Readable });
        return patchSchema.parse(await patchAfter(db, scope, result));
      },
    );
  });

  handle(app, stopUpload, async ({ params }, request) => ({
    was: await uploadsNow.stop(makerOf(request).id, params.upload),
  }));

  handle(app, changeMaterial, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    let joined = false;
    const result = await commands.run(scope, body, async (running) => {
      const joining = await joinedChange(running, 'material', params.material, body);
      joined = joining.joined;
      await settleChange(running, 'material', params.material, joining.change, body.decided);
    });
    return { ...(await patchAfter(db, scope, result)), joined: joined && result.changes.length > 0 };
  });

  handle(app, changeMaterials, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const result = await commands.run(scope, body, async (running) => {
      for (const { id, seen } of body.materials) {
        const tags =
          body.addTags.length > 0
            ? { tags: withTags((await running.find('material', id)).row.tags, body.addTags) }
            : {};
        await running.update('material', id, { ...body.change, ...tags }, seen);
      }
    });
    return patchAfter(db, scope, result);
  });

  handle(app, lookAtPictures, async ({ params }, request) => {
    const account = makerOf(request).id;
    await ownSite(db, account, params.site);
    return look.at(account);
  });

  handle(app, readLights, async ({ params, body }, request) => {
    const maker = makerOf(request).id;
    const site = await ownSite(db, maker, params.site);
    const wanted = new Set(body.pictures);
    const view = seenBy(await loadDraft(db, site), { kind: 'maker' });
    const materials = Object.values(view?.materials ?? {});
    const contents = await contentsIn(deps, materials);
    const shown = materials
      .flatMap((one) => picturesOf(one, contents.get(one.original)))
      .filter(({ id }) => wanted.has(id));
    return { lights: Object.fromEntries(await lightsOf(deps, shown, maker)) };
  });

  handle(app, findInWords, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    await ownSite(db, account, params.site);
    return { materials: await wordsFound(deps, account, body.query) };
  });

  handle(app, getWords, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    await ownSite(db, account, params.site);
    return { words: await transcriptsOf(db, account, body.materials) };
  });

  handle(app, makeContactSheet, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    await ownSite(db, account, params.site);
    return look.contactSheet(account, body.candidates, body.size, body.opening);
  });

  handle(app, deleteMaterials, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const many = body.materials.length;
    const label = many === 1 ? 'Delete from Gather' : `Delete ${many} from Gather`;
    const result = await commands.run(scope, { label }, async (running) => {
      const gone = new Set(body.materials);
      for (const { row: page } of await readPages(running.tx, scope.site)) {
        if (!isShown(page) || !materialsOn(page).some((id) => gone.has(id))) continue;
        await running.update('page', page.id, {
          cover: page.cover.picture !== null && gone.has(page.cover.picture) ? noCover : page.cover,
          opening: { ...page.opening, pictures: page.opening.pictures.filter((id) => !gone.has(id)) },
          parts: page.parts.map((part) => [...gone].reduce(withoutMaterial, part)),
        });
      }
      const site = await siteRow.read(running.tx, scope, scope.site);
      const look = site && withGroundPicture(site.row.look, (id) => !gone.has(id));
      if (look && look !== site.row.look) await running.update('site', scope.site, { look });
      for (const id of gone) await running.remove('material', id);
      if (body.readers === 'now') running.close(gone);
    });
    return patchAfter(db, scope, result);
  });

  app.get('/api/materials/:material/file/:as', async (request, reply) => {
    const { material: id, as } = parsed(fileParams, request.params);
    const material = await ownMaterial(db, makerOf(request).id, id, 'This file');
    reply.header('x-content-type-options', 'nosniff').header('cache-control', 'private, no-cache');
    if (as === 'captions') return reply.type('text/vtt; charset=utf-8').send(material.transcript);
    const recording = material.kind === 'sound' || material.kind === 'clip';
    if (as === 'play' && material.kind === 'picture')
      return sendRanged(request, reply, deps.blobs, {
        hash: material.original,
        bytes: material.bytes,
        type: `image/${material.facts.format}`,
      });
    // Only what is played is ever opened in place; everything else is saved.
    if (as === 'download' || !recording)
      reply.header(
        'content-disposition',
        `attachment; filename*=UTF-8''${encodeURIComponent(material.fileName)}`,
      );
    return sendRanged(request, reply, deps.blobs, {
      hash: material.original,
      bytes: material.bytes,
      type: recording ? mediaType(material.kind, material.facts.format) : 'application/octet-stream',
    });
  });

  handle(app, bringPictures, async ({ params }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    await ownSite(db, scope.account, scope.site);
    const { original } = await ownMaterial(db, scope.account, params.material, 'This document');
    const content = (await contentsOf(db, deps.blobs, [original])).get(original) ?? emptyDocument;
    const pictures: Record<string, string> = {};
    const all: EditResult = { ...noEdit, changes: [] };
    for (const piece of content.pieces) {
      if (piece.type !== 'picture' || pictures[piece.picture]) continue;
      const stream = deps.blobs.stream(piece.picture);
      const { material, result } = await importMaterial(deps, scope, { name: '', stream });
      pictures[piece.picture] = material;
      all.changes.push(...result.changes);
    }
    return { ...(await patchAfter(db, scope, all)), pictures };
  });

  /**
   * What was read out of a document: its maker sees it in place, and can make words of it. It may be long and was checked
   * when it was written, so it is handed on as it is.
   */
  app.get(getDocument.path, async (request, reply) => {
    const { material } = parsed(getDocument.params, request.params);
    const { original } = await ownMaterial(db, makerOf(request).id, material, 'This document');
    const content = await contentText(db, deps.blobs, original);
    return reply
      .type('application/json; charset=utf-8')
      .send(content ?? Buffer.from(JSON.stringify(emptyDocument)));
  });

  app.get('/api/materials/:material/preview/:size', async (request, reply) => {
    const maker = makerOf(request).id;
    const { material: id, size } = parsed(previewParams, request.params);
    const { fixes, page, piece } = parsed(previewQuery, request.query);
    const material = await ownMaterial(db, maker, id, 'This picture');
    const source = await previewSource(deps, material, { fixes, page, piece });
    const make =
      source &&
      (() => {
        const kept = source.page === null ? material.fixes : fixesOfPage(material.fixes, source.page);
        return previewWithFixes(deps, source, kept, size === '480' ? 480 : 1400, maker);
      });
    const picture = make && (await make());
    if (!picture) throw notFound('This picture');
    return reply
      .header('cache-control', 'private, max-age=31536000, immutable')
      .type('image/webp')
      .send(picture);
  });
}

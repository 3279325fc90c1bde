import { and, eq } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import type { Readable } from 'node:stream';
import { z } from 'zod';
import {
  changeMaterial,
  changeMaterials,
  deleteMaterials,
  importReplySchema,
  lookAtPictures,
} from '#contract/sites.ts';
import { fixesSchema, hasBurntIn } from '#core/content/fixes.ts';
import { materialsOf, withoutMaterial } from '#core/content/part.ts';
import { withTags } from '#core/content/tags.ts';
import { idSchema } from '#core/content/id.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Transaction } from '../db/connect.ts';
import { edit } from '../db/edit.ts';
import { materials, pages } from '../db/schema.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';
import { ownSite } from '../sites/load-draft.ts';
import { patchAfter } from '../sites/site-state.ts';
import { importMaterial, type ImportDeps } from './import-material.ts';
import { PictureLook } from './picture-look.ts';
import { pictureWithFixes } from './previews.ts';

async function tagsOf(tx: Transaction, material: string): Promise<string[]> {
  const [row] = await tx.select({ tags: materials.tags }).from(materials).where(eq(materials.id, material));
  return row?.tags ?? [];
}

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
});

export function mediaRoutes(app: FastifyInstance, deps: ImportDeps): void {
  const { db } = deps;
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
        const { name } = parsed(z.object({ name: z.string().default('') }), request.query);
        const scope = { site, account: makerOf(request).id };
        await ownSite(db, scope.account, scope.site);
        const imported = await importMaterial(deps, scope, { name, stream: request.body as Readable });
        const patch = await patchAfter(db, scope, imported.result);
        return importReplySchema.parse({
          ...patch,
          material: imported.material,
          duplicate: imported.duplicate,
        });
      },
    );
  });

  handle(app, changeMaterial, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const result = await edit(db, scope, body, async (running) => {
      await running.update('material', params.material, body.change, body.seen);
    });
    return patchAfter(db, scope, result);
  });

  handle(app, changeMaterials, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const result = await edit(db, scope, body, async (running) => {
      for (const { id, seen } of body.materials) {
        const tags =
          body.addTags.length > 0 ? { tags: withTags(await tagsOf(running.tx, id), body.addTags) } : {};
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

  handle(app, deleteMaterials, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const many = body.materials.length;
    const label = many === 1 ? 'Delete picture' : `Delete ${many} pictures`;
    const result = await edit(db, scope, { label }, async (running) => {
      const gone = new Set(body.materials);
      const rows = await running.tx.select().from(pages).where(eq(pages.siteId, scope.site));
      for (const page of rows) {
        const shown = [...page.opening.pictures, ...page.parts.flatMap(materialsOf)];
        if (!shown.some((id) => gone.has(id))) continue;
        await running.update('page', page.id, {
          opening: { ...page.opening, pictures: page.opening.pictures.filter((id) => !gone.has(id)) },
          parts: page.parts.map((part) => [...gone].reduce(withoutMaterial, part)),
        });
      }
      for (const id of gone) await running.remove('material', id);
    });
    return patchAfter(db, scope, result);
  });

  app.get('/api/materials/:material/preview/:size', async (request, reply) => {
    const { material, size } = parsed(previewParams, request.params);
    const { fixes } = parsed(previewQuery, request.query);
    const [row] = await db
      .select({ original: materials.original, fixes: materials.fixes })
      .from(materials)
      .where(and(eq(materials.accountId, makerOf(request).id), eq(materials.id, material)));
    const make = row && (() => pictureWithFixes(deps, row, fixes, size === '480' ? 480 : 1400));
    // What is ready does not wait behind pictures that are being read.
    const picture = make && (hasBurntIn(fixes) ? await deps.decoding.run(make) : await make());
    if (!picture) throw notFound('This picture');
    return reply
      .header('cache-control', 'private, max-age=31536000, immutable')
      .type('image/webp')
      .send(picture);
  });
}

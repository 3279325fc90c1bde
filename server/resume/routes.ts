import type { FastifyInstance, FastifyRequest } from 'fastify';
import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { atVersion, fitVersion, footSchema } from '#contract/resume.ts';
import { tightest } from '#core/resume/fit-resume.ts';
import { millimetres, paperSizes } from '#core/resume/layout/paper.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { StoredAssets } from '../publish/site-assets.ts';
import type { Reading } from '../reading/reading.ts';
import { liveStatement } from '../sites/live-statement.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { draftResume } from './draft-resume.ts';
import { outFormats, takenOut } from './taken-out.ts';
import { madeResume, type MadeResume, pairOf } from './made-resume.ts';

const outAs = atVersion.extend({ format: z.enum(outFormats) });
const pictureAt = atVersion.extend({ at: z.coerce.number().int().min(0).max(20) });

/** Versions of the résumé as they will stand on paper: for their maker only. */
export function resumeRoutes(
  app: FastifyInstance,
  {
    db,
    blobs,
    reading,
    assets,
    publicOrigin,
  }: { db: Database; blobs: BlobStore; reading: Reading; assets: StoredAssets; publicOrigin: string },
): void {
  /** What was made of late, by all that it is made of. */
  const made = new LRUCache<string, MadeResume>({ max: 40 });

  async function versionAt(request: FastifyRequest) {
    const at = parsed(atVersion, request.params);
    const site = await ownSite(db, makerOf(request).id, at.site);
    const draft = await loadDraft(db, site);
    const { foot } = parsed(footSchema, request.query);
    const path =
      foot === 'link' ? (await liveStatement(db, site, draft)).pageLinkPaths[at.version] : undefined;
    const found = draftResume(draft, at, publicOrigin, path === undefined ? null : publicOrigin + path);
    if (!found) throw notFound('This version');
    const { resume, version } = found;
    const of = { draft, version, page: at.page };
    const { look } = draft.site;
    const key = createHash('sha256')
      .update(JSON.stringify([resume.content, resume.version, pairOf(resume, look), version.wants]))
      .digest('hex')
      .slice(0, 24);
    const now = new Date();
    const known = made.get(key);
    if (known) return { key, resume, of, ...known };
    const fresh = madeResume(assets, resume, look, now, version.wants);
    let drawing: Promise<Buffer> | undefined;
    const file = () => (drawing ??= fresh.file());
    made.set(key, { ...fresh, file });
    return { key, resume, of, ...fresh, file };
  }

  handle(app, fitVersion, async (_, request) => {
    const { key, resume, fitted, fonts } = await versionAt(request);
    const { pages, fits, tightness, couldStayOut } = fitted;
    const words = JSON.stringify(resume.content);
    return {
      ...{ pages: pages.length, fits, tightness, tightest, couldStayOut, file: key },
      spareMm: Math.max(0, Math.floor(millimetres(pages.at(-1)?.left ?? 0))),
      missing: fonts.missing(words),
    };
  });

  app.get('/api/sites/:site/resumes/:page/:version/file', async (request, reply) => {
    const { file } = await versionAt(request);
    return reply
      .type('application/pdf')
      .header('content-disposition', 'attachment; filename="resume.pdf"')
      .send(await file());
  });

  app.get('/api/sites/:site/resumes/:page/:version/as/:format', async (request, reply) => {
    const { format } = parsed(outAs, request.params);
    const { resume, of } = await versionAt(request);
    const { text, type } = await takenOut(format, of.draft, of, resume);
    return reply
      .type(type)
      .header('content-disposition', `attachment; filename="resume.${format}"`)
      .send(text);
  });

  app.get('/api/sites/:site/resumes/:page/:version/picture/:at', async (request, reply) => {
    const { at } = parsed(pictureAt, request.params);
    const { file, resume, fitted } = await versionAt(request);
    if (at >= fitted.pages.length) throw notFound('This page');
    const { width, height } = paperSizes[resume.version.paper];
    const source = {
      // Nothing names it there, so the sweep takes it away again; it is put there anew whenever it is looked at.
      ...{ original: await blobs.put(await file()), page: at, fixes: {} },
      ...{ widthPx: Math.round(width * 2), heightPx: Math.round(height * 2) },
    };
    const { contents } = await reading.run('preview', { source, size: 1400 }, makerOf(request).id);
    return reply.type('image/webp').header('cache-control', 'private, no-cache').send(contents);
  });
}

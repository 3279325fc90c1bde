import slugify from '@sindresorhus/slugify';
import type { FastifyInstance } from 'fastify';
import { folderFile, folderParams, getFolder } from '#contract/folder.ts';
import { type GivenLink, givenLinkNameSchema } from '#core/access/given-link.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { Problem } from '../http/problem.ts';
import { zipOf } from '../http/zip-of.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { entranceAt } from '../serve/entrance-at.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { ownSite, type SiteRow } from '../sites/load-draft.ts';
import { aroundLinks, readersOf } from '../sites/readers-of-link.ts';
import { folderFiles } from './folder-files.ts';

/** A folder may have so many bytes: what a mail or a hand-in box would never take, a disk still does. */
const mostBytes = 2 * 1024 ** 3;

interface FolderDeps {
  db: Database;
  blobs: BlobStore;
  open: PublicSites;
  secret: Buffer;
  publicOrigin: string;
}

/** The site as a folder: for readers of a chosen link the very files that they get. */
export function folderRoutes(
  app: FastifyInstance,
  { db, blobs, open, secret, publicOrigin }: FolderDeps,
): void {
  const filesOf = async (site: SiteRow, link: GivenLink) => {
    const path = readersOf(link, await aroundLinks(db, site, secret))?.link ?? null;
    const entrance = path === null ? null : await entranceAt(open, path);
    if (path === null || entrance === null) return null;
    // Keys of links stand in no file: only of a public address the pages say where they are.
    return folderFiles(blobs, entrance.tree, entrance.secret ? null : publicOrigin + path);
  };
  const bytesIn = (files: NonNullable<Awaited<ReturnType<typeof filesOf>>>) =>
    files.reduce(
      (sum, { content }) => sum + (Buffer.isBuffer(content) ? content.length : (content.bytes ?? 0)),
      0,
    );
  const closed =
    'Readers of this link get nothing now, so there is nothing to save. Publish, raise the site, or choose another link.';
  const tooLarge = `This is more than ${mostBytes / 1024 ** 3} GB. Choose a pass that opens fewer pages.`;

  handle(app, getFolder, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const files = await filesOf(site, parsed(givenLinkNameSchema, params.link));
    if (files === null) return { pages: 0, files: 0, bytes: 0, problem: closed };
    const bytes = bytesIn(files);
    return {
      ...{ bytes, files: files.length, problem: bytes > mostBytes ? tooLarge : null },
      pages: files.filter(({ path }) => path.endsWith('.html')).length,
    };
  });

  app.get(
    folderFile(':site', ':link'),
    { config: { rateLimit: { max: 20, timeWindow: '10 minutes' } } },
    async (request, reply) => {
      const { site: id, link } = parsed(folderParams, request.params);
      const site = await ownSite(db, makerOf(request).id, id);
      const files = await filesOf(site, link);
      if (files === null) throw new Problem(409, 'closed', closed);
      if (bytesIn(files) > mostBytes) throw new Problem(413, 'too-large', tooLarge);
      const { stream, bytes } = await zipOf(files);
      return reply
        .headers({
          'content-type': 'application/zip',
          'content-disposition': `attachment; filename="${slugify(site.title) || 'site'}.zip"`,
          'x-content-type-options': 'nosniff',
          ...(bytes !== null && { 'content-length': String(bytes) }),
        })
        .send(stream);
    },
  );
}

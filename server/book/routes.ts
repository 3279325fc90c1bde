import slugify from '@sindresorhus/slugify';
import type { FastifyInstance } from 'fastify';
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import {
  bookFile,
  bookFileParams,
  bookLinkSchema,
  cancelBookJob,
  getBook,
  getBookJob,
  makeBook,
  mostBookPages,
} from '#contract/book.ts';
import type { GivenLink } from '#core/access/given-link.ts';
import { layBook, lettersOf } from '#core/book/lay-book.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { bookWordsFor } from '#core/public-words/book-words.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { Problem } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { StoredAssets } from '../publish/site-assets.ts';
import { entranceAt } from '../serve/entrance-at.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { hadOf } from '../sites/had-now.ts';
import { ownSite, type SiteRow } from '../sites/load-draft.ts';
import { aroundLinks, readersOf } from '../sites/readers-of-link.ts';
import { BookJobs } from './book-jobs.ts';
import { bookPlan, chaptersOf } from './book-of.ts';
import { bookPdf } from './book-pdf.ts';
import { bookPicture } from './book-picture.ts';

/** Another one wherever a file of a way in is another, came, or went. */
const stampOf = (tree: FileTree): string =>
  createHash('sha256')
    .update(JSON.stringify(Object.entries(tree).map(([path, { hash }]) => [path, hash])))
    .digest('hex');

interface BookDeps {
  db: Database;
  blobs: BlobStore;
  assets: Pick<StoredAssets, 'fonts'>;
  open: PublicSites;
  secret: Buffer;
  publicOrigin: string;
  now: () => Date;
}

/** The site as one PDF: for readers of a chosen link what they get, laid out on paper. */
export function bookRoutes(app: FastifyInstance, deps: BookDeps): void {
  const { db, blobs, assets, open, secret, publicOrigin, now } = deps;
  const jobs = new BookJobs();
  app.addHook('preClose', () => jobs.stop());

  const closed =
    'Readers of this link get nothing now, so there is nothing to save. Publish, raise the site, or choose another link.';
  const tooLong = `A PDF holds at most ${mostBookPages} pages of a site. Choose a pass that opens fewer.`;
  const planOf = async (site: SiteRow, link: GivenLink) => {
    const readers = readersOf(link, await aroundLinks(db, site, secret));
    const entrance = readers?.link ? await entranceAt(open, readers.link) : null;
    if (!readers?.link || !entrance) return null;
    const release = readers.pass?.pinned ?? site.liveRelease;
    const had = release === null ? null : await hadOf(db, site, release);
    const plan = had && bookPlan(had.now, readers.viewer, entrance.tree);
    // Keys of links stand in no file.
    return (
      plan && { plan, tree: entrance.tree, online: entrance.secret ? null : publicOrigin + readers.link }
    );
  };

  handle(app, getBook, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const found = await planOf(site, parsed(bookLinkSchema, params.link));
    const pages = found?.plan.pages.length ?? 0;
    const job = found ? jobs.latest(site.id, { link: params.link, files: stampOf(found.tree) }) : null;
    return { pages, job, problem: !found ? closed : pages > mostBookPages ? tooLong : null };
  });

  handle(
    app,
    makeBook,
    async ({ params, body: { paper } }, request) => {
      const site = await ownSite(db, makerOf(request).id, params.site);
      const found = await planOf(site, parsed(bookLinkSchema, params.link));
      if (!found) throw new Problem(409, 'closed', closed);
      const { plan, tree, online } = found;
      if (plan.pages.length > mostBookPages) throw new Problem(413, 'too-long', tooLong);
      const made = now();
      return jobs.start(
        site.id,
        { link: params.link, paper, files: stampOf(tree) },
        async (path, progress) => {
          const readOne = (done: number) => progress('Reading pages', done, plan.pages.length);
          const [cover, ...chapters] = await chaptersOf(plan, tree, blobs, online, readOne);
          if (!cover) throw new Problem(409, 'closed', closed);
          const fonts = assets.fonts[plan.fonts].resume;
          const words = {
            heading: bookWordsFor(plan.language).contents,
            foot: [plan.by, online?.replace(/^https?:\/\//, '') ?? ''].filter(Boolean),
          };
          const book = layBook(cover, chapters, words, paper, fonts.widthOf);
          await bookPdf(
            book,
            [cover, ...chapters],
            fonts,
            { title: plan.title, author: plan.by, language: plan.language, paper, made },
            (picture) =>
              bookPicture(blobs, Object.hasOwn(tree, picture.file) ? tree[picture.file] : undefined),
            createWriteStream(path),
            (done) => progress('Setting pages', done, book.sheets.length),
          );
          return fonts.missing(lettersOf(book));
        },
        (error) => request.log.error(error),
      );
    },
    { config: { rateLimit: { max: 20, timeWindow: '10 minutes' } } },
  );

  handle(app, getBookJob, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return jobs.get(site.id, params.job);
  });

  handle(app, cancelBookJob, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return jobs.cancel(site.id, params.job);
  });

  app.get(bookFile(':site', ':job'), async (request, reply) => {
    const { site: id, job } = parsed(bookFileParams, request.params);
    const site = await ownSite(db, makerOf(request).id, id);
    const { path, bytes } = jobs.fileOf(site.id, job);
    return reply
      .headers({
        'content-type': 'application/pdf',
        'content-disposition': `attachment; filename="${slugify(site.title) || 'site'}.pdf"`,
        'content-length': String(bytes),
        'x-content-type-options': 'nosniff',
      })
      .send(createReadStream(path));
  });
}

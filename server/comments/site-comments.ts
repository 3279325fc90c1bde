import { LRUCache } from 'lru-cache';
import type { Comment } from '#core/comments/comment.ts';
import { type CommentReader, commentsFor } from '#core/comments/comments-for.ts';
import type { Id } from '#core/id.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import type { CommentForm, Comments, NotAttached } from '#site/comments/comment-form.ts';
import { withComments } from '#site/comments/with-comments.tsx';
import type { Database } from '../db/connect.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { standsIn } from '#core/comments/quote.ts';
import { commentsOf } from './comment-rows.ts';
import { materialsOf, picturesOn } from './pictures-on.ts';
import { placesOn, wordsOnPage } from './places-on.ts';

/** A page as a release has it, and who opens it. */
export interface OpenedPage {
  site: Id;
  file: ManifestFile & { page: Id };
  reader: CommentReader;
  /** All that this reader may fetch. */
  tree: FileTree;
}

/**
 * What readers say of pages. It is no part of a release: it is put into a page when it is answered, so that what its maker hides or
 * takes away is gone from the next request on. Remembered for each site, so that pages of which nobody says anything ask the database
 * nothing.
 */
export class SiteComments {
  readonly #db: Database;
  readonly #blobs: BlobStore;
  readonly #known = new LRUCache<Id, Promise<readonly Comment[]>>({ max: 1000 });

  constructor(db: Database, blobs: BlobStore) {
    this.#db = db;
    this.#blobs = blobs;
  }

  /** What is said of these sites has changed. */
  forget(sites: readonly Id[]): void {
    for (const site of sites) this.#known.delete(site);
  }

  /**
   * The page with what this reader gets of what is said of it.
   *
   * @param form by which they say something; null: they cannot
   * @param notAttached a file that was not put to a comment
   * @returns null where nothing is added
   */
  async onPage(
    opened: OpenedPage,
    form: CommentForm | null,
    notAttached: NotAttached | null = null,
  ): Promise<string | null> {
    const { site, file, reader, tree } = opened;
    const all = await this.#of(site);
    if (all.length === 0 && !form) return null;
    const html = (await this.#blobs.read(file.hash)).toString();
    const places = placesOn(file.hash, html);
    const stands = new Set(places.map(({ part }) => part));
    const pictures = picturesOn(tree, file, html);
    const shown = commentsFor(all, reader, {
      id: file.page,
      has: (part) => stands.has(part),
      says: (quote) => standsIn(quote, wordsOnPage(file.hash, html)),
      shows: (material) =>
        pictures.find((one) => materialsOf(tree, one.file).includes(material))?.file ?? null,
    });
    if (shown.length === 0 && !form) return null;
    const named = places.filter(({ title }) => title !== '');
    const comments: Comments = { shown, form, places: named, pictures, notAttached };
    return withComments(html, comments);
  }

  #of(site: Id): Promise<readonly Comment[]> {
    const known = this.#known.get(site);
    if (known) return known;
    const asking = commentsOf(this.#db, site);
    this.#known.set(site, asking);
    asking.catch(() => {
      if (this.#known.get(site) === asking) this.#known.delete(site);
    });
    return asking;
  }
}
